import type {
  Colour,
  Face,
  FaceIs,
  FaceTrouble,
  Finish,
  Flame,
  HoldIn,
  HoldWant,
  Look,
  PanFailure,
  PanKind,
  Roasting,
  Warmth,
} from "../../api/types";
import { larder } from "../../api/larder.svelte";
import { m } from "../../paraglide/messages";
import { named, type Name } from "../forms";

export const colourName: Record<Colour, Name> = {
  pale: named(m.colour_pale),
  gold: named(m.colour_gold),
  brown: named(m.colour_brown),
};

export const faceName: Record<Face, () => string> = { first: m.face_first, second: m.face_second };

export const lookName: Record<Look, () => string> = {
  raw: m.look_raw,
  pale: m.look_pale,
  gold: m.look_gold,
  brown: m.look_brown,
  dark: m.look_dark,
  charred: m.look_charred,
};

/** What a face of this darkness is called; where one word ends and the next begins is the core's to say. */
export const darkName = (dark: number): string => lookName[larder.view?.looks.findLast((l) => l.from <= dark)?.look ?? "raw"]();

export const roastingName: Record<Roasting, Name> = {
  fatEachSide: named(m.roasting_fat_each),
  oneTurn: named(m.roasting_one_turn),
  dryThenFry: named(m.roasting_dry_fry),
  dryOnly: named(m.roasting_dry),
  manyTurns: named(m.roasting_many),
  shallowFry: named(m.roasting_shallow),
};

export const failureName: Record<NonNullable<PanFailure>, () => string> = {
  neverCooks: m.failure_never_cooks,
  chars: m.failure_chars,
  neverColours: m.failure_never_colours,
};

export const panName: Record<PanKind, () => string> = {
  castIron: m.pan_iron,
  steel: m.pan_steel,
  aluminium: m.pan_aluminium,
  nonStick: m.pan_nonstick,
  clay: m.pan_clay,
  soapstone: m.pan_soapstone,
  plate: m.pan_plate,
};

export const flameName: Record<Flame, Name> = {
  off: named(m.flame_off),
  low: named(m.flame_low),
  medium: named(m.flame_medium),
  high: named(m.flame_high),
};

export const finishName: Record<Finish, () => string> = {
  none: m.finish_none,
  clap: m.finish_clap,
  shake: m.finish_shake,
  beat: m.finish_beat,
  crush: m.finish_crush,
};

export const faceIsName: Record<FaceIs, () => string> = { first: m.face_is_first, second: m.face_is_second, raw: m.face_is_raw };

export const faceTroubleName: Record<FaceTrouble, () => string> = {
  none: () => "",
  noWhite: m.face_no_white,
  dim: m.face_dim,
  glare: m.face_glare,
  uneven: m.face_uneven,
  shadow: m.face_shadow,
  noFace: m.face_no_face,
};

export const holdWantName: Record<HoldWant, () => string> = { soft: m.wants_soft, hot: m.wants_hot, crisp: m.wants_crisp };

export const warmthName: Record<Warmth, () => string> = { hot: m.warmth_hot, warm: m.warmth_warm, cold: m.warmth_cold };

export const holdName: Record<HoldIn, () => string> = { plate: m.hold_plate, cloth: m.hold_cloth, pot: m.hold_pot, paper: m.hold_paper };
