import type { BatchSheet, Section } from "../api/types";
import type { Stratum } from "../bench/bench.svelte";
import { type Baked, heightOf } from "./frame";

/** The bread cut through at one point of the work. */
export interface Cut {
  of: "ball" | "sheet" | "step" | "raw" | "off" | "held";
  section: Section;
  baked: Baked | null;
  /** The fold step it comes after, from 0. */
  step?: number;
}

/** The bread as it comes off the pan; nothing where nothing cooks it. */
export function bakedOf(sheet: BatchSheet): Baked | null {
  const { off } = sheet;
  if (!off) return null;
  const bursts = (sheet.risks ?? []).some((risk) => risk.symptom === "burst" && risk.sure !== "possible");
  return { first: off.first, second: off.second, opens: off.opens, bursts };
}

// After its hold: leaves have sunk back and moisture has come out to the crust.
function heldOf(sheet: BatchSheet): Baked | null {
  const baked = bakedOf(sheet);
  if (!baked || !sheet.off) return null;
  const { held } = sheet.off;
  const softer = (face: Baked["first"]) => ({ ...face, crust: (face.crust * held.crust) / 100 });
  return { ...baked, first: softer(baked.first), second: softer(baked.second), opens: baked.opens.map((gap) => (gap * held.opens) / 100) };
}

/** What is cut at a stratum of the work: the ball, the sheet, the piece after a step, the raw bread or the bread off the pan. */
export function cutAt(sheet: BatchSheet, stratum: Stratum, step: number | null, part: string): Cut {
  const { look } = sheet.section;
  const own = (section: Section): Section => ({ ...section, look });
  const raw: Cut = { of: "raw", section: sheet.section, baked: null };
  switch (stratum) {
    case "dough":
    case "rest":
    case "balls":
      return sheet.ball ? { of: "ball", section: own(sheet.ball), baked: null } : raw;
    case "sheet":
      return { of: "sheet", section: own(sheet.sheet.section), baked: null };
    case "fold": {
      // A step that is not reckoned yet, or is refused, has no piece.
      const at = Math.min(step ?? Infinity, sheet.fold.steps.length - 1);
      const after = sheet.fold.steps[at];
      return after
        ? { of: "step", section: own(after.section), baked: null, step: at }
        : { of: "sheet", section: own(sheet.sheet.section), baked: null };
    }
    case "pan":
    case "clock": {
      const baked = part === "hold" ? heldOf(sheet) : bakedOf(sheet);
      return baked ? { of: part === "hold" ? "held" : "off", section: sheet.section, baked } : raw;
    }
    default:
      return raw;
  }
}

export const thicknessOf = (cut: Cut): number => heightOf(cut.section, cut.baked);
