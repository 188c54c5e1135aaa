<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { measured, number, parseNumber } from "../words/format";
  import { say } from "../words/refusals";
  import { viewOf } from "../words/units";
  import Slide from "./Slide.svelte";
  import { Wording } from "./amounts.svelte";

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
  const view = $derived(viewOf(unit));
  const stepped = $derived(view.step(step));
  const limit = $derived(larder.limit(field));
  const refusal = $derived(batch.refusalOf(field));
  // The slider stands on whole steps; what was typed between two of them stays as it is until the slider is moved.
  const snap = (v: number) => Number((Math.round(v / stepped) * stepped).toFixed(6));
  const allowed = $derived(Math.min(Math.max(value, limit.least), limit.most));
  const low = $derived(snap(view.to(Math.min(from ?? limit.least, allowed))));
  const high = $derived(snap(view.to(Math.max(to ?? limit.most, allowed))));
  const snapped = $derived(snap(view.to(allowed)));

  let typed = $state<string | null>(null);
  let unread = $state(false);
  const wording = new Wording();
  // What was typed stays as it was typed for as long as it is, or could not become, the value.
  const now = $derived(view.to(value));
  const stands = $derived(typed !== null && (unread || Math.abs((parseNumber(typed) ?? NaN) - now) < 1e-9 * Math.abs(now) + 1e-9));
  const shown = $derived(stands ? typed : number(now, refusal ? 6 : places + view.finer));
  const problem = $derived(
    unread ? (!wording.unread && wording.problem) || say({ ...limit, field, code: "notANumber" }) : refusal ? say(refusal) : "",
  );

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    unread = read === null;
    wording.forget();
    if (read !== null) batch.change(() => onchange(view.from(read)));
    // A golf ball, two cups: what it weighs the kitchen knows.
    else if (unit === "g" && text.trim()) void wording.read(text, of, take);
  }

  function take(grams: number) {
    unread = false;
    batch.change(() => onchange(Math.round(10 * grams) / 10));
  }

  function nudge(direction: number) {
    const next = Math.round(now / stepped) * stepped + direction * stepped;
    set(Math.min(Math.max(next, view.to(limit.least)), view.to(limit.most)));
  }

  function set(next: number) {
    typed = null;
    unread = false;
    batch.change(() => onchange(Number(view.from(next).toFixed(6))));
  }

  function keys(event: KeyboardEvent) {
    const direction = { "+": 1, "-": -1, ...(event.target instanceof HTMLInputElement && { ArrowUp: 1, ArrowDown: -1 }) }[event.key];
    if (direction) {
      event.preventDefault();
      nudge(direction);
    }
  }
</script>

<!-- The keys are for the number and the thumb inside. -->
<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="min-w-0" onkeydown={keys}>
  <div class="flex items-end justify-between gap-2">
    <span class="pb-1 leading-tight">
      <label for={id}>{label}</label>
      {#if batch.sheet?.measures[field]}<span class="text-small whitespace-nowrap text-mute">{measured(batch.sheet.measures[field])}</span
        >{/if}
    </span>
    <span class="flex items-baseline gap-1 font-head">
      <input
        {id}
        class="w-[5.6ch] min-w-0 rounded-md bg-transparent py-1 text-end text-figure font-bold"
        class:text-chilli={problem}
        inputmode="decimal"
        autocomplete="off"
        maxlength="40"
        value={shown}
        aria-invalid={problem ? "true" : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        oninput={(e) => type(e.currentTarget.value)}
        onfocus={(e) => e.currentTarget.select()}
      />
      {#if view.symbol}<span class="text-body font-semibold">{view.symbol}</span>{/if}
    </span>
  </div>
  <Slide
    {label}
    value={snapped}
    least={low}
    most={high}
    step={stepped}
    good={good && { least: view.to(good.least), most: view.to(good.most) }}
    onchange={set}
  />
  {#if problem}<p id="{id}-problem" class="refusal -mt-1.5">{problem}</p>{/if}
</div>
