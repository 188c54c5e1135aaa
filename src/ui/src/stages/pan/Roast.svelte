<script lang="ts">
  import RotateCcw from "@lucide/svelte/icons/rotate-ccw";
  import type { Colour, Roasting, Stay } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Select from "../../parts/Select.svelte";
  import Dial from "../../parts/Dial.svelte";
  import { amount } from "../../words/format";
  import { colourName, darkName, faceName, failureName, roastingName } from "../../words/names/pan";
  import type { StageProps } from "../props";
  import Chart from "./Chart.svelte";
  import Face from "./Face.svelte";
  import { endAt, endBy, fatTo, nudge, staysOf, takeOver } from "./stays";
  import Turns from "./Turns.svelte";

  let { spec, sheet }: StageProps = $props();
  const pan = $derived(sheet.pan);
  const colours = (Object.keys(colourName) as Colour[]).map((value) => ({ value, label: colourName[value]() }));
  const schools = (Object.keys(roastingName) as Roasting[]).map((value) => ({ value, label: roastingName[value]() }));

  // The cook's own stays are changed at once; those advised are the newest sheet's to say.
  function stays(to: (now: Stay[]) => Stay[], of?: string) {
    if (spec.pan.own) batch.change(() => takeOver(spec, to(staysOf(spec, pan))));
    else batch.changeBy((sheet) => takeOver(spec, to(staysOf(spec, sheet.pan))), of);
  }
  const turn = (stay: number, at: number) => stays((now) => endAt(now, stay, at), `turn ${stay}`);
  const by = (stay: number, seconds: number) => stays((now) => endBy(now, stay, seconds));
  const fat = (from: number, to: number) => stays((now) => fatTo(now, from, to));
  const longer = (stay: number, by: number) => stays((now) => nudge(now, stay, by));
  const advised = () => batch.change(() => delete spec.pan.own);
</script>

<div class="grid gap-x-5 gap-y-3 lg:grid-cols-[minmax(0,1fr)_118px]">
  <div class="grid min-w-0 content-start gap-2">
    {#if pan.program.failure}
      <p class="rounded-xl border-2 border-chilli bg-chilli-soft p-4 font-head text-figure font-bold" data-testid="cannot">
        {failureName[pan.program.failure]()}
      </p>
    {:else}
      <Turns {pan} fat={spec.pan.fat} spoon={sheet.measures["pan.fatPerSide"]} onnudge={longer} />
      <Chart {pan} measured={spec.pan.measured} height={206} label={m.chart_label()} onturn={turn} onby={by} onfat={fat} />
    {/if}
  </div>
  <div class="grid min-w-0 grid-cols-2 content-start gap-2 lg:grid-cols-1">
    {#each [{ face: "first", dark: pan.done.first }, { face: "second", dark: pan.done.second }] as const as f, i (f.face)}
      {@const words = m.choice_of({ label: faceName[f.face](), value: darkName(f.dark) })}
      <figure class="text-center">
        <Face dark={f.dark} seed={i + 1} label={words} class="mx-auto w-full max-w-24" />
        <figcaption class="text-small leading-tight">{words}</figcaption>
      </figure>
    {/each}
    {#if !pan.program.failure}<p class="col-span-2 text-center text-small leading-snug lg:col-span-1" data-testid="out">
        <b class="block text-big">{amount(pan.program.total, "s")}</b>{m.out_of_pan({
          mass: amount(sheet.piece.out.mass, "g"),
          lost: amount(pan.done.lost, "%"),
        })}
        {m.core_reached({ heat: amount(pan.done.passed, "°C") })}
        {#if pan.stack}<b class="block">{m.stack_takes({ count: pan.stack.height, time: amount(pan.stack.round, "s") })}</b>{/if}
      </p>{/if}
    {#if spec.pan.own}
      <button class="button col-span-2 lg:col-span-1 px-1" onclick={advised}
        ><RotateCcw size={16} aria-hidden="true" />{m.as_advised()}</button
      >
    {/if}
  </div>
</div>
<div class="mt-3 grid items-start gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-[200px_minmax(0,1fr)_minmax(0,1fr)]">
  <Select
    label={m.roasting()}
    value={spec.pan.roasting ?? "fatEachSide"}
    options={schools}
    onchange={(roasting) => batch.change(() => ((spec.pan.roasting = roasting), delete spec.pan.own))}
  />
  <Choice
    label={m.colour_wanted()}
    value={spec.pan.colour}
    options={colours}
    onchange={(v) => ((spec.pan.colour = v), delete spec.pan.own)}
  />
  <Dial
    label={m.pan_heat()}
    field="pan.temperature"
    value={spec.pan.temperature}
    step={5}
    places={0}
    unit="°C"
    from={140}
    to={280}
    good={{ least: pan.heat.coolUnder, most: pan.heat.smokeWatchFrom ?? 280 }}
    onchange={(v) => (spec.pan.temperature = v)}
  />
</div>
