<script lang="ts">
  import Printer from "@lucide/svelte/icons/printer";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import Trouble from "../parts/Trouble.svelte";
  import { bakedOf, type Cut, thicknessOf } from "../section/cuts";
  import Section from "../section/Section.svelte";
  import { cardSteps } from "../words/card";
  import { madeOf } from "../words/made";
  import { amount, clock, day, measured } from "../words/format";
  import Allergens from "../parts/Allergens.svelte";
  import { shortName } from "../words/names/items";
  import { cutName } from "../words/names/section";

  const here = batch.recover();
  const spec = $derived(batch.spec);
  const sheet = $derived(batch.sheet);
  const lots = $derived(sheet?.dough.lots.count ?? 1);

  // As it goes on the pan and as it comes off, one as tall as the other.
  const baked = $derived(sheet && bakedOf(sheet));
  const cuts = $derived<Cut[]>(
    sheet
      ? [{ of: "raw", section: sheet.section, baked: null }, ...(baked ? [{ of: "off" as const, section: sheet.section, baked }] : [])]
      : [],
  );
  const tallest = $derived({ across: sheet?.section.across ?? 0, thickness: Math.max(...cuts.map(thicknessOf)) });

  // What is used beside the dough and the filling: laid on and between the leaves, and in the pan.
  const beside = $derived((sheet?.used ?? []).filter((u) => u.each != null && u.times != null));
</script>

{#if spec && sheet}
  <div class="mx-auto max-w-205 p-3 sm:p-5 print:p-0">
    <div class="mb-3 flex gap-2 print:hidden">
      <a class="button" href="#/batch">{m.card_back()}</a>
      <a class="button" href="#/labels">{m.labels_open()}</a>
      <button class="button strong" onclick={() => print()}><Printer size={18} aria-hidden="true" />{m.print()}</button>
    </div>
    <article class="card tray bg-white p-6 print:rounded-none print:border-0 print:p-0" data-testid="card">
      <header class="flex flex-wrap items-baseline gap-x-4 border-b-2 border-rim pb-1">
        <h1 class="text-title leading-tight font-bold">{batch.name}</h1>
        <p>
          {m.start_makes({ count: sheet.balls.count, mass: amount(sheet.balls.mass, "g") })} · {amount(sheet.roll.across, "mm")} · {madeOf(
            sheet.section,
            sheet.fold.effective,
          )}
        </p>
        <p class="ms-auto text-mute">{m.card_made_for({ when: m.day_at({ day: day(batch.madeFor), time: clock(batch.madeFor) }) })}</p>
      </header>
      <div class="mt-2 grid gap-x-5 sm:grid-cols-2 print:grid-cols-2">
        {#each cuts as cut (cut.of)}
          <figure>
            <Section section={cut.section} baked={cut.baked} scaleOf={tallest} height={50} small />
            <figcaption class="text-fine text-mute">{cutName[cut.of]({ number: 0 })}</figcaption>
          </figure>
        {/each}
      </div>
      <h2 class="mt-2 font-bold">{m.card_ingredients()}{lots > 1 ? `, ${m.card_each_lot({ count: lots })}` : ""}</h2>
      <table class="w-full text-small">
        <tbody>
          {#each sheet.dough.portions.filter((p) => p.mass > 0.05) as p (p.part + p.index)}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{shortName(p.id)}</th>
              <td class="text-end font-head text-body font-bold">{amount(p.eachLot, "g")}</td>
              <td class="ps-3">{measured(p.measure)}</td>
              <td class="text-end text-mute">{amount(p.share, "%")}</td>
              {#if lots > 1}<td class="text-end text-mute">{m.card_all()} {amount(p.mass, "g")}</td>{/if}
            </tr>
          {/each}
          {#each sheet.filling?.parts ?? [] as p, i (i)}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{m.card_of_filling({ item: shortName(p.id) })}</th>
              <td class="text-end font-head text-body font-bold">{amount(p.start.mass, "g")}</td>
              <td class="ps-3 text-mute" colspan="3">{amount(p.buy, "g")} {m.raw_weight()}</td>
            </tr>
          {/each}
          {#each beside as u, i (i)}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{(u.part === "pan" ? m.card_on_pan : m.card_inside)({ item: shortName(u.id) })}</th>
              <td class="text-end font-head text-body font-bold">{amount(u.mass, "g")}</td>
              <td class="ps-3 text-mute" colspan="3">{m.count_times({ count: u.times!, mass: amount(u.each!, "g") })}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <h2 class="mt-3 font-bold">{m.card_steps()}</h2>
      <ol class="ms-7 list-decimal text-small leading-snug">
        {#each cardSteps(spec, sheet) as step, i (i)}<li class="ps-1 pb-0.5">{step}</li>{/each}
      </ol>
      <footer class="mt-2 border-t-2 border-rim pt-1 text-fine text-mute">
        <div class="text-ink"><Allergens allergens={sheet.allergens} undeclared={sheet.undeclared} /></div>
        {m.card_made_with()}
      </footer>
    </article>
  </div>
{:else if here && batch.trouble}
  <div class="p-5"><Trouble trouble={batch.trouble} again={() => batch.again()} /></div>
{:else}
  <section class="mx-auto max-w-xl p-8 text-center">
    <h1 class="text-title font-bold">{here ? m.working_it_out() : m.no_batch()}</h1>
    <a class="button strong mt-3" href="#/">{m.to_the_shelf()}</a>
  </section>
{/if}
