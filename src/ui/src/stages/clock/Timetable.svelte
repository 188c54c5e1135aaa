<script lang="ts">
  import CalendarClock from "@lucide/svelte/icons/calendar-clock";
  import Flame from "@lucide/svelte/icons/flame";
  import Printer from "@lucide/svelte/icons/printer";
  import { push } from "svelte-spa-router";
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import type { ClockBy, ClockSpec, PieceLife } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { fetchFile } from "../../files/files";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import DayTime from "../../parts/DayTime.svelte";
  import Figure from "../../parts/Figure.svelte";
  import { newId } from "../../ids";
  import { toaster, told } from "../../toast.svelte";
  import { breachTone, breachWords, hourOf, lifeWords, span } from "../../words/clock";
  import { beside, day, number } from "../../words/format";
  import type { StageProps } from "../props";
  import { clockOf } from "./spec";
  import Lanes from "./Lanes.svelte";
  import WhatIfs from "./WhatIfs.svelte";

  let { spec, sheet }: StageProps = $props();
  const view = $derived(batch.clock);
  const clock = $derived(clockOf(spec));
  const report = $derived(view?.sheet.report);
  let close = $state(false);
  let picked = $state.raw<PieceLife | null>(null);
  // After another plan the same piece is followed on.
  const followed = $derived(
    picked ? (view?.sheet.pieces.find((p) => p.bread === picked!.bread && p.number === picked!.number) ?? null) : null,
  );
  const by: { value: ClockBy; label: string }[] = [
    { value: "table", label: m.by_table() },
    { value: "start", label: m.by_start() },
    { value: "soonest", label: m.by_soonest() },
  ];
  const put = (change: Partial<ClockSpec>) => (spec.clock = { ...clock, ...change });

  function move(minutes: number) {
    batch.change(() => (batch.madeFor = new Date(Date.parse(batch.madeFor) + minutes * 60_000).toISOString()));
  }

  async function kept(): Promise<string | null> {
    if (await batch.keep()) return batch.id;
    toaster.say(m.not_kept_no_stove());
    return null;
  }
  async function toTheStove() {
    const batchId = await kept();
    if (!batchId) return;
    const body = { batchId, id: newId() };
    const { data } = await told(
      m.begin_a_batch(),
      call(() => api.POST("/api/services", { body })),
    );
    if (data) await push(`/stove/${data.id}`);
  }
  async function calendar(alarms: boolean) {
    const id = await kept();
    if (id) fetchFile(`/api/batches/${id}/timetable.ics?alarms=${alarms}`);
  }
</script>

<div class="grid gap-1.5">
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
    <div class="w-full sm:w-82.5"><Choice label={m.clock_by()} value={clock.by} options={by} onchange={(v) => put({ by: v })} /></div>
    {#if clock.by !== "soonest"}
      <DayTime
        label={clock.by === "table" ? m.table_time() : m.start_time()}
        value={batch.madeFor}
        onchange={(at) => batch.change(() => (batch.madeFor = at))}
      />
    {/if}
    {#if view && report}
      <dl class="flex flex-wrap gap-x-5" data-testid="clock-figures">
        <Figure
          label={m.begin_at()}
          value={`${hourOf(view, 0)}${day(view.zero) === day(view.table) ? "" : `, ${day(view.zero)}`}`}
          tone={report.breaches.some((b) => b.code === "late") ? "bad" : ""}
        />
        <Figure label={m.oldest_piece()} value={span(report.oldest)} />
        <Figure label={m.pieces_an_hour()} value={number(report.perHour, 0)} />
      </dl>
    {/if}
  </div>

  {#if view && report}
    {#if report.breaches.length > 0}
      <ul class="grid gap-1" data-testid="breaches">
        {#each report.breaches as b, i (i)}
          <li class="{breachTone(b)} text-small leading-tight font-semibold" data-breach={b.code}>
            {breachWords(b)}{view.names.length > 1 && b.bread != null ? ` (${view.names[b.bread]})` : ""}
          </li>
        {/each}
      </ul>
    {/if}
    <div class="relative overflow-x-auto">
      <div class="min-w-140">
        <Lanes {view} {close} picked={followed} onpick={(p) => (picked = p)} ontable={clock.by === "table" ? move : undefined} />
      </div>
    </div>
    <p class="text-small" class:hidden={!followed} data-testid="life" aria-live="polite">
      {#if followed}<b>{beside(m.piece_number({ number: followed.number }), view.names.length > 1 && view.names[followed.bread])}</b> ·
        {lifeWords(view, followed)}{/if}
    </p>
    <div class="flex flex-wrap items-center justify-between gap-x-3">
      <p class="min-w-0 flex-1 text-fine leading-tight text-mute">
        {#if !followed}
          {m.follow_how()}
          {#if view.sheet.pans.some((p) => p.wiped)}{m.key_wiped()}{/if}
          {#if view.names[1]}{m.key_second({ bread: view.names[1] })}{/if}
        {/if}
      </p>
      <span class="flex flex-wrap">
        <button class="button plain px-2.5" onclick={() => (close = !close)}>{close ? m.show_whole() : m.show_roasting()}</button>
        <button class="button plain px-2.5" onclick={() => void calendar(true)}
          ><CalendarClock size={17} aria-hidden="true" />{m.alarms_file()}</button
        >
        <button class="button plain px-2.5" onclick={() => void calendar(false)}
          ><CalendarClock size={17} aria-hidden="true" />{m.service_file()}</button
        >
        <a class="button plain px-2.5" href="#/timetable"><Printer size={17} aria-hidden="true" />{m.print_timetable()}</a>
        <button class="button strong ms-1" onclick={() => void toTheStove()}
          ><Flame size={18} aria-hidden="true" />{m.to_the_stove()}</button
        >
      </span>
    </div>
    <WhatIfs {spec} {sheet} {view} />
  {:else}
    {#if !batch.clockTrouble}<p class="p-6 text-mute">{m.working_it_out()}</p>{/if}
  {/if}
</div>
