<script lang="ts">
  import Pause from "@lucide/svelte/icons/pause";
  import Play from "@lucide/svelte/icons/play";
  import ArrowRight from "@lucide/svelte/icons/arrow-right";
  import { onDestroy } from "svelte";
  import { innerHeight } from "svelte/reactivity/window";
  import { m } from "../../paraglide/messages";
  import { narrow } from "../../narrow";
  import Slide from "../../parts/Slide.svelte";
  import Plan from "../../section/Plan.svelte";
  import { ringsOf } from "../../section/rings";
  import { amount } from "../../words/format";
  import { outlineName } from "../../words/names/fold";
  import type { FoldStep } from "../../api/types";
  import type { StageProps } from "../props";
  import { foldWords } from "../../words/card";
  import { titleOf } from "./words";

  // Piece before and after the step that is shown, at one scale; the section below follows.
  interface Props extends StageProps {
    at: number | null;
    onshow: (at: number | null) => void;
  }
  let { spec, sheet, at, onshow }: Props = $props();
  const STEP_MS = 1100;
  // What the screen has beside ladder, figures and section, pixels.
  const TAKEN = { wide: 606, narrow: 960 };
  const ARROW = 34;
  let box = $state.raw<DOMRectReadOnly>();
  const room = $derived(Math.round(box?.width ?? 0));
  const size = $derived(
    Math.max(
      Math.min((room - 2 * ARROW) / 2, Math.max((innerHeight.current ?? 0) - (narrow.current ? TAKEN.narrow : TAKEN.wide), 150)),
      80,
    ),
  );
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
      rings: ringsOf(after.section),
    };
  };
  const done = $derived<Piece>({
    facets: [],
    outline: sheet.roll.outline,
    across: sheet.roll.across,
    wide: sheet.roll.wide,
    rings: ringsOf(sheet.section),
  });
  const before = $derived(pieceAt(Math.max(position - 1, 0)));
  const after = $derived(position > last ? done : pieceAt(position));
  const marks = $derived(position >= 1 && position <= last ? (sheet.fold.steps[position - 1]?.view.marks ?? []) : []);
  const span = $derived(Math.max(before.across, before.wide, after.across, after.wide));
  const now = $derived(spec.fold.steps[position - 1]);
  const name = $derived(
    position === 0
      ? m.position_sheet()
      : position > last
        ? m.position_done()
        : now
          ? m.step_number({ number: position, step: titleOf(now) })
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

  const hows: Partial<Record<FoldStep["kind"], () => string>> = {
    half: m.half_how,
    letter: m.letter_how,
    gate: m.gate_how,
    matRoll: m.mat_roll_how,
    coil: m.coil_how,
    pinch: m.pinch_how,
  };
  const how = $derived(now ? (hows[now.kind]?.() ?? foldWords(now)) : spec.fold.steps.length ? m.press_a_step() : m.no_steps());

  const plans = $derived([
    { head: m.before(), piece: before, marks },
    { head: m.after(), piece: after, marks: [] },
  ]);
</script>

<div class="min-w-0 rounded-xl bg-steel/60 px-3.5 py-2" data-testid="show" data-position={position}>
  <div class="flex flex-wrap items-center gap-x-3">
    <p class="min-w-0 flex-1 leading-tight" aria-live="polite"><b>{name}</b></p>
    {#if last > 0}
      <button class="button px-3" onclick={play}>
        {#if timer}<Pause size={18} aria-hidden="true" /><span class="sr-only">{m.pause()}</span>{:else}<Play
            size={18}
            aria-hidden="true"
          /><span class="sr-only">{m.play()}</span>{/if}
      </button>
      <Slide class="w-40 min-w-0" label={m.position()} value={position} least={1} most={last + 1} step={1} said={name} onchange={show} />
    {/if}
  </div>
  <div class="flex items-center justify-center" bind:contentRect={box}>
    {#each plans as { head, piece, marks: lines }, i (head)}
      {#if i > 0}<ArrowRight size={ARROW - 8} class="mx-1 shrink-0 text-rim rtl:rotate-180" aria-hidden="true" />{/if}
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
  <p class="text-small leading-snug text-mute">{how}</p>
</div>
