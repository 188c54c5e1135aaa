<script lang="ts">
  import type { Limit, Refusal } from "../api/types";
  import { number, parseNumber } from "../words/format";
  import { say } from "../words/refusals";
  import { viewOf } from "../words/units";

  /** One figure of a form, which may be left empty. */
  interface Props {
    label: string;
    limit: Limit;
    unit?: string;
    value: number | null | undefined;
    unread?: boolean | undefined;
    refusal?: Refusal | undefined;
  }
  let { label, limit, unit = "", value = $bindable(), unread = $bindable(), refusal }: Props = $props();
  const id = $props.id();
  const view = $derived(viewOf(unit));
  let typed = $state<string | null>(null);
  const problem = $derived(unread ? say({ ...limit, code: "notANumber" }) : refusal ? say(refusal) : "");

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    unread = text.trim() !== "" && read === null;
    if (!unread) value = read === null ? null : view.from(read);
  }
</script>

<div class="min-w-0">
  <label for={id} class="block text-small leading-tight text-mute">{label}</label>
  <span class="flex items-center gap-1">
    <input
      {id}
      class="field w-full min-w-0 px-2.5 text-end font-head text-lead font-semibold"
      inputmode="decimal"
      autocomplete="off"
      maxlength="40"
      value={typed ?? (value == null ? "" : number(view.to(value), 3))}
      aria-invalid={problem ? "true" : undefined}
      aria-describedby={problem ? `${id}-problem` : undefined}
      oninput={(e) => type(e.currentTarget.value)}
      onfocus={(e) => e.currentTarget.select()}
    />
    <span class="w-9 shrink-0 text-small text-mute">{view.symbol}</span>
  </span>
  {#if problem}<p id="{id}-problem" class="refusal">{problem}</p>{/if}
</div>
