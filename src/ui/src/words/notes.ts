import type { Mend, MendCode, Note, NoteCode } from "../api/types";
import { m } from "../paraglide/messages";
import { amount } from "./format";
import { shortName } from "./names";

// Each message asks for its own quantities by name; the ui tests read every note for gaps.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Said = any;

// Every code has a headline and a sentence; the catalogue picks what it needs from the quantities.
const words: Record<NoteCode, [(q: Said) => string, (q: Said) => string]> = {
  doughOnTarget: [m.note_dough_on_target, m.note_dough_on_target_more],
  doughStiff: [m.note_dough_stiff, m.note_dough_stiff_more],
  doughFirmSide: [m.note_dough_firm_side, m.note_dough_firm_side_more],
  doughSoftSide: [m.note_dough_soft_side, m.note_dough_soft_side_more],
  doughSticky: [m.note_dough_sticky, m.note_dough_sticky_more],
  doughBatter: [m.note_dough_batter, m.note_dough_batter_more],
  batterPours: [m.note_batter_pours, m.note_batter_pours_more],
  batterTooThick: [m.note_batter_too_thick, m.note_batter_too_thick_more],
  batterTooThin: [m.note_batter_too_thin, m.note_batter_too_thin_more],
  ballsEvened: [m.note_balls_evened, m.note_balls_evened_more],
  sugarHigh: [m.note_sugar_high, m.note_sugar_high_more],
  muchPowder: [m.note_much_powder, m.note_much_powder_more],
  muchYeast: [m.note_much_yeast, m.note_much_yeast_more],
  honeyInfants: [m.note_honey, m.note_honey_more],
  rawFlour: [m.note_raw_flour, m.note_raw_flour_more],
  leavenShortensRest: [m.note_leaven_rest, m.note_leaven_rest_more],
  restNeedsCover: [m.note_rest_needs_cover, m.note_rest_needs_cover_more],
  restTooWarm: [m.note_rest_too_warm, m.note_rest_too_warm_more],
  restSkin: [m.note_rest_skin, m.note_rest_skin_more],
  restUnsafe: [m.note_rest_unsafe, m.note_rest_unsafe_more],
  restGas: [m.note_rest_gas, m.note_rest_gas_more],
  restSours: [m.note_rest_sours, m.note_rest_sours_more],
  restShort: [m.note_rest_short, m.note_rest_short_more],
  restEnough: [m.note_rest_enough, m.note_rest_enough_more],
  restBest: [m.note_rest_best, m.note_rest_best_more],
  batterStood: [m.note_batter_stood, m.note_batter_stood_more],
  batterStandLonger: [m.note_batter_stand, m.note_batter_stand_more],
  divideCold: [m.note_divide_cold, m.note_divide_cold_more],
  warmFirst: [m.note_warm_first, m.note_warm_first_more],
  pouredThin: [m.note_poured_thin, m.note_poured_thin_more],
  pouredThick: [m.note_poured_thick, m.note_poured_thick_more],
  pouredWide: [m.note_poured_wide, m.note_poured_wide_more],
  saltLow: [m.note_salt_low, m.note_salt_low_more],
  saltHigh: [m.note_salt_high, m.note_salt_high_more],
  rawEgg: [m.note_raw_egg, m.note_raw_egg_more],
  thickRound: [m.note_thick_round, m.note_thick_round_more],
  sheetTooThin: [m.note_sheet_too_thin, m.note_sheet_too_thin_more],
  sheetTooThick: [m.note_sheet_too_thick, m.note_sheet_too_thick_more],
  shortRest: [m.note_short_rest, m.note_short_rest_more],
  fatRunsOut: [m.note_fat_runs_out, m.note_fat_runs_out_more],
  allOpen: [m.note_all_open, m.note_all_open_more],
  fusedContacts: [m.note_fused, m.note_fused_more],
  patchyFat: [m.note_patchy, m.note_patchy_more],
  tooMuchFat: [m.note_too_much_fat, m.note_too_much_fat_more],
  ringsFused: [m.note_rings_fused, m.note_rings_fused_more],
  partCovered: [m.note_part_covered, m.note_part_covered_more],
  sealedShut: [m.note_sealed_shut, m.note_sealed_shut_more],
  grainTears: [m.note_grain_tears, m.note_grain_tears_more],
  coreCrushed: [m.note_core_crushed, m.note_core_crushed_more],
  leafSmeared: [m.note_leaf_smeared, m.note_leaf_smeared_more],
  leafBready: [m.note_leaf_bready, m.note_leaf_bready_more],
  dustHeavy: [m.note_dust_heavy, m.note_dust_heavy_more],
  fillingCrumbly: [m.note_filling_crumbly, m.note_filling_crumbly_more],
  fillingHolds: [m.note_filling_holds, m.note_filling_holds_more],
  fillingRollInFlour: [m.note_filling_roll_in_flour, m.note_filling_roll_in_flour_more],
  fillingWeeps: [m.note_filling_weeps, m.note_filling_weeps_more],
  fillingSalt: [m.note_filling_salt, m.note_filling_salt_more],
  fillingBland: [m.note_filling_bland, m.note_filling_bland_more],
  fillingSalty: [m.note_filling_salty, m.note_filling_salty_more],
  fillingSweet: [m.note_filling_sweet, m.note_filling_sweet_more],
  fillingWarm: [m.note_filling_warm, m.note_filling_warm_more],
  fillingTight: [m.note_filling_tight, m.note_filling_tight_more],
  fillingOver: [m.note_filling_over, m.note_filling_over_more],
  fillingShort: [m.note_filling_short, m.note_filling_short_more],
  liquorLeft: [m.note_liquor_left, m.note_liquor_left_more],
  wallThin: [m.note_wall_thin, m.note_wall_thin_more],
  wallTears: [m.note_wall_tears, m.note_wall_tears_more],
  lumpsTear: [m.note_lumps_tear, m.note_lumps_tear_more],
  coolFast: [m.note_cool_fast, m.note_cool_fast_more],
  coreSafe: [m.note_core_safe, m.note_core_safe_more],
  pulseCold: [m.note_pulse_cold, m.note_pulse_cold_more],
  rawGarlic: [m.note_raw_garlic, m.note_raw_garlic_more],
  pressurePot: [m.note_pressure_pot, m.note_pressure_pot_more],
  oatsWait: [m.note_oats_wait, m.note_oats_wait_more],
  alreadyBigger: [m.note_already_bigger, m.note_already_bigger_more],
  springsBack: [m.note_springs_back, m.note_springs_back_more],
  panSmokes: [m.note_pan_smokes, m.note_pan_smokes_more],
  panNearSmoke: [m.note_pan_near_smoke, m.note_pan_near_smoke_more],
  panTooCool: [m.note_pan_too_cool, m.note_pan_too_cool_more],
  panFatThin: [m.note_pan_fat_thin, m.note_pan_fat_thin_more],
  panFatPools: [m.note_pan_fat_pools, m.note_pan_fat_pools_more],
  firstEstimate: [m.note_first_estimate, m.note_first_estimate_more],
  hotFat: [m.note_hot_fat, m.note_hot_fat_more],
  steam: [m.note_steam, m.note_steam_more],
};

