import type { FillingStep } from "../api/types";
import { m } from "../paraglide/messages";
import { amount, beside } from "./format";
import { shortWithin } from "./names/items";

/** The one figure under a step's name. */
export function captionOf(step: FillingStep): string {
  switch (step.kind) {
    case "chop":
      return amount(step.grain, "mm");
    case "salt":
      return beside(amount(step.share, "%"), amount(step.time, "min"));
    case "squeeze":
      return { drain: m.by_drain, hand: m.by_hands, cloth: m.by_cloth }[step.by]();
    case "saute":
      return step.to != null ? m.down_to({ mass: amount(step.to, "g") }) : amount(step.time, "min");
    case "sweeten":
      return beside(amount(step.mass, "g"), amount(step.time, "min"));
    case "cool":
      return (step.trays ?? 1) > 1 ? m.on_trays({ time: amount(step.time, "min"), count: step.trays! }) : amount(step.time, "min");
    case "bind":
      return m.so_much_of({ mass: amount(step.mass, "g"), item: shortWithin(step.binder) });
    case "season":
    case "moisten":
      return m.so_much_of({ mass: amount(step.mass, "g"), item: shortWithin(step.item) });
    default:
      return amount(step.time, "min");
  }
}
