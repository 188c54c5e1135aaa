<script lang="ts">
  import ChevronLeft from "@lucide/svelte/icons/chevron-left";
  import ChevronRight from "@lucide/svelte/icons/chevron-right";
  import { push } from "svelte-spa-router";
  import { m } from "../paraglide/messages";
  import DayTime from "../parts/DayTime.svelte";
  import { dayLong, daysOn, fromDay, toDay } from "../words/format";
  import Of from "./day/Of.svelte";

  /** Everything that is made on one day, on one page. */
  let { params }: { params: { day?: string } | null } = $props();
  // What is no day of the calendar is today.
  const named = $derived(new Date(`${params?.day ?? ""}T12:00`));
  const day = $derived(toDay(Number.isNaN(named.getTime()) ? new Date() : named));
  function go(days: number) {
    void push(`/day/${daysOn(day, days)}`);
  }
</script>

<div class="p-3 sm:p-5 lg:h-full lg:overflow-y-auto print:p-0" data-testid="day">
  <div class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
    <h1 class="me-auto text-title leading-none font-bold tracking-tight">{dayLong(fromDay(day))}</h1>
    <div class="flex items-center gap-1 print:hidden">
      <button class="button plain px-2.5" aria-label={m.day_before()} onclick={() => go(-1)}
        ><ChevronLeft size={20} class="rtl:-scale-x-100" aria-hidden="true" /></button
      >
      {#key day}<DayTime
          bare
          dayOnly
          label={m.day_which()}
          value={fromDay(day)}
          onchange={(iso) => void push(`/day/${toDay(new Date(iso))}`)}
        />{/key}
      <button class="button plain px-2.5" aria-label={m.day_after()} onclick={() => go(1)}
        ><ChevronRight size={20} class="rtl:-scale-x-100" aria-hidden="true" /></button
      >
    </div>
  </div>
  {#key day}
    <Of {day} />
  {/key}
</div>
