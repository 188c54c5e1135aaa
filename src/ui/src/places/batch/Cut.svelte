<script lang="ts">
  import ChevronDown from "@lucide/svelte/icons/chevron-down";
  import ChevronUp from "@lucide/svelte/icons/chevron-up";
  import type { BatchSheet } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { phone } from "../../narrow";
  import Toggle from "../../parts/Toggle.svelte";
  import Closer from "../../section/Closer.svelte";
  import { cutAt, thicknessOf } from "../../section/cuts";
  import FromAbove from "../../section/FromAbove.svelte";
  import Section from "../../section/Section.svelte";
  import { amount, drawnScale, leaves, number } from "../../words/format";
  import { cutName } from "../../words/names/section";
  import InBall from "./InBall.svelte";

  /** The bread cut through, under every bench, as it is at this point of the work. */
  interface Props {
    sheet: BatchSheet;
    /** What the bench leaves, pixels. */
    room: number;
  }
  let { sheet, room: left }: Props = $props();
  // With less than this it is one line: a drawing and its buttons.
  const ONE_LINE = 108;
  // It gives way to the bench down to a strip, and takes what the bench leaves; pulled up it is tall whatever the bench wants.
  const TALL = 300;
  let pulled = $state(false);
  let box = $state.raw<DOMRectReadOnly>();
  const room = $derived(Math.round(box?.height ?? 0));
  const strip = $derived((phone.current || left < ONE_LINE) && !pulled);
  const height = $derived(Math.min(room, TALL));
  const cut = $derived(cutAt(sheet, batch.open, batch.shown, batch.tab));
  let drawing = $state<Section>();
</script>

<section
  class="flex flex-1 rounded-b-tray rim-t bg-white px-4 sm:px-5.5 {strip ? 'items-center gap-2 py-1' : 'flex-col pt-0.5 pb-2'}"
  class:stale={batch.refusals.length > 0}
  aria-label={m.section()}
  data-section-of={cut.of}
  data-round="section"
>
  <div class="flex justify-between gap-x-4 text-fine text-mute {strip ? 'order-2' : 'mb-0.5 flex-wrap items-baseline'}">
    <span class={strip ? "sr-only" : ""}>
      <b class="me-1 text-body text-ink">{m.section()}</b>
      <b class="text-ink">{cutName[cut.of]({ number: (cut.step ?? 0) + 1 })}</b>
      {#if cut.of === "ball"}{m.cut_across({ across: amount(cut.section.across, "mm") })}{:else}{m.section_size({
          across: amount(cut.section.across, "mm"),
          thickness: amount(thicknessOf(cut), "mm"),
        })}{/if}
      {#if cut.of !== "ball"}<span class="max-sm:hidden">{drawnScale(drawing?.taller() ?? 0)}</span>{/if}
    </span>
    <span class="flex items-center gap-2 font-semibold">
      {#if !strip && !["ball", "sheet", "step"].includes(cut.of)}
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
      <Toggle class="button plain px-3" pressed={pulled} onpress={() => (pulled = !pulled)} aria-label={m.section_taller()}>
        {#if pulled}<ChevronDown size={18} aria-hidden="true" />{:else}<ChevronUp size={18} aria-hidden="true" />{/if}
      </Toggle>
      <Closer {cut} name={batch.name} />
    </span>
  </div>
  <div class="relative flex-1 {strip ? 'h-11' : ''} {pulled ? 'min-h-60' : 'min-h-11'}" bind:contentRect={box}>
    <div class="absolute inset-0 flex items-center gap-3">
      {#if height && cut.of === "ball"}
        <div class="shrink-0" style:width="{height}px"><Section bind:this={drawing} section={cut.section} {height} /></div>
        <InBall portions={sheet.dough.portions} mass={sheet.dough.start.ball} size={strip ? "bar" : height > 120 ? "tall" : "small"} />
      {:else if height}
        <div class="min-w-0 flex-1"><Section bind:this={drawing} section={cut.section} baked={cut.baked} {height} /></div>
        <FromAbove {sheet} {cut} size={height} />
      {/if}
    </div>
  </div>
</section>
