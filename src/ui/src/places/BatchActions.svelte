<script lang="ts">
  import FileText from "@lucide/svelte/icons/file-text";
  import NotebookPen from "@lucide/svelte/icons/notebook-pen";
  import { push } from "svelte-spa-router";
  import { changes } from "../api/changes.svelte";
  import { api } from "../api/client";
  import type { BreadView } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { toaster } from "../toast.svelte";

  // The bread this batch came from, while it still has the batch's name: then its recipe can be changed, else a new bread is made.
  let bread = $state.raw<BreadView | null>(null);
  const same = $derived(bread !== null && bread.name === batch.name.trim());

  $effect(() => {
    const id = batch.breadId;
    bread = null;
    if (id) void api.GET("/api/breads/{id}", { params: { path: { id } } }).then(({ data }) => (bread = data ?? null));
  });

  async function log() {
    if (await batch.keep()) await push(`/log/new/${batch.id}`);
    else toaster.say(m.log_needs_keeping());
  }

  async function makeRecipe() {
    const spec = $state.snapshot(batch.spec);
    if (!spec) return;
    if (bread && same) {
      const before = bread;
      const body = { name: bread.name, about: bread.about, tags: bread.tags, spec };
      const { data } = await api.PUT("/api/breads/{id}", { params: { path: { id: bread.id } }, body });
      if (!data) return toaster.say(m.recipe_not_kept());
      bread = data;
      changes.shelf++;
      toaster.say(m.recipe_changed({ name: data.name }), async () => {
        const { name, about, tags, spec: old } = before;
        const back = await api.PUT("/api/breads/{id}", { params: { path: { id: before.id } }, body: { name, about, tags, spec: old } });
        bread = back.data ?? bread;
        changes.shelf++;
      });
    } else {
      const { data } = await api.POST("/api/breads", {
        body: { name: batch.name, about: bread?.about ?? "", tags: bread?.tags ?? [], spec },
      });
      if (!data) return toaster.say(m.recipe_not_kept());
      bread = data;
      changes.shelf++;
      batch.change(() => (batch.breadId = data.id));
      toaster.say(m.bread_made({ name: data.name }), async () => {
        await api.DELETE("/api/breads/{id}", { params: { path: { id: data.id } } });
        bread = null;
        changes.shelf++;
      });
    }
  }
</script>

<div class="mt-3 grid grid-cols-2 gap-2 lg:pe-4">
  <a class="button !px-2 text-[14px]" href="#/card"><FileText size={18} aria-hidden="true" />{m.batch_card()}</a>
  <button class="button strong !px-2" onclick={() => void log()}><NotebookPen size={18} aria-hidden="true" />{m.log_it()}</button>
  <button class="button col-span-2 !px-2 text-[14px]" onclick={() => void makeRecipe()}>{same ? m.make_recipe() : m.make_bread()}</button>
</div>
