<script lang="ts">
  import type { Snippet } from "svelte";
  import X from "@lucide/svelte/icons/x";
  import type { Feel } from "../api/types";
  import { batch } from "../batch.svelte";
  import { m } from "../paraglide/messages";
  import Choice from "../parts/Choice.svelte";
  import Dial from "../parts/Dial.svelte";
  import Gauge from "../parts/Gauge.svelte";
  import Pick from "../parts/Pick.svelte";
  import Share from "../parts/Share.svelte";
  import { amount, number } from "../words/format";
  import { feelName, shortName } from "../words/names";
  import { say } from "../words/refusals";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const dough = $derived(spec.dough);
  const feels = (Object.keys(feelName) as Feel[]).map((value) => ({ value, label: feelName[value]() }));
  // Salt has a figure of its own.
  const taken = $derived(["salt-fine", ...dough.additions.map((a) => a.id)]);
  const marks = $derived(sheet.dough.marks);
  const gramsOf = (id: string) => sheet.dough.portions.find((p) => p.id === id)?.mass ?? 0;
  // A bar's length against the heaviest thing in the bowl, so that salt is still seen beside flour.
  const heaviest = $derived(Math.max(...sheet.dough.portions.map((p) => p.mass)));
  const bar = (id: string) => `${Math.max(100 * Math.sqrt(gramsOf(id) / heaviest), 1.5)}%`;
  const tint = (id: string) =>
    id === dough.liquid ? "#9db7e8" : id === dough.fat ? "var(--color-ghee)" : id === "salt-fine" ? "#b9c3cf" : "var(--color-dough-deep)";
  const wouldBe = {
    firmSide: m.feels_firm_side,
    onTarget: m.feels_on_target,
    softSide: m.feels_soft_side,
    stiff: m.feels_stiff,
    sticky: m.feels_sticky,
    batter: m.feels_batter,
  };
</script>

