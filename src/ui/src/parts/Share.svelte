<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { number, parseNumber } from "../words/format";
  import { say } from "../words/refusals";
  import { viewOf } from "../words/units";
  import { Wording } from "./amounts.svelte";

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
  const view = $derived(viewOf(unit));
  const refusal = $derived(batch.refusalOf(field));
  let typed = $state<string | null>(null);
  const wording = new Wording();
  const unread = $derived(typed !== null && parseNumber(typed) === null);
  const stands = $derived(
    typed !== null && (unread || Math.abs((parseNumber(typed) ?? NaN) - view.to(value)) < 1e-9 * Math.abs(value) + 1e-9),
  );
  const problem = $derived(
    unread
      ? (!wording.unread && wording.problem) || say({ ...larder.limit(field), field, code: "notANumber" })
      : refusal
        ? say(refusal)
        : "",
  );

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    wording.forget();
    if (read !== null) batch.change(() => onchange(view.from(read)));
    // A golf ball, two cups: what it weighs the kitchen knows.
    else if (unit === "g" && text.trim()) void wording.read(text, of, take);
  }

  function take(grams: number, packing?: number) {
    typed = null;
    batch.change(() => onchange(Math.round(10 * grams) / 10, packing));
  }

  function keys(event: KeyboardEvent) {
    const direction = { ArrowUp: 1, ArrowDown: -1, "+": 1, "-": -1 }[event.key];
    if (!direction) return;
    event.preventDefault();
    typed = null;
    const limit = larder.limit(field);
    const next = Math.min(
      Math.max(Math.round(view.to(value) * 10) / 10 + direction * (places ? 0.5 : 1), view.to(limit.least)),
      view.to(limit.most),
    );
    batch.change(() => onchange(view.from(next)));
  }
</script>

<span class="relative flex items-center gap-1">
  <input
    class="field {wide ? 'w-24 font-head text-big font-bold' : 'w-17'} min-h-10 px-2 text-end"
    inputmode="decimal"
    autocomplete="off"
    maxlength="40"
    aria-label={label}
    value={stands ? typed : number(view.to(value), refusal ? 6 : places + view.finer)}
    aria-invalid={problem ? "true" : undefined}
    aria-describedby={problem ? id : undefined}
    oninput={(e) => type(e.currentTarget.value)}
    onkeydown={keys}
    onfocus={(e) => e.currentTarget.select()}
  />
  {#if view.symbol}<span class="text-mute">{view.symbol}</span>{/if}
  {#if problem}<span {id} class="refusal absolute start-0 top-full z-10 rounded-md bg-enamel px-1 whitespace-nowrap">{problem}</span>{/if}
</span>
