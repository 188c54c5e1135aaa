<script lang="ts">
  import { Dialog, Slider } from "bits-ui";
  import ZoomIn from "@lucide/svelte/icons/zoom-in";
  import type { Section as Cut } from "../api/types";
  import { m } from "../paraglide/messages";
  import { amount, drawnScale, leaves } from "../words/format";
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

<Dialog.Root bind:open>
  <Dialog.Trigger class="button plain !px-3" aria-label={m.look_closer()}>
    <ZoomIn size={18} aria-hidden="true" />
  </Dialog.Trigger>
  <Dialog.Portal to="main">
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ink/40" />
    <Dialog.Content class="tray fixed inset-x-3 top-[8vh] z-50 mx-auto max-w-[1200px] p-4">
      <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
        <Dialog.Title class="text-[19px] font-bold">{m.section()}</Dialog.Title>
        <span class="text-[14px] text-mute">
          {m.section_size({ across: amount(section.across, "mm"), thickness: amount(section.thickness, "mm") })}
          {drawnScale(drawing?.taller() ?? 0)}
        </span>
        <span class="ms-auto flex gap-1">
          <button class="button !px-3" onclick={() => saveSvg(svg(), file)} aria-label={m.save_section({ kind: "SVG" })}
            >{m.save_svg()}</button
          >
          <button class="button !px-3" onclick={() => void savePng(svg(), file)} aria-label={m.save_section({ kind: "PNG" })}
            >{m.save_png()}</button
          >
          <Dialog.Close class="button !px-3">{m.close()}</Dialog.Close>
        </span>
      </div>
      <div class="flex items-center gap-3">
        <span class="text-[14px]">{m.zoom()} × {zoom}</span>
        <Slider.Root type="single" class="relative flex h-11 w-64 touch-pan-y items-center" bind:value={zoom} min={1} max={16} step={1}>
          {#snippet children({ thumbItems })}
            <span class="relative h-3 w-full rounded-full bg-line"></span>
            {#each thumbItems as { index } (index)}
              <Slider.Thumb {index} class="block size-6 rounded-full border-[3px] border-rim bg-white" aria-label={m.zoom()} />
            {/each}
          {/snippet}
        </Slider.Root>
      </div>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="overflow-x-auto" tabindex="0" role="group" aria-label={m.section()}>
        <div style:width="{zoom * 100}%"><Section bind:this={drawing} {section} height={360} /></div>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
