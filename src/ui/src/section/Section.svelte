<script lang="ts">
  import type { Section } from "../api/types";
  import { m } from "../paraglide/messages";
  import { amount, leaves as leafWords, listed } from "../words/format";
  import { type Baked, FINE, type ScaleOf } from "./frame";
  import { draw } from "./geometry";
  import { paint } from "./paint";

  interface Props {
    section: Section;
    height?: number;
    small?: boolean;
    /** As it is off the pan, or later. */
    baked?: Baked | null | undefined;
    /** The biggest of a row of sections, so that all are drawn to its scale. */
    scaleOf?: ScaleOf;
    /** The bread it is a piece of, for a section without colours of its own. */
    look?: Section["look"];
  }
  let { section: cut, height = 150, small = false, baked, scaleOf, look }: Props = $props();
  const section = $derived(cut.look || !look ? cut : { ...cut, look });

  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 0));
  const drawing = $derived(width > 0 ? draw(section, width, height, baked, scaleOf) : null);
  const strokes = $derived(drawing ? paint(section, drawing, baked, small) : []);
  const contacts = $derived(section.rings?.contacts ?? section.contacts);
  const fused = $derived(contacts.filter((c) => c.state === "fused").length);
  const patchy = $derived(contacts.filter((c) => c.state === "patchy").length);
  const label = $derived(
    listed(
      [
        section.ball ? m.a_ball({ across: amount(section.across, "mm") }) : "",
        section.ball ? "" : section.rings ? m.rings_count({ count: section.rings.each.length }) : leafWords(section.leaves.length),
        section.filling ? m.filling_layer({ thickness: amount(section.filling.thickness, "mm") }) : "",
        fused ? m.welded({ count: fused }) : "",
        patchy ? m.patchy({ count: patchy }) : "",
        baked ? m.off_the_pan() : "",
      ].filter(Boolean),
    ),
  );
  // One change melts into the next state; while figures are being dragged or typed each is drawn at once. So are hundreds of leaves.
  const SETTLED_MS = 400;
  let changedAt = 0;
  let settled = $state(true);
  $effect.pre(() => {
    void section;
    const now = performance.now();
    settled = now - changedAt > SETTLED_MS;
    changedAt = now;
  });
  const melts = $derived(settled && section.leaves.length + contacts.length <= FINE);

  export const taller = () => drawing?.taller ?? 0;
</script>

<div bind:contentRect={box} style:height="{height}px" class="relative w-full" data-testid="section">
  {#if drawing}
    <svg
      {width}
      {height}
      viewBox="0 0 {width} {height}"
      class="absolute start-0 top-0 max-w-full"
      role="img"
      aria-label={m.section_of({ what: label })}
      class:melts
    >
      {#each strokes as { key, is, kind, d, fill, stroke, width: wide, dash } (key)}
        <path
          {d}
          fill={fill ?? "none"}
          {stroke}
          stroke-width={wide}
          stroke-dasharray={dash}
          stroke-linejoin="round"
          {...{ [`data-${is}`]: kind ?? "" }}
        />
      {/each}
    </svg>
  {/if}
</div>

<style>
  .melts path {
    transition: d 160ms ease-out;
  }
</style>
