import type {
  Allergen,
  Colour,
  DoughFeel,
  Feel,
  IngredientKind,
  Outline,
  PureeMethod,
  RestEnd,
  Stage,
  StartBy,
  StepKind,
  WaterReason,
} from "../api/types";
import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";

export const stageName: Record<Stage, () => string> = {
  dough: m.stage_dough,
  rest: m.stage_rest,
  balls: m.stage_balls,
  sheet: m.stage_sheet,
  fold: m.stage_fold,
  roll: m.stage_roll,
  pan: m.stage_pan,
};

export const feelName: Record<Feel, () => string> = {
  firm: m.feel_firm,
  medium: m.feel_medium,
  soft: m.feel_soft,
  verySoft: m.feel_very_soft,
  batter: m.feel_batter,
};

/** How a dough came out. */
export const feelsName: Record<DoughFeel, () => string> = {
  firmSide: m.feels_firm_side,
  onTarget: m.feels_on_target,
  softSide: m.feels_soft_side,
  stiff: m.feels_stiff,
  sticky: m.feels_sticky,
  batter: m.feels_batter,
  tooThick: m.feels_too_thick,
  pours: m.feels_pours,
  tooThin: m.feels_too_thin,
};

export const startName: Record<StartBy, () => string> = {
  pieces: m.start_pieces,
  flour: m.start_flour,
  liquid: m.start_liquid,
  filling: m.start_filling,
  people: m.start_people,
};

export const colourName: Record<Colour, () => string> = {
  pale: m.colour_pale,
  gold: m.colour_gold,
  brown: m.colour_brown,
};

export const outlineName: Record<Outline, () => string> = {
  round: m.outline_round,
  halfMoon: m.outline_half_moon,
  wedge: m.outline_wedge,
  block: m.outline_block,
  rope: m.outline_rope,
  coil: m.outline_coil,
};

export const stepName: Record<StepKind, () => string> = {
  roll: m.step_roll,
  brush: m.step_brush,
  dust: m.step_dust,
  half: m.step_half,
  letter: m.step_letter,
  accordion: m.step_accordion,
  matRoll: m.step_mat_roll,
  coil: m.step_coil,
};

export const methodName: Record<PureeMethod, () => string> = {
  boil: m.method_boil,
  steam: m.method_steam,
  blanch: m.method_blanch,
  raw: m.method_raw,
};

export const waterReason: Record<WaterReason, () => string> = {
  keepsGreen: m.why_keeps_green,
  wakesYeast: m.why_wakes_yeast,
  longRest: m.why_long_rest,
  keepsFatFirm: m.why_keeps_fat_firm,
  keepsBatterThin: m.why_keeps_batter_thin,
  softens: m.why_softens,
};

export const restEnd: Record<RestEnd, () => string> = {
  skin: m.end_skin,
  safety: m.end_safety,
  gas: m.end_gas,
  sours: m.end_sours,
};

export const pressName = {
  springsBackSlowly: m.press_slow,
  keepsTheMark: m.press_keeps,
  fallsInARibbon: m.press_ribbon,
};

export const allergenName: Record<Allergen, () => string> = {
  gluten: m.allergen_gluten,
  milk: m.allergen_milk,
  egg: m.allergen_egg,
  nuts: m.allergen_nuts,
  peanut: m.allergen_peanut,
  sesame: m.allergen_sesame,
  mustard: m.allergen_mustard,
  soya: m.allergen_soya,
};

export const kindName: Record<IngredientKind, () => string> = {
  flour: m.kind_flour,
  separator: m.kind_separator,
  binder: m.kind_binder,
  fat: m.kind_fat,
  liquid: m.kind_liquid,
  puree: m.kind_puree,
  salt: m.kind_salt,
  seasoning: m.kind_seasoning,
  leaven: m.kind_leaven,
  addition: m.kind_addition,
  vegetable: m.kind_vegetable,
  mash: m.kind_mash,
  dairy: m.kind_dairy,
  meat: m.kind_meat,
  sweet: m.kind_sweet,
};

/** An ingredient's name; its id while the larder is still on its way. */
export const nameOf = (id: string): string => larder.byId.get(id)?.name ?? id;

/** The name without what stands in brackets, for places with little room. */
export const shortName = (id: string): string => nameOf(id).replace(/ \(.*\)/, "");
