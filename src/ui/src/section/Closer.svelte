<script lang="ts">
  import ZoomIn from "@lucide/svelte/icons/zoom-in";
  import type { Section as Cut } from "../api/types";
  import { m } from "../paraglide/messages";
  import Dialog from "../parts/Dialog.svelte";
  import DialogClose from "../parts/DialogClose.svelte";
  import Slide from "../parts/Slide.svelte";
  import { amount, drawnScale, leaves, number } from "../words/format";
  import { savePng, saveSvg, sectionSvg } from "./export";
  import Section from "./Section.svelte";

  // The section bigger: the closer, the less it is stretched. And out as a file.
  let { section, name }: { section: Cut; name: string } = $props();
  let open = $state(false);
  let zoom = $state(2);
  let drawing = $state<Section>();
  const file = $derived(`${name.trim().replaceAll(/[^\p{L}\p{N}]+/gu, "-") || "section"}-section`);

  const svg = () =>
    sectionSvg(section, (taller) =>
      m.export_caption({
        name,
        leaves: section.rings ? m.rings_count({ count: section.rings.each.length }) : leaves(section.leaves.length),
        across: amount(section.across, "mm"),
        thickness: amount(section.thickness, "mm"),
        scale: drawnScale(taller),
      }),
    );
</script>

<Dialog bind:open title={m.section()} wide="whole" triggerClass="button plain px-3" triggerLabel={m.look_closer()}>
  {#snippet trigger()}<ZoomIn size={18} aria-hidden="true" />{/snippet}
  {#snippet beside()}
    <span class="text-small text-mute">
      {m.section_size({ across: amount(section.across, "mm"), thickness: amount(section.thickness, "mm") })}
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
  <div class="flex items-center gap-3">
    <span class="text-small">{m.zoom_times({ times: number(zoom, 0) })}</span>
    <Slide label={m.zoom()} value={zoom} least={1} most={16} step={1} class="w-64" onchange={(v) => (zoom = v)} />
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="overflow-x-auto" tabindex="0" role="group" aria-label={m.section()}>
    <div style:width="{zoom * 100}%"><Section bind:this={drawing} {section} height={360} /></div>
  </div>
</Dialog>
