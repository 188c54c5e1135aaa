<script lang="ts">
  import type { Snippet } from "svelte";
  import { batch } from "../bench/bench.svelte";
  import { narrow } from "../narrow";
  import Watch from "../parts/Watch.svelte";

  /** A bench laid out: its work, and beside it what it has to tell and what to watch. What wants the whole width has it. */
  interface Props {
    side?: Snippet | undefined;
    wide?: boolean | undefined;
    children: Snippet;
  }
  let { side, wide = false, children }: Props = $props();
</script>

<div class="grid gap-x-6 gap-y-5 {wide ? '' : 'lg:grid-cols-[minmax(0,1fr)_292px]'}">
  <div class="min-w-0">{@render children()}</div>
  {#if !wide}
    <aside class="grid min-w-0 content-start gap-3">
      {@render side?.()}
      {#if !narrow.current}<Watch notes={batch.watched} stale={batch.refusals.length > 0} />{/if}
    </aside>
  {/if}
</div>
