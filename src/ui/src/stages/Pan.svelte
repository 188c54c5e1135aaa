<script lang="ts">
  import type { Colour } from "../api/types";
  import { m } from "../paraglide/messages";
  import Choice from "../parts/Choice.svelte";
  import Dial from "../parts/Dial.svelte";
  import Gauge from "../parts/Gauge.svelte";
  import Pick from "../parts/Pick.svelte";
  import { amount, number } from "../words/format";
  import { colourName, shortName } from "../words/names";
  import FatBar from "./FatBar.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const pan = $derived(spec.pan);
  const colours = (Object.keys(colourName) as Colour[]).map((value) => ({ value, label: colourName[value]() }));
  const faceTint = { pale: "#e9cf9c", gold: "#d9a24e", brown: "#a8692f" };
  const turnTint = $derived(["#efdcb4", faceTint[pan.colour], faceTint[pan.colour]]);
  const turnName = [m.turn_first, m.turn_second, m.turn_last];
  const smoke = $derived(sheet.pan.smokePoint ?? 300);
  const watch = $derived(sheet.pan.smokeWatchFrom ?? smoke);
</script>

<ol class="mb-4 flex gap-1.5" aria-label={m.turns()}>
  {#each sheet.pan.turns as turn, i (i)}
    <li
      class="min-w-24 rounded-xl border-2 border-crust px-3 py-2 transition-[flex-grow] duration-150"
      style:flex-grow={turn.time}
      style:flex-basis="0"
      style:background={turnTint[i]}
      class:text-white={i > 0 && pan.colour === "brown"}
    >
      <span class="block text-[13px] leading-tight font-semibold">{turnName[i]?.()}</span>
      <b class="block text-[38px] leading-none" data-testid="turn">{number(turn.time, 0)}<span class="text-[17px]"> s</span></b>
      <span class="block text-[13px] leading-tight"
        >{turn.fat > 0 ? m.fat_now({ mass: amount(turn.fat, "g"), fat: shortName(pan.fat) }) : m.dry()}</span
      >
    </li>
  {/each}
</ol>
<div class="grid gap-x-7 gap-y-2 sm:grid-cols-2">
  <Dial
    label={m.pan_heat()}
    field="pan.temperature"
    value={pan.temperature}
    step={5}
    places={0}
    unit="°C"
    from={140}
    to={280}
    good={{ least: sheet.pan.coolUnder, most: watch }}
    onchange={(v) => (pan.temperature = v)}
  />
  <Dial
    label={m.fat_per_side()}
    field="pan.fatPerSide"
    value={pan.fatPerSide}
    step={0.5}
    unit="g"
    to={Math.max(sheet.pan.fatGood.most * 1.6, 1)}
    good={sheet.pan.fatGood}
    onchange={(v) => (pan.fatPerSide = v)}
  />
  <Choice label={m.colour_wanted()} value={pan.colour} options={colours} onchange={(v) => (pan.colour = v)} />
  <Pick label={m.fat()} field="pan.fat" value={pan.fat} onchange={(id) => (pan.fat = id)} />
</div>
<div class="mt-4 grid gap-x-7 gap-y-4 sm:grid-cols-2">
  <Gauge
    label={m.pan_against_smoke({ fat: shortName(pan.fat) })}
    value={pan.temperature}
    from={140}
    said={m.smokes_at({ heat: amount(smoke, "°C") })}
    zones={[
      { to: Math.max(watch, 141), label: m.zone_clear(), good: true },
      { to: Math.max(smoke, 142), label: "" },
      { to: Math.max(300, smoke + 20), label: m.zone_smokes(), bad: true },
    ]}
  />
  <FatBar fat={sheet.pan.fat} />
</div>
