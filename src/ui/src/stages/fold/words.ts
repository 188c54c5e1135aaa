import type { BatchSheet, FoldStep, StepKind } from "../../api/types";
import { m } from "../../paraglide/messages";
import { beside, amount, leaves, number } from "../../words/format";
import { stepName } from "../../words/names/fold";
import { shortName } from "../../words/names/items";

/** Every kind of step, by what the hands do. */
export const groups: { name: () => string; kinds: StepKind[] }[] = [
  { name: m.group_lay, kinds: ["brush", "paste", "dust", "scatter", "seeds"] },
  { name: m.group_fold, kinds: ["half", "letter", "gate", "envelope", "accordion", "enclose"] },
  { name: m.group_wind, kinds: ["matRoll", "coil", "cone", "strips", "slit", "cutLog"] },
  { name: m.group_shape, kinds: ["roll", "rollLong", "press", "stretch", "rest", "pinch"] },
];

/** What a step is called on its tile: what is laid on, or what is done. */
export function titleOf(step: FoldStep): string {
  switch (step.kind) {
    case "brush":
      return shortName(step.fat);
    case "dust":
      return shortName(step.flour);
    case "scatter":
    case "seeds":
      return shortName(step.item);
    default:
      return stepName[step.kind]();
  }
}

/** The figure under a tile. */
export function captionOf(step: FoldStep, after: BatchSheet["fold"]["steps"][number] | undefined): string {
  switch (step.kind) {
    case "roll":
    case "press":
      return amount(step.diameter, "mm");
    case "rollLong":
      return m.by({ long: amount(step.length, "mm"), wide: amount(step.width, "mm") });
    case "brush":
      return step.on === "board"
        ? beside(amount(step.mass, "g"), m.laid_board())
        : beside(amount(step.mass, "g"), after && amount(after.film, "µm"));
    case "dust":
    case "scatter":
    case "seeds":
      return amount(step.mass, "g");
    case "paste":
      return amount(step.mass + step.flourMass, "g");
    case "stretch":
      return `× ${number(step.times, 2)}`;
    case "rest":
      return amount(step.time, "min");
    case "slit":
      return `${step.ribbons}`;
    case "pinch":
      return "";
    case "half":
    case "letter":
    case "gate":
    case "accordion":
      return beside(step.way === "along" && m.caption_along(), after && leaves(after.leaves));
    default:
      return after ? (after.section.rings ? m.rings_count({ count: after.section.rings.each.length }) : leaves(after.leaves)) : "";
  }
}