{#snippet row(id: string, pick: Snippet, share: Snippet | null)}
  <li class="relative border-b border-line last:border-0" data-portion={id}>
    <span
      class="absolute inset-y-1.5 start-0 rounded-md opacity-45 transition-[width] duration-150"
      style:width={bar(id)}
      style:background={tint(id)}
    ></span>
    <div class="relative grid min-h-11 grid-cols-[minmax(0,1fr)_auto_86px] items-center gap-2 ps-2">
      {@render pick()}
      <span>{@render share?.()}</span>
      <b class="text-end text-[19px] whitespace-nowrap" data-testid="grams">{amount(gramsOf(id), "g")}</b>
    </div>
  </li>
{/snippet}

<div class="grid gap-x-7 gap-y-3 xl:grid-cols-[minmax(0,4fr)_minmax(0,7fr)]">
  <div class="grid content-start gap-x-7 gap-y-1 sm:grid-cols-2 xl:grid-cols-1">
    <Dial label={m.pieces()} field="dough.pieces" value={dough.pieces} step={1} places={0} to={60} onchange={(v) => (dough.pieces = v)} />
    <Dial
      label={m.water_of_flour()}
      field="dough.hydration"
      value={dough.hydration}
      step={1}
      unit="%"
      from={40}
      to={90}
      good={sheet.dough.hydrationGood}
      onchange={(v) => (dough.hydration = v)}
    />
    <Dial
      label={m.fat_of_flour()}
      field="dough.fatShare"
      value={dough.fatShare}
      step={0.5}
      unit="%"
      to={20}
      onchange={(v) => (dough.fatShare = v)}
    />
    <Dial
      label={m.salt_of_flour()}
      field="dough.salt"
      value={dough.salt}
      step={0.1}
      unit="%"
      to={3}
      good={sheet.dough.saltGood}
      onchange={(v) => (dough.salt = v)}
    />
    <Choice label={m.feel()} value={dough.feel} options={feels} onchange={(v) => (dough.feel = v)} />
  </div>

  <div class="grid content-start gap-3">
    <div>
      <div class="flex items-baseline justify-between">
        <h2 class="text-[15px] font-bold">{m.weigh()}</h2>
        <span class="text-mute"
          >{m.in_all()} <b class="text-[17px] text-ink" data-testid="dough-mass">{amount(sheet.dough.mass, "g")}</b></span
        >
      </div>
      <ul class="mt-1">
        {#each dough.flours as flour, i (i)}
          {#snippet pick()}<Pick
              bare
              label={m.flour()}
              field="dough.flours[].id"
              value={flour.id}
              except={dough.flours.map((f) => f.id)}
              onchange={(id) => (flour.id = id)}
            />{/snippet}
          {#snippet share()}
            {#if dough.flours.length > 1}
              <span class="flex items-center">
                <Share
                  label={m.parts_of({ item: shortName(flour.id) })}
                  field="dough.flours[{i}].parts"
                  value={flour.parts}
                  onchange={(v) => (flour.parts = v)}
                />
                <button
                  class="grid size-11 place-items-center rounded-lg text-mute hover:bg-steel"
                  aria-label={m.leave_out({ item: shortName(flour.id) })}
                  onclick={() => batch.change(() => dough.flours.splice(i, 1))}><X size={18} /></button
                >
              </span>
            {/if}
          {/snippet}
          {@render row(flour.id, pick, share)}
        {/each}
        {#snippet liquid()}<Pick
            bare
            label={m.liquid()}
            field="dough.liquid"
            value={dough.liquid}
            onchange={(id) => (dough.liquid = id)}
          />{/snippet}
        {@render row(dough.liquid, liquid, null)}
        {#snippet fat()}<Pick
            bare
            label={m.dough_fat()}
            field="dough.fat"
            value={dough.fat}
            onchange={(id) => (dough.fat = id)}
          />{/snippet}
        {@render row(dough.fat, fat, null)}
        {#snippet salt()}<span>{shortName("salt-fine")}</span>{/snippet}
        {@render row("salt-fine", salt, null)}
        {#each dough.additions as addition, i (i)}
          {#snippet pick()}<Pick
              bare
              label={m.addition()}
              field="dough.additions[].id"
              value={addition.id}
              except={taken}
              onchange={(id) => (addition.id = id)}
            />{/snippet}
          {#snippet share()}
            <span class="flex items-center">
              <Share
                label={m.share_of({ item: shortName(addition.id) })}
                field="dough.additions[{i}].share"
                value={addition.share}
                unit="%"
                onchange={(v) => (addition.share = v)}
              />
              <button
                class="grid size-11 place-items-center rounded-lg text-mute hover:bg-steel"
                aria-label={m.leave_out({ item: shortName(addition.id) })}
                onclick={() => batch.change(() => dough.additions.splice(i, 1))}><X size={18} /></button
              >
            </span>
          {/snippet}
          {@render row(addition.id, pick, share)}
        {/each}
      </ul>
      {#each batch.refusals.filter( (r) => ["dough.liquid", "dough.fat", "dough.additions", "dough.flours"].includes(r.field) ) as r (r.field)}
        <p class="refusal">{say(r)}</p>
      {/each}
      <div class="mt-1 flex gap-4">
        <Pick
          bare
          label={m.addition()}
          prompt={m.add_addition()}
          field="dough.additions[].id"
          value=""
          except={taken}
          onchange={(id) => dough.additions.push({ id, share: 1 })}
        />
        <Pick
          bare
          label={m.flour()}
          prompt={m.add_flour()}
          field="dough.flours[].id"
          value=""
          except={dough.flours.map((f) => f.id)}
          onchange={(id) => dough.flours.push({ id, parts: Math.max(Math.round((dough.flours[0]?.parts ?? 100) / 4), 1) })}
        />
      </div>
    </div>
    <Gauge
      label={m.against_thirst()}
      value={sheet.dough.gap}
      from={marks.stiff - 6}
      said={wouldBe[sheet.dough.feel]()}
      zones={[
        { to: marks.stiff, label: m.zone_stiff(), bad: true },
        { to: marks.firm, label: m.zone_firm() },
        { to: marks.soft, label: m.zone_right(), good: true },
        { to: marks.sticky, label: m.zone_soft() },
        { to: marks.sticky + 6, label: m.zone_sticky(), bad: true },
      ]}
    />
    <p class="text-[13px] text-mute">{m.thirst({ feel: number(sheet.dough.feelHydration, 1), target: number(sheet.dough.target, 1) })}</p>
  </div>
</div>
