import type { BatchSheet } from "../api/types";
import { m } from "../paraglide/messages";
import { amount } from "./format";

/** One step at the bowl, in words. @param held whether some of the liquid is held back */
export function stepWords(step: BatchSheet["dough"]["mixing"]["steps"][number], held: boolean): string {
  const said = Object.fromEntries(step.quantities.map((q) => [q.name, amount(q.value, q.unit)]));
  const time = said.time ?? "";
  switch (step.act) {
    case "mixDry":
      return m.act_mix_dry();
    case "rubInFat":
      return m.act_rub_in_fat();
    case "pourLiquid":
      return held ? m.act_pour_liquid({ first: said.first ?? "", back: said.back ?? "" }) : m.act_pour_all();
    case "addByFeel":
      return m.act_add_by_feel({ spoon: said.spoon ?? "" });
    case "workInFat":
      return m.act_work_in_fat();
    case "kneadInAdditions":
      return m.act_knead_in();
    case "knead":
      return (step.quantities[0]?.value ?? 0) < 2 ? m.act_bring_together({ time }) : m.act_knead({ time });
    case "whiskSmooth":
      return m.act_whisk({ time });
  }
}
