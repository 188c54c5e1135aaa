<script lang="ts">
  import { m } from "../paraglide/messages";
  import Choice from "../parts/Choice.svelte";
  import Dial from "../parts/Dial.svelte";
  import Figure from "../parts/Figure.svelte";
  import { amount, number } from "../words/format";
  import { pressName, restEnd } from "../words/names/dough";
  import Laid from "./Laid.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet: plan }: StageProps = $props();
  const rest = $derived(spec.rest);
  const sheet = $derived(plan.rest);
  const poured = $derived(!plan.stages.includes("sheet"));

  // Time along the bottom, both costs from one floor up: how far a sheet pulls back, how thick it has to stay.
  const W = 420;
  const H = 160;
  const floor = H - 26;
  const last = $derived(sheet.curve.at(-1)?.rest ?? 1);
  const x = (t: number) => (W * Math.min(t, last)) / last;
  const mostBack = $derived(Math.max(...sheet.curve.map((p) => p.pullsBack), 1) * 1.15);
  const mostThin = $derived(Math.max(...sheet.curve.map((p) => p.thinnest), 0.1) * 1.15);
  const yBack = (v: number) => floor - (v / mostBack) * (floor - 14);
  const yThin = (v: number) => floor - (v / mostThin) * (floor - 14);
  const line = (y: (p: (typeof sheet.curve)[number]) => number) =>
    "M" + sheet.curve.map((p) => `${x(p.rest).toFixed(1)} ${y(p).toFixed(1)}`).join("L");
  const ticks = $derived([0.25, 0.5, 0.75, 1].map((k) => Math.round((last * k) / 5) * 5));
</script>

