<script lang="ts">
  import { scaleLinear } from "d3-scale";
  import { line } from "d3-shape";
  import type { PanSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, number } from "../../words/format";
  import { viewOf } from "../../words/units";
  import FaceBands from "./FaceBands.svelte";
  import ChartWords from "./ChartWords.svelte";
  import Drop from "./Drop.svelte";
  import TurnHandle from "./TurnHandle.svelte";

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

  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 640));
  const left = 58;
  const band = 32;
  const bands = 2 * band + 6;
  const foot = 22;
  // A drop with its grams.
  const DROP_WIDE = 54;
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
  // The same in the kitchen's own degrees, so that its lines are round there.
  const heatAxis = $derived(scaleLinear([0, hottest].map(viewOf("°C").to), y.range()));
  const { times, pan: heat, middle } = $derived(pan.trace);
  const curve = $derived(
    (values: number[]) =>
      line<number>(
        (_, i) => x(times[i]!),
        (v) => y(v),
      )(values) ?? "",
  );
  const starts = $derived(pan.program.turns.map((_, i) => pan.program.turns.slice(0, i).reduce((sum, t) => sum + t.time, 0)));
  const ticks = $derived(x.ticks(Math.min(Math.floor(width / 80), 10)));
  const marks = $derived([
    { at: pan.done.blisters, name: m.mark_blisters() },
    { at: pan.done.cookedAt, name: m.mark_cooked() },
  ]);

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
  // By keys, they stay on the drop.
  function carry(from: number, to: number) {
    onfat?.(from, to);
    following = to;
  }
  function grab(event: PointerEvent, kind: "turn" | "fat", at: number) {
    held = { kind, at };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
</script>

<div class="min-w-0" bind:contentRect={box}>
  <svg bind:this={svg} {width} {height} class="block touch-pan-y select-none" role="group" aria-label={label} data-testid="pan-chart">
    <FaceBands {pan} {x} {left} {band} {starts} />

    {#each heatAxis.ticks(5) as t (t)}
      <line x1={left} x2={width - 12} y1={heatAxis(t)} y2={heatAxis(t)} stroke="var(--color-line)" />
      <text x={left - 6} y={heatAxis(t) + 4} text-anchor="end" class="fill-mute text-fine">{number(t, 0)}°</text>
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
    {/if}
    <path d={curve(heat)} fill="none" stroke="var(--color-ink)" stroke-width="3" />
    <path d={curve(middle)} fill="none" stroke="var(--color-rim)" stroke-width="3" stroke-dasharray="1 5" stroke-linecap="round" />
    {#if heat.length > 0}
      <text x={left + 6} y={y(heat[0]!) + 20} class="fill-ink text-small font-semibold">{m.line_pan()}</text>
    {/if}
    {#if measured != null}
      <line x1={left} x2={width - 12} y1={y(measured)} y2={y(measured)} stroke="var(--color-leaf)" stroke-width="2" />
      <text x={left + 4} y={y(measured) - 5} class="fill-leaf text-fine font-semibold" data-testid="measured-line"
        >{m.probe_line({ heat: amount(measured, "°C") })}</text
      >
    {/if}
    {#each marks as mark (mark.name)}
      {#if mark.at != null}
        <path d="M{x(mark.at)} {height - foot}v-9" stroke="var(--color-leaf)" stroke-width="3" />
      {/if}
    {/each}

    {#each pan.program.turns as turn, i (i)}
      {@const at = starts[i]! + turn.time}
      {@const next = pan.program.turns[i + 1]}
      {#if onturn}
        <TurnHandle
          stay={i}
          last={!next}
          from={starts[i]!}
          to={at}
          next={next ? at + next.time : null}
          x={x(at)}
          top={bands + 4}
          foot={height - foot}
          ongrab={(e) => grab(e, "turn", i)}
          onmove={move}
          onleave={() => (held = null)}
          onby={(seconds) => onby?.(i, seconds)}
        />
      {:else}
        <line x1={x(at)} x2={x(at)} y1="0" y2={height - foot} stroke="var(--color-rim)" stroke-width="1.5" />
      {/if}
    {/each}
    {#each pan.program.turns as turn, i (i)}
      {#if turn.fat > 0}
        <Drop
          stay={i}
          fat={turn.fat}
          stays={pan.program.turns.length}
          x={Math.min(x(starts[i]!) + 15, width - DROP_WIDE)}
          y={turn.face === "first" ? 0 : band}
          {...onfat && {
            held: { grab: (e: PointerEvent) => grab(e, "fat", i), move, leave: () => (held = null), to: (to: number) => carry(i, to) },
          }}
        />
      {/if}
    {/each}
    <ChartWords {pan} {x} {y} {width} {hottest} {marks} {left} foot={height - foot} />
  </svg>
</div>
