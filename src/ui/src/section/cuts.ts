import type { BatchSheet, Section } from "../api/types";
import type { Stratum } from "../bench/bench.svelte";
import type { Baked } from "./frame";

/** The bread cut through at one point of the work. */
export interface Cut {
  of: "ball" | "sheet" | "step" | "raw" | "off" | "held";
  section: Section;
  baked: Baked | null;
  /** The fold step it comes after, from 0. */
  step?: number;
}

/** The bread as it comes off the pan, or later; nothing where nothing cooks it. */
export const bakedOf = ({ off, bursts }: BatchSheet, when: "fresh" | "held" = "fresh"): Baked | null =>
  off ? { ...off[when], bursts: bursts ?? false } : null;

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
      const baked = bakedOf(sheet, part === "hold" ? "held" : "fresh");
      return baked ? { of: part === "hold" ? "held" : "off", section: sheet.section, baked } : raw;
    }
    default:
      return raw;
  }
}

export const thicknessOf = (cut: Cut): number => cut.baked?.thickness ?? cut.section.thickness;
