<script lang="ts">
  import type { Outline, StepKind } from "../api/types";

  /** The outline the step leaves, where it changes the picture. */
  let { kind, outline }: { kind: StepKind; outline?: Outline | undefined } = $props();
  const quarter = $derived(kind === "half" && outline === "wedge");
  const blockHalf = $derived(kind === "half" && outline !== undefined && outline !== "wedge" && outline !== "halfMoon");
</script>

<svg width="60" height="60" viewBox="0 0 64 64" aria-hidden="true">
  <g fill="#efdcb4" stroke="var(--color-crust)" stroke-width="1.4">
    {#if kind === "roll"}
      <circle cx="32" cy="32" r="27" />
    {:else if kind === "brush"}
      <circle cx="32" cy="32" r="27" /><circle cx="32" cy="32" r="22" fill="var(--color-ghee)" stroke="none" opacity=".8" />
    {:else if kind === "dust"}
      <circle cx="32" cy="32" r="27" />
      {#each { length: 22 }, i (i)}
        <circle
          cx={32 + Math.cos(i * 2.4) * 5 * Math.sqrt(i)}
          cy={32 + Math.sin(i * 2.4) * 5 * Math.sqrt(i)}
          r="1.9"
          fill="#fff"
          stroke="none"
        />
      {/each}
    {:else if quarter}
      <path d="M34 12h27a27 27 0 0 1-27 27z" />
    {:else if blockHalf}
      <path d="M32 12h26v40H32z" />
    {:else if kind === "half"}
      <path d="M5 34a27 27 0 0 0 54 0z" />
    {:else if kind === "letter"}
      <path d="M22 5h20v54H22z" /><path d="M27 5v54" stroke-dasharray="2 3" />
    {:else if kind === "accordion"}
      <path d="M10 12h44L14 22h40L14 32h40L14 42h40L10 52" fill="none" stroke-width="4" stroke="#e2c68f" /><path
        d="M10 12h44L14 22h40L14 32h40L14 42h40L10 52"
        fill="none"
      />
    {:else if kind === "matRoll"}
      <rect x="3" y="22" width="58" height="20" rx="10" /><path d="M51 32a4 4 0 1 1-4-4 7 7 0 1 1-7 7" fill="none" />
    {:else}
      <circle cx="32" cy="32" r="27" /><path
        d="M32 32a4 4 0 0 1 4 4 8 8 0 1 1-8-9 13 13 0 1 1-9 15 18 18 0 1 1 31 6"
        fill="none"
        stroke-width="2"
      />
    {/if}
  </g>
  <g fill="none" stroke="var(--color-rim)" stroke-width="1.8">
    {#if quarter}
      <path d="M30 12H3a27 27 0 0 0 27 27z" stroke-dasharray="3 3" /><path d="M12 20h14m-4-4 4 4-4 4" />
    {:else if blockHalf}
      <path d="M28 12H6v40h22" stroke-dasharray="3 3" /><path d="M10 32h14m-4-4 4 4-4 4" />
    {:else if kind === "half"}
      <path d="M5 30a27 27 0 0 1 54 0" stroke-dasharray="3 3" /><path d="M32 10v14m-4-4 4 4 4-4" />
    {:else if kind === "letter"}
      <path d="M20 8C10 14 5 24 5 32s5 18 15 24M44 8c10 6 15 16 15 24s-5 18-15 24" stroke-dasharray="3 3" /><path
        d="M8 32h10m-4-4 4 4-4 4M56 32H46m4-4-4 4 4 4"
      />
    {:else if kind === "roll"}
      <path d="M32 32V14m-4 5 4-5 4 5M32 32v18m-4-5 4 5 4-5M32 32H14m5-4-5 4 5 4M32 32h18m-5-4 5 4-5 4" />
    {/if}
  </g>
</svg>
