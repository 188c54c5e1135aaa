<script lang="ts">
  import type { Finish, HoldWant } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import { amount, leaves } from "../../words/format";
  import { finishName, holdWantName, warmthName } from "../../words/names/pan";
  import type { StageProps } from "../props";
  import HoldPlaces from "./HoldPlaces.svelte";

  let { spec, sheet }: StageProps = $props();
  const pan = $derived(sheet.pan);
  const finishes = (Object.keys(finishName) as Finish[]).map((value) => ({ value, label: finishName[value]() }));
  const wants = (Object.keys(holdWantName) as HoldWant[]).map((value) => ({ value, label: holdWantName[value]() }));
</script>

<div class="grid gap-x-7 gap-y-3 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
  <div class="grid min-w-0 content-start gap-3">
    <div>
      <Choice label={m.finish()} value={spec.pan.finish ?? "none"} options={finishes} onchange={(v) => (spec.pan.finish = v)} />
      <p class="mt-1.5 text-body" data-testid="finish">
        {m.finish_usual({ finish: finishName[pan.finish.usual]() })}
        {#if !pan.program.failure && (spec.pan.finish ?? "none") !== "none"}{m.finish_within({
            time: amount(pan.finish.within, "s"),
            leaves: leaves(pan.finish.leaves),
          })}{/if}
      </p>
    </div>
    <Choice label={m.hold_wants()} value={spec.pan.wants ?? "soft"} options={wants} onchange={(v) => (spec.pan.wants = v)} />
    <Dial
      label={m.hold_for()}
      field="pan.holdFor"
      value={spec.pan.holdFor ?? pan.hold.for}
      step={5}
      places={0}
      unit="min"
      to={120}
      good={{ least: 0, most: pan.hold.keeps }}
      onchange={(v) => (spec.pan.holdFor = v)}
    />
    {#if !pan.program.failure}<p class="text-body" data-testid="hold">
        {m.hold_then({ warmth: warmthName[pan.hold.is](), then: amount(pan.hold.then, "°C") })}
        {pan.hold.reheat == null
          ? m.reheat_not()
          : m.reheat_in({ time: amount(pan.hold.reheat, "s"), heat: amount(pan.hold.reheatTo, "°C") })}
      </p>{/if}
  </div>
  <HoldPlaces {spec} hold={pan.hold} known={!pan.program.failure} />
</div>
