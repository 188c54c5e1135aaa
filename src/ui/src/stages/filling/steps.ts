import type { FillingSpec, FillingStep } from "../../api/types";

/** Where steps stand: those of one part, or those after joining. */
export type Where = number | "together";

export const stepsOf = (filling: FillingSpec, where: Where): FillingStep[] =>
  where === "together" ? filling.together : (filling.parts[where]?.steps ?? []);

export const pathOf = (where: Where): string => (where === "together" ? "filling.together" : `filling.parts[${where}].steps`);
