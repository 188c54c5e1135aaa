<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { api, refusalsOf } from "../api/client";
  import type { LogView, Outcome, Refusal } from "../api/types";
  import { m } from "../paraglide/messages";
  import { madeOf } from "../words/figures";
  import Section from "../section/Section.svelte";
  import { fromLocal, toLocal } from "../words/format";
  import { say } from "../words/refusals";
  import Actual from "./Actual.svelte";
  import Scale from "./Scale.svelte";
  import { scales } from "./scales";

  interface Props {
    /** An entry that is there, or the batch a new one is written for. */
    line?: LogView;
    batchId?: string;
    onkept: (line: LogView) => void;
    onremove?: (line: LogView) => void;
  }
  let { line, batchId, onkept, onremove }: Props = $props();

  // Each figure with its name, its unit and, where it is called otherwise in the plan, the way to it.
  const used = [
    ["pieces", m.pieces, ""],
    ["flour", m.flour, "g"],
    ["liquid", m.liquid, "g"],
    ["doughFat", m.dough_fat, "g"],
    ["salt", m.salt, "g"],
    ["ballMass", m.one_ball, "g"],
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
    judged: { soft: null, leaves: null, colour: null, taste: null },
    note: "",
  };
  // The entry is keyed by its id, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const start = line;
  // svelte-ignore state_referenced_locally
  const drawer = `ystrata.log.${start?.id ?? batchId}`;
  const asKept = JSON.stringify({ outcome: start?.outcome ?? nothing, cookedAt: start?.cookedAt ?? new Date().toISOString() });
  const left = remembered();
  let outcome = $state(left.outcome);
  let cookedAt = $state(left.cookedAt);
  const now = $derived(JSON.stringify({ outcome, cookedAt }));
  const unkept = $derived(now !== asKept);
  // What was written but not kept yet outlives a reload.
  $effect(() => {
    if (unkept) localStorage.setItem(drawer, now);
    else localStorage.removeItem(drawer);
  });
  let name = $state(start?.batchName ?? "");
  let planned = $state.raw(start?.planned ?? null);
  let glance = $state.raw(start?.glance ?? null);
  let refusals = $state.raw<Refusal[]>([]);
  let unread = $state<Record<string, boolean>>({});
  let missing = $state(false);
  let keeping = $state(false);

  $effect(() => {
    if (batchId) void fetchPlan(batchId);
  });

  async function fetchPlan(id: string) {
    const { data } = await api.GET("/api/batches/{id}/planned", { params: { path: { id } } });
    missing = !data;
    if (!data) return;
    ({ batchName: name, planned = null, glance = null } = data);
    // What the bench was told while mixing needs no retyping.
    if (planned?.wentIn != null && outcome.used.liquid === null) outcome.used.liquid = Math.round(planned.wentIn);
  }

  function remembered(): { outcome: Outcome; cookedAt: string } {
    try {
      return JSON.parse(localStorage.getItem(drawer) ?? asKept);
    } catch {
      return JSON.parse(asKept);
    }
  }

  const refusalOf = (field: string) => refusals.find((r) => r.field === `outcome.${field}`);

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (keeping || Object.values(unread).some(Boolean)) return;
    keeping = true;
    const body = { batchId: line?.batchId ?? batchId ?? "", cookedAt, outcome: $state.snapshot(outcome) };
    try {
      const { data, error } = line
        ? await api.PUT("/api/log/{id}", { params: { path: { id: line.id } }, body })
        : await api.POST("/api/log", { body });
      refusals = data ? [] : refusalsOf(error);
      if (data) {
        localStorage.removeItem(drawer);
        onkept(data);
      }
    } catch {
      refusals = [{ field: "", code: "unreadable", unit: "" }];
    } finally {
      keeping = false;
    }
  }
</script>

{#if missing}
  <section class="tray p-8 text-mute">{m.batch_gone()}</section>
{:else if name}
  <form class="tray flex min-h-0 min-w-0 flex-col overflow-hidden" onsubmit={keep} aria-label={m.log_entry()} novalidate>
    <div class="min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-3 sm:px-[22px]">
      <div class="flex flex-wrap items-baseline gap-x-3.5">
        <h2 class="text-title leading-tight font-bold tracking-tight">{name}</h2>
        {#if glance}<p class="text-mute">{madeOf(glance.section, glance.leaves)}</p>{/if}
        <span class="flex-1"></span>
        <input
          class="field"
          type="datetime-local"
          aria-label={m.cooked_at()}
          required
          bind:value={() => toLocal(cookedAt), (v) => v && (cookedAt = fromLocal(v))}
        />
      </div>
      {#if glance}
        <div class="mt-1 mb-2"><Section section={glance.section} height={64} small /></div>
      {:else}<p class="refusal">{m.cannot_be_worked()}</p>{/if}
      <div class="grid gap-x-8 gap-y-3 xl:grid-cols-2">
        <fieldset class="min-w-0">
          <legend class="mb-1 font-head text-[15px] font-bold">{m.really_used()}</legend>
          {#each used as [key, label, unit] (key)}
            {@const field = `used.${key}`}
            <Actual
              label={label()}
              {field}
              planned={planned?.[key] ?? null}
              {unit}
              bind:value={outcome.used[key]}
              bind:unread={unread[field]}
              refusal={refusalOf(field)}
            />
          {/each}
        </fieldset>
        <div class="grid min-w-0 content-start gap-3">
          <fieldset class="min-w-0">
            <legend class="mb-1 font-head text-[15px] font-bold">{m.really_timed()}</legend>
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
            <span class="mb-1 block font-head text-[15px] font-bold">{m.note()}</span>
            <textarea class="field block h-[72px] w-full py-2" bind:value={outcome.note} maxlength="4000"></textarea>
          </label>
          {#if refusalOf("note")}<p class="refusal">{say(refusalOf("note")!)}</p>{/if}
        </div>
        <fieldset class="grid min-w-0 gap-x-8 gap-y-2 xl:col-span-2 xl:grid-cols-2">
          <legend class="mb-1 font-head text-[15px] font-bold">{m.judged()}</legend>
          {#each scales as { key, name: scaleName, words } (key)}
            <Scale label={scaleName()} words={words.map((w) => w())} bind:value={outcome.judged[key]} />
          {/each}
        </fieldset>
      </div>
    </div>
    <div class="flex flex-wrap items-center gap-2 border-t-[2.5px] border-rim bg-white px-4 py-2 sm:px-[22px]">
      <button class="button strong" type="submit" disabled={keeping}>{m.keep_entry()}</button>
      {#if unkept}<span class="text-mute">{m.entry_not_kept()}</span>{/if}
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
