import type { Colour, Feel, Outline, Stage, StepKind } from "../api/types";
import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";

export const stageName: Record<Stage, () => string> = {
  dough: m.stage_dough,
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

/** An ingredient's name; its id while the larder is still on its way. */
export const nameOf = (id: string): string => larder.byId.get(id)?.name ?? id;

/** The name without what stands in brackets, for places with little room. */
export const shortName = (id: string): string => nameOf(id).replace(/ \(.*\)/, "");
