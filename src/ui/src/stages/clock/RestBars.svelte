<script lang="ts">
  import { m } from "../../paraglide/messages";
  import { clockRestName, span } from "../../words/clock";
  import type { Lanes } from "./lanes.svelte";

  /** The rests and what they may be, below the lanes. */
  let { lanes }: { lanes: Lanes } = $props();
  const NOT_TOLD_APART_S = 90;
  const A_LETTER = 6.6;
  type Rest = Lanes["sheet"]["rests"][number];
  const is = (rest: Rest) =>
    rest.longest - rest.shortest > NOT_TOLD_APART_S
      ? m.from_to({ least: span(rest.shortest), most: span(rest.longest) })
      : span(rest.shortest);
  const words = (rest: Rest) =>
    m.rest_bar({
      rest: clockRestName[rest.rest](),
      is: is(rest),
      least: span(rest.bounds.least * 60),
      best: span(rest.bounds.best * 60),
      longest: span(rest.bounds.longest * 60),
    });
  const few = (rest: Rest) => m.rest_bar_short({ rest: clockRestName[rest.rest](), is: is(rest) });

  /** Inside its bar, or beside it where there is more room: never over its edge. What does not fit there is said shorter. */
  function placed(rest: Rest) {
    const [from, to] = [lanes.x(rest.from), Math.max(lanes.x(rest.to), lanes.x(rest.from) + 2)];
    const wide = (text: string) => text.length * A_LETTER;
    const all = words(rest);
    if (wide(all) + 16 <= to - from) return { from, to, x: from + 8, text: all, end: false };
    const [before, after] = [from - 6, lanes.width - to - 6];
    const end = before > after && wide(all) > after;
    const text = wide(all) <= Math.max(before, after) ? all : few(rest);
    return { from, to, x: end ? from - 6 : to + 6, text, end };
  }
</script>

{#each lanes.sheet.rests as rest, i (i)}
  {@const y = lanes.restAt(i)}
  {#if rest.to > lanes.from}
    {@const { from, to, x, text, end } = placed(rest)}
    <rect x={from} {y} width={to - from} height="14" rx="7" fill="var(--color-work-rest)"><title>{words(rest)}</title></rect>
    <text {x} y={y + 11.5} text-anchor={end ? "end" : undefined} class="fill-ink text-fine">{text}</text>
  {/if}
{/each}
