<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { RecipeLine, SettledLine } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Combobox from "../../parts/Combobox.svelte";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { troubleName } from "../../words/files";
  import { amount } from "../../words/format";
  import { nameOf } from "../../words/record";

  /** One line of a recipe: what it was taken for, or what the cook takes it for. */
  interface Props {
    line: RecipeLine;
    number: number;
    settled: SettledLine | undefined;
    onsettle: (line: SettledLine) => void;
  }
  let { line, number, settled, onsettle }: Props = $props();
  const open = $derived(["noAmount", "twoWays", "noIngredient", "several"].includes(line.trouble));
  const item = $derived(settled?.item ?? line.item ?? line.could[0] ?? "");
  // What it could be stands first.
  const everything = $derived(
    (larder.view?.ingredients ?? [])
      .filter((i) => i.origin !== "gone")
      .map((i) => ({ value: i.id, label: i.name, hint: line.could.includes(i.id) ? m.recipe_could() : "" }))
      .toSorted((a, b) => +(b.hint !== "") - +(a.hint !== "") || a.label.localeCompare(b.label)),
  );
  const id = $props.id();
  let mass = $state<number | null>(null);
  const limit = { field: "", least: 0, most: 500_000, unit: "g" };
  const typed = new Typed(() => ({ value: mass, limit, unit: "g", places: 1, spare: true, of: item, set: (v) => (mass = v) }));

  function settle(to: string) {
    onsettle({ line: number, item: to, mass: mass !== null && mass > 0 ? mass : undefined });
  }
</script>

<li class="border-b border-line py-1.5" data-trouble={line.trouble}>
  <span class="flex flex-wrap items-baseline gap-x-3">
    <span class="min-w-0 flex-1 basis-44 font-semibold">{line.text}</span>
    {#if line.trouble === "none"}
      <span class="text-leaf">✓ {amount(line.mass ?? 0, "g")} {nameOf(line.item ?? "")}</span>
    {:else if open}<span class="text-chilli">▲ {troubleName[line.trouble]()}</span>
    {:else}<span class="text-mute">{troubleName[line.trouble]()}</span>{/if}
  </span>
  {#if open || settled}
    <span class="mt-1 flex flex-wrap items-center gap-2">
      <Combobox
        class="flex-1 basis-48"
        label={m.recipe_is({ line: line.text })}
        value={item}
        shown={item ? nameOf(item) : m.recipe_choose()}
        options={everything}
        hideLabel
        onchange={settle}
      />
      <TypedInput
        {typed}
        {id}
        class="field w-24"
        placeholder={typed.view.symbol}
        aria-label={m.recipe_grams({ line: line.text })}
        onchange={() => item && settle(item)}
      />
      <button class="button" onclick={() => item && settle(item)} disabled={!item}>{m.recipe_so()}</button>
      <button class="button plain" onclick={() => onsettle({ line: number, item: null })}>{m.recipe_leave_out()}</button>
    </span>
    {#if typed.problem}<p id="{id}-problem" class="refusal mt-1">{typed.problem}</p>{/if}
  {/if}
</li>
