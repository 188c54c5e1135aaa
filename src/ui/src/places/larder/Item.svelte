<script lang="ts">
  import RotateCcw from "@lucide/svelte/icons/rotate-ccw";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { larder } from "../../api/larder.svelte";
  import type { Allergen, Ingredient, IngredientKind, Trait } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Chips from "../../parts/Chips.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import Select from "../../parts/Select.svelte";
  import TextField from "../../parts/TextField.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { allergenName, kindName, nameOf, traitName } from "../../words/names/items";
  import { say } from "../../words/refusals";
  import Composition from "./Composition.svelte";
  import FlourTraits from "./FlourTraits.svelte";
  import { Line } from "./line.svelte";

  interface Props {
    item: Ingredient;
    /** Not in the larder yet. */
    fresh: boolean;
    /** Whether something is written here that is not kept. */
    unkept?: boolean;
    onkept: (id: string) => void;
    ondiscard: () => void;
    ongone: () => void;
  }
  let { item, fresh, unkept = $bindable(false), onkept, ondiscard, ongone }: Props = $props();
  // The form is keyed by its line, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  const line = new Line(item, fresh);
  const { start } = line;
  const { body, price, refusals, trouble, marks, refusalOf } = $derived(line);
  const flours = $derived((larder.view?.ingredients ?? []).filter((i) => i.kind === "flour" && !i.lot && i.origin !== "gone"));
  $effect(() => {
    unkept = line.unkept;
  });

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    const kept = await line.keep();
    if (kept) onkept(kept.id);
  }
  async function remove() {
    if (!(await line.remove(onkept))) return;
    ongone();
    if (start.origin !== "own") onkept(start.id);
  }
</script>

{#snippet chips<T extends string>(label: string, names: Record<T, () => string>, on: readonly T[], change: (on: T[]) => void)}
  <section>
    <p class="mb-1 font-head font-bold" aria-hidden="true">{label}</p>
    <Chips
      {label}
      value={[...on]}
      options={(Object.entries(names) as [T, () => string][]).map(([value, name]) => ({ value, label: name() }))}
      onchange={change}
    />
  </section>
{/snippet}

<form class="tray flex min-h-0 min-w-0 flex-col overflow-hidden" onsubmit={keep} novalidate aria-label={fresh ? m.new_item() : start.name}>
  <div class="grid min-h-0 flex-1 content-start gap-x-5 gap-y-3 overflow-y-auto p-4 sm:px-5.5">
    <div class="grid gap-x-4 gap-y-3 sm:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <TextField label={m.item_name()} most={80} bind:value={body.name} refusal={refusalOf("name")} class="font-head text-lead font-bold" />
      {#if body.lot}
        {@const lot = body.lot}
        <Select
          quiet
          label={m.sack_is_of()}
          value={lot.of}
          options={flours.map((f) => ({ value: f.id, label: f.name }))}
          onchange={(of) => (lot.of = of)}
        />
      {:else}
        <Select
          quiet
          label={m.kind()}
          value={body.kind}
          options={(Object.keys(kindName) as IngredientKind[]).map((value) => ({ value, label: kindName[value]() }))}
          onchange={(kind) => (body.kind = kind)}
        />
      {/if}
    </div>
    {#if body.lot}
      <div class="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <FigureField
          label={m.thirst_more()}
          limit={larder.itemLimit("lot.thirst")}
          unit="%"
          bind:value={() => body.lot?.thirst, (v) => body.lot && (body.lot.thirst = v ?? 0)}
          bind:unread={line.unread.thirst}
          refusal={refusalOf("lot.thirst")}
        />
      </div>
      <p class="text-small text-mute">{m.sack_values({ flour: nameOf(body.lot.of) })}</p>
    {:else}
      <Composition {line} />
      {#if body.kind === "flour"}<FlourTraits {line} />{/if}
    {/if}
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
      <FigureField
        label={m.price()}
        limit={larder.itemLimit("price.cost")}
        unit="money"
        bind:value={price.cost}
        bind:unread={line.unread.cost}
        refusal={refusalOf("price.cost")}
      />
      <FigureField
        label={m.pack()}
        limit={larder.itemLimit("price.pack")}
        unit="g"
        bind:value={price.pack}
        bind:unread={line.unread.pack}
        refusal={refusalOf("price.pack")}
      />
    </div>
    {#if !body.lot}
      {@render chips<Allergen | "none">(
        m.allergens(),
        { ...allergenName, none: m.allergens_none },
        body.noAllergens ? ["none"] : body.allergens,
        (on) => {
          // None and any exclude each other: what was pressed last counts.
          body.noAllergens = on.includes("none") && !body.noAllergens;
          body.allergens = body.noAllergens ? [] : on.filter((a) => a !== "none");
        },
      )}
      {@render chips<Trait>(m.traits(), traitName, marks, (on) => (body.marks = on))}
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
        <label class="min-w-0">
          <span class="block text-small text-mute">{m.hue()}</span>
          <input
            type="color"
            class="h-11 w-full cursor-pointer rounded-xl border-2 border-rim-soft bg-white p-1"
            bind:value={() => body.hue ?? "#d8cdb8", (v) => (body.hue = v)}
          />
        </label>
        <FigureField
          label={m.each_weighs()}
          limit={larder.itemLimit("each")}
          unit="g"
          bind:value={() => body.each, (v) => (body.each = v ?? undefined)}
          bind:unread={line.unread.each}
          refusal={refusalOf("each")}
        />
      </div>
    {/if}
    <label
      ><span class="block text-small text-mute">{m.item_note()}</span><input
        class="field w-full"
        maxlength="200"
        bind:value={body.note}
      /></label
    >
  </div>
  <div class="flex flex-wrap items-center gap-2 rim-t bg-white px-4 py-2 sm:px-5.5">
    <button class="button strong" type="submit">{m.keep_item()}</button>
    {#if unkept}<span class="text-mute">{m.item_not_kept()}</span>{/if}
    <Trouble {trouble} />
    {#if refusals.length || line.stumbles}<p class="refusal" role="alert">
        {refusals.find((r) => r.code === "together") ? say(refusals.find((r) => r.code === "together")!) : m.see_the_red()}
      </p>{/if}
    <span class="flex-1"></span>
    {#if fresh}<button class="button plain" type="button" onclick={ondiscard}>{m.discard()}</button>
    {:else if start.origin === "own"}<button class="button plain" type="button" onclick={() => void remove()}
        ><Trash2 size={18} aria-hidden="true" />{m.delete_item()}</button
      >
    {:else if start.origin === "changed"}<button class="button plain" type="button" onclick={() => void remove()}
        ><RotateCcw size={18} aria-hidden="true" />{m.reset_item()}</button
      >{/if}
  </div>
</form>
