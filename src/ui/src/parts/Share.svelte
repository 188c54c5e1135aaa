<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { Typed } from "./typed.svelte";
  import TypedInput from "./TypedInput.svelte";

  /** A small number in a line: a part, a share, a count. */
  interface Props {
    label: string;
    field: string;
    value: number;
    unit?: string;
    places?: number;
    wide?: boolean;
    /** Of a mass: what it is a mass of, for whoever types it in words; the dough itself where nothing is said. */
    of?: string;
    onchange: (value: number, packing?: number) => void;
  }
  let { of = "", label, field, value, unit = "", places = 2, wide = false, onchange }: Props = $props();
  const id = $props.id();
  const typed = new Typed(() => ({
    value,
    limit: { ...larder.limit(field), field },
    unit,
    places,
    step: places ? 0.5 : 1,
    of,
    refusal: batch.refusalOf(field),
    set: (v, packing) => v !== null && batch.change(() => onchange(v, packing)),
  }));
</script>

<span class="relative flex items-center gap-1">
  <TypedInput {typed} {id} class="field {wide ? 'w-24 font-head text-big font-bold' : 'w-17'} min-h-11 px-2 text-end" aria-label={label} />
  {#if typed.view.symbol}<span class="text-mute">{typed.view.symbol}</span>{/if}
  {#if typed.problem}<span id="{id}-problem" class="refusal absolute start-0 top-full z-10 rounded-md bg-enamel px-1 whitespace-nowrap"
      >{typed.problem}</span
    >{/if}
</span>
