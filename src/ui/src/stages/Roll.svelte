<script lang="ts">
  import { m } from "../paraglide/messages";
  import Choice from "../parts/Choice.svelte";
  import Dial from "../parts/Dial.svelte";
  import Figure from "../parts/Figure.svelte";
  import Gauge from "../parts/Gauge.svelte";
  import { amount } from "../words/format";
  import { outlineName } from "../words/names/fold";
  import Laid from "./Laid.svelte";
  import { ringsOf } from "../section/rings";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const roll = $derived(spec.roll);
  const turns = $derived(Math.min(Math.round(ringsOf(sheet.section) || 4), 40));
  const long = $derived(sheet.roll.across);
  const wide = $derived(sheet.roll.wide);
  // The pin's outline is as much bigger than the bread as the dough will spring back.
  const past = $derived(sheet.roll.rollTo / sheet.roll.diameter);
  const box = $derived(Math.max(long, wide) * past + 14);

  const outlineOf = $derived((k: number): string => {
    const l = (long * k) / 2;
    const w = (wide * k) / 2;
    switch (sheet.roll.outline) {
      case "halfMoon":
        return `M${-l} ${-w}H${l}A${l} ${2 * w} 0 0 1 ${-l} ${-w}Z`;
      case "wedge":
        return `M${-l} ${-w}H${l}A${2 * l} ${2 * w} 0 0 1 ${-l} ${w}Z`;
      case "block":
      case "rope":
        return `M${-l} ${-w}H${l}V${w}H${-l}Z`;
      default:
        return `M${-l} 0A${l} ${w} 0 1 1 ${l} 0A${l} ${w} 0 1 1 ${-l} 0Z`;
    }
  });
</script>

<Laid>
  <div class="grid gap-x-7 gap-y-3 xl:grid-cols-2">
    <div class="grid content-start gap-2">
      <Dial
        label={m.roll_across()}
        field="roll.diameter"
        value={roll.diameter}
        step={1}
        unit="cm"
        from={80}
        to={400}
        onchange={(v) => (roll.diameter = v)}
      />
      <Dial
        label={m.rest_before_roll()}
        field="roll.rest"
        value={roll.rest}
        step={1}
        places={0}
        unit="min"
        to={60}
        onchange={(v) => (roll.rest = v)}
      />
      <Choice
        label={m.rolled_by()}
        value={roll.by ?? "pin"}
        options={[
          { value: "pin", label: m.by_pin() },
          { value: "hand", label: m.by_hand() },
        ]}
        onchange={(by) => (roll.by = by)}
      />
      {#if sheet.filling}
        <!-- A wall may not tear; how bready it eats is another matter. -->
        <Gauge
          label={m.wall_is()}
          value={sheet.filling.parcel.wall}
          from={0}
          said={amount(sheet.filling.parcel.wall, "mm")}
          zones={[
            { to: sheet.filling.parcel.wallLeast, label: m.zone_tears(), bad: true },
            { to: Math.max(sheet.filling.parcel.wallLeast * 2.5, sheet.filling.parcel.wall * 1.2), label: m.filling_holds(), good: true },
          ]}
        />
      {:else}<Gauge
          label={m.one_leaf_is()}
          value={sheet.roll.leaf}
          from={0}
          said={amount(sheet.roll.leaf, "mm")}
          zones={[
            { to: sheet.roll.smearedUnder, label: "", bad: true },
            { to: sheet.roll.breadyOver, label: m.zone_leaf(), good: true },
            { to: Math.max(sheet.roll.breadyOver * 1.75, sheet.roll.leaf), label: m.zone_bready() },
          ]}
        />{/if}
      <dl class="mt-2 grid grid-cols-2 gap-3">
        <Figure label={m.roll_to()} value={amount(sheet.roll.rollTo, "mm")} />
        <Figure label={m.springs_back_by()} value={amount(sheet.roll.springback, "%")} />
        <Figure label={m.thick_raw()} value={amount(sheet.roll.thickness, "mm")} />
        <Figure
          label={m.measures()}
          value={Math.abs(long - wide) < 0.5 ? amount(long, "mm") : m.by({ long: amount(long, "mm"), wide: amount(wide, "mm") })}
        />
      </dl>
    </div>
    <figure>
      <svg
        viewBox="{-box / 2} {-box / 2} {box} {box}"
        class="max-h-72 w-full"
        role="img"
        aria-label={m.roll_from_above({ shape: outlineName[sheet.roll.outline](), across: amount(long, "mm") })}
      >
        <path d={outlineOf(past)} fill="none" stroke="var(--color-rim)" stroke-width="1.4" stroke-dasharray="5 4" />
        <path d={outlineOf(1)} fill="var(--color-raw)" stroke="var(--color-crust)" stroke-width="1.6" />
        {#if sheet.roll.outline === "coil" || sheet.roll.outline === "upright" || sheet.roll.outline === "cone"}
          <path
            d={Array.from({ length: 36 * turns }, (_, i) => {
              const r = (long / 2) * (1 - i / (36 * turns)) * 0.97;
              const a = (i / 36) * 2 * Math.PI;
              return `${i ? "L" : "M"}${(r * Math.cos(a)).toFixed(1)} ${(r * Math.sin(a)).toFixed(1)}`;
            }).join("")}
            fill="none"
            stroke="var(--color-crust)"
            opacity="0.6"
          />
        {/if}
      </svg>
      <figcaption class="text-center text-fine text-mute">{m.dashed_is_the_pin()}</figcaption>
    </figure>
  </div>
</Laid>
