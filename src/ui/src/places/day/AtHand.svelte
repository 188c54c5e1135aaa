<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { DayGood } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { amount } from "../../words/format";
  import { nameOf } from "../../words/names/items";
  import type { DayOf } from "./day.svelte";

  /** What there is of one thing, typed where it is wanted. */
  let { here, good }: { here: DayOf; good: DayGood } = $props();
  const id = $props.id();
  const MOST = { field: "atHand[].mass", least: 0, most: 1_000_000, unit: "g" };
  const mass = $derived(here.spec.atHand?.find((a) => a.id === good.id)?.mass ?? null);
  const typed = new Typed(() => ({
    value: mass,
    limit: MOST,
    unit: "g",
    places: 0,
    step: 50,
    spare: true,
    of: larder.byId.has(good.id) ? good.id : undefined,
    refusal: here.refusalOf({ id: good.id }),
    set: (v) => here.atHand(good.id, v),
  }));
</script>

<label class="sr-only" for={id}>{m.day_at_hand_of({ item: nameOf(good.id) })}</label>
<TypedInput {typed} {id} class="field min-h-11 w-full px-1.5 text-end sm:w-20 print:hidden" />
{#if typed.problem}<p id="{id}-problem" class="refusal" role="alert">{typed.problem}</p>{/if}
<span class="hidden print:inline">{mass === null ? m.day_blank() : amount(mass, "g")}</span>
