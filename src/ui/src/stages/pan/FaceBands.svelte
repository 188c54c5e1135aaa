<script lang="ts">
  import type { ScaleLinear } from "d3-scale";
  import type { PanSheet } from "../../api/types";
  import { tintOf } from "../../section/tint";
  import { faceName } from "../../words/names/pan";

  /** The two faces as they colour over time, each with its heat under it while it lies on the pan. */
  interface Props {
    pan: PanSheet;
    x: ScaleLinear<number, number>;
    left: number;
    /** From one face to the next. */
    band: number;
    /** When each stay begins. */
    starts: number[];
  }
  let { pan, x, left, band, starts }: Props = $props();
  const id = $props.id();
  const { times, first, second } = $derived(pan.trace);
  const faces = $derived([
    { name: faceName.first(), values: first, face: "first" as const, y: 0 },
    { name: faceName.second(), values: second, face: "second" as const, y: band },
  ]);
</script>

<defs>
  {#each faces as face (face.face)}
    <linearGradient id="{id}-{face.face}" gradientUnits="userSpaceOnUse" x1={x(0)} x2={x(pan.program.total)} y1="0" y2="0">
      <stop offset="0" stop-color={tintOf(0)} />
      {#each face.values as dark, i (i)}
        <stop offset={times[i]! / Math.max(pan.program.total, 1)} stop-color={tintOf(dark)} />
      {/each}
    </linearGradient>
  {/each}
</defs>
{#each faces as face (face.face)}
  <rect
    x={x(0)}
    y={face.y}
    width={Math.max(x(pan.program.total) - x(0), 0)}
    height="26"
    rx="5"
    fill="url(#{id}-{face.face})"
    stroke="var(--color-rim-soft)"
  />
  <text x={left - 6} y={face.y + 18} text-anchor="end" class="fill-mute text-small font-semibold">{face.name}</text>
  {#each pan.program.turns as turn, i (i)}
    {#if turn.face === face.face}
      <!-- The face that lies on the pan carries its heat under it. -->
      <rect
        x={x(starts[i]!) + 1}
        y={face.y + 25}
        width={Math.max(x(starts[i]! + turn.time) - x(starts[i]!) - 2, 0)}
        height="5"
        rx="2"
        fill="var(--color-ink)"
      />
    {/if}
  {/each}
{/each}
