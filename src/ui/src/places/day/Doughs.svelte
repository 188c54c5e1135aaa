<script lang="ts">
  import type { DayView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, beside, clock, later } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import Mark from "./Mark.svelte";

  /** The doughs in the order they are mixed, each with what goes into its bowl. */
  let { view }: { view: DayView } = $props();
  const id = $props.id();
  const hour = (seconds: number) => clock(later(view.from, seconds));
</script>

<section class="tray min-w-0 px-4 py-3 print:border-0 print:p-0" aria-labelledby="{id}-doughs" data-testid="doughs">
  <h2 id="{id}-doughs" class="text-lead font-bold">{m.day_doughs()}</h2>
  <ol class="print:grid print:grid-cols-2 print:gap-x-6">
    {#each view.sheet.doughs as dough (dough.bread)}
      {@const bread = view.sheet.breads[dough.bread]!}
      <li class="break-inside-avoid border-b border-line py-1.5 last:border-0">
        <p class="flex items-baseline gap-2 leading-tight">
          <b class="font-head text-lead">{hour(dough.at)}</b>
          <Mark of={dough.bread} />
          <span class="min-w-0 flex-1 font-semibold">{bread.name}</span>
          <b class="font-head whitespace-nowrap">{amount(dough.mass, "g")}</b>
        </p>
        <p class="flex flex-wrap gap-x-3 text-small leading-snug text-mute">
          {#each dough.lines as line (line.id)}<span
              >{shortName(line.id)} <b class="whitespace-nowrap text-ink">{amount(line.mass, "g")}</b></span
            >{/each}
        </p>
        <p class="text-small text-mute">
          {beside(
            m.day_divided({ time: hour(dough.divided), count: dough.count, mass: amount(dough.ball, "g") }),
            m.day_ready({ time: hour(bread.ready) }),
          )}
        </p>
      </li>
    {/each}
  </ol>
</section>
