<script lang="ts">
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import Dial from "../parts/Dial.svelte";
  import Figure from "../parts/Figure.svelte";
  import { amount, number } from "../words/format";
  import { ballFollows } from "./dough/ledger";
  import Laid from "./Laid.svelte";
  import type { StageProps } from "./props";
  import { viewOf } from "../words/units";

  let { spec, sheet }: StageProps = $props();
  const ladle = $derived(spec.ladle);
  const round = $derived(sheet.roll.diameter);
  const follows = $derived(ballFollows(spec));
  const volume = $derived(follows ? sheet.dough.start.ladle : ladle.volume);
  const bowl = $derived((sheet.balls.pour?.ladle ?? 0) / 2);
  const wide = $derived(2 * bowl + round + 110);
  const high = $derived(Math.max(round, 2 * bowl) + 34);
</script>

<Laid>
  <div class="grid gap-x-7 gap-y-3 xl:grid-cols-2">
    <div class="grid content-start gap-2">
      <Dial
        label={m.ladle_volume()}
        field="ladle.volume"
        value={volume}
        step={5}
        places={0}
        unit="ml"
        from={30}
        to={250}
        onchange={(v) => (follows ? batch.move({ kind: "ball", ladle: v }, "ball") : (ladle.volume = v))}
      />
      <Dial
        label={m.poured_thickness()}
        field="ladle.thickness"
        value={ladle.thickness}
        step={0.1}
        unit="mm"
        from={0.5}
        to={8}
        good={sheet.balls.pour?.good}
        onchange={(v) => (ladle.thickness = v)}
      />
      <dl class="mt-1 grid grid-cols-2 gap-3">
        <Figure label={m.pieces()} value={number(sheet.balls.count, 0)} />
        <Figure label={m.ladle_weighs()} value={amount(sheet.balls.mass, "g")} />
        <Figure label={m.poured_across()} value={amount(round, "mm")} />
        {#if sheet.balls.pour}<Figure label={m.pours_to()} value={amount(sheet.balls.pour.byItself, "mm")} />{/if}
        <Figure
          label={m.batter_density()}
          value={m.per_ml({
            value: number((sheet.dough.density * viewOf("g").to(1)) / viewOf("ml").to(1), 2),
            mass: viewOf("g").symbol,
            volume: viewOf("ml").symbol,
          })}
        />
      </dl>
    </div>
    <figure>
      <svg
        viewBox="0 0 {wide} {high}"
        class="max-h-72 w-full"
        role="img"
        aria-label={m.ladle_and_round({ volume: amount(volume, "ml"), round: amount(round, "mm") })}
      >
        <path
          d="M{20} {high / 2 - bowl / 2}h{2 * bowl}a{bowl} {bowl} 0 0 1 {-2 * bowl} 0Z"
          fill="var(--color-dough)"
          stroke="var(--color-ink)"
          stroke-width="3"
        />
        <path
          d="M{20 + 2 * bowl} {high / 2 - bowl / 2}l{bowl * 0.9} {-bowl * 0.9}"
          stroke="var(--color-ink)"
          stroke-width="7"
          stroke-linecap="round"
        />
        <path d="M{2 * bowl + 44} {high / 2}h32m-8-7 8 7-8 7" fill="none" stroke="var(--color-rim)" stroke-width="3" />
        <circle
          cx={wide - round / 2 - 4}
          cy={high / 2 - 12}
          r={round / 2 - 1}
          fill="var(--color-raw)"
          stroke="var(--color-crust)"
          stroke-width="1.5"
        />
        <g font-family="var(--font-head)" font-weight="600" font-size={wide * 0.045} text-anchor="middle" fill="var(--color-ink)">
          <text x={bowl + 20} y={high / 2 + bowl * 0.75 + 8}>{amount(volume, "ml")}</text>
          <text x={wide - round / 2 - 4} y={high / 2 - 6}>{amount(round, "mm")}</text>
        </g>
      </svg>
      <figcaption class="text-center text-fine text-mute">{m.ladle_to_scale()}</figcaption>
    </figure>
  </div>
</Laid>
