import { larder } from "../api/larder.svelte";
import type { BatchSpec, FoldStep, StepKind } from "../api/types";
import { m } from "../paraglide/messages";

/** Every kind of step, by what the hands do. */
export const groups: { name: () => string; kinds: StepKind[] }[] = [
  { name: m.group_lay, kinds: ["brush", "paste", "dust", "scatter", "seeds"] },
  { name: m.group_fold, kinds: ["half", "letter", "gate", "envelope", "accordion", "enclose"] },
  { name: m.group_wind, kinds: ["matRoll", "coil", "cone", "strips", "slit", "cutLog"] },
  { name: m.group_shape, kinds: ["roll", "rollLong", "press", "stretch", "rest", "pinch"] },
];

/** A step as a cook would begin it: with the fat and flour already in hand. */
export function newStep(kind: StepKind, spec: BatchSpec): FoldStep {
  const { diameter, fat, dust } = spec.sheet;
  switch (kind) {
    case "roll":
      return { kind, diameter };
    case "press":
      return { kind, diameter: spec.roll.diameter };
    case "rollLong":
      return { kind, length: diameter, width: Math.round(diameter * 0.6) };
    case "stretch":
      return { kind, times: 1.5 };
    case "brush":
      return { kind, fat, mass: 2, on: "top" };
    case "paste":
      return { kind, fat, mass: 4, flour: dust, flourMass: 3 };
    case "enclose":
      return { kind, fat, mass: 10, flour: dust, flourMass: 16 };
    case "dust":
      return { kind, flour: dust, mass: 0.5 };
    case "scatter":
      return { kind, item: larder.view!.firstPicks.seed, mass: 0.5, grain: 1 };
    case "seeds":
      return { kind, item: larder.view!.firstPicks.seed, mass: 1, on: "top" };
    case "accordion":
      return { kind, pleats: 12 };
    case "envelope":
      return { kind, overlap: false };
    case "strips":
      return { kind, count: 8, gathered: true };
    case "slit":
      return { kind, ribbons: 16 };
    case "cutLog":
      return { kind, slices: 4 };
    case "cone":
      return { kind, turns: 5 };
    case "rest":
      return { kind, time: 20 };
    default:
      return { kind };
  }
}

/** Moves one item of a list; places beyond the ends mean the ends. */
export function moved<T>(list: T[], from: number, to: number): T[] {
  const copy = [...list];
  const [item] = copy.splice(from, 1);
  if (item !== undefined) copy.splice(Math.min(Math.max(to, 0), copy.length), 0, item);
  return copy;
}
