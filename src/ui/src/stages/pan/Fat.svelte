<script lang="ts">
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Dial from "../../parts/Dial.svelte";
  import Gauge from "../../parts/Gauge.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { amount } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import FatBar from "../FatBar.svelte";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const pan = $derived(sheet.pan);
  const smoke = $derived(pan.heat.smokePoint ?? 300);
  const watch = $derived(pan.heat.smokeWatchFrom ?? smoke);
</script>

<div class="grid gap-x-7 gap-y-3 sm:grid-cols-2">
  <Pick label={m.fat()} field="pan.fat" value={spec.pan.fat} onchange={(id) => (spec.pan.fat = id)} />
  <Dial
    label={m.fat_per_side()}
    field="pan.fatPerSide"
    of={spec.pan.fat}
    value={spec.pan.fatPerSide}
    step={0.5}
    unit="g"
    to={Math.max(pan.film.good.most * 1.6, 1)}
    good={pan.film.good}
    onchange={(v) => ((spec.pan.fatPerSide = v), delete spec.pan.own)}
  />
  {#if spec.pan.second}
    {@const second = spec.pan.second}
    <div>
      <Pick label={m.second_fat()} field="pan.second.id" value={second.id} except={[spec.pan.fat]} onchange={(id) => (second.id = id)} />
      <button class="button mt-1" onclick={() => batch.change(() => delete spec.pan.second)}
        >{m.second_fat_out({ fat: shortName(second.id) })}</button
      >
    </div>
    <Dial
      label={m.second_fat_share({ fat: shortName(second.id) })}
      field="pan.second.share"
      value={second.share}
      step={5}
      places={0}
      unit="%"
      onchange={(v) => (second.share = v)}
    />
  {:else}
    <Pick
      label={m.second_fat()}
      field="pan.second.id"
      value=""
      prompt={m.second_fat_add()}
      except={[spec.pan.fat]}
      onchange={(id) => (spec.pan.second = { id, share: 30 })}
    />
  {/if}
</div>
<div class="mt-2 grid gap-x-7 gap-y-2 sm:grid-cols-2">
  <Gauge
    label={m.pan_against_smoke({ fat: shortName(spec.pan.fat) })}
    value={pan.heat.high}
    from={140}
    said={m.smokes_at({ heat: amount(smoke, "°C") })}
    zones={[
      { to: Math.max(watch, 141), label: m.zone_clear(), good: true },
      { to: Math.max(smoke, 142), label: "" },
      { to: Math.max(300, smoke + 20), label: m.zone_smokes(), bad: true },
    ]}
  />
  <div>
    <FatBar fat={pan.fat} />
    <p class="mt-1 text-body" data-testid="fat-of-piece">
      {m.fat_of_piece({ share: amount(pan.fat.share, "%"), energy: amount(pan.fat.energy, "kcal") })}
      {#if pan.fat.left > 0.05}{m.fat_left({ mass: amount(pan.fat.left, "g") })}{/if}
    </p>
  </div>
</div>
