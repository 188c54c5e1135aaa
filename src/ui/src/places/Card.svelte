<script lang="ts">
  import Printer from "@lucide/svelte/icons/printer";
  import type { BatchSheet, FillingStep, FoldStep } from "../api/types";
  import { batch } from "../batch.svelte";
  import { m } from "../paraglide/messages";
  import Section from "../section/Section.svelte";
  import { captionOf } from "../stages/filling/steps";
  import { madeOf, pours } from "../words/figures";
  import { amount, clock, day, measured, number } from "../words/format";
  import { stepItems, stepWords } from "../words/mixing";
  import {
    allergenName,
    colourName,
    failureName,
    fillingStepName,
    parcelName,
    pressName,
    roastingName,
    shortName,
    stepName,
  } from "../words/names";

  const here = batch.recover();
  const spec = $derived(batch.spec);
  const sheet = $derived(batch.sheet);
  const lots = $derived(sheet?.dough.lots.count ?? 1);

  /** Fat, flour and seeds laid on and between the leaves, for one ball. */
  const laid = () => (sheet?.stages.includes("fold") ? sheet.fold.laid : []);

  const low = (id: string) => shortName(id).toLowerCase();

  function foldWords(step: FoldStep): string {
    switch (step.kind) {
      case "roll":
        return m.card_fold_roll({ across: amount(step.diameter, "mm") });
      case "press":
        return m.card_fold_press({ across: amount(step.diameter, "mm") });
      case "rollLong":
        return m.card_fold_roll_long({ long: amount(step.length, "mm"), wide: amount(step.width, "mm") });
      case "stretch":
        return m.card_fold_stretch({ times: number(step.times, 2) });
      case "brush":
        return (step.on === "board" ? m.card_board : m.card_fold_brush)({ mass: amount(step.mass, "g"), item: low(step.fat) });
      case "paste":
      case "enclose":
        return (step.kind === "paste" ? m.card_fold_paste : m.card_fold_enclose)({
          mass: amount(step.mass, "g"),
          item: low(step.fat),
          flour: amount(step.flourMass, "g"),
          with: low(step.flour),
        });
      case "dust":
        return m.card_fold_dust({ mass: amount(step.mass, "g"), item: low(step.flour) });
      case "scatter":
      case "seeds":
        return (step.kind === "scatter" ? m.card_fold_scatter : m.card_fold_seeds)({ mass: amount(step.mass, "g"), item: low(step.item) });
      case "accordion":
        return m.card_fold_accordion({ count: step.pleats });
      case "envelope":
        return step.overlap ? m.card_fold_overlap() : m.card_fold_envelope();
      case "strips":
        return (step.gathered ? m.card_fold_strips_gathered : m.card_fold_strips)({ count: step.count });
      case "slit":
        return m.card_fold_slit({ count: step.ribbons });
      case "cutLog":
        return m.card_fold_cut_log({ count: step.slices });
      case "cone":
        return m.card_fold_cone({ count: step.turns });
      case "rest":
        return m.card_fold_rest({ time: amount(step.time, "min") });
      default:
        return `${stepName[step.kind]()}.`;
    }
  }

  const fillingStep = (step: FillingStep) => `${fillingStepName[step.kind]().toLowerCase()} (${captionOf(step)})`;

  function fillingSteps(plan: BatchSheet): string[] {
    if (!spec?.filling || !plan.filling) return [];
    const { parts, together, wall } = spec.filling;
    return [
      ...parts.map((p) =>
        m.card_part({ item: shortName(p.id), mass: amount(p.mass, "g"), steps: p.steps.map(fillingStep).join(", ") || m.card_as_it_is() }),
      ),
      ...(together.length ? [m.card_together({ steps: together.map(fillingStep).join(", ") })] : []),
      m.card_wrap({ mass: amount(plan.filling.parcel.filling, "g"), shape: parcelName[wall.shape]().toLowerCase() }),
    ];
  }

  function steps(plan: BatchSheet): string[] {
    if (!spec) return [];
    const how = [
      spec.rest.place === "fridge" ? m.card_fridge() : "",
      spec.rest.covered ? m.card_covered() : m.card_bare(),
      spec.rest.oiled ? m.card_oiled() : "",
    ].filter(Boolean);
    const heat = amount(spec.pan.temperature, "°C");
    const pan = plan.pan.failure
      ? m.card_pan_cannot({ heat, why: failureName[plan.pan.failure]() })
      : m.card_pan({
          heat,
          how: roastingName[spec.pan.roasting ?? "fatEachSide"]().toLowerCase(),
          turns: plan.pan.turns.map((t) => number(t.time, 0)).join(" + "),
          mass: amount(spec.pan.fatPerSide, "g"),
          item: shortName(spec.pan.fat).toLowerCase(),
          colour: colourName[spec.pan.colour](),
        });
    const rest = m.card_rest({ time: amount(spec.rest.time, "min"), how: how.join(", "), press: pressName[plan.rest.press]() });
    const dough = plan.dough.mixing.steps.map((s) => {
      const items = stepItems(s, plan).map(({ mass, name }) => `${mass} ${name}`);
      return `${[stepWords(s), items.join(", ")].filter(Boolean).join(": ")}.`;
    });
    if (pours(plan))
      return [
        ...dough,
        rest,
        m.card_ladle({
          volume: amount(spec.ladle.volume, "ml"),
          mass: amount(plan.balls.mass, "g"),
          across: amount(plan.roll.across, "mm"),
        }),
        pan,
      ];
    return [
      ...dough,
      rest,
      m.card_divide({
        count: plan.balls.count,
        mass: amount(plan.balls.mass, "g"),
        least: amount(plan.balls.lightest, "g"),
        most: amount(plan.balls.heaviest, "g"),
      }),
      ...(plan.stages.includes("sheet") ? [m.card_ball_rest({ time: amount(spec.sheet.rest, "min") }), ...sheetSteps(plan)] : []),
      ...fillingSteps(plan),
      (spec.roll.by === "hand" ? m.card_roll_hand : m.card_roll)({
        rest: amount(spec.roll.rest, "min"),
        across: amount(plan.roll.rollTo, "mm"),
        settled: amount(plan.roll.diameter, "mm"),
      }),
      pan,
    ];
  }

  function sheetSteps(plan: BatchSheet): string[] {
    if (!spec) return [];
    return [
      m.card_sheet({
        across:
          spec.sheet.width == null
            ? amount(plan.sheet.diameter, "mm")
            : m.by({ long: amount(plan.sheet.diameter, "mm"), wide: amount(spec.sheet.width, "mm") }),
        thickness: amount(plan.sheet.thickness, "mm"),
      }),
      ...(spec.sheet.fatMass > 0
        ? [m.card_sheet_fat({ mass: amount(spec.sheet.fatMass, "g"), item: shortName(spec.sheet.fat).toLowerCase() })]
        : []),
      ...(spec.sheet.dustMass > 0
        ? [m.card_sheet_dust({ mass: amount(spec.sheet.dustMass, "g"), item: shortName(spec.sheet.dust).toLowerCase() })]
        : []),
      ...(spec.fold.steps.length ? [spec.fold.steps.map(foldWords).join(" ")] : []),
    ];
  }
