<script lang="ts">
  import { CalendarDate, getLocalTimeZone, parseAbsolute, Time, toCalendarDate, toCalendarDateTime, toTime } from "@internationalized/date";
  import Day from "./Day.svelte";
  import Hour from "./Hour.svelte";

  /** A moment, as a day and an hour of this machine's zone, or a day alone. What is typed counts once the field is left, or Enter is pressed. */
  interface Props {
    label: string;
    /** ISO 8601. */
    value: string;
    /** The label is for those who cannot see what stands beside it. */
    bare?: boolean;
    /** The day alone. */
    dayOnly?: boolean;
    /** As big as at the stove. */
    big?: boolean;
    onchange: (iso: string) => void;
  }
  let { label, value, bare = false, dayOnly = false, big = false, onchange }: Props = $props();
  let field = $state<HTMLElement>();
  let typed = $state.raw<string | null>(null);
  const at = $derived(toCalendarDateTime(parseAbsolute(typed ?? value, getLocalTimeZone())));

  function set(day: CalendarDate, hour: Time) {
    typed = toCalendarDateTime(day, hour).toDate(getLocalTimeZone()).toISOString();
    // Picked from the calendar it counts at once.
    if (!field?.contains(document.activeElement)) take();
  }

  function take() {
    if (typed !== null && typed !== value) onchange(typed);
    typed = null;
  }
</script>

<!-- The keys are for the parts inside. -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<fieldset
  class="min-w-0"
  bind:this={field}
  onfocusout={({ relatedTarget }) => !field?.contains(relatedTarget as Node | null) && take()}
  onkeydown={(e) => e.key === "Enter" && take()}
>
  <legend class={bare ? "sr-only" : "mb-1 leading-tight"}>{label}</legend>
  <span class="flex flex-wrap gap-1.5 {big ? '[&_.field]:min-h-knuckle [&_.field]:text-figure [&_.field]:text-ink' : ''}">
    <Day {label} value={toCalendarDate(at)} onchange={(day) => set(day, toTime(at))} />
    {#if !dayOnly}<Hour {label} value={toTime(at)} onchange={(hour) => set(toCalendarDate(at), hour)} />{/if}
  </span>
</fieldset>
