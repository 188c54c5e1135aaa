import type { PieceAt, StoveEvent, StovePan, StovePlace, StoveRefusal, StoveSheet, StoveTask, StoveWarm } from "../api/types";
import { m } from "../paraglide/messages";
import { span, workName } from "./clock";
import { amount } from "./format";

/** `0:18` to go, `+0:12` over, `1:04:10` from an hour up. */
export function countdown(seconds: number): string {
  const s = Math.abs(seconds >= 0 ? Math.ceil(seconds) : Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, "0");
  const text =
    s >= 3600 ? `${Math.floor(s / 3600)}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}` : `${Math.floor(s / 60)}:${two(s % 60)}`;
  return seconds < 0 && s > 0 ? `+${text}` : text;
}

export const pieceAtName: Record<PieceAt, () => string> = {
  ball: m.at_ball,
  folded: m.at_folded,
  rolled: m.at_rolled,
  onPan: m.at_pan,
  dry: m.at_dry,
  hot: m.at_hot,
  served: m.at_served,
  lost: m.at_lost,
};

export const stoveRefusal: Record<StoveRefusal, () => string> = {
  notTold: m.stove_not_told,
  noSuchPan: m.stove_no_pan,
  noSuchPiece: m.stove_no_piece,
  noSuchWork: m.stove_no_work,
  nothingThere: m.stove_nothing_there,
  placeTaken: m.stove_place_taken,
  noneLeft: m.stove_none_left,
  pieceLost: m.stove_piece_lost,
  panAway: m.stove_pan_away,
  outOfRange: m.stove_out_of_range,
  nothingToUndo: m.stove_nothing_to_undo,
  ended: m.stove_ended,
};

/** Its name in the service: its number, and the bread where there are several. */
export function pieceName(sheet: StoveSheet, bread: number, number: number): string {
  return sheet.breads.length > 1 ? m.number_of({ name: sheet.breads[bread]?.name ?? "", number }) : String(number);
}

const fatWords = (fat: number) => (fat > 0 ? m.and_fat({ mass: amount(fat, "g") }) : "");

/** What hands do next, as an order: `Roll 15 to 18 cm`. */
export function taskWords(sheet: StoveSheet, t: StoveTask): string {
  const bread = sheet.breads[t.bread]!;
  const piece = pieceName(sheet, t.bread, t.number);
  switch (t.work) {
    case "filling":
      return m.do_filling({ number: t.number });
    case "mix":
      return sheet.breads.length > 1 ? m.do_mix_of({ name: bread.name }) : t.number > 1 ? m.do_mix_bowl({ number: t.number }) : m.do_mix();
    case "divide":
      return m.do_divide({ number: t.number });
    case "fold":
      return (bread.stuffed ? m.do_fill : m.do_fold)({ piece });
    case "roll":
      return m.do_roll({ piece, across: amount(bread.across, "mm") });
    case "lay":
      return m.do_lay({ piece, pan: (t.pan ?? 0) + 1 });
    case "turn":
      return m.do_turn({ piece, fat: fatWords(t.fat) });
    case "lift":
      return bread.finish === "none" ? m.do_lift({ piece }) : m.do_lift_open({ piece });
    case "fry":
      return m.do_fry({ piece, pan: (t.pan ?? 0) + 1 });
  }
}

/** The caution that goes with it; nothing where nobody can be hurt. */
export function taskCaution(sheet: StoveSheet, t: StoveTask): string {
  if (t.work === "lift" && sheet.breads[t.bread]!.finish !== "none") return m.steam_burns();
  if (t.work === "fry") return m.hot_fat_burns();
  return "";
}

/** What lies on a place, in words. */
export function stayWords(p: StovePlace): string {
  if (p.fry) return m.stay_frying();
  return p.turns === 0 ? m.stay_first() : p.turns === 1 ? m.stay_second() : m.stay_again();
}

export function panWords(pan: StovePan): string {
  const wanted = amount(pan.wanted, "°C");
  switch (pan.state) {
    case "tooHot":
      return m.pan_too_hot({ wanted });
    case "tooCool":
      return m.pan_too_cool({ wanted });
    case "smokes":
      return m.pan_smokes({ at: amount(pan.smokeFrom ?? 0, "°C") });
    default:
      return "";
  }
}

/** An event in a few words, for the list of what can be taken back. */
export function eventWords(sheet: StoveSheet, e: StoveEvent): string {
  const piece = e.bread != null && e.number != null ? pieceName(sheet, e.bread, e.number) : "";
  const pan = (e.pan ?? 0) + 1;
  switch (e.act) {
    case "done":
      return m.was_done({
        work: workName[e.work ?? "fold"](),
        piece: piece || String(e.number),
      });
    case "laid":
      return m.was_laid({ piece, pan });
    case "turned":
      return m.was_turned({ piece, pan });
    case "fat":
      return m.was_fat({ pan });
    case "lifted":
      return m.was_lifted({ piece });
    case "wiped":
      return m.was_wiped({ pan });
    case "dropped":
      return m.was_dropped({ piece });
    case "burst":
      return m.was_burst({ piece });
    case "late":
      return m.was_late({ time: amount((e.value ?? 0) / 60, "min") });
    case "served":
      return m.was_served();
    case "panGone":
      return m.was_gone({ pan });
    case "panBack":
      return m.was_back({ pan });
    case "hands":
      return m.was_hands({ count: e.value ?? 0 });
    case "table":
      return m.was_table();
    case "probe":
      return e.pan == null ? m.was_probe_off() : m.was_probe({ pan });
    default:
      return e.act;
  }
}

/** What spoils and runs out of time in the warm, in words; nothing while there is plenty. */
export const runningOut = (sheet: StoveSheet): { words: string; severity: StoveWarm["severity"] }[] =>
  sheet.breads.flatMap((b) =>
    b.warm.filter((w) => w.severity !== "right").map((w) => ({ words: warmWords(b.name, w), severity: w.severity })),
  );

function warmWords(bread: string, w: StoveWarm): string {
  const said = { bread, time: span(w.for), left: span(Math.max(w.left, 0)) };
  const dough = w.part === "dough";
  switch (w.severity) {
    case "watch":
      return dough ? m.stove_dough_warm(said) : m.stove_filling_warm(said);
    case "wrong":
      return dough ? m.stove_dough_warm_gone(said) : m.stove_filling_warm_gone(said);
    default:
      return dough ? m.stove_dough_warm_over(said) : m.stove_filling_warm_over(said);
  }
}
