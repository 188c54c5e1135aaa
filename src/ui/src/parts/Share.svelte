<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import { batch } from "../batch.svelte";
  import { number, parseNumber } from "../words/format";
  import { say } from "../words/refusals";

  /** A small number in a line: a part, a share. */
  interface Props {
    label: string;
    field: string;
    value: number;
    unit?: string;
    onchange: (value: number) => void;
  }
  let { label, field, value, unit = "", onchange }: Props = $props();
  const id = $props.id();
  const refusal = $derived(batch.refusalOf(field));
  let typed = $state<string | null>(null);
  const unread = $derived(typed !== null && parseNumber(typed) === null);
  const problem = $derived(unread ? say({ ...larder.limit(field), code: "notANumber" }) : refusal ? say(refusal) : "");

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    if (read !== null) batch.change(() => onchange(read));
  }
</script>

<span class="relative flex items-center gap-1">
  <input
    class="field !min-h-9 w-16 !px-2 text-end"
    inputmode="decimal"
    autocomplete="off"
    maxlength="40"
    aria-label={label}
    value={typed !== null && (unread || parseNumber(typed) === value) ? typed : number(value, refusal ? 6 : 2)}
    aria-invalid={problem ? "true" : undefined}
    aria-describedby={problem ? id : undefined}
    oninput={(e) => type(e.currentTarget.value)}
  />
  {#if unit}<span class="text-mute">{unit}</span>{/if}
  {#if problem}<span {id} class="refusal absolute end-0 top-full z-10 rounded-md bg-enamel px-1 whitespace-nowrap">{problem}</span>{/if}
</span>
