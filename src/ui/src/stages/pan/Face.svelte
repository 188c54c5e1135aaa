<script lang="ts">
  import { freckles, tintOf } from "../../section/tint";

  /** A face as it will look from above: its ground, its freckles, its blisters. */
  interface Props {
    dark: number;
    label: string;
    seed?: number;
    /** How far blisters have risen, 0 to 1. */
    blisters?: number;
    class?: string;
  }
  let { dark, label, seed = 1, blisters = 0, class: size = "w-full" }: Props = $props();
  const spots = $derived(freckles(34, seed));
  const risen = $derived(freckles(16, seed + 7));
</script>

<svg viewBox="0 0 100 100" role="img" aria-label={label} class={size} data-face data-dark={dark.toFixed(2)}>
  <circle cx="50" cy="50" r="48" fill={tintOf(dark * 0.8)} stroke={tintOf(dark * 1.25 + 0.35)} stroke-width="1.5" />
  <!-- Freckles come where blisters touched: darker than the ground, more of them the longer it lay. -->
  {#each spots as spot, i (i)}
    {#if spot.k < dark}<circle cx={spot.x} cy={spot.y} r={spot.r} fill={tintOf(dark * 1.35 + spot.k * 0.5)} opacity="0.75" />{/if}
  {/each}
  {#each risen as spot, i (i)}
    {#if blisters > spot.k * 0.7}
      <g opacity={Math.min(blisters + 0.15, 1)}>
        <circle
          cx={spot.x}
          cy={spot.y}
          r={spot.r * (0.7 + blisters)}
          fill={tintOf(Math.max(dark * 0.6, 0.05))}
          stroke="var(--color-blister)"
          stroke-width="0.8"
        />
        <path
          d="M{spot.x - spot.r * 0.5} {spot.y - spot.r * 0.4}q{spot.r * 0.4} {-spot.r * 0.5} {spot.r * 0.9} 0"
          fill="none"
          stroke="white"
          stroke-width="0.9"
          opacity="0.8"
        />
      </g>
    {/if}
  {/each}
</svg>
