<script lang="ts">
  import type { Refusal } from "../../api/types";
  import { larder } from "../../api/larder.svelte";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { amount, number } from "../../words/format";

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
  const typed = new Typed(() => ({
    value,
    limit: larder.limit(field),
    unit,
    places: 1,
    spare: true,
    refusal,
    set: (v) => (value = v),
  }));
  $effect(() => {
    unread = typed.unread;
  });

  const off = $derived(value == null || planned === null ? 0 : value - planned);
  // A difference that the plan's own figure would round away is none.
  const least = $derived(planned !== null && planned < 10 && unit === "g" ? 0.05 : 0.5);
  const shownOff = $derived(planned === null ? 0 : Math.abs(typed.now - typed.view.to(planned)));
</script>

<div class="grid min-h-11 grid-cols-[minmax(0,1fr)_82px_96px_64px] items-center gap-x-2 border-b border-line last:border-0">
  <label for={id} class="leading-tight">{label}</label>
  <span class="text-end text-small whitespace-nowrap text-mute">{planned === null ? "" : amount(planned, unit)}</span>
  <span class="flex items-center gap-1">
    <TypedInput
      {typed}
      {id}
      class="field min-h-11 w-full min-w-0 px-2 text-end font-head text-lead font-semibold"
      aria-describedby="{id}-off"
    />
  </span>
  <span id="{id}-off" class="text-fine whitespace-nowrap text-mute">
    {typed.view.symbol}{#if !typed.problem && value != null && Math.abs(off) >= least}&ensp;<b class="text-ink"
        >{off > 0 ? "+" : "−"}{number(shownOff, (least < 0.5 ? 1 : 0) + typed.view.finer)}</b
      >{/if}
  </span>
  {#if typed.problem}<p id="{id}-problem" class="refusal col-span-4 pb-1 text-end">{typed.problem}</p>{/if}
</div>
