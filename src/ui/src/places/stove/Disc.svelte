<script lang="ts">
  import { tintOf, freckles } from "../../section/tint";

  /** A place on a pan: the bread from above, and the ring that closes until its next turn. It is as large as its place lets it be. */
  interface Props {
    /** Darkness of the face that is up. */
    dark: number;
    /** How far this stay is, 0 to 1. */
    share: number;
    over: boolean;
    empty?: boolean;
    seed?: number;
  }
  let { dark, share, over, empty = false, seed = 1 }: Props = $props();
  const spots = $derived(freckles(26, seed));
  const round = 2 * Math.PI * 128;
</script>

<svg viewBox="-136 -136 272 272" class="disc" aria-hidden="true">
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
