<script lang="ts">
  import { scaleLinear } from "d3-scale";
  import type { LeavesPoint } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { number } from "../../words/format";
  import { scales } from "./scales";

  /** Leaves that should part against how they were judged: bigger dots for more cookings. */
  let { points }: { points: LeavesPoint[] } = $props();
  const id = $props.id();
  let box = $state.raw<DOMRectReadOnly>();
  const W = $derived(Math.round(box?.width ?? 560));
  const H = 190;
  const LEFT = 62;
  const BOTTOM = 26;
  const words = scales.find((s) => s.key === "leaves")!.words;
  const dots = $derived.by(() => {
    const count: Record<string, { leaves: number; judged: number; n: number }> = {};
    for (const { leaves, judged } of points) (count[`${leaves}-${judged}`] ??= { leaves, judged, n: 0 }).n++;
    return Object.values(count);
  });
  const x = $derived(scaleLinear([0, Math.max(...points.map((p) => p.leaves), 4)], [LEFT + 10, W - 16]).nice(5));
  const y = scaleLinear([1, 5], [H - BOTTOM - 12, 14]);
</script>

<section class="tray px-4 py-3" aria-labelledby={id}>
  <h2 {id} class="text-lead font-bold">{m.trend_leaves()}</h2>
  <p class="text-small text-mute">{m.trend_leaves_more()}</p>
  {#if dots.length === 0}
    <p class="py-8 text-center text-mute">{m.trend_none()}</p>
  {:else}
    <div bind:contentRect={box}>
      <svg
        viewBox="0 0 {W} {H}"
        width={W}
        height={H}
        class="block"
        role="img"
        aria-label={m.choice_of({ label: m.trend_leaves(), value: m.trend_leaves_said({ count: points.length }) })}
      >
        {#each words as word, i (i)}
          <line x1={LEFT} x2={W - 12} y1={y(i + 1)} y2={y(i + 1)} stroke="var(--color-line)" />
          <text x={LEFT - 6} y={y(i + 1) + 4} text-anchor="end" font-size="13" fill="var(--color-mute)">{word()}</text>
        {/each}
        {#each x.ticks(6).filter(Number.isInteger) as tick (tick)}
          <text x={x(tick)} y={H - 6} text-anchor="middle" font-size="13" fill="var(--color-mute)">{number(tick, 0)}</text>
        {/each}
        {#each dots as { leaves, judged, n } (`${leaves}-${judged}`)}
          <circle cx={x(leaves)} cy={y(judged)} r={4 + 2.5 * Math.sqrt(n)} fill="var(--color-rim)" fill-opacity="0.75">
            <title>{leaves}, {words[judged - 1]!()}: {n}</title>
          </circle>
        {/each}
      </svg>
    </div>
  {/if}
</section>
