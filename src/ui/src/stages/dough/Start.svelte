<script lang="ts">
  import Pin from "@lucide/svelte/icons/pin";
  import PinOff from "@lucide/svelte/icons/pin-off";
  import { RadioGroup } from "bits-ui";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Share from "../../parts/Share.svelte";
  import { amount } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import { say } from "../../words/refusals";
  import type { Question } from "../../api/types";
  import { ballFollows, questionOf, startsFromBowl } from "./ledger";
  import { pours } from "../../words/figures";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const start = $derived(spec.start);
  const question = $derived(questionOf(spec));
  const poured = $derived(pours(sheet));
  const questions: [Question, () => string][] = [
    ["pieces", m.start_pieces],
    ["rounds", m.start_rounds],
    ["flour", m.start_flour],
    ["liquid", m.start_liquid],
    ["filling", m.start_filling],
    ["people", m.start_people],
  ];
  const liquid = $derived(sheet.dough.start.liquidId ? shortName(sheet.dough.start.liquidId) : m.start_liquid());
  // Cups nobody has said the filling of are remembered with the flour they measured.
  function setFlour(flour: number, packing?: number) {
    start.flour = flour;
    if (packing === undefined) delete spec.dough.cups;
    else spec.dough.cups = { packing, allMeasured: false };
  }
  const refusal = $derived(batch.refusalOf("start.pieces", "start.flour", "start.liquid", "start.filling", "start.people", "start.makes"));
</script>

<section aria-labelledby="start-from">
  <h2 id="start-from" class="sr-only">{m.start_from()}</h2>
  <RadioGroup.Root
    value={question}
    orientation="horizontal"
    aria-labelledby="start-from"
    class="grid grid-cols-3 rounded-xl border-2 border-rim-soft bg-white p-0.5 sm:grid-cols-6"
    onValueChange={(v) => batch.move({ kind: "ask", question: v as Question }, "question")}
  >
    {#each questions.filter(([q]) => !(poured && q === "rounds")) as [value, label] (value)}
      <RadioGroup.Item
        {value}
        class="flex min-h-11 items-center justify-center gap-1 rounded-inner px-1 text-body leading-tight font-medium data-[state=checked]:bg-rim data-[state=checked]:font-semibold data-[state=checked]:text-white"
      >
        {#if value === question}<Pin size={15} class="fill-current" aria-hidden="true" />{/if}{label()}
      </RadioGroup.Item>
    {/each}
  </RadioGroup.Root>
  <p class="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1" data-testid="start">
    {#snippet figure(
      label: string,
      field: string,
      value: number,
      unit: string,
      places: number,
      set: (v: number, packing?: number) => void,
      of?: string,
    )}
      <span class="flex items-center gap-1.5"
        ><span class="text-mute">{label}</span><Share
          wide
          {label}
          {field}
          {value}
          {unit}
          {places}
          {...of ? { of } : {}}
          onchange={set}
        /></span
      >
    {/snippet}
    {#if question === "flour"}
      {@render figure(m.figure_flour(), "start.flour", start.flour, "g", 0, setFlour, spec.dough.flours[0]?.id)}
    {:else if question === "liquid"}
      {@render figure(
        m.figure_liquid({ item: liquid }),
        "start.liquid",
        start.liquid,
        "g",
        0,
        (v) => (start.liquid = v),
        sheet.dough.start.liquidId ?? undefined,
      )}
    {:else if question === "filling" && sheet.filling}
      <button class="button plain px-0 underline" onclick={() => (batch.open = "filling")}
        >{m.follows_filling({ mass: amount(sheet.filling.balance.made, "g"), each: amount(sheet.filling.balance.each, "g") })}</button
      >
    {:else if question === "filling"}
      {@render figure(m.figure_filling(), "start.filling", start.filling, "g", 0, (v) => (start.filling = v))}
      {@render figure(m.figure_filling_each(), "start.fillingEach", start.fillingEach, "g", 1, (v) => (start.fillingEach = v))}
    {:else if question === "people"}
      {@render figure(m.figure_people(), "start.people", start.people, "", 0, (v) => (start.people = v))}
      {@render figure(m.figure_each(), "start.each", start.each, "", 1, (v) => (start.each = v))}
    {:else}
      {@render figure(m.figure_pieces(), "start.pieces", start.pieces, "", 0, (v) => (start.pieces = v))}
      {#if question === "rounds"}
        {@render figure(m.round_across(), "roll.diameter", spec.roll.diameter, "cm", 1, (v) => (spec.roll.diameter = v))}
        {@render figure(m.round_thickness(), "balls.thickness", spec.balls.thickness, "mm", 2, (v) => (spec.balls.thickness = v))}
      {:else if poured}
        {@render figure(m.ladle_volume(), "ladle.volume", spec.ladle.volume, "ml", 0, (v) => (spec.ladle.volume = v))}
      {:else}
        {@render figure(m.one_ball(), "balls.mass", spec.balls.mass, "g", 1, (v) => (spec.balls.mass = v))}
      {/if}
    {/if}
    {#if ballFollows(spec)}
      {@render figure(m.makes_so_many(), "start.makes", start.makes ?? sheet.balls.count, "", 0, (v) => (start.makes = v))}
      <button class="button plain px-2" aria-label={m.let_count_follow()} onclick={() => batch.move({ kind: "ball" }, "makes")}
        ><PinOff size={17} aria-hidden="true" /></button
      >
    {:else if startsFromBowl(spec)}
      <button class="button plain px-2" onclick={() => batch.move({ kind: "pieces" }, "makes")}
        ><Pin size={15} aria-hidden="true" />{m.fix_how_many()}</button
      >
    {/if}
    <span class="ms-auto text-lead font-semibold whitespace-nowrap" data-testid="makes">
      <span class="font-text text-body font-normal text-mute">{m.makes()}</span>
      <b>{m.start_makes({ count: sheet.balls.count, mass: amount(sheet.balls.mass, "g") })}</b>
    </span>
  </p>
  {#if refusal && ["fixedOutweighs", "tooManyPieces", "tooManyPins"].includes(refusal.code)}<p class="refusal" role="alert">
      {say(refusal)}
    </p>{/if}
</section>
