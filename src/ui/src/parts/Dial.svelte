<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { measured } from "../words/format";
  import Slide from "./Slide.svelte";
  import { Typed } from "./typed.svelte";
  import TypedInput from "./TypedInput.svelte";

  interface Props {
    label: string;
    /** Path in the spec; its range comes from the core. */
    field: string;
    value: number;
    /** In the usual unit as it is shown: 1 for a centimetre. */
    step: number;
    /** The unit it is kept in; `cm` for millimetres read as centimetres. */
    unit?: string;
    places?: number;
    /** Where the slider runs, when the whole range would be too coarse. */
    from?: number;
    to?: number;
    /** Where it is good. */
    good?: { least: number; most: number };
    /** Of a mass: what it is a mass of, for whoever types it in words; the dough itself where nothing is said. */
    of?: string;
    onchange: (value: number) => void;
  }
  let { of = "", label, field, value, step, unit = "", places = 1, from, to, good, onchange }: Props = $props();

  const id = $props.id();
  const limit = $derived({ ...larder.limit(field), field });
  const set = (v: number | null) => v !== null && batch.change(() => onchange(v));
  const typed = new Typed(() => ({ value, limit, unit, places, step, of, refusal: batch.refusalOf(field), set }));
  const view = $derived(typed.view);
  // The slider stands on whole steps; what was typed between two of them stays as it is until the slider is moved.
  const snap = (v: number) => Number((Math.round(v / typed.step) * typed.step).toFixed(6));
  const allowed = $derived(Math.min(Math.max(value, limit.least), limit.most));
  const low = $derived(snap(view.to(Math.min(from ?? limit.least, allowed))));
  const high = $derived(snap(view.to(Math.max(to ?? limit.most, allowed))));
</script>

<!-- The keys are for the number and the thumb inside. -->
<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="min-w-0">
  <div class="flex items-end justify-between gap-2">
    <span class="pb-1 leading-tight">
      <label for={id}>{label}</label>
      {#if batch.sheet?.measures[field]}<span class="text-small whitespace-nowrap text-mute">{measured(batch.sheet.measures[field])}</span
        >{/if}
    </span>
    <span class="flex items-baseline gap-1 font-head">
      <TypedInput {typed} {id} class="w-[5.6ch] min-w-0 rounded-md bg-transparent -my-1 min-h-11 text-end text-figure font-bold" />
      {#if view.symbol}<span class="text-body font-semibold">{view.symbol}</span>{/if}
    </span>
  </div>
  <div onkeydown={(e) => typed.keys(e)}>
    <Slide
      {label}
      value={snap(view.to(allowed))}
      least={low}
      most={high}
      step={typed.step}
      good={good && { least: view.to(good.least), most: view.to(good.most) }}
      onchange={(v) => typed.set(v)}
    />
  </div>
  {#if typed.problem}<p id="{id}-problem" class="refusal -mt-1.5">{typed.problem}</p>{/if}
</div>
