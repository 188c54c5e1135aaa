<script lang="ts">
  import type { DivideInto } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import Figure from "../../parts/Figure.svelte";
  import { amount } from "../../words/format";
  import { likeName } from "../../words/names/dough";
  import Cut from "./Cut.svelte";
  import { ballFollows } from "../dough/ledger";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const balls = $derived(spec.balls);
  const into = $derived<DivideInto>(balls.into ?? "balls");
  const ways: { value: DivideInto; label: string }[] = [
    { value: "balls", label: m.into_balls() },
    { value: "pairs", label: m.into_pairs() },
    { value: "strips", label: m.into_strips() },
    { value: "log", label: m.into_log() },
  ];
  // Ball and round side by side, to one scale: millimetres in, viewBox units out.
  const round = $derived(sheet.roll.diameter);
  const ball = $derived(sheet.balls.across);
  const wide = $derived(ball + round + 92);
  // Where dough and pieces are fixed the ball follows; turned here, it is the pieces that follow.
  const follows = $derived(ballFollows(spec));
</script>

<div class="grid gap-x-7 gap-y-3 xl:grid-cols-2">
  <div class="grid content-start gap-2">
    <Choice
      label={m.fix_the()}
      value={balls.by}
      options={[
        { value: "mass", label: m.fix_ball() },
        { value: "thickness", label: m.fix_round() },
      ]}
      onchange={(by) => batch.move({ kind: "ballBy", by }, "ballBy")}
    />
    {#if balls.by === "mass"}
      <Dial
        label={m.ball_mass()}
        field="balls.mass"
        value={follows ? sheet.dough.start.ball : balls.mass}
        step={1}
        unit="g"
        from={20}
        to={250}
        onchange={(mass) => (follows ? batch.move({ kind: "ball", mass }, "ball") : (balls.mass = mass))}
      />
    {:else}
      <Dial
        label={m.round_thickness()}
        field="balls.thickness"
        value={follows ? sheet.dough.start.thickness : balls.thickness}
        step={0.1}
        places={2}
        unit="mm"
        to={10}
        onchange={(thickness) => (follows ? batch.move({ kind: "ball", thickness }, "ball") : (balls.thickness = thickness))}
      />
    {/if}
    <Dial
      label={m.round_across()}
      field="roll.diameter"
      value={spec.roll.diameter}
      step={1}
      unit="cm"
      from={80}
      to={400}
      onchange={(v) => (spec.roll.diameter = v)}
    />
    <dl class="mt-1 grid grid-cols-2 gap-3">
      <Figure label={m.one_ball()} value={amount(sheet.balls.mass, "g")} note={sheet.balls.like ? likeName(sheet.balls.like) : ""} />
      <Figure label={m.ball_across()} value={amount(sheet.balls.across, "mm")} />
      <Figure label={m.round_raw()} value={amount(sheet.balls.roundThickness, "mm")} />
      <Figure
        label={m.within_tolerance()}
        value={m.from_to({ least: amount(sheet.balls.lightest, "g"), most: amount(sheet.balls.heaviest, "g") })}
      />
    </dl>
  </div>
  <div class="grid content-start gap-2">
    <Choice label={m.divided_into()} value={into} options={ways} onchange={(to) => (balls.into = to)} />
    {#if sheet.balls.cut}<Cut {spec} {sheet} cut={sheet.balls.cut} />{:else}
      {#if into === "pairs"}<p>{m.pairs_how({ mass: amount(sheet.balls.tray.each, "g"), each: amount(sheet.balls.mass, "g") })}</p>{/if}
      <figure>
        <svg
          viewBox="0 0 {wide} {round + 34}"
          class="max-h-56 w-full"
          role="img"
          aria-label={m.ball_and_round({ ball: amount(ball, "mm"), round: amount(round, "mm") })}
        >
          <g stroke="var(--color-crust)" stroke-width="1.5">
            <circle class="grows" cx={ball / 2 + 20} cy={round / 2} r={ball / 2} fill="var(--color-dough)" />
            <circle class="grows" cx={wide - round / 2 - 4} cy={round / 2} r={round / 2 - 1} fill="var(--color-raw)" />
            <circle cx={wide - round / 2 - 4} cy={round / 2} r={ball / 2} fill="none" stroke-dasharray="4 4" opacity="0.6" />
          </g>
          <path d="M{ball + 34} {round / 2}h32m-8-7 8 7-8 7" fill="none" stroke="var(--color-rim)" stroke-width="3" />
          <g font-family="var(--font-head)" font-weight="600" font-size="15" text-anchor="middle" fill="var(--color-ink)">
            <text x={ball / 2 + 20} y={round / 2 + ball / 2 + 20}>{amount(ball, "mm")}</text>
            <text x={wide - round / 2 - 4} y={round + 20}>{amount(round, "mm")}</text>
          </g>
        </svg>
        <figcaption class="text-center text-fine text-mute">{m.drawn_to_one_scale()}</figcaption>
      </figure>{/if}
  </div>
</div>

<style>
  .grows {
    transition:
      r 160ms ease-out,
      cx 160ms ease-out;
  }
</style>