<Laid>
  <div class="grid gap-x-7 gap-y-3 xl:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
    <div class="grid content-start gap-2">
      <Dial
        label={m.rest_time()}
        field="rest.time"
        value={rest.time}
        step={rest.place === "fridge" ? 30 : 5}
        places={0}
        unit="min"
        to={rest.place === "fridge" ? 1440 : Math.max(Math.min(sheet.longest, 240), 60)}
        good={{ least: sheet.least, most: Math.max(sheet.longest, sheet.least) }}
        onchange={(v) => (rest.time = v)}
      />
      <Choice
        label={m.rest_place()}
        value={rest.place}
        options={[
          { value: "room", label: m.place_room() },
          { value: "fridge", label: m.place_fridge() },
        ]}
        onchange={(v) => (rest.place = v)}
      />
      <Choice
        label={m.rest_air()}
        value={rest.air}
        options={[
          { value: "humid", label: m.air_humid() },
          { value: "normal", label: m.air_normal() },
          { value: "dry", label: m.air_dry() },
          { value: "highUp", label: m.air_high_up() },
        ]}
        onchange={(v) => (rest.air = v)}
      />
      <div class="grid grid-cols-2 gap-3">
        <Choice
          label={m.rest_covered()}
          value={rest.covered ? "yes" : "no"}
          options={[
            { value: "yes", label: m.rest_covered_yes() },
            { value: "no", label: m.rest_covered_no() },
          ]}
          onchange={(v) => (rest.covered = v === "yes")}
        />
        <Choice
          label={m.rest_oiled()}
          value={rest.oiled ? "yes" : "no"}
          options={[
            { value: "yes", label: m.rest_oiled_yes() },
            { value: "no", label: m.rest_oiled_no() },
          ]}
          onchange={(v) => (rest.oiled = v === "yes")}
        />
      </div>
    </div>
    <div class="grid content-start gap-3">
      {#if !poured}
        <figure>
          <figcaption class="mb-1 flex flex-wrap justify-between gap-x-4">
            <b>{m.rest_curve()}</b>
            <span class="flex gap-4 text-fine">
              <span><span class="me-1 inline-block h-1 w-5 bg-rim align-middle"></span>{m.curve_pull()}</span>
              <span><span class="me-1 inline-block h-0 w-5 border-t-4 border-dotted border-crust align-middle"></span>{m.curve_thin()}</span
              >
            </span>
          </figcaption>
          <svg
            viewBox="0 0 {W} {H}"
            class="w-full"
            role="img"
            aria-label={m.rest_chart({
              time: amount(rest.time, "min"),
              back: amount(sheet.now.pullsBack, "%"),
              thin: amount(sheet.now.thinnest, "mm"),
            })}
          >
            <rect
              x={x(sheet.least)}
              width={Math.max(x(Math.min(sheet.longest, last)) - x(sheet.least), 0)}
              y="8"
              height={floor - 8}
              fill="var(--color-leaf-soft)"
            />
            <path d="M{x(sheet.best)} 8V{floor}" stroke="var(--color-leaf)" stroke-width="2" />
            {#if sheet.longest < last}<path d="M{x(sheet.longest)} 8V{floor}" stroke="var(--color-chilli)" stroke-width="3" />{/if}
            <path d="M0 {floor}H{W}" stroke="var(--color-rim-soft)" stroke-width="1.5" />
            <path d={line((p) => yBack(p.pullsBack))} fill="none" stroke="var(--color-rim)" stroke-width="3.5" />
            <path
              d={line((p) => yThin(p.thinnest))}
              fill="none"
              stroke="var(--color-crust)"
              stroke-width="4"
              stroke-dasharray="2 5"
              stroke-linecap="round"
            />
            <g font-family="var(--font-head)" font-size="14" font-weight="600" fill="var(--color-ink)">
              {#each ticks as t (t)}<text
                  x={Math.min(x(t), W - 4)}
                  y={H - 8}
                  text-anchor={t === ticks.at(-1) ? "end" : "middle"}
                  fill="var(--color-mute)">{t} min</text
                >{/each}
              <text x={x(sheet.best) + 4} y="22" fill="var(--color-leaf)">{m.rest_best({ time: number(sheet.best, 0) })}</text>
              {#if rest.time <= last}
                <path d="M{x(rest.time)} 8V{floor}" stroke="var(--color-ink)" stroke-width="2.5" />
                <circle cx={x(rest.time)} cy={yBack(sheet.now.pullsBack)} r="6.5" fill="var(--color-rim)" stroke="white" stroke-width="2" />
                <circle
                  cx={x(rest.time)}
                  cy={yThin(sheet.now.thinnest)}
                  r="6.5"
                  fill="var(--color-crust)"
                  stroke="white"
                  stroke-width="2"
                />
              {/if}
            </g>
          </svg>
        </figure>
        <dl class="grid grid-cols-2 gap-x-3 gap-y-1.5">
          <Figure label={m.curve_pull()} value={amount(sheet.now.pullsBack, "%")} />
          <Figure label={m.curve_thin()} value={amount(sheet.now.thinnest, "mm")} />
          <Figure label={m.rest_least()} value={amount(sheet.least, "min")} />
          <Figure label={m.rest_longest()} value={amount(sheet.longest, "min")} />
        </dl>
      {:else}
        <dl class="grid grid-cols-3 gap-3">
          <Figure label={m.rest_least()} value={amount(sheet.least, "min")} />
          <Figure label={m.rest_best_is()} value={amount(sheet.best, "min")} />
          <Figure label={m.rest_longest()} value={amount(sheet.longest, "min")} />
        </dl>
      {/if}
      <p class="text-small">
        {m.rest_longest()}
        {amount(sheet.longest, "min")}: {restEnd[sheet.end]()}.
        {#if !poured}{m.rest_counts({ balls: amount(spec.sheet.rest, "min"), counts: amount(sheet.counts, "min") })}{/if}
        <b class="block text-body">{m.press_test()}. <span class="font-text font-normal">{pressName[sheet.press]()}</span></b>
      </p>
      {#if sheet.warmsAsOne != null && sheet.warmsAsBalls != null && !poured}
        <p data-testid="warms">
          <b>{m.rest_warms({ heat: amount(18, "°C") })}:</b>
          {m.warms_one({ time: amount(sheet.warmsAsOne, "min") })}, {m.warms_balls({ time: amount(sheet.warmsAsBalls, "min") })}
        </p>
      {/if}
    </div>
  </div>
</Laid>
