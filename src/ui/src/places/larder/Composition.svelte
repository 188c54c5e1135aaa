<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import { m } from "../../paraglide/messages";
  import FigureField from "../../parts/FigureField.svelte";
  import type { Line } from "./line.svelte";
  import { amount } from "../../words/format";

  /** What it is made of, and how it behaves, as far as its kind has it. */
  let { line }: { line: Line } = $props();
  const { body, refusalOf } = $derived(line);
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
    bind:unread={line.unread[key]}
    refusal={refusalOf(key)}
  />
{/snippet}

<fieldset>
  <legend class="mb-1 font-head font-bold">{m.composition()}</legend>
  <div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
    {@render figure(m.density(), "density", "g/ml")}
    {@render figure(m.water_in(), "water", "%")}
    {@render figure(m.fat_in(), "fat", "%")}
    {@render figure(m.sugar_in(), "sugar", "%")}
    {@render figure(m.salt_in(), "salt", "%")}
    {@render figure(m.kcal({ mass: amount(100, "g") }), "kcalPer100G", "kcal")}
    {#if body.kind === "flour"}{@render figure(m.absorption(), "absorption", "%")}{/if}
    {#if body.kind === "fat"}{@render figure(m.smoke_point(), "smokePoint", "°C")}{/if}
    {#if ["vegetable", "mash", "dairy", "meat", "sweet", "binder"].includes(body.kind)}
      {@render figure(m.holding(), "holding", "")}
      {@render figure(m.draw(), "draw", "%")}
      {@render figure(m.squeeze(), "squeeze", "%")}
    {/if}
  </div>
</fieldset>
