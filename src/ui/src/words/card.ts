import type { BatchSheet, BatchSpec, FillingStep, FoldStep } from "../api/types";
import { m } from "../paraglide/messages";
import { pours } from "./figures";
import { captionOf } from "./filling";
import { amount, number, listed } from "./format";
import { stepItems, stepWords } from "./mixing";
import { pressName } from "./names/dough";
import { fillingStepName, parcelName } from "./names/filling";
import { stepName } from "./names/fold";
import { shortName, shortWithin } from "./names/items";
import { colourName, failureName, roastingName } from "./names/pan";

/** A step of the fold as an order. */
export function foldWords(step: FoldStep): string {
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
      return (step.on === "board" ? m.card_board : m.card_fold_brush)({ mass: amount(step.mass, "g"), item: shortWithin(step.fat) });
    case "paste":
    case "enclose":
      return (step.kind === "paste" ? m.card_fold_paste : m.card_fold_enclose)({
        mass: amount(step.mass, "g"),
        item: shortWithin(step.fat),
        flour: amount(step.flourMass, "g"),
        with: shortWithin(step.flour),
      });
    case "dust":
      return m.card_fold_dust({ mass: amount(step.mass, "g"), item: shortWithin(step.flour) });
    case "scatter":
    case "seeds":
      return (step.kind === "scatter" ? m.card_fold_scatter : m.card_fold_seeds)({
        mass: amount(step.mass, "g"),
        item: shortWithin(step.item),
      });
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

const fillingStep = (step: FillingStep) => `${fillingStepName[step.kind].within()} (${captionOf(step)})`;

function fillingSteps(spec: BatchSpec, plan: BatchSheet): string[] {
  if (!spec.filling || !plan.filling) return [];
  const { parts, together, wall } = spec.filling;
  return [
    ...parts.map((p) =>
      m.card_part({ item: shortName(p.id), mass: amount(p.mass, "g"), steps: listed(p.steps.map(fillingStep)) || m.card_as_it_is() }),
    ),
    ...(together.length ? [m.card_together({ steps: listed(together.map(fillingStep)) })] : []),
    m.card_wrap({ mass: amount(plan.filling.parcel.filling, "g"), shape: parcelName[wall.shape].within() }),
  ];
}

/** How a batch is made, step by step, as its card says it. */
export function cardSteps(spec: BatchSpec, plan: BatchSheet): string[] {
  const how = [
    spec.rest.place === "fridge" ? m.card_fridge() : "",
    spec.rest.covered ? m.card_covered() : m.card_bare(),
    spec.rest.oiled ? m.card_oiled() : "",
  ].filter(Boolean);
  const heat = amount(spec.pan.temperature, "°C");
  const pan = plan.pan.program.failure
    ? m.card_pan_cannot({ heat, why: failureName[plan.pan.program.failure]() })
    : m.card_pan({
        heat,
        how: roastingName[spec.pan.roasting ?? "fatEachSide"].within(),
        turns: plan.pan.program.turns.map((t) => number(t.time, 0)).join(" + "),
        mass: amount(spec.pan.fatPerSide, "g"),
        item: shortWithin(spec.pan.fat),
        colour: colourName[spec.pan.colour](),
      });
  const rest = m.card_rest({ time: amount(spec.rest.time, "min"), how: listed(how), press: pressName[plan.rest.press]() });
  const dough = plan.dough.mixing.steps.map((s) => {
    const items = stepItems(s, plan).map(({ mass, name }) => `${mass} ${name}`);
    return `${[stepWords(s), listed(items)].filter(Boolean).join(": ")}.`;
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
    ...(plan.stages.includes("sheet") ? [m.card_ball_rest({ time: amount(spec.sheet.rest, "min") }), ...sheetSteps(spec, plan)] : []),
    ...fillingSteps(spec, plan),
    (spec.roll.by === "hand" ? m.card_roll_hand : m.card_roll)({
      rest: amount(spec.roll.rest, "min"),
      across: amount(plan.roll.rollTo, "mm"),
      settled: amount(plan.roll.diameter, "mm"),
    }),
    pan,
  ];
}

function sheetSteps(spec: BatchSpec, plan: BatchSheet): string[] {
  return [
    m.card_sheet({
      across:
        spec.sheet.width == null
          ? amount(plan.sheet.diameter, "mm")
          : m.by({ long: amount(plan.sheet.diameter, "mm"), wide: amount(spec.sheet.width, "mm") }),
      thickness: amount(plan.sheet.thickness, "mm"),
    }),
    ...(spec.sheet.fatMass > 0 ? [m.card_sheet_fat({ mass: amount(spec.sheet.fatMass, "g"), item: shortWithin(spec.sheet.fat) })] : []),
    ...(spec.sheet.dustMass > 0 ? [m.card_sheet_dust({ mass: amount(spec.sheet.dustMass, "g"), item: shortWithin(spec.sheet.dust) })] : []),
    ...(spec.fold.steps.length ? [spec.fold.steps.map(foldWords).join(" ")] : []),
  ];
}
