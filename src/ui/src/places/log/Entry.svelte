<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { untrack } from "svelte";
  import { type Answer, call, type Trouble as Why } from "../../api/call";
  import { api, meant } from "../../api/client";
  import type { LogView, Outcome, Refusal } from "../../api/types";
  import { newId } from "../../ids";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import DayTime from "../../parts/DayTime.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { storage } from "../../storage.svelte";
  import { keepOver, type Row } from "../../versions/elsewhere.svelte";
  import { madeOf } from "../../words/made";
  import Section from "../../section/Section.svelte";
  import { amount, day } from "../../words/format";
  import { handName } from "../../words/names/fold";
  import { nameOf } from "../../words/record";
  import { say } from "../../words/refusals";
  import Actual from "./Actual.svelte";
  import FaceColours from "./FaceColours.svelte";
  import Faults from "./Faults.svelte";
  import Photo from "./Photo.svelte";
  import Scale from "./Scale.svelte";
  import { scales } from "./scales";

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

  // Each figure with its name, its unit and, where it is called otherwise in the plan, the way to it.
  const used = [
    ["pieces", m.pieces, ""],
    ["flour", m.flour, "g"],
    ["liquid", m.liquid, "g"],
    ["doughFat", m.dough_fat, "g"],
    ["salt", m.salt, "g"],
    ["ballMass", m.one_ball, "g"],
    ["lost", m.pieces_lost, ""],
    ["dough", m.dough_divided, "g"],
    ["raw", m.log_raw, "g"],
    ["roasted", m.log_roasted, "g"],
  ] as const;
  type Planned = NonNullable<LogView["planned"]>;
  const timed = [
    ["pan", m.pan_heat, "°C", (p: Planned) => p.pan],
    ["firstSide", m.turn_first, "s", (p: Planned) => p.sides[0] ?? 0],
    ["secondSide", m.turn_second, "s", (p: Planned) => p.sides[1] ?? 0],
    ["lastSide", m.turn_last, "s", (p: Planned) => p.sides[2] ?? 0],
  ] as const;

  const nothing: Outcome = {
    used: { pieces: null, flour: null, liquid: null, doughFat: null, salt: null, ballMass: null },
    timed: { pan: null, firstSide: null, secondSide: null, lastSide: null },
    judged: { soft: null, leaves: null, colour: null, taste: null, filling: null, wall: null },
    note: "",
    yields: null,
    hands: null,
    faults: null,
    counts: true,
  };
  // The entry is keyed by its id, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const start = line;
  // svelte-ignore state_referenced_locally
  const drawer = `ystrata.log.${start?.id ?? batchId}`;
  /** What of an entry is written. */
  interface Written {
    cookedAt: string;
    outcome: Outcome;
    photoId: string | null;
  }
  /** As it lies in the browser until it is kept: with what it was made from, so that it meets what others wrote meanwhile. */
  interface Left extends Written {
    id: string;
    from: Row<Written> | null;
  }
  const rowOf = (view: LogView): Row<Written> => ({
    version: view.version,
    figures: { cookedAt: new Date(view.cookedAt).toISOString(), outcome: view.outcome, photoId: view.photoId ?? null },
  });
  const asKept: Left = start
    ? { id: start.id, from: rowOf(start), ...structuredClone(rowOf(start).figures) }
    : { id: newId(), from: null, cookedAt: new Date().toISOString(), outcome: structuredClone(nothing), photoId: null };
  const left = remembered();
  const { id } = left;
  let outcome = $state(left.outcome);
  let cookedAt = $state(left.cookedAt);
  let photoId = $state(left.photoId);
  const written = (): Written => ({ cookedAt, outcome: $state.snapshot(outcome), photoId });
  const before = JSON.stringify([asKept.cookedAt, asKept.outcome, asKept.photoId]);
  const now = $derived(JSON.stringify([cookedAt, outcome, photoId]));
  // What was written but not kept yet outlives a reload.
  $effect(() => {
    unkept = now !== before;
    if (unkept) storage.set(drawer, JSON.stringify({ id, from: left.from, ...untrack(written) } satisfies Left));
    else storage.remove(drawer);
  });
  let name = $state(start?.batchName ?? "");
  let planned = $state.raw(start?.planned ?? null);
  let glance = $state.raw(start?.glance ?? null);
  let refusals = $state.raw<Refusal[]>([]);
  let unread = $state<Record<string, boolean>>({});
  let missing = $state(false);
  let keeping = $state(false);
  let trouble = $state.raw<Why | null>(null);

  $effect(() => {
    if (batchId) void fetchPlan(batchId);
  });

  async function fetchPlan(id: string) {
    const { data, trouble: why } = await call(() => api.GET("/api/batches/{id}/planned", { params: { path: { id } } }));
    missing = why?.kind === "missing";
    trouble = why && !missing ? why : null;
    if (!data) return;
    ({ batchName: name, planned = null, glance = null } = data);
    // What bench, scale and stove know needs no retyping; what was written before they did stays.
    const { used: u, timed: t, yields, hands } = data.gathered;
    const fill = <T extends object>(mine: T, theirs: T) => {
      for (const key of Object.keys(theirs) as (keyof T)[]) mine[key] ??= theirs[key];
    };
    fill(outcome.used, u);
    fill(outcome.timed, t);
    outcome.yields ??= yields ?? null;
    outcome.hands ??= hands ?? null;
  }

  function remembered(): Left {
    try {
      const { outcome: o, ...rest } = JSON.parse(storage.get(drawer) ?? "") as Left;
      const whole = { ...nothing, ...o, used: { ...nothing.used, ...o.used }, judged: { ...nothing.judged, ...o.judged } };
      return { ...asKept, ...rest, outcome: whole };
    } catch {
      return structuredClone(asKept);
    }
  }

  // What may be left out is left out, not nothing.
  function setUsed(key: (typeof used)[number][0], value: number | null) {
    const spared = key === "dough" || key === "raw" || key === "roasted";
    if (spared && value === null) delete outcome.used[key];
    else if (spared) outcome.used[key] = value as number;
    else outcome.used[key] = value;
  }
  const stuffed = $derived(glance?.section.filling != null || outcome.judged.filling != null || outcome.judged.wall != null);
  const judgedBy = $derived(
    scales.filter(({ key }) => (stuffed ? key !== "leaves" || outcome.judged.leaves != null : key !== "filling" && key !== "wall")),
  );
  const refusalOf = (field: string) => refusals.find((r) => r.field === `outcome.${field}`);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (keeping || Object.values(unread).some(Boolean)) return;
    keeping = true;
    const { data, trouble: why } = await (left.from ? put(id, left.from, written()) : add(id, written()));
    keeping = false;
    refusals = why?.kind === "refused" ? why.refusals : [];
    trouble = why && why.kind !== "refused" ? why : null;
    if (!data) return;
    storage.remove(drawer);
    onkept(data);
  }

  const batchOf = () => line?.batchId ?? batchId ?? "";
  const put = (id: string, from: Row<Written>, to: Written): Promise<Answer<LogView>> =>
    keepOver<Written, LogView>({
      from,
      to,
      send: (version, w) => {
        const body = { batchId: batchOf(), ...w };
        return call(() => api.PUT("/api/log/{id}", { params: { path: { id }, header: meant(version) }, body }));
      },
      rowOf,
      name,
      second: (w) => add(newId(), w),
    });
  async function add(id: string, w: Written): Promise<Answer<LogView>> {
    const body = { batchId: batchOf(), ...w, id };
    const answer = await call(() => api.POST("/api/log", { body }));
    // It was kept by a request whose answer was lost: from there on it is changed.
    return answer.trouble?.kind === "stale" && answer.trouble.now ? put(id, rowOf(answer.trouble.now as LogView), w) : answer;
  }