</script>

{#if spec && sheet}
  <div class="mx-auto max-w-[820px] p-3 sm:p-5 print:p-0">
    <div class="mb-3 flex gap-2 print:hidden">
      <a class="button" href="#/batch">{m.card_back()}</a>
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
      <div class="mt-2"><Section section={sheet.section} height={54} small /></div>
      <h2 class="mt-2 font-bold">{m.card_ingredients()}{lots > 1 ? `, ${m.card_each_lot({ count: lots })}` : ""}</h2>
      <table class="w-full text-[14px]">
        <tbody>
          {#each sheet.dough.portions.filter((p) => p.mass > 0.05) as p (p.part + p.index)}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{shortName(p.id)}</th>
              <td class="text-end font-head text-[16px] font-bold">{amount(p.eachLot, "g")}</td>
              <td class="ps-3">{measured(p.measure)}</td>
              <td class="text-end text-mute">{amount(p.share, "%")}</td>
              {#if lots > 1}<td class="text-end text-mute">{m.card_all()} {amount(p.mass, "g")}</td>{/if}
            </tr>
          {/each}
          {#each sheet.filling?.parts ?? [] as p, i (i)}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{shortName(p.id)}, {m.stage_filling().toLowerCase()}</th>
              <td class="text-end font-head text-[16px] font-bold">{amount(p.start.mass, "g")}</td>
              <td class="ps-3 text-mute" colspan="3">{amount(p.buy, "g")} {m.raw_weight()}</td>
            </tr>
          {/each}
          {#each laid() as l, i (i)}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{shortName(l.id)}, {m.card_inside().toLowerCase()}</th>
              <td class="text-end font-head text-[16px] font-bold">{amount(l.each * sheet.balls.count, "g")}</td>
              <td class="ps-3 text-mute" colspan="3">{m.count_times({ count: sheet.balls.count, mass: amount(l.each, "g") })}</td>
            </tr>
          {/each}
          {#if spec.pan.fatPerSide > 0}
            <tr class="border-b border-line">
              <th class="py-0.5 text-start font-normal">{shortName(spec.pan.fat)}, {m.card_on_pan().toLowerCase()}</th>
              <td class="text-end font-head text-[16px] font-bold">{amount(sheet.pan.fat.pan * sheet.balls.count, "g")}</td>
              <td class="ps-3 text-mute" colspan="3">{m.count_times({ count: sheet.balls.count, mass: amount(sheet.pan.fat.pan, "g") })}</td
              >
            </tr>
          {/if}
        </tbody>
      </table>
      <h2 class="mt-3 font-bold">{m.card_steps()}</h2>
      <ol class="ms-5 list-decimal text-[14px] leading-snug">
        {#each steps(sheet) as step, i (i)}<li class="ps-1 pb-0.5">{step}</li>{/each}
      </ol>
      <footer class="mt-2 border-t-2 border-rim pt-1 text-[13px] text-mute">
        {#if sheet.allergens.length}<b class="text-ink">{m.allergens()}: {sheet.allergens.map((a) => allergenName[a]()).join(", ")}.</b
          >{/if}
        {m.card_made_with()}
      </footer>
    </article>
  </div>
{:else}
  <section class="mx-auto max-w-xl p-8 text-center">
    <h1 class="text-title font-bold">{here ? m.working_it_out() : m.no_batch()}</h1>
    <a class="button strong mt-3" href="#/">{m.to_the_shelf()}</a>
  </section>
{/if}
