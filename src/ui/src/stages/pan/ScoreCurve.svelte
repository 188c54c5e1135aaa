<script lang="ts">
  import { scaleLinear } from "d3-scale";
  import { area, line } from "d3-shape";
  import type { PracticeEnd } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, number } from "../../words/format";

  /** What every second of one turn would have given: the best marked, yours marked. */
  interface Props {
    curve: PracticeEnd["curves"][number];
    name: string;
    /** All curves of a round stand on one line of time. */
    end: number;
    /** The least and the most of all of them. */
    scores: [number, number];
  }
  let { curve, name, end, scores }: Props = $props();
  const height = 84;
  const [top, foot] = [18, 18];
  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 480));
  const x = $derived(scaleLinear([0, end], [8, width - 8]));
  const y = $derived(scaleLinear([Math.max(scores[0] - 4, 0), scores[1]], [height - foot, top]));
  const scoreAt = (second: number) => curve.scores[second - curve.from] ?? 0;
  const drawn = $derived(
    line<number>(
      (_, i) => x(curve.from + i),
      (v) => y(v),
    )(curve.scores) ?? "",
  );
  const filled = $derived(
    area<number>(
      (_, i) => x(curve.from + i),
      y.range()[0]!,
      (v) => y(v),
    )(curve.scores) ?? "",
  );
  const off = $derived(curve.yours - curve.best);
  const said = $derived(
    off === 0
      ? m.curve_spot_on({ at: amount(curve.yours, "s") })
      : (off < 0 ? m.curve_early : m.curve_late)({
          at: amount(curve.yours, "s"),
          by: amount(Math.abs(off), "s"),
          best: number(scoreAt(curve.best), 0),
        }),
  );
  // Words over marks that stand close are kept apart.
  const anchor = (second: number) => (x(second) > width - 90 ? "end" : x(second) < 90 ? "start" : "middle");
</script>

<figure class="min-w-0" data-testid="score-curve">
  <figcaption class="flex flex-wrap items-baseline justify-between gap-x-3 text-body"><b>{name}</b><span>{said}</span></figcaption>
  <div bind:contentRect={box}>
    <svg {width} {height} role="img" aria-label={m.choice_of({ label: name, value: said })}>
      <path d={filled} fill="var(--color-leaf-soft)" /><path d={drawn} fill="none" stroke="var(--color-leaf)" stroke-width="2" />
      <line x1={x(0)} x2={x(end)} y1={y.range()[0]!} y2={y.range()[0]!} stroke="var(--color-line)" stroke-width="2" />
      <line
        x1={x(curve.best)}
        x2={x(curve.best)}
        y1={y(scoreAt(curve.best))}
        y2={y.range()[0]!}
        stroke="var(--color-leaf)"
        stroke-width="2"
        stroke-dasharray="4 3"
      />
      <circle cx={x(curve.best)} cy={y(scoreAt(curve.best))} r="5" fill="white" stroke="var(--color-leaf)" stroke-width="3" />
      <text x={x(curve.best)} y="12" font-size="13" text-anchor={anchor(curve.best)} fill="var(--color-leaf)" font-weight="700"
        >{m.curve_best()} {amount(curve.best, "s")}</text
      >
      <line
        x1={x(curve.yours)}
        x2={x(curve.yours)}
        y1={y(scoreAt(curve.yours))}
        y2={y.range()[0]!}
        stroke="var(--color-ink)"
        stroke-width="2"
      />
      <circle cx={x(curve.yours)} cy={y(scoreAt(curve.yours))} r="5" fill="var(--color-ink)" />
      <text x={x(curve.yours)} y={height - 3} font-size="13" text-anchor={anchor(curve.yours)} font-weight="700"
        >{m.curve_yours()} {amount(curve.yours, "s")}</text
      >
    </svg>
  </div>
</figure>
