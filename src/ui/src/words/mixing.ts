import type { BatchSheet } from "../api/types";
import { m } from "../paraglide/messages";
import { amount, weighed } from "./format";
import { shortWithin } from "./names/items";

type Step = BatchSheet["dough"]["mixing"]["steps"][number];

/** One step at the bowl, in words. */
export function stepWords(step: Pick<Step, "act" | "quantities">): string {
  const said = Object.fromEntries(step.quantities.map((q) => [q.name, amount(q.value, q.unit)]));
  const time = said.time ?? "";
  switch (step.act) {
    case "mixDry":
      return m.act_mix_dry();
    case "rubInFat":
      return m.act_rub_in_fat();
    case "pourLiquid":
      return said.back ? m.act_pour_liquid({ back: said.back }) : m.act_pour_all();
    case "addByFeel":
      return m.act_add_by_feel({ spoon: said.spoon ?? "" });
    case "workInFat":
      return m.act_work_in_fat();
    case "kneadInAdditions":
      return m.act_knead_in();
    case "knead":
      return (step.quantities[0]?.value ?? 0) < 2 ? m.act_bring_together({ time }) : m.act_knead({ time });
    case "workInSalt":
      return m.act_work_in_salt();
    case "whiskSmooth":
      return m.act_whisk({ time });
  }
}

/** What goes in now, for one lot: the liquid that is held back with what is poured at once. */
export function stepItems(step: Step, sheet: BatchSheet): { mass: string; name: string }[] {
  if (step.act === "addByFeel") return [];
  const first = step.quantities.find((q) => q.name === "first");
  return step.items.flatMap((i) => {
    const p = sheet.dough.portions[i];
    if (!p) return [];
    const mass = first && i === sheet.dough.mixing.adding?.item ? amount(first.value, "g") : weighed(p.eachLot, p.measure);
    return [{ mass, name: shortWithin(p.id) }];
  });
}
