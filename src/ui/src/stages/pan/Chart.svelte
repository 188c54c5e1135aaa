<script lang="ts">
  import { scaleLinear } from "d3-scale";
  import { line } from "d3-shape";
  import { larder } from "../../api/larder.svelte";
  import type { PanSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, number } from "../../words/format";
  import { faceName } from "../../words/names/pan";
  import { tintOf } from "../../section/tint";

  /** Time along the bottom; over it the faces as they colour, the pan and the middle, the turns as handles and the fat as drops. */
  interface Props {
    pan: PanSheet;
    /** What the probe shows; nothing without one. */
    measured?: number | null;
    height?: number;
    /** Nothing where the turns only stand there to be read. */
    onturn?: (stay: number, at: number) => void;
    /** By keys: so many seconds later. */
    onby?: (stay: number, seconds: number) => void;
    onfat?: (from: number, to: number) => void;
    label: string;
    /** So that several charts can be laid side by side: seconds to the right edge. */
    span?: number;
  }
  let { pan, measured = null, height = 290, onturn, onby, onfat, label, span }: Props = $props();

  const id = $props.id();
  const bounds = $derived(larder.limit("pan.own[].time"));
  let width = $state(640);
  const left = 58;
  const band = 32;
  const bands = 2 * band + 6;
  const foot = 22;
  const end = $derived(span ?? Math.max(pan.program.total, 1));
  const x = $derived(scaleLinear([0, end], [left, width - 12]));
  const hottest = $derived(
    Math.max(
      pan.heat.high,
      pan.heat.smokePoint && pan.heat.smokePoint < pan.heat.high + 40 ? pan.heat.smokePoint + 8 : 0,
      measured ?? 0,
      120,
    ) + 12,
  );
  const y = $derived(scaleLinear([0, hottest], [height - foot, bands + 24]));
  const { times, pan: heat, middle, first, second } = $derived(pan.trace);
  const curve = $derived(
    (values: number[]) =>
      line<number>(
        (_, i) => x(times[i]!),
        (v) => y(v),
      )(values) ?? "",
  );
  const starts = $derived(pan.program.turns.map((_, i) => pan.program.turns.slice(0, i).reduce((sum, t) => sum + t.time, 0)));
  const faces = $derived([
    { name: faceName.first(), values: first, face: "first" as const, y: 0 },
    { name: faceName.second(), values: second, face: "second" as const, y: band },
  ]);
  const ticks = $derived(x.ticks(Math.min(Math.floor(width / 80), 10)));
  const marks = $derived([
    { at: pan.done.blisters, name: m.mark_blisters() },
    { at: pan.done.cookedAt, name: m.mark_cooked() },
  ]);

  // The first mark ends at its moment where there is room before it.
  const ends = (mark: number, at: number) => mark === 0 && x(at) > left + 70;

  let svg = $state<SVGSVGElement>();
  // The drop is another one once the answer is there: the keys stay on it.
  let following: number | null = null;
  $effect(() => {
    const turns = pan.program.turns;
    if (following === null || !(turns[following]?.fat ?? 0)) return;
    svg?.querySelector<SVGElement>(`[data-drop="${following}"]`)?.focus();
    following = null;
  });
  let held: { kind: "turn" | "fat"; at: number } | null = null;
  const secondsAt = (event: PointerEvent) => x.invert(event.clientX - svg!.getBoundingClientRect().left);
  function move(event: PointerEvent) {
    if (!held) return;
    if (held.kind === "turn") onturn?.(held.at, secondsAt(event));
    else {
      const to = Math.max(
        starts.findLastIndex((s) => s <= secondsAt(event)),
        0,
      );
      if (to === held.at) return;
      onfat?.(held.at, to);
      held.at = to;
    }
  }
  function grab(event: PointerEvent, kind: "turn" | "fat", at: number) {
    held = { kind, at };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function keyTurn(event: KeyboardEvent, stay: number) {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 10, PageDown: -10 }[event.key];
    if (!by) return;
    event.preventDefault();
    onby?.(stay, by * (event.shiftKey ? 5 : 1));
  }
  function keyFat(event: KeyboardEvent, stay: number) {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (!by || !pan.program.turns[stay + by]) return;
    event.preventDefault();
    onfat?.(stay, stay + by);
    following = stay + by;
  }
