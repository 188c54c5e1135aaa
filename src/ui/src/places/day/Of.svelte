<script lang="ts">
  import { changes } from "../../api/changes.svelte";
  import { larder } from "../../api/larder.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { troubleWords } from "../../words/trouble";
  import Clashes from "./Clashes.svelte";
  import { DayOf } from "./day.svelte";
  import Doughs from "./Doughs.svelte";
  import Files from "./Files.svelte";
  import Goods from "./Goods.svelte";
  import Lanes from "./Lanes.svelte";

  /** One day: when who and what is wanted, the doughs in their order, and what to buy and weigh. */
  let { day }: { day: string } = $props();
  // The day is keyed: another one is another place.
  // svelte-ignore state_referenced_locally
  const here = new DayOf(day);
  const view = $derived(here.view);
  const sheet = $derived(view?.sheet);
  const unworked = $derived((view?.batches ?? []).filter((b) => b.refusals.length > 0));
  const id = $props.id();

  $effect(() => {
    void changes.of("batches");
    void changes.of("breads");
    void changes.of("larder");
    void changes.of("learned");
    void changes.of("days");
    void here.fetched.fetch();
  });

  // What the batches count on stands in the empty field.
  const there = (what: "people" | "pans") =>
    new Typed(() => ({
      value: here.spec[what] ?? null,
      limit: larder.limit(`clock.${what}`),
      places: 0,
      spare: true,
      refusal: here.refusalOf(what),
      set: (v) => here.there(what, v),
    }));
  const counts = [
    { what: "people" as const, typed: there("people"), label: m.day_people },
    { what: "pans" as const, typed: there("pans"), label: m.day_pans },
  ];
</script>

<Trouble trouble={here.fetched.trouble} again={here.fetched.fetch} />
{#if view && sheet}
  {#if view.batches.length === 0}
    <p class="tray p-6 text-center text-lead" data-testid="empty-day">
      {m.day_empty()} <a class="font-semibold text-rim underline" href="#/">{m.to_the_shelf()}</a>
    </p>
  {:else}
    <div class="mb-3 flex flex-wrap items-end gap-x-5 gap-y-2">
      <div class="me-auto"><Files {here} /></div>
      {#each counts as { what, typed, label } (what)}
        <label class="flex items-center gap-2 print:hidden" for="{id}-{what}">
          <span>{label()}</span>
          <TypedInput {typed} id="{id}-{what}" class="field w-16 text-center font-head font-bold" placeholder={String(sheet[what])} />
          {#if typed.problem}<span id="{id}-{what}-problem" class="refusal" role="alert">{typed.problem}</span>{/if}
        </label>
      {/each}
    </div>
    {#each unworked as b (b.id)}
      <p class="refusal mb-2" role="alert">
        <a class="underline" href="#/batch/{b.id}">{m.day_unworked({ name: b.name })}</a>
        {troubleWords({ kind: "refused", refusals: b.refusals })}
      </p>
    {/each}
    {#if view.more}<p class="refusal mb-2">{m.day_more({ count: view.batches.length })}</p>{/if}
    <section class="tray mb-4 px-4 py-3 print:mb-2 print:border-0 print:p-0" aria-labelledby="{id}-lanes">
      <h2 id="{id}-lanes" class="mb-1 text-lead font-bold">{m.day_lanes()}</h2>
      <Lanes {view} />
      <Clashes {view} onmove={(batch, seconds) => void here.move(batch, seconds)} />
    </section>
    <div class="grid grid-cols-[minmax(0,1fr)] gap-4 xl:grid-cols-[minmax(0,1fr)_22rem] print:gap-2">
      <Goods {here} {sheet} />
      <Doughs {view} />
    </div>
  {/if}
{/if}
