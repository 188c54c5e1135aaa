<script lang="ts">
  import type { Refusal } from "../../api/types";
  import { larder } from "../../api/larder.svelte";
  import { amount, number, parseNumber } from "../../words/format";
  import { say } from "../../words/refusals";

  /** A planned figure and, beside it, what it really was. Left empty it was not taken. */
  interface Props {
    label: string;
    field: string;
    /** Nothing when the plan can no longer be worked. */
    planned: number | null;
    unit: string;
    value: number | null;
    unread?: boolean | undefined;
    refusal?: Refusal | undefined;
  }
  let { label, field, planned, unit, value = $bindable(), unread = $bindable(), refusal }: Props = $props();
  const id = $props.id();

  let typed = $state<string | null>(null);
  const off = $derived(value == null || planned === null ? 0 : value - planned);
  // A difference that the plan's own figure would round away is none.
  const least = $derived(planned !== null && planned < 10 && unit === "g" ? 0.05 : 0.5);
  const problem = $derived(unread ? say({ ...larder.limit(field), code: "notANumber" }) : refusal ? say(refusal) : "");

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    unread = text.trim() !== "" && read === null;
    if (!unread) value = read;
  }
</script>

<div class="grid min-h-11 grid-cols-[minmax(0,1fr)_82px_96px_64px] items-center gap-x-2 border-b border-line last:border-0">
  <label for={id} class="leading-tight">{label}</label>
  <span class="text-end text-small whitespace-nowrap text-mute">{planned === null ? "" : amount(planned, unit)}</span>
  <span class="flex items-center gap-1">
    <input
      {id}
      class="field min-h-9 w-full min-w-0 px-2 text-end font-head text-lead font-semibold"
      inputmode="decimal"
      autocomplete="off"
      maxlength="40"
      value={typed ?? (value == null ? "" : number(value, 1))}
      aria-invalid={problem ? "true" : undefined}
      aria-describedby="{id}-off"
      oninput={(e) => type(e.currentTarget.value)}
    />
  </span>
  <span id="{id}-off" class="text-fine whitespace-nowrap text-mute">
    {unit}{#if !problem && value != null && Math.abs(off) >= least}&ensp;<b class="text-ink"
        >{off > 0 ? "+" : "−"}{number(Math.abs(off), least < 0.5 ? 1 : 0)}</b
      >{/if}
    {#if problem}<span class="sr-only">{problem}</span>{/if}
  </span>
  {#if problem}<p class="refusal col-span-4 pb-1 text-end" aria-hidden="true">{problem}</p>{/if}
</div>
