<script lang="ts">
  import { batch } from "../../bench/bench.svelte";
  import { larder } from "../../api/larder.svelte";
  import { m } from "../../paraglide/messages";
  import Dial from "../../parts/Dial.svelte";
  import { amount } from "../../words/format";
  import { methodName } from "../../words/names/dough";
  import { nameOf, shortWithin } from "../../words/names/items";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const byLiquid = $derived(
    [...new Set(sheet.dough.purees.map((p) => p.liquid))].map((liquid) => ({
      liquid,
      ways: sheet.dough.purees.filter((p) => p.liquid === liquid),
    })),
  );
</script>

<div class="grid gap-5">
  {#each byLiquid as { liquid, ways } (liquid)}
    {@const line = spec.dough.liquids[liquid]}
    {@const first = ways[0]}
    {#if line && first}
      <section aria-label={nameOf(first.id)} class="grid gap-x-7 gap-y-3 xl:grid-cols-[minmax(0,3fr)_minmax(0,5fr)]">
        <div class="min-w-0">
          <h2 class="mb-1 text-lead font-bold">
            {m.puree_make({ mass: amount(first.needed, "g"), item: shortWithin(first.id) })}
          </h2>
          <Dial
            label={m.thickness_of({ item: nameOf(first.id) })}
            field="dough.liquids[{liquid}].water"
            value={line.water ?? larder.byId.get(line.id)?.water ?? 90}
            step={1}
            unit="%"
            from={70}
            to={96}
            onchange={(v) => (line.water = v)}
          />
          {#if line.water != null}<button class="button plain" onclick={() => batch.change(() => (line.water = undefined))}
              >{m.as_in_larder()}</button
            >{/if}
          <p class="text-small text-mute">{m.puree_thickness_how()}</p>
        </div>
        <!-- Wider than a phone: scrolled by finger or keyboard. -->
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <div class="relative min-w-0 overflow-x-auto" role="region" tabindex={0} aria-label={m.tab_puree()}>
          <table class="w-full text-end" data-testid="puree-ways">
            <thead class="text-fine text-mute">
              <tr>
                <th class="text-start font-normal"><span class="sr-only">{m.water_by()}</span></th>
                {#each [m.puree_buy(), m.puree_cooked(), m.puree_blend(), m.puree_cook_off(), m.puree_makes()] as head (head)}
                  <th class="px-1 font-normal">{head}</th>
                {/each}
              </tr>
            </thead>
            <tbody>
              {#each ways as way (way.method)}
                <tr class="border-t border-line">
                  <th class="py-2 text-start font-head font-semibold whitespace-nowrap"
                    >{m.puree_time({ method: methodName[way.method](), time: way.time ? amount(way.time, "min") : "" })}</th
                  >
                  <td class="px-1 font-head text-big font-bold whitespace-nowrap">{amount(way.raw, "g")}</td>
                  <td class="px-1 whitespace-nowrap">{amount(way.cooked, "g")}</td>
                  <td class="px-1 font-head text-big font-bold whitespace-nowrap">{amount(way.blend, "g")}</td>
                  <td class="px-1 whitespace-nowrap">{way.cookOff >= 0.5 ? amount(way.cookOff, "g") : m.none()}</td>
                  <td class="px-1 whitespace-nowrap">{amount(way.made, "g")}</td>
                </tr>
              {/each}
            </tbody>
          </table>
          {#if first.chill}<p class="mt-1 font-semibold">{m.puree_chill()}</p>{/if}
          <p class="mt-1 text-small">{first.left >= 0.5 ? m.puree_left_where({ mass: amount(first.left, "g") }) : m.puree_none_left()}</p>
        </div>
      </section>
    {/if}
  {/each}
</div>
