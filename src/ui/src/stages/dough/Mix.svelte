<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import AmountField from "../../parts/AmountField.svelte";
  import Choice from "../../parts/Choice.svelte";
  import { amount } from "../../words/format";
  import { feelsName, waterReason } from "../../words/names/dough";
  import { shortWithin } from "../../words/names/items";
  import { say } from "../../words/refusals";
  import { stepItems, stepWords } from "../../words/mixing";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const mix = $derived(spec.dough.mix);
  const mixing = $derived(sheet.dough.mixing);
  const adding = $derived(mixing.adding);
  const water = $derived(mixing.water);
  const heat = $derived(
    water &&
      { iced: m.heat_iced, cold: m.heat_cold, warm: m.heat_warm }[water.heat]({
        least: amount(water.between.least, "°C"),
        most: amount(water.between.most, "°C"),
      }),
  );
  // Where adding begins: what is poured at once.
  const wentIn = $derived(mix.wentIn ?? null);
  const put = (grams?: number) => batch.change(() => (mix.wentIn = grams));
  const add = (grams: number) => batch.change(() => (mix.wentIn = Math.max((mix.wentIn ?? 0) + grams, 0)));
  const refusal = $derived(batch.refusalOf("dough.mix.bowl"));
</script>

<div class="grid gap-x-7 gap-y-4 xl:grid-cols-2">
  <section class="min-w-0" aria-labelledby="mix-order">
    <h2 id="mix-order" class="mb-1 text-body font-bold">{m.mix_order()}</h2>
    <ol class="grid">
      {#each mixing.steps as step, i (i)}
        <li class="grid grid-cols-[30px_minmax(0,1fr)] border-b border-line py-1.5 last:border-0" data-act={step.act}>
          <b class="text-big text-rim">{i + 1}</b>
          <div>
            <p class="font-head leading-tight font-semibold">{stepWords(step)}</p>
            <p class="text-small text-mute">
              {#each stepItems(step, sheet) as { mass, name }, j (name)}{j ? ", " : ""}<b class="text-ink">{mass}</b> {name}{/each}
            </p>
          </div>
        </li>
      {/each}
    </ol>
    <p class="mt-1 font-head font-semibold" data-testid="lots">
      {sheet.dough.lots.count > 1
        ? m.lot_of({ count: sheet.dough.lots.count, mass: amount(sheet.dough.lots.each, "g") })
        : m.one_lot({ mass: amount(sheet.dough.mass, "g") })}
    </p>
  </section>
  <div class="grid min-w-0 content-start gap-3">
    {#if adding}
      <section class="rounded-xl bg-steel p-3" aria-labelledby="bit-by-bit">
        <h2 id="bit-by-bit" class="text-body font-bold">{m.bit_by_bit()}</h2>
        <p class="text-small">
          {m.bit_planned({
            mass: amount(adding.planned, "g"),
            item: shortWithin(sheet.dough.portions[adding.item]?.id ?? ""),
            first: amount(adding.atOnce, "g"),
            back: amount(adding.back, "g"),
          })}
        </p>
        {#if wentIn === null}
          <button class="button mt-2" onclick={() => put(adding.atOnce)}>{m.bit_begin({ mass: amount(adding.atOnce, "g") })}</button>
        {:else}
          <div class="mt-2 flex flex-wrap items-center gap-2">
            <button class="button px-3" onclick={() => add(adding.spoon)}>+ {m.bit_spoon()}</button>
            <button class="button px-3" onclick={() => add(adding.smallSpoon)}>+ {m.bit_small_spoon()}</button>
            <button class="button px-3" onclick={() => add(-adding.smallSpoon)}>− {m.bit_small_spoon()}</button>
            <button class="button plain" onclick={() => put()}>{m.bit_clear()}</button>
          </div>
          <div class="mt-1 flex items-center gap-2">
            <span>{m.bit_in()}</span>
            <span class="w-28"
              ><AmountField
                label={m.bit_in()}
                item={sheet.dough.portions[adding.item]?.id ?? larder.view!.water}
                shown={amount(wentIn, "g")}
                class="font-head text-figure font-bold"
                onread={(grams) => put(grams)}
              /></span
            >
          </div>
          <p class="font-head font-semibold" role="status" data-testid="bit-now">
            {m.bit_now({
              mass: amount(adding.wentIn ?? wentIn, "g"),
              share: amount(sheet.dough.water.hydration, "%"),
              feel: feelsName[sheet.dough.water.feel](),
            })}
          </p>
        {/if}
      </section>
    {/if}
    {#if water}
      <p data-testid="water-heat">
        <b>{m.water_heat()}: {heat}.</b>
        {waterReason[water.reason]()}
      </p>
    {/if}
    <div class="flex flex-wrap items-center gap-2">
      <span>{m.bowl()}</span>
      <span class="w-28"
        ><AmountField
          label={m.bowl()}
          item={larder.view!.water}
          shown={mix.bowl ? amount(mix.bowl, "g") : m.any_bowl()}
          class="font-head text-big font-bold"
          onread={(g) => batch.change(() => (mix.bowl = g))}
        /></span
      >
      {#if mix.bowl}<button class="button plain" onclick={() => batch.change(() => (mix.bowl = undefined))}>{m.bowl_off()}</button>{/if}
    </div>
    {#if refusal}<p class="refusal">{say(refusal)}</p>{/if}
    <Choice
      label={m.fat_when()}
      value={spec.dough.fat.when}
      options={[
        { value: "rubbedIn", label: m.fat_rubbed_in() },
        { value: "workedIn", label: m.fat_worked_in() },
      ]}
      onchange={(v) => (spec.dough.fat.when = v)}
    />
    <Choice
      label={m.salt_when()}
      value={spec.dough.salt.when ?? "withFlour"}
      options={[
        { value: "withFlour", label: m.salt_with_flour() },
        { value: "last", label: m.salt_last() },
      ]}
      onchange={(v) => (spec.dough.salt.when = v)}
    />
    <Choice
      label={m.kneading()}
      value={mix.kneading}
      options={[
        { value: "none", label: m.knead_none() },
        { value: "light", label: m.knead_light() },
        { value: "full", label: m.knead_full() },
        { value: "machine", label: m.knead_machine() },
      ]}
      onchange={(v) => (mix.kneading = v)}
    />
  </div>
</div>
