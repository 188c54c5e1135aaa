<script lang="ts">
  import type { Limit, Refusal } from "../api/types";
  import { Typed } from "./typed.svelte";
  import TypedInput from "./TypedInput.svelte";

  /** One figure of a form, which may be left empty. */
  interface Props {
    label: string;
    limit: Limit;
    unit?: string;
    step?: number;
    value: number | null | undefined;
    unread?: boolean | undefined;
    refusal?: Refusal | undefined;
  }
  let { label, limit, unit = "", step = 1, value = $bindable(), unread = $bindable(), refusal }: Props = $props();
  const id = $props.id();
  const typed = new Typed(() => ({ value, limit, unit, step, places: 3, spare: true, refusal, set: (v) => (value = v) }));
  $effect(() => {
    unread = typed.unread;
  });
</script>

<div class="min-w-0">
  <label for={id} class="block text-small leading-tight text-mute">{label}</label>
  <span class="flex items-center gap-1">
    <TypedInput {typed} {id} class="field w-full min-w-0 px-2.5 text-end font-head text-lead font-semibold" />
    <span class="w-9 shrink-0 text-small text-mute">{typed.view.symbol}</span>
  </span>
  {#if typed.problem}<p id="{id}-problem" class="refusal">{typed.problem}</p>{/if}
</div>
