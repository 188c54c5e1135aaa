<script lang="ts">
  import { call, type Trouble as Why } from "../../api/call";
  import { api, meant } from "../../api/client";
  import type { BreadView, Refusal } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { newId } from "../../ids";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { breadRow, keepOver } from "../../versions/elsewhere.svelte";
  import { say } from "../../words/refusals";

  interface Props {
    bread: BreadView;
    onclose: () => void;
    onkept: () => Promise<void>;
  }
  let { bread, onclose, onkept }: Props = $props();
  // The dialog is keyed by its bread, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const before = bread;
  let name = $state(before.name);
  let about = $state(before.about);
  let tags = $state(before.tags.join(", "));
  let refusals = $state.raw<Refusal[]>([]);
  let trouble = $state.raw<Why | null>(null);
  type Row = ReturnType<typeof breadRow>;
  const put = (from: Row, to: Row["figures"]) =>
    keepOver<Row["figures"], BreadView>({
      from,
      to,
      send: (version, body) =>
        call(() => api.PUT("/api/breads/{id}", { params: { path: { id: before.id }, header: meant(version) }, body })),
      rowOf: breadRow,
      name: before.name,
      second: (figures) => {
        const body = { ...figures, name: m.name_here({ name: figures.name }).slice(0, 80), id: newId() };
        return call(() => api.POST("/api/breads", { body }));
      },
    });

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const row = breadRow(before);
    const words = tags.split(",").map((t) => t.trim());
    const { data, trouble: why } = await put(row, { ...row.figures, name: name.trim(), about: about.trim(), tags: words.filter(Boolean) });
    refusals = why?.kind === "refused" ? why.refusals : [];
    trouble = why && why.kind !== "refused" ? why : null;
    if (!data) return;
    await onkept();
    onclose();
    toaster.say(m.bread_kept({ name: data.name }), async () => {
      const { name: n, about: a, tags: t } = before;
      await told(m.undo(), put(breadRow(data), { ...breadRow(data).figures, name: n, about: a, tags: t }));
      await onkept();
    });
  }

  const refusalOf = (field: string) => refusals.find((r) => r.field.startsWith(field));
</script>

{#snippet problem(field: string)}
  {@const refusal = refusalOf(field)}
  {#if refusal}<span class="refusal" id="edit-{field}"
      >{field === "name" && refusal.code === "missing" ? m.refuse_name() : say(refusal)}</span
    >{/if}
{/snippet}

<Dialog open title={m.edit_bread()} wide="narrow" {onclose}>
  <Trouble {trouble} />
  <form class="grid gap-3" onsubmit={keep} novalidate>
    <label class="grid gap-1"
      >{m.item_name()}<input class="field" maxlength="80" bind:value={name} aria-invalid={refusalOf("name") ? "true" : undefined} /></label
    >
    {@render problem("name")}
    <label class="grid gap-1">{m.about()}<textarea class="field h-20 py-2" maxlength="400" bind:value={about}></textarea></label>
    <label class="grid gap-1">{m.tags()}<input class="field" maxlength="240" bind:value={tags} /></label>
    {@render problem("tags")}
    <div class="mt-1 flex gap-2">
      <button class="button strong flex-1" type="submit">{m.keep()}</button>
      <DialogClose class="button flex-1" />
    </div>
  </form>
</Dialog>
