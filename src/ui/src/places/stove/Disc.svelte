<script lang="ts">
  import { tintOf, freckles } from "../../section/tint";

  /** A place on a pan: the bread from above, the ring that closes until its next turn, and the time that is left, to be read from two metres. */
  interface Props {
    /** Darkness of the face that is up. */
    dark: number;
    /** How far this stay is, 0 to 1. */
    share: number;
    big: string;
    small: string;
    over: boolean;
    empty?: boolean;
    seed?: number;
    size: number;
  }
  let { dark, share, big, small, over, empty = false, seed = 1, size }: Props = $props();
  const spots = $derived(freckles(26, seed));
  const round = 2 * Math.PI * 128;
</script>

<div class="relative grid place-items-center" style:width="{size}px" style:height="{size}px">
  <svg viewBox="-136 -136 272 272" width={size} height={size} aria-hidden="true">
    <circle r="128" fill="var(--color-night-well)" />
    <circle r="128" fill="none" stroke="var(--color-night-edge)" stroke-width="12" />
    {#if !empty}
      <circle
        r="128"
        fill="none"
        stroke={over ? "var(--color-night-hot)" : "var(--color-night-ghee)"}
        stroke-width="12"
        stroke-linecap="round"
        stroke-dasharray="{round * Math.min(Math.max(share, 0.001), 1)} 999"
        transform="rotate(-90)"
      />
      <circle r="108" fill={tintOf(dark * 0.8)} />
      {#each spots as spot, i (i)}
        {#if spot.k < dark}<circle
            cx={(spot.x - 50) * 2.1}
            cy={(spot.y - 50) * 2.1}
            r={spot.r * 2.1}
            fill={tintOf(dark * 1.3 + 0.5)}
            opacity="0.7"
          />{/if}
      {/each}
      <circle r="70" fill="var(--color-leaves-1)" opacity="0.9" />
    {/if}
  </svg>
  <div class="absolute inset-0 grid place-content-center text-center" class:text-on-bread={!empty}>
    <b
      class="leading-none tracking-tight tabular-nums"
      style:font-size="{Math.round(size * (big.length > 6 ? 0.17 : big.length > 4 ? 0.24 : 0.31))}px">{big}</b
    >
    <span class="font-semibold" style:font-size="{Math.max(Math.round(size * 0.064), 14)}px">{small}</span>
  </div>
</div>
