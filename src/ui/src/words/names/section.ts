import type { Cut } from "../../section/cuts";
import { m } from "../../paraglide/messages";

/** What is cut, at each point of the work. */
export const cutName: Record<Cut["of"], (inputs: { number: number }) => string> = {
  ball: m.cut_ball,
  sheet: m.cut_sheet,
  step: m.cut_step,
  raw: m.cut_as_raw,
  off: m.cut_off,
  held: m.cut_held,
};
