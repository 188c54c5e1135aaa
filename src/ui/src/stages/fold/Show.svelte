<script lang="ts">
  import Pause from "@lucide/svelte/icons/pause";
  import Play from "@lucide/svelte/icons/play";
  import { onDestroy } from "svelte";
  import { m } from "../../paraglide/messages";
  import Slide from "../../parts/Slide.svelte";
  import Plan from "../../section/Plan.svelte";
  import { amount } from "../../words/format";
  import { outlineName } from "../../words/names/fold";
  import type { StageProps } from "../props";
  import { titleOf } from "./words";

  // Piece before and after the step that is shown, at one scale; the section below follows.
  interface Props extends StageProps {
    at: number | null;
    onshow: (at: number | null) => void;
  }
  let { spec, sheet, at, onshow }: Props = $props();
  const STEP_MS = 1100;
  const LARGEST = 136;
  let room = $state(0);
  const size = $derived(Math.min(LARGEST, Math.max((room - 12) / 2, 80)));
  const last = $derived(sheet.fold.steps.length);
  // 0 is the first sheet, last + 1 the rolled bread.
  const position = $derived(at === null ? last + 1 : at + 1);
  let timer = $state<ReturnType<typeof setInterval>>();

  interface Piece {
    facets: (typeof sheet.sheet.view)["facets"];
    outline: typeof sheet.roll.outline;
    across: number;
    wide: number;
    rings: number;
  }
  const pieceAt = (i: number): Piece => {
    const after = sheet.fold.steps[i - 1];
    if (i === 0 || !after) {
      const long = sheet.sheet.diameter;
      return { facets: sheet.sheet.view.facets, outline: "round", across: long, wide: long, rings: 0 };
    }
    return {
      facets: after.view.facets,
      outline: after.outline,
      across: after.across,
      wide: after.wide,
      rings: after.section.rings?.each.length ?? after.section.windings ?? 0,
    };
  };
  const done = $derived<Piece>({
    facets: [],
    outline: sheet.roll.outline,
    across: sheet.roll.across,
    wide: sheet.roll.wide,
    rings: sheet.section.rings?.each.length ?? sheet.section.windings ?? 0,
  });
  const before = $derived(pieceAt(Math.max(position - 1, 0)));
  const after = $derived(position > last ? done : pieceAt(position));
  const marks = $derived(position >= 1 && position <= last ? (sheet.fold.steps[position - 1]?.view.marks ?? []) : []);
  const span = $derived(Math.max(before.across, before.wide, after.across, after.wide));
  const name = $derived(
    position === 0
      ? m.position_sheet()
      : position > last
        ? m.position_done()
        : spec.fold.steps[position - 1]
          ? titleOf(spec.fold.steps[position - 1]!)
          : "",
  );

  function show(to: number) {
    onshow(to > last ? null : to - 1);
  }

  function stop() {
    clearInterval(timer);
    timer = undefined;
  }

  function play() {
    if (timer) return stop();
    show(position > last ? 1 : position);
    timer = setInterval(() => {
      if (position > last) stop();
      else show(position + 1);
    }, STEP_MS);
  }
  onDestroy(stop);

  const plans = $derived([
    { head: m.before(), piece: before, marks },
    { head: m.after(), piece: after, marks: [] },
  ]);
</script>

<div class="min-w-0" bind:clientWidth={room} data-testid="show" data-position={position}>
  <div class="flex gap-2">
    {#each plans as { head, piece, marks: lines } (head)}
      <figure class="text-center">
        <Plan
          {...piece}
          marks={lines}
          {span}
          {size}
          label={m.plan_of({ what: outlineName[piece.outline](), across: amount(piece.across, "mm") })}
        />
        <figcaption class="text-fine text-mute">
          <b class="text-ink">{head}</b>
          {m.drawn_at({ across: amount(piece.across, "mm") })}
        </figcaption>
      </figure>
    {/each}
  </div>
  {#if last > 0}
    <div class="mt-1 flex items-center gap-3">
      <button class="button px-3" onclick={play}>
        {#if timer}<Pause size={18} aria-hidden="true" /><span class="sr-only">{m.pause()}</span>{:else}<Play
            size={18}
            aria-hidden="true"
          /><span class="sr-only">{m.play()}</span>{/if}
      </button>
      <Slide class="min-w-0 flex-1" label={m.position()} value={position} least={1} most={last + 1} step={1} said={name} onchange={show} />
      <span class="w-16 text-fine leading-tight font-semibold" aria-live="polite">{name}</span>
    </div>
  {/if}
</div>
