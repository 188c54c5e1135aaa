<script lang="ts">
  import ArrowLeft from "@lucide/svelte/icons/arrow-left";
  import ArrowRight from "@lucide/svelte/icons/arrow-right";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import type { Snippet } from "svelte";
  import { m } from "../../paraglide/messages";

  /** What is open of a ladder, with the ways to move it and to take it out. */
  interface Props {
    at: number;
    count: number;
    onmove: (from: number, to: number) => void;
    onremove: (at: number) => void;
    children: Snippet;
  }
  let { at, count, onmove, onremove, children }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-x-1">
  <h2 class="me-auto text-body font-bold">{@render children()}</h2>
  <button class="button plain px-2.5" disabled={at === 0} onclick={() => onmove(at, at - 1)} aria-label={m.earlier()}
    ><ArrowLeft size={18} aria-hidden="true" /></button
  >
  <button class="button plain px-2.5" disabled={at === count - 1} onclick={() => onmove(at, at + 1)} aria-label={m.later()}
    ><ArrowRight size={18} aria-hidden="true" /></button
  >
  <button class="button plain px-2.5" onclick={() => onremove(at)} aria-label={m.remove()}><Trash2 size={18} aria-hidden="true" /></button>
</div>
