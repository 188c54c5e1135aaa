<script lang="ts">
  import { Slider } from "bits-ui";
  import { larder } from "../api/larder.svelte";
  import { batch } from "../batch.svelte";
  import { number, parseNumber } from "../words/format";
  import { say } from "../words/refusals";

  interface Props {
    label: string;
    /** Path in the spec; its range comes from the core. */
    field: string;
    value: number;
    step: number;
    /** How the cook sees it: shown = kept × scale. */
    unit?: string;
    scale?: number;
    places?: number;
    /** Where the slider runs, when the whole range would be too coarse. */
    from?: number;
    to?: number;
    /** Where it is good. */
    good?: { least: number; most: number };
    onchange: (value: number) => void;
  }
  let { label, field, value, step, unit = "", scale = 1, places = 1, from, to, good, onchange }: Props = $props();

  const id = $props.id();
  const limit = $derived(larder.limit(field));
  const refusal = $derived(batch.refusalOf(field));
  // The slider stands on whole steps; what was typed between two of them stays as it is until the slider is moved.
  const snap = (v: number) => Number((Math.round(v / step) * step).toFixed(6));
  const allowed = $derived(Math.min(Math.max(value, limit.least), limit.most));
  const low = $derived(snap(Math.min(from ?? limit.least, allowed) * scale));
  const high = $derived(snap(Math.max(to ?? limit.most, allowed) * scale));
  const snapped = $derived(snap(allowed * scale));
  const at = (v: number) => `${(100 * Math.min(Math.max((v * scale - low) / (high - low), 0), 1)).toFixed(2)}%`;

  let typed = $state<string | null>(null);
  let unread = $state(false);
  // What was typed stays as it was typed for as long as it is, or could not become, the value.
  const stands = $derived(
    typed !== null && (unread || Math.abs((parseNumber(typed) ?? NaN) - value * scale) < 1e-9 * Math.abs(value * scale) + 1e-12),
  );
  const shown = $derived(stands ? typed : number(value * scale, refusal ? 6 : places));
  const problem = $derived(unread ? say({ ...limit, code: "notANumber" }) : refusal ? say(refusal) : "");

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    unread = read === null;
    if (read !== null) batch.change(() => onchange(read / scale));
  }

  function nudge(direction: number) {
    const next = Math.round((value * scale) / step) * step + direction * step;
    set(Math.min(Math.max(next, limit.least * scale), limit.most * scale));
  }

  function set(next: number) {
    typed = null;
    unread = false;
    batch.change(() => onchange(Number((next / scale).toFixed(6))));
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
    <label for={id} class="pb-1 leading-tight">{label}</label>
    <span class="flex items-baseline gap-1 font-head">
      <input
        {id}
        class="w-[5.2ch] min-w-0 rounded-md bg-transparent py-1 text-end text-[21px] font-bold"
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
      {#if unit}<span class="text-[15px] font-semibold">{unit}</span>{/if}
    </span>
  </div>
  <Slider.Root
    type="single"
    class="relative flex h-11 touch-pan-y items-center"
    value={snapped}
    min={low}
    max={high}
    {step}
    onValueChange={(v) => {
      if (Math.abs(v - snapped) > step / 100) set(v);
    }}
  >
    {#snippet children({ thumbItems })}
      <span class="relative h-3 w-full overflow-hidden rounded-full bg-line">
        {#if good}<span
            class="absolute inset-y-0 bg-leaf-soft"
            style:inset-inline-start={at(good.least)}
            style:inset-inline-end={`calc(100% - ${at(good.most)})`}
          ></span>{/if}
      </span>
      {#each thumbItems as { index } (index)}
        <Slider.Thumb {index} class="block size-6 rounded-full border-[3px] border-rim bg-white" aria-label={label} />
      {/each}
    {/snippet}
  </Slider.Root>
  {#if problem}<p id="{id}-problem" class="refusal -mt-1.5">{problem}</p>{/if}
</div>
