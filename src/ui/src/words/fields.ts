import type { Stage } from "../api/types";
import { m } from "../paraglide/messages";
import { stageName } from "./names";

/** What a field of a spec is called on its bench. */
const names: Record<string, () => string> = {
  name: m.batch_name,
  "dough.pieces": m.pieces,
  "dough.flours": m.flour,
  "dough.flours[].id": m.flour,
  "dough.flours[].parts": m.flour,
  "dough.hydration": m.water_of_flour,
  "dough.liquid": m.liquid,
  "dough.fat": m.dough_fat,
  "dough.fatShare": m.fat_of_flour,
  "dough.salt": m.salt_of_flour,
  "dough.additions": m.addition,
  "dough.additions[].id": m.addition,
  "dough.additions[].share": m.addition,
  "balls.mass": m.ball_mass,
  "balls.thickness": m.round_thickness,
  "sheet.diameter": m.sheet_across,
  "sheet.rest": m.ball_rest,
  "sheet.fat": m.fat,
  "sheet.fatMass": m.fat_on_sheet,
  "sheet.dust": m.flour_or_starch,
  "sheet.dustMass": m.dust_on_sheet,
  "roll.diameter": m.roll_across,
  "roll.rest": m.rest_before_roll,
  "pan.temperature": m.pan_heat,
  "pan.fat": m.fat,
  "pan.fatPerSide": m.fat_per_side,
};

/** A field by its bench and its name there, or its step: `Dough, Pieces`. */
export function placeOf(field: string): string {
  const stage = stageName[field.split(".")[0] as Stage]?.();
  const step = /^fold\.steps\[(\d+)\]/.exec(field)?.[1];
  const name = step ? m.step_at({ number: Number(step) + 1 }) : names[field.replaceAll(/\[\d+\]/g, "[]")]?.();
  return [stage, name].filter(Boolean).join(", ");
}
