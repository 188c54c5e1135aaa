<script lang="ts">
  import { m } from "../../paraglide/messages";
  import Figure from "../../parts/Figure.svelte";
  import { amount, listed } from "../../words/format";
  import Allergens from "../../parts/Allergens.svelte";
  import { shortWithin } from "../../words/names/items";
  import type { StageProps } from "../props";

  let { sheet }: StageProps = $props();
  const cost = $derived(sheet.cost);
  const names = {
    flour: m.cost_flour,
    liquid: m.cost_liquid,
    fat: m.cost_fat,
    salt: m.cost_salt,
    addition: m.cost_addition,
    inside: m.cost_inside,
    filling: m.cost_filling,
    pan: m.cost_pan,
  };
  const tints = {
    flour: "var(--color-dough-deep)",
    liquid: "var(--color-of-liquid)",
    fat: "var(--color-of-fat)",
    salt: "var(--color-of-salt)",
    addition: "var(--color-of-addition)",
    inside: "var(--color-ghee)",
    filling: "var(--color-filling)",
    pan: "var(--color-crust)",
  };
  // In one order, so that the bar is read beside its lines.
  const parts = $derived(cost.parts.toSorted((a, b) => b.batch - a.batch));
</script>

<div class="grid gap-x-7 gap-y-4 xl:grid-cols-2">
  {#if cost.known}
    <div>
      <dl class="grid grid-cols-2 gap-3" data-testid="cost">
        <Figure label={m.cost_piece()} value={amount(cost.piece, "money")} />
        <Figure label={m.cost_batch()} value={amount(cost.batch, "money")} />
      </dl>
      <div class="mt-3 flex h-7 gap-0.5 overflow-hidden rounded-md" aria-hidden="true">
        {#each parts as part (part.part)}
          <span style:width="{(100 * part.batch) / cost.batch}%" style:background={tints[part.part]}></span>
        {/each}
      </div>
    </div>
    <table class="w-full self-start">
      <tbody>
        {#each parts as part (part.part)}
          <tr class="border-b border-line last:border-0">
            <th class="flex items-center gap-2 py-1.5 text-start font-normal"
              ><span class="size-3 rounded-sm" style:background={tints[part.part]}></span>{names[part.part]()}</th
            >
            <td class="text-end font-head font-semibold">{amount(part.piece, "money")}</td>
            <td class="text-end text-mute">{amount(part.batch, "money")}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <p class="text-mute">{m.cost_none()}</p>
  {/if}
  <div>
    {#if cost.known && cost.unpriced.length}<p class="text-mute">
        {m.cost_unpriced({ items: listed(cost.unpriced.map((id) => shortWithin(id))) })}
      </p>{/if}
    <a class="button mt-2" href="#/larder">{m.cost_to_larder()}</a>
  </div>
  <div class="self-end"><Allergens allergens={sheet.allergens} undeclared={sheet.undeclared} /></div>
</div>
