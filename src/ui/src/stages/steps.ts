import type { BatchSpec, FoldStep, StepKind } from "../api/types";

export const kinds: StepKind[] = ["brush", "dust", "half", "letter", "accordion", "matRoll", "coil", "roll"];

/** A step as a cook would begin it: with the fat and flour already in hand. */
export function newStep(kind: StepKind, spec: BatchSpec): FoldStep {
  switch (kind) {
    case "roll":
      return { kind, diameter: spec.sheet.diameter };
    case "brush":
      return { kind, fat: spec.sheet.fat, mass: 2 };
    case "dust":
      return { kind, flour: spec.sheet.dust, mass: 0.5 };
    case "accordion":
      return { kind, pleats: 12 };
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
