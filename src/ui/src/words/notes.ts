import type { Note, NoteCode } from "../api/types";
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
  leafSmeared: [m.note_leaf_smeared, m.note_leaf_smeared_more],
  leafBready: [m.note_leaf_bready, m.note_leaf_bready_more],
  dustHeavy: [m.note_dust_heavy, m.note_dust_heavy_more],
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

/** A note in words: what is so, and what to do about it. */
export function wordsOf(note: Note): { head: string; more: string } {
  const said: Record<string, string> = Object.fromEntries(note.quantities.map((q) => [q.name, amount(q.value, q.unit)]));
  if (note.item) said.item = shortName(note.item).toLowerCase();
  const [head, more] = words[note.code];
  return { head: head(said), more: more(said) };
}
