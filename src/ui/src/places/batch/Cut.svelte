<script lang="ts">
  import { MediaQuery } from "svelte/reactivity";
  import type { BatchSheet } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Closer from "../../section/Closer.svelte";
  import { cutAt, thicknessOf } from "../../section/cuts";
  import FromAbove from "../../section/FromAbove.svelte";
  import Section from "../../section/Section.svelte";
  import { amount, drawnScale, leaves, number } from "../../words/format";
  import { cutName } from "../../words/names/section";
  import InBall from "./InBall.svelte";

  /** The bread cut through, under every bench, as it is at this point of the work. */
  let { sheet }: { sheet: BatchSheet } = $props();
  const narrow = new MediaQuery("(max-width: 1023px)");
  // The dough's ledger wants the room; the bread is drawn lower there.
  const height = $derived(
    narrow.current || ["dough", "pan", "clock"].includes(batch.open) || batch.wide
      ? 76
      : ["fold", "filling", "roll"].includes(batch.open)
        ? 116
        : 134,
  );
  const cut = $derived(cutAt(sheet, batch.open, batch.shown, batch.tab));
  let drawing = $state<Section>();
</script>

<section
  class="sticky bottom-0 rounded-b-tray rim-t bg-white px-4 pt-1.5 pb-2 sm:px-5.5"
  class:stale={batch.refusals.length > 0}
  aria-label={m.section()}
  data-section-of={cut.of}
>
  <div class="mb-0.5 flex flex-wrap items-baseline justify-between gap-x-4 text-fine text-mute">
    <span>
      <b class="me-1 text-body text-ink">{m.section()}</b>
      <b class="text-ink">{cutName[cut.of]({ number: (cut.step ?? 0) + 1 })}</b>
      {#if cut.of === "ball"}{m.cut_across({ across: amount(cut.section.across, "mm") })}{:else}{m.section_size({
          across: amount(cut.section.across, "mm"),
          thickness: amount(thicknessOf(cut), "mm"),
        })}{/if}
      {#if cut.of !== "ball"}<span class="max-sm:hidden">{drawnScale(drawing?.taller() ?? 0)}</span>{/if}
    </span>
    <span class="flex items-center gap-2 font-semibold">
      {#if !["ball", "sheet", "step"].includes(cut.of)}
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
      <Closer {cut} name={batch.name} />
    </span>
  </div>
  <div class="flex items-center gap-3">
    {#if cut.of === "ball"}
      <div class="shrink-0" style:width="{height}px"><Section bind:this={drawing} section={cut.section} {height} /></div>
      <InBall portions={sheet.dough.portions} mass={sheet.dough.start.ball} />
    {:else}
      <div class="min-w-0 flex-1"><Section bind:this={drawing} section={cut.section} baked={cut.baked} {height} /></div>
      <FromAbove {sheet} {cut} size={height} />
    {/if}
  </div>
</section>
