import type { FillingFeel, FillingStepKind, ParcelShape, TearCause } from "../../api/types";
import { m } from "../../paraglide/messages";
import { named, type Name } from "../forms";

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

export const fillingStepName: Record<FillingStepKind, Name> = {
  chop: named(m.fstep_chop),
  salt: named(m.fstep_salt),
  squeeze: named(m.fstep_squeeze),
  blanch: named(m.fstep_blanch),
  boil: named(m.fstep_boil),
  soak: named(m.fstep_soak),
  pressure: named(m.fstep_pressure),
  saute: named(m.fstep_saute),
  sweeten: named(m.fstep_sweeten),
  cool: named(m.fstep_cool),
  bind: named(m.fstep_bind),
  season: named(m.fstep_season),
  moisten: named(m.fstep_moisten),
};

export const parcelName: Record<ParcelShape, Name> = {
  gathered: named(m.parcel_gathered),
  halfMoon: named(m.parcel_half_moon),
  envelope: named(m.parcel_envelope),
  twoDiscs: named(m.parcel_two_discs),
  laminated: named(m.parcel_laminated),
  coil: named(m.parcel_coil),
};

export const tearName: Record<TearCause, () => string> = {
  thinWall: m.tear_thin_wall,
  freeWater: m.tear_free_water,
  lumps: m.tear_lumps,
  warm: m.tear_warm,
  tightGather: m.tear_tight_gather,
};
