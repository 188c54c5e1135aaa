<script lang="ts">
  import Printer from "@lucide/svelte/icons/printer";
  import { call, newest, type Trouble as Why } from "../api/call";
  import { api } from "../api/client";
  import { larder } from "../api/larder.svelte";
  import type { PacketSheet, PacketState, Refusal } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import DayTime from "../parts/DayTime.svelte";
  import FigureField from "../parts/FigureField.svelte";
  import Segments from "../parts/Segments.svelte";
  import { bakedOf } from "../section/cuts";
  import Section from "../section/Section.svelte";
  import Trouble from "../parts/Trouble.svelte";
  import { packetName } from "../words/files";
  import { pours } from "../words/figures";
  import { amount, dateOf, fromDay, number, toDay, listed } from "../words/format";
  import Allergens from "../parts/Allergens.svelte";
  import { shortWithin } from "../words/names/items";
  import { say } from "../words/refusals";

  /** Labels for the packets of the batch on the bench, as many as it fills. */
  const here = batch.recover();
  let wanted = $state<PacketState>("rawFrozen");
  let each = $state<number | null>(4);
  let made = $state(toDay(new Date()));
  let sheet = $state.raw<PacketSheet | null>(null);
  let refusals = $state.raw<Refusal[]>([]);
  let trouble = $state.raw<Why | null>(null);
  const only = newest();

  const poured = $derived(batch.sheet ? pours(batch.sheet) : false);
  const states = $derived(
    (Object.keys(packetName) as PacketState[])
      .filter((s) => !poured || s.startsWith("cooked"))
      .map((value) => ({ value, label: packetName[value]() })),
  );
  const shown = $derived(states.some((s) => s.value === wanted) ? wanted : "cookedFrozen");
  const labels = $derived(sheet ? sheet.lots.flatMap((lot) => Array.from({ length: lot.count }, () => lot)) : []);
  const raw = $derived(shown.startsWith("raw"));

  $effect(() => void ask());
  async function ask() {
    const spec = batch.spec;
    if (!spec || each === null || !made) return;
    const body = { spec: $state.snapshot(spec), packet: { state: shown, each, made } };
    const answer = await only(call(() => api.POST("/api/packets", { body })));
    if (!answer) return;
    sheet = answer.data ?? sheet;
    refusals = answer.trouble?.kind === "refused" ? answer.trouble.refusals : [];
    trouble = answer.trouble?.kind === "refused" ? null : answer.trouble;
  }

  function how(packet: PacketSheet): string {
    const heat = amount(packet.heat, "°C");
    if (packet.state.startsWith("cooked")) {
      const core = amount(packet.core!, "°C");
      const from = packet.state === "cookedFrozen" ? m.label_straight() : m.label_straight_fridge();
      return `${from} ${packet.reheat == null ? m.label_warm_tried({ heat, core }) : m.label_warm({ heat, time: amount(packet.reheat, "s"), core })}`;
    }
    const times = packet.turns.map((t) => number(t, 0)).join(" + ");
    const pan = packet.turns.length ? m.label_pan({ heat, times }) : m.label_pan_tried({ heat });
    if (packet.warms != null) return `${m.label_stand({ time: amount(packet.warms, "min") })} ${pan}`;
    return `${packet.state === "rawFrozen" ? m.label_straight() : m.label_straight_fridge()} ${pan}`;
  }
</script>

{#if batch.spec && batch.sheet}
  <div class="mx-auto max-w-240 p-3 sm:p-5 print:max-w-none print:p-0">
    <Trouble {trouble} again={ask} />
    <div class="print:hidden">
      <div class="mb-3 flex flex-wrap items-center gap-2">
        <h1 class="me-auto text-title leading-none font-bold tracking-tight">{m.labels_title({ name: batch.name })}</h1>
        <a class="button" href="#/card">{m.batch_card()}</a>
        <button class="button strong" onclick={() => print()} disabled={!labels.length}
          ><Printer size={18} aria-hidden="true" />{m.labels_print({ count: labels.length })}</button
        >
      </div>
      <div class="tray mb-3 grid gap-x-5 gap-y-2 p-4 sm:grid-cols-[minmax(0,1fr)_150px_170px]">
        <Segments label={m.labels_how()} value={shown} options={states} onchange={(v) => (wanted = v)} />
        <FigureField
          label={m.labels_each()}
          limit={larder.limit("packet.each")}
          unit=""
          bind:value={each}
          refusal={refusals.find((r) => r.field === "packet.each")}
        />
        <DayTime dayOnly label={m.labels_made()} value={fromDay(made)} onchange={(iso) => (made = toDay(new Date(iso)))} />
        <p class="text-small text-mute sm:col-span-3">{m.labels_caution()}</p>
      </div>
      {#each refusals.filter((r) => r.field !== "packet.each") as r (r.field)}<p class="refusal">{say(r)}</p>{/each}
    </div>
    {#if sheet}
      <ul class="labels grid grid-cols-[minmax(0,1fr)] gap-2 sm:grid-cols-2 print:grid-cols-2 print:gap-0" data-testid="labels">
        {#each labels as lot, i (i)}
          <li
            class="flex flex-col rounded-xl border-2 border-rim bg-white p-3 text-fine leading-snug print:rounded-none print:border print:border-dashed"
          >
            <span class="flex items-baseline gap-2 border-b-2 border-rim pb-0.5"
              ><b class="min-w-0 flex-1 font-head text-big leading-tight">{batch.name}</b><span class="text-mute"
                >{m.of({ part: i + 1, whole: labels.length })}</span
              ></span
            >
            {#if batch.sheet}
              <div class="mt-1"><Section section={batch.sheet.section} baked={raw ? null : bakedOf(batch.sheet)} height={44} small /></div>
            {/if}
            <span class="mt-1 flex flex-wrap justify-between gap-x-3 font-head text-lead font-bold"
              ><span>{m.pieces_count({ count: lot.pieces })}</span><span>{amount(lot.mass, "g")}</span></span
            >
            <span class="flex flex-wrap justify-between gap-x-3"
              ><span>{m.label_made({ day: dateOf(made) })}</span><b>{m.label_use_by({ day: dateOf(sheet.useBy) })}</b></span
            >
            <span class="mt-1">{packetName[shown]()}. {how(sheet)}</span>
            {#if raw}<span>{sheet.core == null ? m.label_cook_through() : m.label_core({ core: amount(sheet.core, "°C") })}</span>{/if}
            <div class="mt-1"><Allergens allergens={sheet.allergens} undeclared={sheet.undeclared} /></div>
            <span class="text-mute"
              >{m.label_in_it({
                items: listed(sheet.ingredients.map(shortWithin)),
              })}</span
            >
          </li>
        {/each}
      </ul>
    {/if}
  </div>
{:else if here && batch.trouble}
  <div class="p-5"><Trouble trouble={batch.trouble} again={() => batch.again()} /></div>
{:else}
  <section class="mx-auto max-w-xl p-8 text-center">
    <h1 class="text-title font-bold">{here ? m.working_it_out() : m.no_batch()}</h1>
    <a class="button strong mt-3" href="#/">{m.to_the_shelf()}</a>
  </section>
{/if}

<style>
  /* Eight on a sheet of A4, to be cut along the lines; one with more to declare is as high as that takes. */
  @media print {
    .labels > li {
      min-height: 68mm;
      break-inside: avoid;
    }
  }
</style>
