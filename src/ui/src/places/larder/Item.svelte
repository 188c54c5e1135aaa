<script lang="ts">
  import RotateCcw from "@lucide/svelte/icons/rotate-ccw";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { type Answer, call, type Trouble as Why } from "../../api/call";
  import { api, meant } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { Allergen, Ingredient, IngredientKind, Refusal, Trait } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Chips from "../../parts/Chips.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import { newId } from "../../ids";
  import Select from "../../parts/Select.svelte";
  import TextField from "../../parts/TextField.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { keepOver, type Row } from "../../versions/elsewhere.svelte";
  import { allergenName, kindName, nameOf, traitName } from "../../words/names/items";
  import { say } from "../../words/refusals";

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
  const start = item;
  const version = larder.view?.itemVersions[start.id] ?? "";
  // Pressed again after an answer that was lost, it is one line.
  const own = newId();
  const figures = structuredClone(start);
  let body = $state({ ...figures, traits: figures.traits ?? null, lot: figures.lot ?? null });
  let price = $state<{ cost: number | null; pack: number | null }>({
    cost: figures.price?.cost ?? null,
    pack: figures.price?.pack ?? 1000,
  });
  type Figures = Omit<Ingredient, "origin" | "solids">;
  let trouble = $state.raw<Why | null>(null);
  let refusals = $state.raw<Refusal[]>([]);
  let unread = $state<Record<string, boolean>>({});
  const asKept = JSON.stringify(asBody());
  $effect(() => {
    unkept = fresh || JSON.stringify(asBody()) !== asKept;
  });
  const flours = $derived((larder.view?.ingredients ?? []).filter((i) => i.kind === "flour" && !i.lot && i.origin !== "gone"));
  const refusalOf = (field: string) => refusals.find((r) => r.field === field);
  // A flour needs to say how it behaves under the pin; a usual white one is a start.
  const traits = { strength: "white" as const, springback: 0.16, leastRest: 20 };

  function asBody(): Figures {
    const { cost, pack } = price;
    const { origin: _, solids: __, ...figures } = $state.snapshot(body);
    return {
      ...figures,
      traits: body.kind === "flour" ? ($state.snapshot(body.traits) ?? traits) : null,
      absorption: body.kind === "flour" ? (body.absorption ?? null) : null,
      price: cost === null ? null : { cost, pack: pack ?? 1000 },
    };
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    if (Object.values(unread).some(Boolean)) return;
    const { data, trouble: why } = await (fresh ? add(asBody(), own) : put(rowOf(start, version), asBody()));
    refusals = why?.kind === "refused" ? why.refusals : [];
    trouble = why && why.kind !== "refused" ? why : null;
    if (!data) return;
    await refresh();
    onkept(data.id);
    toaster.say(m.item_kept({ name: data.name }));
  }

  // Where a line comes from and what is worked out of it are the kitchen's to say.
  function rowOf({ origin: _, solids: __, ...figures }: Ingredient, version: string): Row<Figures> {
    return { version, figures };
  }
  const put = (from: Row<Figures>, to: Figures): Promise<Answer<Ingredient>> =>
    keepOver<Figures, Ingredient>({
      from,
      to,
      send: (version, body) =>
        call(() =>
          api.PUT("/api/larder/items/{id}", {
            params: { path: { id: from.figures.id }, header: meant(version) },
            body: { ...start, ...body },
          }),
        ),
      rowOf,
      name: start.name,
      second: (body) => add({ ...body, name: m.name_here({ name: body.name }).slice(0, 80) }, newId()),
    });
  async function add(figures: Figures, id: string): Promise<Answer<Ingredient>> {
    const body = { ...start, ...figures, id };
    const answer = await call(() => api.POST("/api/larder/items", { body }));
    if (answer.trouble?.kind !== "stale" || !answer.trouble.now) return answer;
    // It was kept by a request whose answer was lost: from there on it is changed.
    const row = rowOf(answer.trouble.now as Ingredient, answer.trouble.version);
    return put(row, { ...figures, id: row.figures.id });
  }

  /** An own line goes, a shipped one gets its shipped values back; both with a way back. */
  async function remove() {
    const path = { id: start.id };
    const { trouble: why } = await call(() => api.DELETE("/api/larder/items/{id}", { params: { path, header: meant(version) } }));
    if (why && why.kind !== "missing") {
      trouble = why;
      return;
    }
    const own = start.origin === "own";
    ongone();
    await refresh();
    toaster.say(own ? m.deleted({ name: start.name }) : m.item_reset({ name: start.name }), async () => {
      const { trouble: still } = await told(
        m.undo(),
        call(() => api.POST("/api/larder/items/{id}/restore", { params: { path } })),
      );
      if (still) return;
      await refresh();
      onkept(start.id);
    });
    if (!own) onkept(start.id);
  }

  async function refresh() {
    await larder.fetch();
    batch.again();
  }

  // What nobody has said of it is what its kind usually is.
  const marks = $derived<readonly Trait[]>(body.marks ?? larder.view?.usualTraits.find((k) => k.kind === body.kind)?.traits ?? []);
