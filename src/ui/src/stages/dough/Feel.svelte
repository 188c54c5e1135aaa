<script lang="ts">
  import type { Feel, WaterBy } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { batch } from "../../bench/bench.svelte";
  import Choice from "../../parts/Choice.svelte";
  import Segments from "../../parts/Segments.svelte";
  import Share from "../../parts/Share.svelte";
  import { amount, number } from "../../words/format";
  import { feelName } from "../../words/names/dough";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const feels = (Object.keys(feelName) as Feel[]).map((value) => ({ value, label: feelName[value]() }));
  const ways: { value: WaterBy; label: string }[] = [
    { value: "hydration", label: m.water_by_hydration() },
    { value: "feel", label: m.water_by_feel() },
    { value: "liquids", label: m.water_by_liquids() },
  ];
</script>

<div class="mb-4 grid gap-2.5">
  <Choice label={m.feel()} value={spec.dough.feel} options={feels} onchange={(v) => (spec.dough.feel = v)} />
  <Segments label={m.water_by()} value={spec.dough.waterBy} options={ways} onchange={(by) => batch.move({ kind: "water", by }, "water")} />
  {#if spec.dough.waterBy === "hydration"}
    <span class="flex items-center justify-between gap-2"
      >{m.hydration()}
      <Share
        wide
        label={m.hydration()}
        field="dough.hydration"
        value={spec.dough.hydration}
        unit="%"
        places={1}
        onchange={(v) => (spec.dough.hydration = v)}
      /></span
    >
  {/if}
  <p class="text-small" data-testid="in-all">
    <span class="text-mute">{m.in_all_of_flour()}</span>
    <b
      >{m.in_all_shares({
        fat: number(sheet.dough.content.fat, 1),
        sugar: number(sheet.dough.content.sugar, 1),
        salt: amount(sheet.dough.content.salt, "%"),
      })}</b
    >
  </p>
</div>
