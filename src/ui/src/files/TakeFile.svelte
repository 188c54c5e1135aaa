<script lang="ts">
  import { changes } from "../api/changes.svelte";
  import { call, type Trouble as Why } from "../api/call";
  import { api, patient } from "../api/client";
  import { larder } from "../api/larder.svelte";
  import type { FileStep } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import Dialog from "../parts/Dialog.svelte";
  import Progress from "../parts/Progress.svelte";
  import Segments from "../parts/Segments.svelte";
  import Trouble from "../parts/Trouble.svelte";
  import { toaster } from "../toast.svelte";
  import { number, listed } from "../words/format";
  import { partName } from "../words/files";
  import { say } from "../words/refusals";
  import BadLines from "./BadLines.svelte";
  import { readKitchenFile } from "./files";

  /** A kitchen's file: how far it is read, what it would change, and then all of it or nothing. */
  let { file, onclose, ontaken }: { file: File; onclose: () => void; ontaken?: () => Promise<void> } = $props();
  let sent = $state(0);
  let step = $state.raw<FileStep | null>(null);
  let problem = $state("");
  let replace = $state<"stays" | "replaced">("stays");
  let busy = $state(false);
  let trouble = $state.raw<Why | null>(null);
  const stop = new AbortController();
  const staged = $derived(step?.staged);
  const changed = $derived(staged?.preview.parts.reduce((sum, p) => sum + p.changed, 0) ?? 0);
  const added = $derived(staged?.preview.parts.reduce((sum, p) => sum + p.added, 0) ?? 0);
  const takes = $derived(added + (replace === "replaced" ? changed : 0));
  const reading = $derived(!problem && !(staged || step?.bad || step?.problem));

  // The dialog is keyed by its file, so what it reads never changes under it.
  // svelte-ignore state_referenced_locally
  readKitchenFile(
    file,
    (share) => (sent = share),
    (s) => (step = s),
    stop.signal,
  ).then(
    (last) => (problem = last.problem ? say(last.problem) : ""),
    () => (problem = stop.signal.aborted ? "" : m.file_not_read()),
  );

  function close() {
    stop.abort();
    if (staged && !busy) void call(() => api.DELETE("/api/files/{id}", { params: { path: { id: staged.id } } }));
    onclose();
  }

  async function take() {
    if (!staged) return;
    busy = true;
    const path = { path: { id: staged.id }, query: { replace: replace === "replaced" } };
    // Once it is taken it is there no more: what was sent twice is taken once.
    ({ trouble } = await call(() => patient.POST("/api/files/{id}/take", { params: path }), { once: true }));
    if (trouble) {
      busy = false;
      return;
    }
    changes.tell("kitchen");
    await larder.fetch();
    batch.again();
    await ontaken?.();
    toaster.say(m.file_taken({ count: number(takes, 0) }));
    onclose();
  }
</script>

<Dialog open title={m.file_title()} onclose={close}>
  <p class="truncate text-mute">{file.name}</p>
  {#if problem}<p class="refusal" role="alert">{problem}</p>{/if}
  <Trouble {trouble} />
  {#if reading}
    <!-- The kitchen reads while it is sent, and mostly longer. -->
    <Progress
      label={step ? m.file_reading({ count: number(step.records, 0) }) : m.file_sending()}
      value={sent + (step ? step.taken / Math.max(step.of, 1) : 0)}
      most={2}
    />
  {:else if step?.bad}
    <p class="refusal" role="alert">{m.import_bad({ count: step.bad.length })}. {m.file_none_taken()}</p>
    <BadLines bad={step.bad} />
  {:else if staged}
    <table class="my-2 w-full text-body" data-testid="file-preview">
      <caption class="pb-1 text-start text-mute">{m.file_what()}</caption>
      <thead>
        <tr
          class="border-b-2 border-rim-soft [&>th]:py-1 [&>th]:font-semibold [&>th:not(:first-child)]:ps-2 [&>th:not(:first-child)]:text-end"
        >
          <th class="text-start" scope="col">{m.restore_part()}</th>
          <th scope="col">{m.file_new()}</th>
          <th scope="col">{m.file_other()}</th>
          <th scope="col">{m.file_same()}</th>
        </tr>
      </thead>
      <tbody>
        {#each staged.preview.parts as part (part.part)}
          <tr class="border-b border-line [&>td]:py-1.5 [&>td]:ps-2 [&>td]:text-end">
            <th scope="row" class="text-start font-normal">{partName[part.part]?.() ?? part.part}</th>
            <td class={part.added ? "font-head text-lead font-bold text-leaf" : "text-mute"}>{number(part.added, 0)}</td>
            <td class={part.changed ? "font-head text-lead font-bold text-chilli" : "text-mute"}>{number(part.changed, 0)}</td>
            <td>{number(part.same, 0)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if staged.preview.added.length}<p>{m.file_breads_new({ names: listed(staged.preview.added) })}</p>{/if}
    {#if changed}
      <div class="mt-2">
        <Segments
          label={m.file_what_is_here()}
          value={replace}
          options={[
            { value: "stays", label: m.file_stays() },
            { value: "replaced", label: m.file_replaced() },
          ]}
          onchange={(v) => (replace = v)}
        />
      </div>
    {/if}
    <p class="mt-2 text-mute">{takes ? m.restore_first() : changed ? m.file_nothing_new() : m.import_no_change()}</p>
  {/if}
  <div class="mt-4 flex flex-wrap gap-2">
    {#if staged && takes > 0}<button class="button strong flex-1" onclick={() => void take()} disabled={busy}
        >{m.file_take({ count: number(takes, 0) })}</button
      >{/if}
    <button class="button flex-1" disabled={busy} onclick={close}>{reading ? m.file_cancel() : m.close()}</button>
  </div>
</Dialog>
