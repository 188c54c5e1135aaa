<script lang="ts">
  import { m } from "../paraglide/messages";
  import Choice from "../parts/Choice.svelte";
  import Dial from "../parts/Dial.svelte";
  import Figure from "../parts/Figure.svelte";
  import Gauge from "../parts/Gauge.svelte";
  import Pick from "../parts/Pick.svelte";
  import { amount } from "../words/format";
  import Laid from "./Laid.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet: plan }: StageProps = $props();
  const sheet = $derived(spec.sheet);
  const across = $derived(plan.sheet.diameter);
  const round = $derived(plan.roll.diameter);
  // A width that is being typed may be no width yet.
  const wide = $derived(sheet.width == null ? across : Math.max(sheet.width, 1));
  const box = $derived(Math.max(across, wide, round) + 20);
  // How strongly the ghee shows: a full film that just holds is full colour.
  const fatTint = $derived(plan.sheet.mostFat > 0 ? Math.min(Math.max(sheet.fatMass / plan.sheet.mostFat, 0), 1) : 0);
  const specks = $derived(Math.min(Math.round(plan.sheet.dust * 60), 260));
  const top = $derived(Math.max(plan.sheet.thickness, plan.sheet.thickFrom * 1.5));
</script>

<Laid>
  <div class="grid gap-x-7 gap-y-3 xl:grid-cols-2">
    <div class="grid content-start gap-y-1">
      <Choice
        label={m.sheet_shape()}
        value={sheet.width == null ? "round" : "rectangle"}
        options={[
          { value: "round", label: m.shape_round() },
          { value: "rectangle", label: m.shape_rectangle() },
        ]}
        onchange={(shape) => {
          // The same area either way, so that nothing thins by switching.
          if (shape === "round") [sheet.diameter, sheet.width] = [plan.sheet.asRound, undefined];
          else [sheet.diameter, sheet.width] = [plan.sheet.asLong, plan.sheet.asWide];
        }}
      />
      <div class="grid gap-x-4 {sheet.width == null ? '' : 'grid-cols-2'}">
        <Dial
          label={sheet.width == null ? m.sheet_across() : m.sheet_long()}
          field="sheet.diameter"
          value={sheet.diameter}
          step={1}
          unit="cm"
          from={100}
          to={600}
          good={sheet.width == null ? { least: plan.sheet.thickFromAcross, most: plan.sheet.thinnestAcross } : undefined}
          onchange={(v) => (sheet.diameter = v)}
        />
        {#if sheet.width != null}
          <Dial
            label={m.sheet_wide()}
            field="sheet.width"
            value={sheet.width}
            step={1}
            unit="cm"
            from={60}
            to={600}
            onchange={(v) => (sheet.width = v)}
          />
        {/if}
      </div>
      <Dial
        label={m.ball_rest()}
        field="sheet.rest"
        value={sheet.rest}
        step={5}
        places={0}
        unit="min"
        to={120}
        onchange={(v) => (sheet.rest = v)}
      />
      <Dial
        label={m.fat_on_sheet()}
        field="sheet.fatMass"
        value={sheet.fatMass}
        step={0.5}
        unit="g"
        to={Math.max(plan.sheet.mostFat * 1.5, 1)}
        good={{ least: 0, most: plan.sheet.mostFat }}
        onchange={(v) => (sheet.fatMass = v)}
      />
      <Dial
        label={m.dust_on_sheet()}
        field="sheet.dustMass"
        value={sheet.dustMass}
        step={0.5}
        unit="g"
        to={6}
        onchange={(v) => (sheet.dustMass = v)}
      />
    </div>
    <div class="grid content-start gap-3">
      <figure>
        <svg
          viewBox="{-box / 2} {-box / 2} {box} {box}"
          class="mx-auto h-44"
          role="img"
          aria-label={m.sheet_from_above({ across: amount(across, "mm") })}
        >
          {#if sheet.width == null}
            <circle class="grows" r={across / 2} fill="var(--color-raw)" stroke="var(--color-crust)" stroke-width="2" />
            <circle class="grows" r={across / 2 - 4} fill="var(--color-ghee)" opacity={0.75 * fatTint} />
          {:else}
            <g transform="translate({-across / 2} {-wide / 2})">
              <rect width={across} height={wide} fill="var(--color-raw)" stroke="var(--color-crust)" stroke-width="2" />
              <rect
                x="3"
                y="3"
                width={Math.max(across - 6, 0)}
                height={Math.max(wide - 6, 0)}
                fill="var(--color-ghee)"
                opacity={0.75 * fatTint}
              />
            </g>
          {/if}
          {#each { length: specks }, i (i)}
            {@const turn = i * 2.39996}
            {@const out = (Math.min(across, wide) / 2 - 8) * Math.sqrt((i + 0.5) / specks)}
            <circle cx={Math.cos(turn) * out} cy={Math.sin(turn) * out} r="2.2" fill="white" />
          {/each}
          <circle r={round / 2} fill="none" stroke="var(--color-rim)" stroke-width="2" stroke-dasharray="7 6" />
          <text text-anchor="middle" y="6" font-family="var(--font-head)" font-weight="700" font-size={box * 0.075} fill="var(--color-ink)"
            >{sheet.width == null ? amount(across, "mm") : m.by({ long: amount(across, "mm"), wide: amount(wide, "mm") })}</text
          >
        </svg>
        <figcaption class="text-center text-fine text-mute">{m.dashed_is_the_round({ round: amount(round, "mm") })}</figcaption>
      </figure>
      <Gauge
        label={m.sheet_thickness()}
        value={plan.sheet.thickness}
        from={0}
        said={amount(plan.sheet.thickness, "mm")}
        zones={[
          { to: plan.sheet.thinnest, label: m.zone_tears(), bad: true },
          { to: plan.sheet.thickFrom, label: m.zone_thin(), good: true },
          { to: top, label: m.zone_thick() },
        ]}
      />
      <dl class="grid grid-cols-3 gap-3">
        <Figure label={m.thinnest()} value={amount(plan.sheet.thinnest, "mm")} />
        <Figure label={m.fat_film()} value={amount(plan.sheet.film, "µm")} />
        <Figure label={m.fat_holds()} value={amount(plan.sheet.mostFat, "g")} />
      </dl>
      <div class="grid grid-cols-2 gap-3">
        <Pick label={m.fat()} field="sheet.fat" value={sheet.fat} onchange={(id) => (sheet.fat = id)} />
        <Pick label={m.flour_or_starch()} field="sheet.dust" value={sheet.dust} onchange={(id) => (sheet.dust = id)} />
      </div>
    </div>
  </div>
</Laid>

<style>
  .grows {
    transition: r 160ms ease-out;
  }
</style>