</script>

{#if missing}
  <section class="tray p-8 text-mute">{m.batch_gone()}</section>
{:else if trouble && !name}
  <section class="tray p-4"><Trouble {trouble} again={() => batchId && fetchPlan(batchId)} /></section>
{:else if name}
  <form class="tray flex min-h-0 min-w-0 flex-col overflow-hidden" onsubmit={keep} aria-label={m.log_entry()} novalidate>
    <div class="min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-3 sm:px-5.5">
      <div class="flex flex-wrap items-baseline gap-x-3.5">
        <h2 class="text-title leading-tight font-bold tracking-tight">{name}</h2>
        {#if glance}<p class="text-mute">{madeOf(glance.section, glance.leaves)}</p>{/if}
        <span class="flex-1"></span>
        <DayTime bare label={m.cooked_at()} value={cookedAt} onchange={(at) => (cookedAt = at)} />
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
            batchId={line?.batchId ?? batchId ?? ""}
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
              bind:value={() => outcome.used[key] ?? null, (v) => setUsed(key, v)}
              bind:unread={unread[field]}
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
                bind:unread={unread[field]}
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
            <Photo bind:id={photoId} label={m.photo_of({ name, day: day(cookedAt) })} />
            <Check label={m.counts()} bind:checked={outcome.counts} />
          </div>
        </div>
        <div class="xl:col-span-2">
          <FaceColours
            {photoId}
            bind:faces={() => outcome.faces ?? null, (v) => (v ? (outcome.faces = v) : delete outcome.faces)}
            batchId={line?.batchId ?? batchId ?? ""}
            entryId={line?.id}
            label={m.photo_of({ name, day: day(cookedAt) })}
          />
        </div>
        {#if outcome.yields?.length || outcome.hands?.length}
          <div class="grid gap-x-8 gap-y-2 xl:col-span-2 xl:grid-cols-2">
            {#if outcome.yields?.length}
              <section aria-label={m.yields_head()}>
                <h3 class="font-head text-body font-bold">{m.yields_head()}</h3>
                {#each outcome.yields as step (step.step)}
                  <p class="flex justify-between border-b border-line py-1">
                    <span>{nameOf(step.id)}</span><span
                      ><span class="text-mute">{amount(step.planned, "%")}</span>&ensp;<b>{amount(step.left, "%")}</b></span
                    >
                  </p>
                {/each}
              </section>
            {/if}
            {#if outcome.hands?.length}
              <section aria-label={m.hands_head()}>
                <h3 class="font-head text-body font-bold">{m.hands_head()}</h3>
                {#each outcome.hands as work (work.work)}
                  <p class="flex justify-between border-b border-line py-1">
                    <span>{handName[work.work]()}</span><span
                      ><span class="text-mute">{m.hands_times({ times: work.times })}</span>&ensp;<b>{amount(work.each, "s")}</b></span
                    >
                  </p>
                {/each}
              </section>
            {/if}
          </div>
        {/if}
      </div>
    </div>
    <div class="flex flex-wrap items-center gap-2 rim-t bg-white px-4 py-2 sm:px-5.5">
      <button class="button strong" type="submit" disabled={keeping}>{m.keep_entry()}</button>
      {#if unkept}<span class="text-mute">{m.entry_not_kept()}</span>{/if}
      <Trouble {trouble} />
      {#each refusals.filter((r) => !r.field.startsWith("outcome.")) as r (r.code)}<p class="refusal" role="alert">{say(r)}</p>{/each}
      {#if refusals.some((r) => r.field.startsWith("outcome.")) || Object.values(unread).some(Boolean)}<p class="refusal" role="alert">
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
