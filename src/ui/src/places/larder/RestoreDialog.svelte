<script lang="ts">
  import { call, type Trouble as Why } from "../../api/call";
  import { patient } from "../../api/client";
  import type { BackupFile, RestorePreview } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { moment, listed } from "../../words/format";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import Trouble from "../../parts/Trouble.svelte";

  /** What a restore would change, before it is done. */
  let { file, onclose, onrestored }: { file: BackupFile; onclose: () => void; onrestored: (file: BackupFile) => void } = $props();
  let preview = $state.raw<RestorePreview | null>(null);
  let trouble = $state.raw<Why | null>(null);
  let busy = $state(false);
  const parts: Record<string, () => string> = {
    bread: m.part_bread,
    batch: m.part_batch,
    log: m.part_log,
    larder: m.part_larder,
    photo: m.part_photo,
  };
  const changes = $derived(preview?.parts.some((p) => p.back + p.gone + p.changed > 0) ?? false);

  $effect(() => void look());
  async function look() {
    const params = { path: { name: file.name } };
    ({ data: preview, trouble } = await call(() => patient.GET("/api/keeping/backups/{name}/preview", { params })));
  }

  async function restore() {
    busy = true;
    const params = { path: { name: file.name } };
    // Whether it was done is seen by looking again: twice it would be backed up twice.
    ({ trouble } = await call(() => patient.POST("/api/keeping/backups/{name}/restore", { params }), { once: true }));
    busy = false;
    if (!trouble) onrestored(file);
  }
</script>

<Dialog open title={m.restore_head({ day: moment(file.madeAt) })} {onclose}>
  <Trouble {trouble} again={preview ? undefined : look} />
  <!-- Its room is there before it is: what is pressed below stays where it is. -->
  <div class={trouble ? "" : "min-h-68"}>
    {#if preview}
      <table class="my-3 w-full text-body" data-testid="restore-preview">
        <caption class="pb-1 text-start text-mute">{m.restore_what()}</caption>
        <thead>
          <tr
            class="border-b-2 border-rim-soft [&>th]:py-1 [&>th]:font-semibold [&>th:not(:first-child)]:ps-2 [&>th:not(:first-child)]:text-end"
          >
            <th class="text-start" scope="col">{m.restore_part()}</th>
            <th scope="col">{m.restore_back()}</th>
            <th scope="col">{m.restore_gone()}</th>
            <th scope="col">{m.restore_changed()}</th>
            <th scope="col">{m.restore_same()}</th>
          </tr>
        </thead>
        <tbody>
          {#each preview.parts as part (part.part)}
            <tr class="border-b border-line [&>td]:py-1.5 [&>td]:text-end">
              <th scope="row" class="text-start font-normal">{parts[part.part]?.()}</th>
              {#each [part.back, part.gone, part.changed] as count, i (i)}
                <td class={count > 0 ? "font-head text-lead font-bold text-chilli" : "text-mute"}>{count}</td>
              {/each}
              <td>{part.same}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if preview.back.length}<p>{m.restore_breads_back({ names: listed(preview.back) })}</p>{/if}
      {#if preview.gone.length}<p>{m.restore_breads_gone({ names: listed(preview.gone) })}</p>{/if}
      <p class="mt-2 text-mute">{changes ? m.restore_first() : m.restore_nothing()}</p>
    {/if}
  </div>
  <div class="mt-4 flex flex-wrap gap-2">
    <button class="button strong" onclick={() => void restore()} disabled={busy || !changes}>{m.restore_do()}</button>
    <DialogClose />
  </div>
</Dialog>
