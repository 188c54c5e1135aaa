import type { LineTrouble, PacketState, Refusal } from "../api/types";
import { m } from "../paraglide/messages";
import { say } from "./refusals";
import { amount } from "./format";

const kcal = () => m.kcal({ mass: amount(100, "g") });

/** Columns of the kitchen's files that are called otherwise on its screens. */
const columns: Record<string, () => string> = {
  name: m.item_name,
  kind: m.kind,
  density_g_ml: m.density,
  density: m.density,
  water_pct: m.water_in,
  water: m.water_in,
  fat_pct: m.fat_in,
  fat: m.fat_in,
  sugar_pct: m.sugar_in,
  salt_pct: m.salt_in,
  kcal_100g: kcal,
  kcalPer100G: kcal,
  absorption_pct: m.absorption,
  absorption: m.absorption,
  smoke_c: m.smoke_point,
  smokePoint: m.smoke_point,
  traits: m.strength,
  strength: m.strength,
  marks: m.traits,
  hue: m.hue,
  each: m.each_weighs,
  each_g: m.each_weighs,
  price: m.price,
};

/** Why a line is not taken: the column and what is allowed. */
export const reason = (r: Refusal): string => (r.field ? m.choice_of({ label: columns[r.field]?.() ?? r.field, value: say(r) }) : say(r));

/** What stands in the way of a line of a recipe. */
export const troubleName: Record<Exclude<LineTrouble, "none">, () => string> = {
  noAmount: m.trouble_no_amount,
  twoWays: m.trouble_two_ways,
  noIngredient: m.trouble_no_ingredient,
  several: m.trouble_several,
  kindOnly: m.trouble_kind_only,
  noPlace: m.trouble_no_place,
  leftOut: m.trouble_left_out,
};

export const partName: Record<string, () => string> = {
  bread: m.part_bread,
  batch: m.part_batch,
  log: m.part_log,
  service: m.part_service,
  larder: m.part_larder,
  measures: m.part_measures,
  photo: m.part_photo,
  learned: m.part_learned,
  practice: m.part_practice,
  day: m.part_days,
};

export const packetName: Record<PacketState, () => string> = {
  rawChilled: m.packet_raw_chilled,
  rawFrozen: m.packet_raw_frozen,
  cookedChilled: m.packet_cooked_chilled,
  cookedFrozen: m.packet_cooked_frozen,
};
