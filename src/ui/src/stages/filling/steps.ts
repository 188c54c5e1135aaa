import { larder } from "../../api/larder.svelte";
import type { FillingSpec, FillingStep, FillingStepKind } from "../../api/types";

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

/** Where steps stand: those of one part, or those after joining. */
export type Where = number | "together";

export const stepsOf = (filling: FillingSpec, where: Where): FillingStep[] =>
  where === "together" ? filling.together : (filling.parts[where]?.steps ?? []);

export const pathOf = (where: Where): string => (where === "together" ? "filling.together" : `filling.parts[${where}].steps`);
