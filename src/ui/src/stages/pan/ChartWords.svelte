<script lang="ts">
  import type { ScaleLinear } from "d3-scale";
  import type { PanSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";

  /** The words of the chart, laid over everything: no line runs through them. */
  interface Props {
    pan: PanSheet;
    x: ScaleLinear<number, number>;
    y: ScaleLinear<number, number>;
    width: number;
    left: number;
    foot: number;
    hottest: number;
    marks: { at: number | null | undefined; name: string }[];
  }
  let { pan, x, y, width, left, foot, hottest, marks }: Props = $props();

  // The first mark ends at its moment where there is room before it.
  const ends = (mark: number, at: number) => mark === 0 && x(at) > left + 70;
</script>

<g class="pointer-events-none">
  {#if pan.heat.smokePoint && pan.heat.smokePoint <= hottest}
    <text x={width - 14} y={y(pan.heat.smokePoint) - 4} text-anchor="end" class="halo fill-chilli text-fine font-semibold"
      >{m.smokes_at({ heat: amount(pan.heat.smokePoint, "°C") })}</text
    >
  {/if}
  {#if pan.trace.pan.length > 0}
    <text x={x(pan.program.total) - 8} y={y(pan.trace.middle.at(-1)!) - 8} text-anchor="end" class="halo fill-rim text-small font-semibold"
      >{m.line_middle()}</text
    >
  {/if}
  {#each marks as mark, i (mark.name)}
    {#if mark.at != null}
      <text
        x={x(mark.at) + (ends(i, mark.at) ? -4 : 4)}
        y={foot - 5 - (i === 0 && !ends(i, mark.at) ? 15 : 0)}
        text-anchor={ends(i, mark.at) ? "end" : "start"}
        class="halo fill-leaf text-fine font-semibold">{mark.name}</text
      >
    {/if}
  {/each}
</g>
