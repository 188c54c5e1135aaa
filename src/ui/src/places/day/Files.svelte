<script lang="ts">
  import CalendarPlus from "@lucide/svelte/icons/calendar-plus";
  import Download from "@lucide/svelte/icons/download";
  import Printer from "@lucide/svelte/icons/printer";
  import { m } from "../../paraglide/messages";
  import type { DayOf } from "./day.svelte";

  /** The day on paper and as files. */
  let { here }: { here: DayOf } = $props();
</script>

<div class="flex flex-wrap gap-2 print:hidden">
  <button class="button strong" onclick={() => print()}><Printer size={18} aria-hidden="true" />{m.print()}</button>
  <a class="button" href={here.file("goods.csv")} download><Download size={18} aria-hidden="true" />{m.day_csv()}</a>
  <a class="button" href={here.file("day.ics", "&alarms=true")} download><CalendarPlus size={18} aria-hidden="true" />{m.day_alarms()}</a>
  <a class="button" href={here.file("day.ics")} download><CalendarPlus size={18} aria-hidden="true" />{m.day_calendar()}</a>
</div>
