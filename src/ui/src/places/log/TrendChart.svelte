<script lang="ts">
  import { scaleLinear, scaleUtc } from "d3-scale";
  import type { TrendPoint } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { marks } from "../../parts/marks";
  import { amount, day, number } from "../../words/format";

  /** One figure over the cookings: a line for each thing it is a figure of. */
  interface Props {
    title: string;
    about: string;
    points: TrendPoint[];
    unit: string;
    /** The figure is a difference: nought is drawn. */
    zero?: boolean;
    nameOf: (of: string) => string;
  }
  let { title, about, points, unit, zero = false, nameOf }: Props = $props();
  const id = $props.id();
  let box = $state.raw<DOMRectReadOnly>();
  const W = $derived(Math.round(box?.width ?? 560));
  const H = 190;
  const LEFT = 54;
  const RIGHT = 12;
  const TOP = 12;
  const BOTTOM = 26;

  const lines = $derived.by(() => {
    const by: Record<string, TrendPoint[]> = {};
    for (const point of points) (by[point.of] ??= []).push(point);
    return Object.entries(by)
      .toSorted(([, a], [, b]) => b.length - a.length)
      .slice(0, marks.length)
      .map(([of, all], i) => ({ of, all: all.toReversed(), mark: marks[i]! }));
  });
  const shown = $derived(lines.flatMap((l) => l.all));
  const values = $derived([...shown.map((p) => p.value), ...(zero ? [0] : [])]);
  const x = $derived(
    scaleUtc(
      [Math.min(...shown.map((p) => Date.parse(p.cookedAt))), Math.max(...shown.map((p) => Date.parse(p.cookedAt))) + 1],
      [LEFT, W - RIGHT],
    ),
  );
  const y = $derived(scaleLinear([Math.min(...values), Math.max(...values)], [H - BOTTOM, TOP]).nice(4));
  const at = (p: TrendPoint) => `${x(Date.parse(p.cookedAt)).toFixed(1)},${y(p.value).toFixed(1)}`;
  const said = $derived(
    m.trend_said({
      count: shown.length,
      least: amount(Math.min(...shown.map((p) => p.value)), unit),
      most: amount(Math.max(...shown.map((p) => p.value)), unit),
      newest: amount(points[0]?.value ?? 0, unit),
    }),
  );
</script>

<section class="tray px-4 py-3" aria-labelledby={id}>
  <h2 {id} class="text-lead font-bold">{title}</h2>
  <p class="text-small text-mute">{about}</p>
  {#if shown.length === 0}
    <p class="py-8 text-center text-mute">{m.trend_none()}</p>
  {:else}
    <div bind:contentRect={box}>
      <svg viewBox="0 0 {W} {H}" width={W} height={H} class="block" role="img" aria-label={m.choice_of({ label: title, value: said })}>
        {#each y.ticks(4) as tick (tick)}
          <line x1={LEFT} x2={W - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--color-line)" stroke-width={zero && tick === 0 ? 2.5 : 1} />
          <text x={LEFT - 6} y={y(tick) + 4} text-anchor="end" font-size="13" fill="var(--color-mute)">{number(tick, 1)} {unit}</text>
        {/each}
        {#each x.ticks(Math.max(Math.floor(W / 130), 2)).filter((t) => x(t) < W - RIGHT - 34 && x(t) > LEFT) as tick (tick.getTime())}
          <text x={x(tick)} y={H - 6} text-anchor="middle" font-size="13" fill="var(--color-mute)">{day(tick.toISOString())}</text>
        {/each}
        {#each lines as { of, all, mark } (of)}
          <polyline
            points={all.map(at).join(" ")}
            fill="none"
            stroke={mark.tint}
            stroke-width="2.5"
            stroke-linejoin="round"
            stroke-dasharray={mark.dash}
          />
          {#each all as point, i (i)}
            <path d={mark.path} transform="translate({at(point)})" fill={mark.tint}>
              <title>{nameOf(of)}, {day(point.cookedAt)}: {amount(point.value, unit)}</title>
            </path>
          {/each}
        {/each}
      </svg>
    </div>
    <ul class="flex flex-wrap gap-x-4 text-small">
      {#each lines as { of, mark } (of)}
        {#if of}<li class="flex items-center gap-1.5">
            <svg width="34" height="14" viewBox="-17 -7 34 14" aria-hidden="true">
              <path d="M-16 0h32" stroke={mark.tint} stroke-width="2.5" stroke-dasharray={mark.dash} />
              <path d={mark.path} fill={mark.tint} />
            </svg>
            {nameOf(of)}
          </li>{/if}
      {/each}
    </ul>
  {/if}
</section>