</script>

<div class="min-w-0" bind:clientWidth={width}>
  <svg bind:this={svg} {width} {height} class="block touch-pan-y select-none" role="group" aria-label={label} data-testid="pan-chart">
    <defs>
      {#each faces as face (face.face)}
        <linearGradient id="{id}-{face.face}" gradientUnits="userSpaceOnUse" x1={x(0)} x2={x(pan.program.total)} y1="0" y2="0">
          <stop offset="0" stop-color={tintOf(0)} />
          {#each face.values as dark, i (i)}
            <stop offset={times[i]! / Math.max(pan.program.total, 1)} stop-color={tintOf(dark)} />
          {/each}
        </linearGradient>
      {/each}
    </defs>
    {#each faces as face (face.face)}
      <rect
        x={x(0)}
        y={face.y}
        width={Math.max(x(pan.program.total) - x(0), 0)}
        height="26"
        rx="5"
        fill="url(#{id}-{face.face})"
        stroke="var(--color-rim-soft)"
      />
      <text x={left - 6} y={face.y + 18} text-anchor="end" class="fill-mute text-small font-semibold">{face.name}</text>
      {#each pan.program.turns as turn, i (i)}
        {#if turn.face === face.face}
          <!-- The face that lies on the pan carries its heat under it. -->
          <rect
            x={x(starts[i]!) + 1}
            y={face.y + 25}
            width={Math.max(x(starts[i]! + turn.time) - x(starts[i]!) - 2, 0)}
            height="5"
            rx="2"
            fill="var(--color-ink)"
          />
        {/if}
      {/each}
    {/each}

    {#each y.ticks(5) as t (t)}
      <line x1={left} x2={width - 12} y1={y(t)} y2={y(t)} stroke="var(--color-line)" />
      <text x={left - 6} y={y(t) + 4} text-anchor="end" class="fill-mute text-fine">{number(t, 0)}°</text>
    {/each}
    {#each ticks as t (t)}
      <text x={x(t)} y={height - 5} text-anchor="middle" class="fill-mute text-fine">{number(t, 0)}{t === 0 ? " s" : ""}</text>
    {/each}
    {#if pan.heat.smokePoint && pan.heat.smokePoint <= hottest}
      <line
        x1={left}
        x2={width - 12}
        y1={y(pan.heat.smokePoint)}
        y2={y(pan.heat.smokePoint)}
        stroke="var(--color-chilli)"
        stroke-width="2"
        stroke-dasharray="7 4"
      />
      <text x={width - 14} y={y(pan.heat.smokePoint) - 4} text-anchor="end" class="fill-chilli text-fine font-semibold"
        >{m.smokes_at({ heat: amount(pan.heat.smokePoint, "°C") })}</text
      >
    {/if}
    <path d={curve(heat)} fill="none" stroke="var(--color-ink)" stroke-width="3" />
    <path d={curve(middle)} fill="none" stroke="var(--color-rim)" stroke-width="3" stroke-dasharray="1 5" stroke-linecap="round" />
    {#if heat.length > 0}
      <text x={left + 6} y={y(heat[0]!) + 20} class="fill-ink text-small font-semibold">{m.line_pan()}</text>
      <text x={x(pan.program.total) - 8} y={y(middle.at(-1)!) + 19} text-anchor="end" class="fill-rim text-small font-semibold"
        >{m.line_middle()}</text
      >
    {/if}
    {#if measured != null}
      <line x1={left} x2={width - 12} y1={y(measured)} y2={y(measured)} stroke="var(--color-leaf)" stroke-width="2" />
      <text x={left + 4} y={y(measured) - 5} class="fill-leaf text-fine font-semibold" data-testid="measured-line"
        >{m.probe_line({ heat: amount(measured, "°C") })}</text
      >
    {/if}
    {#each marks as mark, i (mark.name)}
      {#if mark.at != null}
        <path d="M{x(mark.at)} {height - foot}v-9" stroke="var(--color-leaf)" stroke-width="3" />
        <text
          x={x(mark.at) + (ends(i, mark.at) ? -4 : 4)}
          y={height - foot - 5 - (i === 0 && !ends(i, mark.at) ? 15 : 0)}
          text-anchor={ends(i, mark.at) ? "end" : "start"}
          class="fill-leaf text-fine font-semibold">{mark.name}</text
        >
      {/if}
    {/each}

    {#each pan.program.turns as turn, i (i)}
      {@const at = starts[i]! + turn.time}
      {#if onturn}
        <g
          role="slider"
          tabindex="0"
          data-turn={i}
          aria-label={i === pan.program.turns.length - 1 ? m.handle_lift() : m.handle_turn({ number: i + 1 })}
          aria-valuemin={Math.round(starts[i]!) + bounds.least}
          aria-valuemax={Math.round(
            pan.program.turns[i + 1] ? at + pan.program.turns[i + 1]!.time - bounds.least : starts[i]! + bounds.most,
          )}
          aria-valuenow={Math.round(at)}
          aria-valuetext={amount(at, "s")}
          class="handle cursor-ew-resize"
          onpointerdown={(e) => grab(e, "turn", i)}
          onpointermove={move}
          onpointerup={() => (held = null)}
          onpointercancel={() => (held = null)}
          onkeydown={(e) => keyTurn(e, i)}
        >
          <rect x={x(at) - 22} y={bands - 14} width="44" height={height - foot - bands + 14} fill="transparent" />
          <line x1={x(at)} x2={x(at)} y1="0" y2={height - foot} stroke="var(--color-rim)" stroke-width="2" />
          <circle cx={x(at)} cy={bands + 4} r="10" fill="white" stroke="var(--color-rim)" stroke-width="2.5" />
          <path
            d={i === pan.program.turns.length - 1
              ? `M${x(at)} ${bands + 9}v-9m-4 4l4-4l4 4`
              : `M${x(at) - 4} ${bands + 4}a4 4 0 1 1 4 4m-2.5-2.5l2.5 2.5l-2.5 2.5`}
            fill="none"
            stroke="var(--color-rim)"
            stroke-width="2"
          />
        </g>
      {:else}
        <line x1={x(at)} x2={x(at)} y1="0" y2={height - foot} stroke="var(--color-rim)" stroke-width="1.5" />
      {/if}
    {/each}
    {#each pan.program.turns as turn, i (i)}
      {#if turn.fat > 0}
        {@const at = x(starts[i]!) + 15}
        {@const on = turn.face === "first" ? 0 : band}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <g
          role={onfat ? "slider" : "img"}
          tabindex={onfat ? 0 : undefined}
          data-drop={i}
          aria-label={m.drop_of({ fat: amount(turn.fat, "g") })}
          aria-valuemin={onfat ? 1 : undefined}
          aria-valuemax={onfat ? pan.program.turns.length : undefined}
          aria-valuenow={onfat ? i + 1 : undefined}
          aria-valuetext={onfat ? m.before_stay({ number: i + 1 }) : undefined}
          class={onfat ? "handle cursor-grab" : ""}
          onpointerdown={(e) => onfat && grab(e, "fat", i)}
          onpointermove={move}
          onpointerup={() => (held = null)}
          onpointercancel={() => (held = null)}
          onkeydown={(e) => onfat && keyFat(e, i)}
        >
          <rect x={at - 13} y={on - 9} width="52" height="44" fill="transparent" />
          <path
            d="M{at} {on + 1}c5 7 8 11 8 15a8 8 0 0 1-16 0c0-4 3-8 8-15z"
            fill="var(--color-ghee)"
            stroke="var(--color-ghee-deep)"
            stroke-width="1.5"
          />
          <text x={at + 11} y={on + 18} class="fill-ink text-fine font-semibold">{amount(turn.fat, "g")}</text>
        </g>
      {/if}
    {/each}
  </svg>
</div>

<style>
  .handle:focus-visible {
    outline: 3px solid var(--color-rim);
    outline-offset: -2px;
    border-radius: 8px;
  }
</style>
