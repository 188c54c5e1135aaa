<script lang="ts">
  import type { CalendarDate } from "@internationalized/date";
  import { DatePicker } from "bits-ui";
  import CalendarDays from "@lucide/svelte/icons/calendar-days";
  import ChevronLeft from "@lucide/svelte/icons/chevron-left";
  import ChevronRight from "@lucide/svelte/icons/chevron-right";
  import { m } from "../paraglide/messages";
  import { locale } from "../words/locale";
  import { partName } from "../words/names/moments";

  /** A day, typed in the order of the locale or picked from a calendar whose week begins as it does there. */
  interface Props {
    label: string;
    value: CalendarDate;
    onchange: (day: CalendarDate) => void;
  }
  let { label, value, onchange }: Props = $props();
  const id = $props.id();
</script>

<div class="min-w-0">
  <DatePicker.Root
    {locale}
    bind:value={
      () => value,
      (day) => {
        // While a part of it is being typed there is no day.
        if (day && day.compare(value) !== 0) onchange(day as CalendarDate);
      }
    }
    weekdayFormat="short"
    fixedWeeks
  >
    <DatePicker.Label id="{id}-label" class="sr-only">{label}</DatePicker.Label>
    <span class="field flex w-fit items-center pe-0">
      <DatePicker.Input class="flex items-center">
        {#snippet children({ segments })}
          {#each segments as { part, value }, i (part + i)}
            {#if part === "literal"}<span class="text-mute" aria-hidden="true">{value}</span>
            {:else}<DatePicker.Segment {part}
                >{#snippet child({ props })}<!-- The library says its parts in English. --><span
                    {...props}
                    aria-label={partName[part]?.()}
                    aria-describedby={undefined}
                    class="rounded px-0.5 py-1 focus:bg-rim focus:text-white focus:outline-none">{value}</span
                  >{/snippet}</DatePicker.Segment
              >{/if}
          {/each}
        {/snippet}
      </DatePicker.Input>
      <DatePicker.Trigger class="grid size-target place-items-center rounded-inner text-rim" aria-label={m.open_calendar({ label })}>
        <CalendarDays size={18} aria-hidden="true" />
      </DatePicker.Trigger>
    </span>
    <DatePicker.Portal>
      <DatePicker.Content class="sheet max-h-(--bits-popover-content-available-height) overflow-y-auto p-3" sideOffset={4}>
        <DatePicker.Calendar>
          {#snippet children({ months, weekdays })}
            <DatePicker.Header class="flex items-center justify-between">
              <DatePicker.PrevButton
                class="grid size-target place-items-center rounded-inner text-rim hover:bg-steel"
                aria-label={m.month_before()}
              >
                <ChevronLeft size={20} class="rtl:-scale-x-100" aria-hidden="true" />
              </DatePicker.PrevButton>
              <DatePicker.Heading class="font-head font-bold" />
              <DatePicker.NextButton
                class="grid size-target place-items-center rounded-inner text-rim hover:bg-steel"
                aria-label={m.month_after()}
              >
                <ChevronRight size={20} class="rtl:-scale-x-100" aria-hidden="true" />
              </DatePicker.NextButton>
            </DatePicker.Header>
            {#each months as month (month.value)}
              <DatePicker.Grid>
                <DatePicker.GridHead>
                  <DatePicker.GridRow class="flex">
                    {#each weekdays as day (day)}<DatePicker.HeadCell
                        class="grid size-target place-items-center text-fine font-semibold text-mute">{day}</DatePicker.HeadCell
                      >{/each}
                  </DatePicker.GridRow>
                </DatePicker.GridHead>
                <DatePicker.GridBody>
                  {#each month.weeks as week, i (i)}
                    <DatePicker.GridRow class="flex">
                      {#each week as date (date.toString())}
                        <DatePicker.Cell {date} month={month.value}>
                          <DatePicker.Day
                            class="grid size-target cursor-pointer place-items-center rounded-inner hover:bg-steel data-outside-month:text-mute data-selected:bg-rim data-selected:font-bold data-selected:text-white data-today:border-2 data-today:border-rim"
                          />
                        </DatePicker.Cell>
                      {/each}
                    </DatePicker.GridRow>
                  {/each}
                </DatePicker.GridBody>
              </DatePicker.Grid>
            {/each}
          {/snippet}
        </DatePicker.Calendar>
      </DatePicker.Content>
    </DatePicker.Portal>
  </DatePicker.Root>
</div>