const mends: Record<MendCode, (q: Said) => string> = {
  brushBefore: m.mend_brush_before,
  boardBefore: m.mend_board_before,
  brushMore: m.mend_brush_more,
  sheetFatMore: m.mend_sheet_fat_more,
  brushLess: m.mend_brush_less,
  sheetFatLess: m.mend_sheet_fat_less,
  dustLess: m.mend_dust_less,
  sheetTo: m.mend_sheet_to,
  restTo: m.mend_rest_to,
  chopTo: m.mend_chop_to,
  dropStep: m.mend_drop_step,
  byHand: m.mend_by_hand,
  fatShare: m.mend_fat_share,
  squeezeHarder: m.mend_squeeze_harder,
  saltLonger: m.mend_salt_longer,
  stirLonger: m.mend_stir_longer,
  bindMore: m.mend_bind_more,
  bindLess: m.mend_bind_less,
  moisten: m.mend_moisten,
  seasonFilling: m.mend_season_filling,
  chopFilling: m.mend_chop_filling,
  coolFilling: m.mend_cool_filling,
  shareTo: m.mend_share_to,
  fillingTimes: m.mend_filling_times,
  rollTo: m.mend_roll_to,
};

const quantities = (of: Pick<Note, "quantities">): Record<string, string> =>
  Object.fromEntries(of.quantities.map((q) => [q.name, amount(q.value, q.unit)]));

/** A mend in words: the change, and what it brings. */
export const mendWords = (mend: Mend): string =>
  mends[mend.code]({ ...quantities(mend), ...(mend.item && { item: shortName(mend.item).toLowerCase() }) });

/** A note in words: what is so, and what to do about it. */
export function wordsOf(note: Note): { head: string; more: string } {
  const said = quantities(note);
  if (note.item) said.item = shortName(note.item).toLowerCase();
  const [head, more] = words[note.code];
  return { head: head(said), more: more(said) };
}
