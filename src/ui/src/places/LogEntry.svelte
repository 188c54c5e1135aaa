<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { api, refusalsOf } from "../api/client";
  import type { LogView, Outcome, Refusal } from "../api/types";
  import { m } from "../paraglide/messages";
  import Section from "../section/Section.svelte";
  import { fromLocal, leaves, toLocal } from "../words/format";
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

  const nothing: Outcome = {
    used: { pieces: null, flour: null, liquid: null, doughFat: null, salt: null, ballMass: null },
    timed: { pan: null, firstSide: null, secondSide: null, lastSide: null },
    judged: { soft: null, leaves: null, colour: null, taste: null },
    note: "",
  };
  // The entry is keyed by its id, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const start = line;
  let outcome = $state<Outcome>(structuredClone(start?.outcome ?? nothing));
  let cookedAt = $state(start?.cookedAt ?? new Date().toISOString());
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
    if (data) ({ batchName: name, planned, glance } = data);
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
      if (data) onkept(data);
    } catch {
      refusals = [{ field: "", code: "unreadable", unit: "" }];
    } finally {
      keeping = false;
    }
  }
</script>

{#if missing}
  <section class="tray p-8 text-mute">{m.batch_gone()}</section>
{:else if planned && glance}
  <form class="tray flex min-h-0 min-w-0 flex-col overflow-hidden" onsubmit={keep} aria-label={m.log_entry()} novalidate>
    <div class="min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-3 sm:px-[22px]">
      <div class="flex flex-wrap items-baseline gap-x-3.5">
        <h2 class="text-title leading-tight font-bold tracking-tight">{name}</h2>
        <p class="text-mute">{leaves(glance.leaves)}</p>
        <span class="flex-1"></span>
        <input
          class="field"
          type="datetime-local"
          aria-label={m.cooked_at()}
          required
          bind:value={() => toLocal(cookedAt), (v) => v && (cookedAt = fromLocal(v))}
        />
      </div>
      <div class="mt-1 mb-2"><Section section={glance.section} height={64} small /></div>
      <div class="grid gap-x-8 gap-y-3 xl:grid-cols-2">
        <fieldset class="min-w-0">
          <legend class="mb-1 font-head text-[15px] font-bold">{m.really_used()}</legend>
          <Actual
            label={m.pieces()}
            field="used.pieces"
            planned={planned.pieces}
            unit=""
            bind:value={outcome.used.pieces}
            bind:unread={unread["pieces"]}
            refusal={refusalOf("used.pieces")}
          />
          <Actual
            label={m.flour()}
            field="used.flour"
            planned={planned.flour}
            unit="g"
            bind:value={outcome.used.flour}
            bind:unread={unread["flour"]}
            refusal={refusalOf("used.flour")}
          />
          <Actual
            label={m.liquid()}
            field="used.liquid"
            planned={planned.liquid}
            unit="g"
            bind:value={outcome.used.liquid}
            bind:unread={unread["liquid"]}
            refusal={refusalOf("used.liquid")}
          />
          <Actual
            label={m.dough_fat()}
            field="used.doughFat"
            planned={planned.doughFat}
            unit="g"
            bind:value={outcome.used.doughFat}
            bind:unread={unread["doughFat"]}
            refusal={refusalOf("used.doughFat")}
          />
          <Actual
            label={m.salt()}
            field="used.salt"
            planned={planned.salt}
            unit="g"
            bind:value={outcome.used.salt}
            bind:unread={unread["salt"]}
            refusal={refusalOf("used.salt")}
          />
          <Actual
            label={m.one_ball()}
            field="used.ballMass"
            planned={planned.ballMass}
            unit="g"
            bind:value={outcome.used.ballMass}
            bind:unread={unread["ball"]}
            refusal={refusalOf("used.ballMass")}
          />
        </fieldset>
        <div class="grid min-w-0 content-start gap-3">
          <fieldset class="min-w-0">
            <legend class="mb-1 font-head text-[15px] font-bold">{m.really_timed()}</legend>
            <Actual
              label={m.pan_heat()}
              field="timed.pan"
              planned={planned.pan}
              unit="°C"
              bind:value={outcome.timed.pan}
              bind:unread={unread["pan"]}
              refusal={refusalOf("timed.pan")}
            />
            <Actual
              label={m.turn_first()}
              field="timed.firstSide"
              planned={planned.sides[0] ?? 0}
              unit="s"
              bind:value={outcome.timed.firstSide}
              bind:unread={unread["first"]}
              refusal={refusalOf("timed.firstSide")}
            />
            <Actual
              label={m.turn_second()}
              field="timed.secondSide"
              planned={planned.sides[1] ?? 0}
              unit="s"
              bind:value={outcome.timed.secondSide}
              bind:unread={unread["second"]}
              refusal={refusalOf("timed.secondSide")}
            />
            <Actual
              label={m.turn_last()}
              field="timed.lastSide"
              planned={planned.sides[2] ?? 0}
              unit="s"
              bind:value={outcome.timed.lastSide}
              bind:unread={unread["last"]}
              refusal={refusalOf("timed.lastSide")}
            />
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
