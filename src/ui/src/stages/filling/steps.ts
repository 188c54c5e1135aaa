import { larder } from "../../api/larder.svelte";
import type { FillingSpec, FillingStep, FillingStepKind } from "../../api/types";
import { m } from "../../paraglide/messages";
import { amount } from "../../words/format";
import { shortName } from "../../words/names/items";
import { within } from "../../words/within";

/** Every kind of step, in the order a cook comes to them. */
export const kinds: FillingStepKind[] = [
  "chop",
  "salt",
  "squeeze",
  "blanch",
  "boil",
  "soak",
  "pressure",
  "saute",
  "sweeten",
  "cool",
  "bind",
  "season",
  "moisten",
];

/** A step as a cook would begin it. */
export function newStep(kind: FillingStepKind): FillingStep {
  const first = larder.view!.firstPicks;
  switch (kind) {
    case "chop":
      return { kind, by: "grate", grain: 2 };
    case "salt":
      return { kind, salt: first.salt, share: 1.5, time: 15 };
    case "squeeze":
      return { kind, by: "cloth" };
    case "blanch":
      return { kind, time: 2 };
    case "boil":
    case "pressure":
      return { kind, time: 15 };
    case "soak":
      return { kind, time: 240 };
    case "saute":
      return { kind, time: 10, pan: 240, fat: first.fat, fatMass: 10 };
    case "sweeten":
      return { kind, sugar: first.sugar, mass: 100, time: 10, pan: 240 };
    case "cool":
      return { kind, time: 40, place: "room", trays: 1 };
    case "bind":
      return { kind, binder: first.binder, mass: 15 };
    case "season":
      return { kind, item: first.spice, mass: 5 };
    case "moisten":
      return { kind, item: first.moist, mass: 20 };
  }
}

/** The one figure under a step's name. */
export function captionOf(step: FillingStep): string {
  switch (step.kind) {
    case "chop":
      return amount(step.grain, "mm");
    case "salt":
      return `${amount(step.share, "%")} · ${amount(step.time, "min")}`;
    case "squeeze":
      return { drain: m.by_drain, hand: m.by_hands, cloth: m.by_cloth }[step.by]();
    case "saute":
      return step.to != null ? `→ ${amount(step.to, "g")}` : amount(step.time, "min");
    case "sweeten":
      return `${amount(step.mass, "g")} · ${amount(step.time, "min")}`;
    case "cool":
      return (step.trays ?? 1) > 1 ? m.on_trays({ time: amount(step.time, "min"), count: step.trays! }) : amount(step.time, "min");
    case "bind":
      return `${amount(step.mass, "g")} ${within(shortName(step.binder))}`;
    case "season":
    case "moisten":
      return `${amount(step.mass, "g")} ${within(shortName(step.item))}`;
    default:
      return amount(step.time, "min");
  }
}

/** Where steps stand: those of one part, or those after joining. */
export type Where = number | "together";

export const stepsOf = (filling: FillingSpec, where: Where): FillingStep[] =>
  where === "together" ? filling.together : (filling.parts[where]?.steps ?? []);

export const pathOf = (where: Where): string => (where === "together" ? "filling.together" : `filling.parts[${where}].steps`);
