import type { FigureName, HandWork, LearnedFigure, LessonKind, NoteCode, PanKind, Symptom } from "../api/types";
import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";
import { number } from "./format";
import { handName } from "./names/fold";
import { shortName } from "./names/items";
import { panName } from "./names/pan";
import { symptomName } from "./symptoms";

export const symptoms = Object.keys(symptomName) as Symptom[];

/** Why a cause makes what it makes. */
export const why: Partial<Record<NoteCode, () => string>> = {
  doughStiff: m.why_dough_stiff,
  doughFirmSide: m.why_dough_firm_side,
  fillingUntil: m.why_filling_until,
  holdStiff: m.why_hold_stiff,
  holdSoftens: m.why_hold_softens,
  driedOut: m.why_dried_out,
  doughLean: m.why_dough_lean,
  restShort: m.why_rest_short,
  ringsFused: m.why_rings_fused,
  coreCrushed: m.why_core_crushed,
  leafBready: m.why_leaf_bready,
  thickRound: m.why_thick_round,
  rawInside: m.why_raw_inside,
  springsBack: m.why_springs_back,
  shortRest: m.why_short_rest,
  doughSticky: m.why_dough_sticky,
  doughSoftSide: m.why_dough_soft_side,
  restGas: m.why_rest_gas,
  restSours: m.why_rest_sours,
  fillingWeeps: m.why_filling_weeps,
  sugarHigh: m.why_sugar_high,
  fusedContacts: m.why_fused_contacts,
  leafSmeared: m.why_leaf_smeared,
  patchyFat: m.why_patchy_fat,
  fatRunsOut: m.why_fat_runs_out,
  panTooCool: m.why_pan_too_cool,
  tooMuchFat: m.why_too_much_fat,
  panFatPools: m.why_pan_fat_pools,
  wallThin: m.why_wall_thin,
  fillingTight: m.why_filling_tight,
  wallTears: m.why_wall_tears,
  lumpsTear: m.why_lumps_tear,
  fillingWarm: m.why_filling_warm,
  fillingRollInFlour: m.why_filling_roll_in_flour,
  paperSweats: m.why_paper_sweats,
  panCrowded: m.why_pan_crowded,
  coreUnsafe: m.why_core_unsafe,
  panNeverCooks: m.why_pan_never_cooks,
  panChars: m.why_pan_chars,
  panClimbs: m.why_pan_climbs,
  faceBurnt: m.why_face_burnt,
  dustHeavy: m.why_dust_heavy,
  panSmokes: m.why_pan_smokes,
  butterBrowns: m.why_butter_browns,
  panNearSmoke: m.why_pan_near_smoke,
  saltHigh: m.why_salt_high,
  fillingSalty: m.why_filling_salty,
  restSkin: m.why_rest_skin,
  fillingLoose: m.why_filling_loose,
  sheetTooThin: m.why_sheet_too_thin,
  grainTears: m.why_grain_tears,
  ballsUneven: m.why_balls_uneven,
  facesUneven: m.why_faces_uneven,
  panFalls: m.why_pan_falls,
  sheetTooThick: m.why_sheet_too_thick,
  panFatThin: m.why_pan_fat_thin,
  facePale: m.why_face_pale,
  panNeverColours: m.why_pan_never_colours,
  saltLow: m.why_salt_low,
  fillingBland: m.why_filling_bland,
};

const figures: Record<FigureName, (of: string) => string> = {
  pieces: m.pieces,
  lost: m.pieces_lost,
  flour: m.flour,
  liquid: m.logged_liquid,
  doughFat: m.dough_fat,
  salt: m.salt,
  hydration: m.logged_hydration,
  ballMass: m.logged_ball,
  doughRest: m.logged_dough_rest,
  lastRest: m.logged_last_rest,
  leaves: m.logged_leaves,
  thickness: m.logged_thickness,
  fillingShare: m.logged_filling_share,
  pan: m.pan_heat,
  firstSide: m.turn_first,
  secondSide: m.turn_second,
  lastSide: m.turn_last,
  yield: (of) => m.logged_yield({ of: nameOf(of) }),
  handTime: (of) => workOf(of),
  soft: m.judge_soft,
  leavesJudged: m.judge_leaves,
  colour: m.judge_colour,
  taste: m.judge_taste,
  fillingJudged: m.judge_filling,
  wall: m.judge_wall,
};

/** A compared figure by its name. */
export const figureName = (name: FigureName, of: string): string => figures[name](of);

/** A larder line by its short name; its id when the larder no longer has it. */
export const nameOf = (id: string): string => (larder.byId.has(id) ? shortName(id) : id);
// The core writes hand work as it calls it; the wire writes it small.
const panOf = (of: string) => panName[(of.charAt(0).toLowerCase() + of.slice(1)) as PanKind]?.() ?? of;
const workOf = (of: string) => handName[(of.charAt(0).toLowerCase() + of.slice(1)) as HandWork]?.() ?? of;

const learned: Record<LessonKind, (of: string) => string> = {
  thirst: (of) => m.learned_thirst({ of: nameOf(of) }),
  squeeze: (of) => m.learned_squeeze({ of: nameOf(of) }),
  bowlLoss: m.learned_bowl_loss,
  panTime: m.learned_pan_time,
  cookOff: m.learned_cook_off,
  handTime: (of) => m.learned_hand_time({ of: workOf(of) }),
  browning: (of) => m.learned_browning({ of: panOf(of) }),
  steam: (of) => m.learned_steam({ of: panOf(of) }),
};

/** What a learned figure is of. */
export const learnedName = (figure: Pick<LearnedFigure, "kind" | "of">): string => learned[figure.kind](figure.of);

/** A learned figure in its unit; a ratio as times. */
export const learnedAmount = (value: number, unit: string): string =>
  unit === "" ? `× ${number(value, 2)}` : `${number(value, 1)} ${unit}`;
