import type { FillingFeel, FillingStepKind, ParcelShape, TearCause } from "../../api/types";
import { m } from "../../paraglide/messages";

export const fillingFeelName: Record<FillingFeel, () => string> = {
  loose: m.filling_loose,
  holds: m.filling_holds,
  rollInFlour: m.filling_roll_in_flour,
  weeps: m.filling_weeps,
};

/** How the dumpling is tried in the hand, and what it tells. */
export const fillingTest: Record<FillingFeel, () => string> = {
  loose: m.test_loose,
  holds: m.test_holds,
  rollInFlour: m.test_roll_in_flour,
  weeps: m.test_weeps,
};

export const fillingStepName: Record<FillingStepKind, () => string> = {
  chop: m.fstep_chop,
  salt: m.fstep_salt,
  squeeze: m.fstep_squeeze,
  blanch: m.fstep_blanch,
  boil: m.fstep_boil,
  soak: m.fstep_soak,
  pressure: m.fstep_pressure,
  saute: m.fstep_saute,
  sweeten: m.fstep_sweeten,
  cool: m.fstep_cool,
  bind: m.fstep_bind,
  season: m.fstep_season,
  moisten: m.fstep_moisten,
};

export const parcelName: Record<ParcelShape, () => string> = {
  gathered: m.parcel_gathered,
  halfMoon: m.parcel_half_moon,
  envelope: m.parcel_envelope,
  twoDiscs: m.parcel_two_discs,
  laminated: m.parcel_laminated,
  coil: m.parcel_coil,
};

export const tearName: Record<TearCause, () => string> = {
  thinWall: m.tear_thin_wall,
  freeWater: m.tear_free_water,
  lumps: m.tear_lumps,
  warm: m.tear_warm,
  tightGather: m.tear_tight_gather,
};
