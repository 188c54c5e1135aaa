import type { DoughFeel, Feel, Likeness, PureeMethod, RestEnd, WaterReason } from "../../api/types";
import { m } from "../../paraglide/messages";
import { amount } from "../format";

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

export const methodName: Record<PureeMethod, () => string> = {
  boil: m.method_boil,
  steam: m.method_steam,
  blanch: m.method_blanch,
  raw: m.method_raw,
};

export const waterReason: Record<WaterReason, () => string> = {
  keepsGreen: m.why_keeps_green,
  wakesYeast: () => m.why_wakes_yeast({ kills: amount(55, "°C") }),
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

const likes: Record<Likeness["like"], () => string> = {
  walnut: m.like_walnut,
  golfBall: m.like_golf_ball,
  egg: m.like_egg,
  lemon: m.like_lemon,
  tangerine: m.like_tangerine,
  tennisBall: m.like_tennis_ball,
  fist: m.like_fist,
};

/** What a ball is like in the hand. */
export const likeName = ({ like, count }: Likeness): string => (count > 1 ? m.like_fists({ count }) : likes[like]());
