<script lang="ts">
  import type { DaySheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, listed } from "../../words/format";
  import { nameOf, shortName } from "../../words/names/items";
  import AtHand from "./AtHand.svelte";
  import type { DayOf } from "./day.svelte";
  import Mark from "./Mark.svelte";

  /** Everything the day takes: in each bread, in all, what there is, what is to be bought. */
  let { here, sheet }: { here: DayOf; sheet: DaySheet } = $props();
  // More columns than these are no table any more: the breads of each thing stand under its name.
  const MOST_COLUMNS = 6;
  const columns = $derived(sheet.breads.length <= MOST_COLUMNS);
  const id = $props.id();
</script>

<section class="tray min-w-0 px-4 py-3 print:border-0 print:p-0" aria-labelledby="{id}-goods" data-testid="goods">
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h2 id="{id}-goods" class="text-lead font-bold">{m.day_goods()}</h2>
    {#if sheet.cost > 0}<p class="ms-auto font-head font-bold">{m.day_cost({ sum: amount(sheet.cost, "money") })}</p>{/if}
  </div>
  <table class="w-full border-collapse text-small wrap-anywhere max-sm:table-fixed">
    <thead>
      <tr class="border-b-2 border-ink align-bottom text-fine">
        <td></td>
        {#if columns}{#each sheet.breads as bread, i (i)}
            <th scope="col" class="px-1 py-1 text-end max-lg:hidden print:table-cell"
              ><Mark of={i} name={bread.name} /><span class="sr-only">{bread.name}</span></th
            >
          {/each}{/if}
        <th scope="col" class="px-0.5 py-1 text-end max-sm:w-[19%] sm:px-1">{m.day_in_all()}</th>
        <th scope="col" class="px-0.5 py-1 text-end max-sm:w-[21%] sm:px-1">{m.day_at_hand()}</th>
        <th scope="col" class="py-1 ps-0.5 text-end max-sm:w-[23%] sm:ps-1">{m.day_to_buy()}</th>
      </tr>
    </thead>
    <tbody>
      {#each sheet.goods as good (good.id)}
        {@const into = good.each.flatMap((mass, i) => (mass > 0 ? [i] : []))}
        <tr class="border-b border-line" data-good={good.id}>
          <th scope="row" class="py-0.5 text-start text-body leading-tight font-medium" title={nameOf(good.id)}>
            {shortName(good.id)}
            <span class="inline-flex gap-0.5 {columns ? 'lg:hidden print:hidden' : ''}" aria-hidden="true"
              >{#each into as i (i)}<Mark of={i} />{/each}</span
            >
            <span class="sr-only {columns ? 'lg:hidden' : ''}">{listed(into.map((i) => sheet.breads[i]!.name))}</span>
          </th>
          {#if columns}{#each good.each as mass, i (i)}
              <td class="px-1 text-end whitespace-nowrap text-mute max-lg:hidden print:table-cell">{mass > 0 ? amount(mass, "g") : ""}</td>
            {/each}{/if}
          <td class="px-0.5 text-end font-head text-body font-bold whitespace-nowrap sm:px-1" data-needed>{amount(good.needed, "g")}</td>
          <td class="px-0.5 text-end sm:px-1"><AtHand {here} {good} /></td>
          <td class="py-0.5 ps-0.5 text-end sm:ps-1" data-buy>
            {#if good.toBuy > 0}<b class="font-head whitespace-nowrap">{amount(good.toBuy, "g")}</b>
              {#if good.packs}<span class="block text-fine text-mute"
                  >{m.day_packs({ count: good.packs, sum: amount(good.cost ?? 0, "money") })}</span
                >{/if}
            {:else if good.atHand != null}<span class="font-semibold text-leaf">✓<span class="sr-only">{m.day_enough()}</span></span>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if sheet.unpriced.length && sheet.cost > 0}<p class="mt-1.5 text-fine text-mute">
      {m.day_unpriced({ items: listed(sheet.unpriced.map(shortName)) })}
    </p>{/if}
</section>
