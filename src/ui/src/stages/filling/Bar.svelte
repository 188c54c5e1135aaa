<script lang="ts">
  import Scale from "@lucide/svelte/icons/scale";
  import type { FillingState } from "../../api/types";
  import { amount } from "../../words/format";

  /** One moment of a filling as a level: solids, the water they hold, what is shut up in cells, and what lies free on top; salt as a thread. */
  interface Props {
    state: FillingState;
    /** Mass that fills the height. */
    full: number;
    height?: number;
    weighed?: boolean;
    planned?: number | undefined;
  }
  let { state, full, height = 92, weighed = false, planned }: Props = $props();
  const px = (grams: number) => (Math.max(grams, 0) / full) * (height - 22);
  const cells = $derived(state.cells.water);
  const free = $derived(Math.max(state.free, 0));
  const held = $derived(Math.max(state.water - cells - free, 0));
  // Of salt so little lies in it that its thread is drawn for itself: its share of the mass, 4 % the full width.
  const salt = $derived(Math.min(state.salt / Math.max(state.mass, 1e-9) / 0.04, 1) * 100);
  const wants = $derived(Math.max(-state.free, 0));
</script>

<span class="flex flex-col justify-end" style:height="{height}px" aria-hidden="true">
  <span class="flex items-center justify-center gap-0.5 font-head text-small leading-tight font-bold">
    {#if weighed}<Scale size={13} class="text-rim" />{/if}{amount(state.mass, "g")}
  </span>
  <span class="relative flex flex-col overflow-hidden rounded border-2 border-rim-soft">
    {#if free > 0}<span class="level free" style:height="{px(free)}px" data-free></span>{/if}
    {#if cells > 0}<span class="level cells" style:height="{px(cells)}px" data-cells></span>{/if}
    <span class="level held" style:height="{px(held)}px" class:wanting={wants > state.mass * 0.04}></span>
    <span class="level solids" style:height="{px(state.solids)}px"></span>
    <span class="absolute bottom-0 start-0 h-0.75 bg-ink" style:width="{salt}%"></span>
  </span>
  {#if planned != null && Math.abs(planned - state.mass) > 0.5}
    <span class="pointer-events-none text-center text-fine leading-none text-mute">({amount(planned, "g")})</span>
  {/if}
</span>

<style>
  .level {
    transition: height 160ms ease-out;
  }
  .free {
    background: repeating-linear-gradient(135deg, var(--color-water-free) 0 4px, var(--color-water-free-soft) 4px 8px);
  }
  .cells {
    background: radial-gradient(circle at 4px 4px, var(--color-water-cell) 0 2.2px, transparent 2.8px) 0 0 / 8px 8px
      var(--color-water-cell-soft);
  }
  .held {
    background: var(--color-water-held);
  }
  .held.wanting {
    border-top: 3px dotted var(--color-crust);
  }
  .solids {
    background: var(--color-filling);
  }
</style>
