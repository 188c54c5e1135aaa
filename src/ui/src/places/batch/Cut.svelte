<script lang="ts">
  import { MediaQuery } from "svelte/reactivity";
  import type { BatchSheet } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Closer from "../../section/Closer.svelte";
  import Section from "../../section/Section.svelte";
  import { amount, drawnScale, leaves, number } from "../../words/format";

  /** The bread cut through, under every bench. */
  let { sheet }: { sheet: BatchSheet } = $props();
  const narrow = new MediaQuery("(max-width: 1023px)");
  // The dough's ledger wants the room; the bread is drawn lower there.
  const sectionHeight = $derived(
    narrow.current || ["dough", "pan", "clock"].includes(batch.open) || batch.wide
      ? 76
      : ["fold", "filling", "roll"].includes(batch.open)
        ? 116
        : 134,
  );
  // While the fold bench shows one step, so does the section.
  const shown = $derived(batch.shown === null ? null : (sheet.fold.steps[batch.shown] ?? null));
  const section = $derived(shown?.section ?? sheet.section ?? null);
  let drawing = $state<Section>();
</script>

<section
  class="sticky bottom-0 rounded-b-tray rim-t bg-white px-4 pt-1.5 pb-2 sm:px-5.5"
  class:stale={batch.refusals.length > 0}
  aria-label={m.section()}
>
  <div class="mb-0.5 flex flex-wrap items-baseline justify-between gap-x-4 text-fine text-mute">
    <span>
      <b class="me-1 text-body text-ink">{m.section()}</b>
      {#if section}{m.section_size({ across: amount(section.across, "mm"), thickness: amount(section.thickness, "mm") })}{/if}
      <span class="max-sm:hidden">{drawnScale(drawing?.taller() ?? 0)}</span>
    </span>
    <span class="flex items-center gap-2 font-semibold">
      {#if shown}
        {m.step_at({ number: (batch.shown ?? 0) + 1 })}
      {:else}
        <span>
          {#if sheet.filling}{m.section_wall({
              wall: amount(sheet.filling.parcel.wall, "mm"),
              layer: amount(sheet.filling.parcel.layer, "mm"),
            })}{#if sheet.stages.includes("fold")},
            {/if}{/if}
          {#if sheet.filling && !sheet.stages.includes("fold")}{:else if sheet.fold.rings?.onEdge}{m.rings_count({
              count: number(sheet.fold.rings.count, 0),
            })}{:else}{leaves(sheet.fold.effective)}{/if}{#if sheet.fold.fused}, <span class="text-chilli"
              >{m.welded({ count: sheet.fold.fused })}</span
            >{/if}{#if sheet.fold.patchy}, <span class="text-ghee-deep">{m.patchy({ count: sheet.fold.patchy })}</span>{/if}
        </span>
      {/if}
      {#if section}<Closer {section} name={batch.name} />{/if}
    </span>
  </div>
  {#if section}<Section bind:this={drawing} {section} height={sectionHeight} look={sheet?.section.look} />{/if}
</section>
