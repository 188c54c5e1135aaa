<script lang="ts">
  import Copy from "@lucide/svelte/icons/copy";
  import FileDown from "@lucide/svelte/icons/file-down";
  import FileText from "@lucide/svelte/icons/file-text";
  import Pencil from "@lucide/svelte/icons/pencil";
  import Scale from "@lucide/svelte/icons/scale";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { call } from "../../api/call";
  import { api, meant } from "../../api/client";
  import type { BreadView } from "../../api/types";
  import { fetchFile } from "../../files/files";
  import { newId } from "../../ids";
  import { m } from "../../paraglide/messages";
  import Menu from "../../parts/Menu.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { saveRecipe } from "./recipe";

  /** What can be done with a bread of the shelf besides cooking it. */
  interface Props {
    bread: BreadView;
    beside: HTMLElement;
    onclose: () => void;
    onscale: () => void;
    onedit: () => void;
    onremove: () => void;
    /** There is one more, or one less. */
    onchanged: () => Promise<void>;
  }
  let { bread, beside, onclose, onscale, onedit, onremove, onchanged }: Props = $props();

  async function recipe() {
    const { name } = bread;
    const trouble = await saveRecipe(bread);
    if (trouble) toaster.trouble(m.recipe_of_not_saved({ name }), trouble);
  }

  async function duplicate() {
    const { name, about, tags, spec } = bread;
    const changed = onchanged;
    const body = { name: m.copy_of({ name }).slice(0, 80), about, tags, spec, id: newId() };
    const { data } = await told(
      m.duplicating({ name }),
      call(() => api.POST("/api/breads", { body })),
    );
    if (!data) return;
    await changed();
    toaster.say(m.duplicated({ name: data.name }), async () => {
      const params = { path: { id: data.id }, header: meant(data.version) };
      await told(
        m.undo(),
        call(() => api.DELETE("/api/breads/{id}", { params })),
      );
      await changed();
    });
  }
</script>

<Menu
  label={m.more_of({ name: bread.name })}
  {beside}
  {onclose}
  items={[
    { icon: Scale, label: m.scale_open(), go: onscale },
    { icon: Pencil, label: m.edit_bread(), go: onedit },
    { icon: Copy, label: m.duplicate(), go: () => void duplicate() },
    { icon: FileDown, label: m.save_bread(), go: () => fetchFile(`/api/files/breads/${bread.id}`) },
    { icon: FileText, label: m.save_recipe(), go: () => void recipe() },
    { icon: Trash2, label: m.delete_item(), go: onremove },
  ]}
/>
