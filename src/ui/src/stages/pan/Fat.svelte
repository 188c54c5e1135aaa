<script lang="ts">
  import type { Finish, HoldIn } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import Gauge from "../../parts/Gauge.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { amount, leaves } from "../../words/format";
  import { finishName, holdName, shortName } from "../../words/names";
  import FatBar from "../FatBar.svelte";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const pan = $derived(sheet.pan);
  const smoke = $derived(pan.heat.smokePoint ?? 300);
  const watch = $derived(pan.heat.smokeWatchFrom ?? smoke);
  const finishes = (Object.keys(finishName) as Finish[]).map((value) => ({ value, label: finishName[value]() }));
  const holds = (Object.keys(holdName) as HoldIn[]).map((value) => ({ value, label: holdName[value]() }));
</script>

<div class="grid gap-x-7 gap-y-3 sm:grid-cols-2">
  <Pick label={m.fat()} field="pan.fat" value={spec.pan.fat} onchange={(id) => (spec.pan.fat = id)} />
  <Dial
    label={m.fat_per_side()}
    field="pan.fatPerSide"
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
    <p class="mt-1 text-[15px]" data-testid="fat-of-piece">
      {m.fat_of_piece({ share: amount(pan.fat.share, "%"), energy: amount(pan.fat.energy, "kcal") })}
      {#if pan.fat.left > 0.05}{m.fat_left({ mass: amount(pan.fat.left, "g") })}{/if}
    </p>
  </div>
</div>
<div class="mt-2 grid gap-x-7 gap-y-3 border-t-2 border-line pt-2 sm:grid-cols-2">
  <div>
    <Choice label={m.finish()} value={spec.pan.finish ?? "none"} options={finishes} onchange={(v) => (spec.pan.finish = v)} />
    <p class="mt-1.5 text-[15px]" data-testid="finish">
      {m.finish_usual({ finish: finishName[pan.finish.usual]() })}
      {#if !pan.program.failure && (spec.pan.finish ?? "none") !== "none"}{m.finish_within({
          time: amount(pan.finish.within, "s"),
          leaves: leaves(pan.finish.leaves),
        })}{/if}
    </p>
  </div>
  <div class="grid content-start gap-2">
    <Choice label={m.hold()} value={spec.pan.hold ?? "cloth"} options={holds} onchange={(v) => (spec.pan.hold = v)} />
    <Dial
      label={m.hold_for()}
      field="pan.holdFor"
      value={spec.pan.holdFor ?? pan.hold.for}
      step={5}
      places={0}
      unit="min"
      to={120}
      good={{ least: 0, most: pan.hold.soft }}
      onchange={(v) => (spec.pan.holdFor = v)}
    />
    {#if !pan.program.failure}<p class="text-[15px]" data-testid="hold">
        {m.hold_soft({ time: amount(pan.hold.soft, "min"), then: amount(pan.hold.then, "°C") })}
        {pan.hold.reheat == null
          ? m.reheat_not()
          : m.reheat_in({ time: amount(pan.hold.reheat, "s"), heat: amount(pan.hold.reheatTo, "°C") })}
      </p>{/if}
  </div>
</div>
