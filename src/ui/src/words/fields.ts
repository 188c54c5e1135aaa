import type { Stage } from "../api/types";
import { m } from "../paraglide/messages";
import { stageName } from "./names/stages";
import { listed } from "./format";

/** What a field of a spec is called on its bench. */
const names: Record<string, () => string> = {
  name: m.batch_name,
  "start.pieces": m.figure_pieces,
  "start.flour": m.figure_flour,
  "start.liquid": m.start_liquid,
  "start.filling": m.figure_filling,
  "start.fillingEach": m.figure_filling_each,
  "start.makes": m.makes_so_many,
  "start.people": m.figure_people,
  "start.each": m.figure_each,
  "dough.flours": m.flour,
  "dough.flours[].id": m.flour,
  "dough.flours[].parts": m.flour,
  "dough.hydration": m.hydration,
  "dough.liquids": m.liquid,
  "dough.liquids[].id": m.liquid,
  "dough.liquids[].amount.share": m.liquid,
  "dough.liquids[].amount.mass": m.liquid,
  "dough.liquids[].water": m.liquid,
  start: m.start_from,
  "dough.feel": m.feel,
  "dough.waterBy": m.water_by,
  "dough.fat": m.dough_fat,
  "dough.fat.when": m.fat_when,
  "dough.salt.when": m.salt_when,
  "dough.salt": m.salt,
  "filling.wall.drops": m.drops_inside,
  "filling.wall.drops.mass": m.drops_inside,
  "filling.wall.drops.fat": m.drops_inside,
  "dough.cups": m.cups_of_flour,
  "dough.cups.packing": m.cups_of_flour,
  "dough.mix.kneading": m.kneading,
  "dough.fat.id": m.dough_fat,
  "dough.fat.amount.share": m.dough_fat,
  "dough.fat.amount.mass": m.dough_fat,
  "dough.salt.amount.share": m.salt,
  "dough.salt.amount.mass": m.salt,
  "dough.additions": m.addition,
  "dough.additions[].id": m.addition,
  "dough.additions[].amount.share": m.addition,
  "dough.additions[].amount.mass": m.addition,
  "dough.mix.bowl": m.bowl,
  "dough.mix.wentIn": m.bit_in,
  "rest.time": m.rest_time,
  "rest.place": m.rest_place,
  "rest.air": m.rest_air,
  "rest.covered": m.rest_covered,
  "rest.oiled": m.rest_oiled,
  "ladle.volume": m.ladle_volume,
  "ladle.thickness": m.poured_thickness,
  "balls.by": m.fix_the,
  "balls.into": m.divided_into,
  "balls.cutting": m.divided_into,
  "balls.smallOne": m.small_one,
  "balls.weighed": m.tray,
  "balls.mass": m.ball_mass,
  "balls.thickness": m.round_thickness,
  "sheet.diameter": m.sheet_across,
  "sheet.width": m.sheet_wide,
  "sheet.rest": m.ball_rest,
  "sheet.fat": m.fat,
  "sheet.fatMass": m.fat_on_sheet,
  "sheet.dust": m.flour_or_starch,
  "sheet.dustMass": m.dust_on_sheet,
  filling: m.stage_filling,
  "filling.liquorToDough": m.liquor_to_dough,
  "filling.wall.shape": m.parcel_shape,
  "filling.parts": m.part_of_filling,
  "filling.parts[].id": m.part_of_filling,
  "filling.parts[].mass": m.mass_in,
  "filling.parts[].trim": m.trim_loss,
  "filling.saltWanted": m.salt_wanted,
  "filling.wall.share": m.share_of_filling,
  "roll.diameter": m.roll_across,
  "roll.rest": m.rest_before_roll,
  "roll.by": m.rolled_by,
  "pan.colour": m.colour_wanted,
  "pan.finish": m.finish,
  "pan.hold": m.hold,
  "pan.wants": m.hold_wants,
  "pan.roasting": m.roasting,
  "pan.on": m.pan_kind,
  "pan.on.flame": m.flame,
  "pan.second": m.second_fat,
  "pan.temperature": m.pan_heat,
  "pan.fat": m.fat,
  "pan.fatPerSide": m.fat_per_side,
  "pan.measured": m.measured_pan,
  "pan.second.id": m.second_fat,
  "pan.second.share": m.second_fat,
  "pan.on.thickness": m.pan_thick,
  "pan.on.across": m.floor_across,
  "pan.together": m.together,
  "pan.stack": m.stack_high,
  "pan.own": m.stays,
  "pan.own[].time": m.stay_time,
  "pan.own[].fat": m.stay_fat,
  "pan.frozen": m.from_frozen,
  "pan.chilled": m.from_fridge,
  "pan.holdFor": m.hold_for,
  clock: m.clock_by,
  "clock.people": m.clock_people,
  "clock.pans": m.clock_pans,
  "clock.rollAhead": m.clock_roll_ahead,
  "clock.openBalls": m.clock_open_balls,
  "clock.bench": m.clock_bench,
  "clock.beside": m.beside,
  "clock.beside[].pieces": m.beside,
  "clock.beside[].bread": m.beside,
};

/** What a field is called, or what it is a part of. */
function nameOf(field: string): (() => string) | undefined {
  for (let at = field; at; at = at.replace(/(\[\]|\.?[^.[]+)$/, "")) if (names[at]) return names[at];
  return undefined;
}

/** A field by its bench and its name there, or its step: `Dough, Pieces`. */
export function placeOf(field: string): string {
  const first = (field.split(".")[0] ?? "").replace("start", "dough").replace("ladle", "balls");
  const stage = first === "clock" ? m.stage_clock() : stageName[first as Stage]?.();
  const step = /^fold\.steps\[(\d+)\]/.exec(field)?.[1];
  const filled = /^filling\.(?:parts\[\d+\]\.steps|together)\[(\d+)\]/.exec(field)?.[1];
  const name = filled
    ? m.step_at({ number: Number(filled) + 1 })
    : step
      ? m.step_at({ number: Number(step) + 1 })
      : nameOf(field.replaceAll(/\[\d+\]/g, "[]"))?.();
  return listed([stage, name].filter((word) => word !== undefined));
}
