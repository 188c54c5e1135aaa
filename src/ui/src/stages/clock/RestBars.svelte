<script lang="ts">
  import { m } from "../../paraglide/messages";
  import { clockRestName, span } from "../../words/clock";
  import type { Lanes } from "./lanes.svelte";

  /** The rests and what they may be, below the lanes. */
  let { lanes }: { lanes: Lanes } = $props();
  const NOT_TOLD_APART_S = 90;
  const A_LETTER = 6.6;
  type Rest = Lanes["sheet"]["rests"][number];
  const words = (rest: Rest) =>
    m.rest_bar({
      rest: clockRestName[rest.rest](),
      is:
        rest.longest - rest.shortest > NOT_TOLD_APART_S
          ? m.from_to({ least: span(rest.shortest), most: span(rest.longest) })
          : span(rest.shortest),
      least: span(rest.bounds.least * 60),
      best: span(rest.bounds.best * 60),
      longest: span(rest.bounds.longest * 60),
    });
</script>

{#each lanes.sheet.rests as rest, i (i)}
  {@const y = lanes.restAt(i)}
  {@const x = lanes.x(rest.from)}
  {@const said = words(rest)}
  {#if rest.to > lanes.from}
    <rect {x} {y} width={Math.max(lanes.x(rest.to) - x, 2)} height="14" rx="7" fill="var(--color-work-rest)" />
    <!-- Words that would go over the edge begin before their bar. -->
    <text x={Math.max(Math.min(x + 8, lanes.width - 8 - said.length * A_LETTER), 0)} y={y + 11.5} class="fill-ink text-fine">{said}</text>
  {/if}
{/each}
