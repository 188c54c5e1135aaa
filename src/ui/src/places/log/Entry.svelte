<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import type { LogView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import DayTime from "../../parts/DayTime.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { madeOf } from "../../words/made";
  import Section from "../../section/Section.svelte";
  import { day } from "../../words/format";
  import { say } from "../../words/refusals";
  import Actual from "./Actual.svelte";
  import FaceColours from "./FaceColours.svelte";
  import Faults from "./Faults.svelte";
  import { setUsed, timed, used } from "./figures";
  import Gathered from "./Gathered.svelte";
  import Photo from "./Photo.svelte";
  import Scale from "./Scale.svelte";
  import { scales } from "./scales";
  import { Writing } from "./writing.svelte";

  interface Props {
    /** An entry that is there, or the batch a new one is written for. */
    line?: LogView;
    batchId?: string;
    /** Whether something is written here that is not kept. */
    unkept?: boolean;
    onkept: (line: LogView) => void;
    onremove?: (line: LogView) => void;
  }
  let { line, batchId, unkept = $bindable(false), onkept, onremove }: Props = $props();

  // The entry is keyed by its id, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const writing = new Writing(line, batchId);
  const { name, planned, glance, outcome, refusals, trouble, refusalOf } = $derived(writing);
  $effect(() => {
    unkept = writing.unkept;
    writing.remember();
  });
  const stuffed = $derived(glance?.section.filling != null || outcome.judged.filling != null || outcome.judged.wall != null);
  const judgedBy = $derived(
    scales.filter(({ key }) => (stuffed ? key !== "leaves" || outcome.judged.leaves != null : key !== "filling" && key !== "wall")),
  );
  const photoOf = $derived(m.photo_of({ name, day: day(writing.cookedAt) }));

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const kept = await writing.keep();
    if (kept) onkept(kept);
  }
</script>

{#if writing.missing}
  <section class="tray p-8 text-mute">{m.batch_gone()}</section>
{:else if trouble && !name}
  <section class="tray p-4"><Trouble {trouble} again={() => writing.fetchPlan()} /></section>
{:else if name}
  <form class="tray flex min-h-0 min-w-0 flex-col overflow-hidden" onsubmit={keep} aria-label={m.log_entry()} novalidate>
    <div class="min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-3 sm:px-5.5">
      <div class="flex flex-wrap items-baseline gap-x-3.5">
        <h2 class="text-title leading-tight font-bold tracking-tight">{name}</h2>
        {#if glance}<p class="text-mute">{madeOf(glance.section, glance.leaves)}</p>{/if}
        <span class="flex-1"></span>
        <DayTime bare label={m.cooked_at()} value={writing.cookedAt} onchange={(at) => (writing.cookedAt = at)} />
      </div>
      {#if glance}
        <div class="mt-1 mb-2"><Section section={glance.section} height={64} small /></div>
      {:else}<p class="refusal">{m.cannot_be_worked()}</p>{/if}
      <div class="grid gap-x-8 gap-y-3 xl:grid-cols-2">
        <fieldset class="grid min-w-0 gap-x-8 gap-y-1.5 xl:col-span-2 xl:grid-cols-2">
          <legend class="mb-1 font-head text-body font-bold">{m.judged()}</legend>
          {#each judgedBy as { key, name: scaleName, words } (key)}
            <Scale
              label={scaleName()}
              words={words.map((w) => w())}
              bind:value={() => outcome.judged[key] ?? null, (v) => (outcome.judged[key] = v)}
            />
          {/each}
        </fieldset>
        <div class="xl:col-span-2">
          <Faults
            {name}
            batchId={writing.batchId}
            entryId={line?.id}
            breadId={line?.breadId ?? null}
            {outcome}
            onpick={(faults) => (outcome.faults = faults)}
          />
        </div>
        <fieldset class="min-w-0">
          <legend class="mb-1 font-head text-body font-bold">{m.really_used()}</legend>
          {#each used as [key, label, unit] (key)}
            {@const field = `used.${key}`}
            <Actual
              label={label()}
              {field}
              planned={key === "lost" ? null : (planned?.[key] ?? null)}
              {unit}
              bind:value={() => outcome.used[key] ?? null, (v) => setUsed(outcome, key, v)}
              bind:unread={writing.unread[field]}
              refusal={refusalOf(field)}
            />
          {/each}
        </fieldset>
        <div class="grid min-w-0 content-start gap-3">
          <fieldset class="min-w-0">
            <legend class="mb-1 font-head text-body font-bold">{m.really_timed()}</legend>
            {#each timed as [key, label, unit, plan] (key)}
              {@const field = `timed.${key}`}
              <Actual
                label={label()}
                {field}
                planned={planned ? plan(planned) : null}
                {unit}
                bind:value={outcome.timed[key]}
                bind:unread={writing.unread[field]}
                refusal={refusalOf(field)}
              />
            {/each}
          </fieldset>
          <label class="block">
            <span class="mb-1 block font-head text-body font-bold">{m.note()}</span>
            <textarea class="field block h-18 w-full py-2" bind:value={outcome.note} maxlength="4000"></textarea>
          </label>
          {#if refusalOf("note")}<p class="refusal">{say(refusalOf("note")!)}</p>{/if}
          <div class="flex flex-wrap items-center justify-between gap-2">
            <Photo bind:id={writing.photoId} label={photoOf} />
            <Check label={m.counts()} bind:checked={outcome.counts} />
          </div>
        </div>
        <div class="xl:col-span-2">
          <FaceColours
            photoId={writing.photoId}
            bind:faces={() => outcome.faces ?? null, (v) => (v ? (outcome.faces = v) : delete outcome.faces)}
            batchId={writing.batchId}
            entryId={line?.id}
            label={photoOf}
          />
        </div>
        <Gathered {outcome} />
      </div>
    </div>
    <div class="flex flex-wrap items-center gap-2 rim-t bg-white px-4 py-2 sm:px-5.5">
      <button class="button strong" type="submit" disabled={writing.keeping}>{m.keep_entry()}</button>
      {#if unkept}<span class="text-mute">{m.entry_not_kept()}</span>{/if}
      <Trouble {trouble} />
      {#each refusals.filter((r) => !r.field.startsWith("outcome.")) as r (r.code)}<p class="refusal" role="alert">{say(r)}</p>{/each}
      {#if refusals.some((r) => r.field.startsWith("outcome.")) || writing.stumbles}<p class="refusal" role="alert">
          {m.see_the_red()}
        </p>{/if}
      <span class="flex-1"></span>
      {#if line && onremove}
        {@const there = line}
        <button class="button plain" type="button" onclick={() => onremove(there)}
          ><Trash2 size={18} aria-hidden="true" />{m.delete_entry()}</button
        >
      {/if}
    </div>
  </form>
{/if}
