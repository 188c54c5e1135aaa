<script lang="ts">
  import ArrowLeft from "@lucide/svelte/icons/arrow-left";
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { ComparedView } from "../../api/types";
  import { marks } from "../../parts/marks";
  import Tip from "../../parts/Tip.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { amount, clock, day } from "../../words/format";
  import { figureName } from "../../words/record";

  /** Two to four cookings figure by figure: what a cook notices on top. */
  let { ids }: { ids: string[] } = $props();
  const fetched = new Fetched(() => call(() => api.GET("/api/log/compare", { params: { query: { id: ids } } })));
  $effect(() => {
    void ids;
    void fetched.fetch();
  });
  const view = $derived(fetched.data);
  const gone = $derived(fetched.trouble?.kind === "missing" || fetched.trouble?.kind === "refused");

  const matters = $derived(view?.rows.filter((r) => r.differs >= 1) ?? []);
  const alike = $derived(view?.rows.filter((r) => r.differs < 1) ?? []);
</script>

{#snippet part(rows: ComparedView["rows"], head: string)}
  <tbody>
    <tr><th class="pt-3 pb-1 text-start font-head text-body" colspan={(view?.cookings.length ?? 0) + 2} scope="colgroup">{head}</th></tr>
    {#each rows as row (row.name + row.of)}
      {@const most = Math.max(...row.values.map((v) => Math.abs(v ?? 0)), 1e-9)}
      <tr class="border-b border-line [&>*]:py-1.5 [&>*]:pe-4" data-figure={row.name}>
        <th scope="row" class="text-start font-normal">{figureName(row.name, row.of)}</th>
        {#each row.values as value, i (i)}
          <td class="text-end whitespace-nowrap {row.differs >= 1 ? 'font-head text-lead font-bold' : ''}">
            {#if value == null}<span class="text-mute">–</span>{:else}
              {#if row.taken[i]}{amount(value, row.unit)}{:else}<Tip class="text-mute italic" words={m.compare_planned()}
                  >{amount(value, row.unit)}</Tip
                >{/if}{/if}
          </td>
        {/each}
        <!-- The same figures as bars, so that the odd one is seen. -->
        <td class="w-[30%] max-md:hidden" aria-hidden="true">
          {#each row.values as value, i (i)}
            <span class="flex items-center gap-1.5 text-fine leading-none">
              <span class="w-3 text-mute">{marks[i]?.letter}</span>
              <span
                class="h-1.25 rounded-full"
                style:background={marks[i]?.tint}
                style:width="{Math.max((Math.abs(value ?? 0) / most) * 100, value == null ? 0 : 1.5)}%"
              ></span>
            </span>
          {/each}
        </td>
      </tr>
    {/each}
  </tbody>
{/snippet}

<section
  class="tray relative min-h-0 flex-1 overflow-auto px-4 py-3 sm:px-5.5"
  aria-labelledby="compare-head"
  data-testid="compared-cookings"
>
  <div class="flex flex-wrap items-center gap-3">
    <h2 id="compare-head" class="text-title font-bold tracking-tight">{m.compare_head()}</h2>
    <a class="button plain" href="#/log"><ArrowLeft size={17} aria-hidden="true" />{m.compare_back()}</a>
  </div>
  {#if gone}<p class="text-mute">{m.compare_gone()}</p>{:else}<Trouble trouble={fetched.trouble} again={fetched.fetch} />{/if}
  {#if view}
    <table class="w-full border-collapse text-body">
      <thead>
        <tr class="border-b-2 border-rim-soft">
          <td></td>
          {#each view.cookings as cooking, i (cooking.id)}
            <th scope="col" class="min-w-28 pe-4 pb-1 text-end leading-tight">
              <span class="mb-1 flex items-center justify-end gap-1.5 font-head font-bold"
                ><span class="h-1.5 flex-1 rounded-full" style:background={marks[i]?.tint}></span>{marks[i]?.letter}</span
              >
              <a class="font-head font-bold text-rim underline" href="#/log/{cooking.id}">{cooking.name}</a>
              <span class="block text-fine font-normal text-mute">{day(cooking.cookedAt)} {clock(cooking.cookedAt)}</span>
            </th>
          {/each}
          <td class="max-md:hidden"></td>
        </tr>
      </thead>
      {#if matters.length}{@render part(matters, m.compare_matters())}{/if}
      {#if alike.length}{@render part(alike, m.compare_alike())}{/if}
    </table>
    <p class="mt-2 text-fine text-mute"><i>{m.compare_planned()}</i></p>
  {/if}
</section>
