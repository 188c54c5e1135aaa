<script lang="ts">
  import ZoomIn from "@lucide/svelte/icons/zoom-in";
  import { m } from "../paraglide/messages";
  import Dialog from "../parts/Dialog.svelte";
  import DialogClose from "../parts/DialogClose.svelte";
  import Slide from "../parts/Slide.svelte";
  import { amount, drawnScale, leaves, number } from "../words/format";
  import { cutName } from "../words/names/section";
  import { type Cut, thicknessOf } from "./cuts";
  import { savePng, saveSvg, sectionSvg } from "./export";
  import Section from "./Section.svelte";

  // The section bigger: the closer, the less it is stretched. And out as a file.
  let { cut, name }: { cut: Cut; name: string } = $props();
  const { section } = $derived(cut);
  const of = $derived(cutName[cut.of]({ number: (cut.step ?? 0) + 1 }));
  let open = $state(false);
  let wanted = $state(2);
  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 0));
  // Closer than to scale both ways there is nothing more to see in this height; a ball is seen whole at once.
  const HIGH = 360;
  const MOST = 16;
  const most = $derived(
    section.ball || !width ? 1 : Math.min(Math.max(Math.floor(((HIGH - 12) / thicknessOf(cut)) * (section.across / width)), 1), MOST),
  );
  const zoom = $derived(Math.min(wanted, most));
  let drawing = $state<Section>();
  const file = $derived(`${name.trim().replaceAll(/[^\p{L}\p{N}]+/gu, "-") || "section"}-section`);

  const svg = () =>
    sectionSvg(section, cut.baked, (taller) =>
      m.export_caption({
        name,
        of,
        leaves: section.rings ? m.rings_count({ count: section.rings.each.length }) : leaves(section.leaves.length),
        across: amount(section.across, "mm"),
        thickness: amount(thicknessOf(cut), "mm"),
        scale: drawnScale(taller),
      }),
    );
</script>

<Dialog bind:open title={m.section()} wide="whole" triggerClass="button plain px-3" triggerLabel={m.look_closer()}>
  {#snippet trigger()}<ZoomIn size={18} aria-hidden="true" />{/snippet}
  {#snippet beside()}
    <span class="text-small text-mute">
      <b class="text-ink">{of}</b>
      {m.section_size({ across: amount(section.across, "mm"), thickness: amount(thicknessOf(cut), "mm") })}
      {drawnScale(drawing?.taller() ?? 0)}
    </span>
    <span class="ms-auto flex gap-1">
      <button class="button px-3" onclick={() => saveSvg(svg(), file)} aria-label={m.save_section({ kind: "SVG" })}>{m.save_svg()}</button>
      <button class="button px-3" onclick={() => void savePng(svg(), file)} aria-label={m.save_section({ kind: "PNG" })}
        >{m.save_png()}</button
      >
      <DialogClose class="button px-3" />
    </span>
  {/snippet}
  {#if most > 1}
    <div class="flex items-center gap-3">
      <span class="text-small">{m.zoom_times({ times: number(zoom, 0) })}</span>
      <Slide label={m.zoom()} value={zoom} least={1} {most} step={1} class="w-64" onchange={(v) => (wanted = v)} />
    </div>
  {/if}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div bind:contentRect={box} class="overflow-x-auto" tabindex="0" role="group" aria-label={m.section()}>
    <div style:width="{zoom * 100}%"><Section bind:this={drawing} {section} baked={cut.baked} height={HIGH} /></div>
  </div>
</Dialog>
