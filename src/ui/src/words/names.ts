import type {
  Likeness,
  Allergen,
  Trait,
  Colour,
  DoughFeel,
  Feel,
  FillingFeel,
  Face,
  FillingStepKind,
  FaceIs,
  FaceTrouble,
  Finish,
  Flame,
  FlakeTerm,
  HandWork,
  HoldIn,
  HoldWant,
  IngredientKind,
  Look,
  Outline,
  PanFailure,
  PanKind,
  ParcelShape,
  PureeMethod,
  RestEnd,
  Roasting,
  Stage,
  StartBy,
  StepKind,
  TearCause,
  WaterReason,
  Warmth,
} from "../api/types";
import { larder } from "../api/larder.svelte";
import { m } from "../paraglide/messages";

export const stageName: Record<Stage, () => string> = {
  dough: m.stage_dough,
  rest: m.stage_rest,
  balls: m.stage_balls,
  sheet: m.stage_sheet,
  fold: m.stage_fold,
  filling: m.stage_filling,
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
  cone: m.outline_cone,
  upright: m.outline_upright,
};

export const stepName: Record<StepKind, () => string> = {
  brush: m.step_brush,
  paste: m.step_paste,
  dust: m.step_dust,
  scatter: m.step_scatter,
  seeds: m.step_seeds,
  half: m.step_half,
  letter: m.step_letter,
  gate: m.step_gate,
  envelope: m.step_envelope,
  accordion: m.step_accordion,
  enclose: m.step_enclose,
  strips: m.step_strips,
  slit: m.step_slit,
  matRoll: m.step_mat_roll,
  cutLog: m.step_cut_log,
  coil: m.step_coil,
  cone: m.step_cone,
  roll: m.step_roll,
  rollLong: m.step_roll_long,
  press: m.step_press,
  stretch: m.step_stretch,
  rest: m.step_rest,
  pinch: m.step_pinch,
};

/** Fold schools; what is not among them is shown by its id. */
export const foldSchool: Record<string, () => string> = {
  own: m.own_program,
  halves: m.school_halves,
  letters: m.school_letters,
  envelope: m.school_envelope,
  overlap: m.school_overlap,
  pleats: m.school_pleats,
  stripCoil: m.school_stripCoil,
  pleatCoil: m.school_pleatCoil,
  coils: m.school_coils,
  cone: m.school_cone,
  strips: m.school_strips,
  ribbons: m.school_ribbons,
  enclosed: m.school_enclosed,
  starchLog: m.school_starchLog,
  parcel: m.school_parcel,
};

export const handName: Record<HandWork, () => string> = {
  sheet: m.hand_sheet,
  roll: m.hand_roll,
  press: m.hand_press,
  stretch: m.hand_stretch,
  brush: m.hand_brush,
  paste: m.hand_paste,
  dust: m.hand_dust,
  scatter: m.hand_scatter,
  fold: m.hand_fold,
  pleat: m.hand_pleat,
  enclose: m.hand_enclose,
  cutStrip: m.hand_cut_strip,
  slit: m.hand_slit,
  matRoll: m.hand_mat_roll,
  cutSlice: m.hand_cut_slice,
  coil: m.hand_coil,
  coneTurn: m.hand_cone_turn,
  pinch: m.hand_pinch,
  lastRoll: m.hand_last_roll,
  mixBowl: m.hand_mix_bowl,
  divide: m.hand_divide,
  chop: m.hand_chop,
  squeeze: m.hand_squeeze,
  season: m.hand_season,
  stuff: m.hand_stuff,
  pour: m.hand_pour,
  lay: m.hand_lay,
  turn: m.hand_turn,
  lift: m.hand_lift,
  open: m.hand_open,
  wipe: m.hand_wipe,
};

export const flakeTerm: Record<FlakeTerm, () => string> = {
  apart: m.flake_apart,
  leaf: m.flake_leaf,
  film: m.flake_film,
  whole: m.flake_whole,
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
  wheat: m.allergen_wheat,
  milk: m.allergen_milk,
  egg: m.allergen_egg,
  nuts: m.allergen_nuts,
  peanut: m.allergen_peanut,
  sesame: m.allergen_sesame,
  mustard: m.allergen_mustard,
  soya: m.allergen_soya,
  celery: m.allergen_celery,
  lupin: m.allergen_lupin,
  fish: m.allergen_fish,
  crustaceans: m.allergen_crustaceans,
  molluscs: m.allergen_molluscs,
  sulphites: m.allergen_sulphites,
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

export const traitName: Record<Trait, () => string> = {
  spoils: m.trait_spoils,
  rawRisk: m.trait_raw_risk,
  keepsBadlyWarm: m.trait_keeps_badly_warm,
  garlicLike: m.trait_garlic_like,
  notForInfants: m.trait_not_for_infants,
  yeast: m.trait_yeast,
  powder: m.trait_powder,
  solidWhenCold: m.trait_solid_when_cold,
  sticky: m.trait_sticky,
  tender: m.trait_tender,
  sour: m.trait_sour,
  brownsRaw: m.trait_browns_raw,
  drinksSlowly: m.trait_drinks_slowly,
  lumpy: m.trait_lumpy,
  free: m.trait_free,
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
export const nameOf = (id: string): string => larder.byId.get(id)?.name ?? (id === "liquor" ? m.liquor() : id);

/** The name without what stands in brackets, for places with little room. */
export const shortName = (id: string): string => nameOf(id).replace(/ \(.*\)/, "");

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

export const roastingName: Record<Roasting, () => string> = {
  fatEachSide: m.roasting_fat_each,
  oneTurn: m.roasting_one_turn,
  dryThenFry: m.roasting_dry_fry,
  dryOnly: m.roasting_dry,
  manyTurns: m.roasting_many,
  shallowFry: m.roasting_shallow,
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

export const flameName: Record<Flame, () => string> = { off: m.flame_off, low: m.flame_low, medium: m.flame_medium, high: m.flame_high };

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