</script>

{#snippet figure(
  label: string,
  key: "density" | "water" | "fat" | "sugar" | "salt" | "kcalPer100G" | "absorption" | "smokePoint" | "holding" | "draw" | "squeeze",
  unit: string,
)}
  <FigureField
    {label}
    limit={larder.itemLimit(key)}
    {unit}
    bind:value={() => body[key], (v) => ((body as Record<string, unknown>)[key] = v)}
    bind:unread={unread[key]}
    refusal={refusalOf(key)}
  />
{/snippet}

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
          bind:unread={unread.thirst}
          refusal={refusalOf("lot.thirst")}
        />
      </div>
      <p class="text-small text-mute">{m.sack_values({ flour: nameOf(body.lot.of) })}</p>
    {:else}
      <fieldset>
        <legend class="mb-1 font-head font-bold">{m.composition()}</legend>
        <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
          {@render figure(m.density(), "density", "g/ml")}
          {@render figure(m.water_in(), "water", "%")}
          {@render figure(m.fat_in(), "fat", "%")}
          {@render figure(m.sugar_in(), "sugar", "%")}
          {@render figure(m.salt_in(), "salt", "%")}
          {@render figure(m.kcal(), "kcalPer100G", "kcal")}
          {#if body.kind === "flour"}{@render figure(m.absorption(), "absorption", "%")}{/if}
          {#if body.kind === "fat"}{@render figure(m.smoke_point(), "smokePoint", "°C")}{/if}
          {#if ["vegetable", "mash", "dairy", "meat", "sweet", "binder"].includes(body.kind)}
            {@render figure(m.holding(), "holding", "")}
            {@render figure(m.draw(), "draw", "%")}
            {@render figure(m.squeeze(), "squeeze", "%")}
          {/if}
        </div>
      </fieldset>
      {#if body.kind === "flour"}
        {@const flour = body.traits ?? traits}
        <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
          <Select
            quiet
            label={m.strength()}
            value={flour.strength}
            options={[
              { value: "white", label: m.strength_white() },
              { value: "whole", label: m.strength_whole() },
              { value: "weak", label: m.strength_weak() },
            ]}
            onchange={(strength) => (body.traits = { ...flour, strength })}
          />
          <FigureField
            label={m.springback()}
            limit={larder.itemLimit("traits.springback")}
            bind:value={() => flour.springback, (v) => (body.traits = { ...flour, springback: v ?? 0 })}
            bind:unread={unread.springback}
            refusal={refusalOf("traits.springback")}
          />
          <FigureField
            label={m.least_rest()}
            limit={larder.itemLimit("traits.leastRest")}
            unit="min"
            bind:value={() => flour.leastRest, (v) => (body.traits = { ...flour, leastRest: v ?? 0 })}
            bind:unread={unread.leastRest}
            refusal={refusalOf("traits.leastRest")}
          />
        </div>
      {/if}
    {/if}
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
      <FigureField
        label={m.price()}
        limit={larder.itemLimit("price.cost")}
        unit="money"
        bind:value={price.cost}
        bind:unread={unread.cost}
        refusal={refusalOf("price.cost")}
      />
      <FigureField
        label={m.pack()}
        limit={larder.itemLimit("price.pack")}
        unit="g"
        bind:value={price.pack}
        bind:unread={unread.pack}
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
          bind:unread={unread.each}
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
    {#if refusals.length || Object.values(unread).some(Boolean)}<p class="refusal" role="alert">
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
