import type { PieceAt, StoveEvent, StovePan, StovePlace, StoveRefusal, StoveSheet, StoveTask, StoveWarm } from "../api/types";
import { m } from "../paraglide/messages";
import { span, workName } from "./clock";
import { foldWords } from "./card";
import { amount, listed } from "./format";
import { stepWords } from "./mixing";
import { shortWithin } from "./names/items";

/** `0:18` to go, `+0:12` over; from an hour up in hours and minutes. */
export function countdown(seconds: number): string {
  const s = Math.abs(seconds >= 0 ? Math.ceil(seconds) : Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, "0");
  const text = s >= 3600 ? span(s) : `${Math.floor(s / 60)}:${two(s % 60)}`;
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

type Told = StoveSheet["breads"][number]["work"]["filling"][number];

// A step of the filling as an order: what, how much and how.
function fillingTask(told: Told | undefined): string {
  if (!told) return m.the_filling();
  const { step, of, puts } = told;
  const said = { mass: amount(of, "g"), item: told.part ? shortWithin(told.part) : m.the_filling() };
  const put = (id: string) => ({ ...said, puts: amount(puts ?? 0, "g"), with: shortWithin(id) });
  switch (step.kind) {
    case "chop":
      return { chop: m.do_chop, grate: m.do_grate, mash: m.do_mash }[step.by]({ ...said, grain: amount(step.grain, "mm") });
    case "salt":
      return m.do_salt({ ...put(step.salt), time: amount(step.time, "min") });
    case "squeeze":
      return { drain: m.do_squeeze_drain, hand: m.do_squeeze_hand, cloth: m.do_squeeze_cloth }[step.by](said);
    case "blanch":
    case "boil":
    case "soak":
    case "pressure": {
      const order = { blanch: m.do_blanch, boil: m.do_boil, soak: m.do_soak, pressure: m.do_pressure }[step.kind];
      return order({ ...said, time: amount(step.time, "min") });
    }
    case "saute":
      return step.to != null
        ? m.do_saute_to({ ...put(step.fat), to: amount(step.to, "g") })
        : m.do_saute({ ...put(step.fat), time: amount(step.time, "min") });
    case "sweeten":
      return m.do_sweeten({ ...put(step.sugar), time: amount(step.time, "min") });
    case "cool":
      return (step.trays ?? 1) > 1
        ? m.do_cool_trays({ ...said, time: amount(step.time, "min"), count: step.trays! })
        : m.do_cool({ ...said, time: amount(step.time, "min") });
    case "bind":
      return m.do_put_in(put(step.binder));
    case "season":
    case "moisten":
      return m.do_put_in(put(step.item));
  }
}

/** How it is done, line by line, in the words of the card; nothing where the order says it all. */
export function taskMore(sheet: StoveSheet, t: StoveTask): string[] {
  const { work, stuffed } = sheet.breads[t.bread]!;
  switch (t.work) {
    case "mix":
      return work.mix.map((step) => {
        const items = step.items.map(({ id, mass }) => m.so_much_of({ mass: amount(mass, "g"), item: shortWithin(id) }));
        return items.length ? m.choice_of({ label: stepWords(step), value: listed(items) }) : stepWords(step);
      });
    case "fold":
      if (stuffed && work.fold.length === 0) return [];
      return [
        ...(work.sheet ? [m.sheet_to({ across: amount(work.sheet.diameter, "mm") })] : []),
        ...(work.sheet && work.sheet.fatMass > 0
          ? [m.so_much_of({ mass: amount(work.sheet.fatMass, "g"), item: shortWithin(work.sheet.fat) })]
          : []),
        ...work.fold.map(foldWords),
      ];
    default:
      return [];
  }
}

/** What hands do next, as an order: `Roll 15 to 18 cm`. */
export function taskWords(sheet: StoveSheet, t: StoveTask): string {
  const bread = sheet.breads[t.bread]!;
  const piece = pieceName(sheet, t.bread, t.number);
  switch (t.work) {
    case "filling":
      return fillingTask(bread.work.filling[t.number - 1]);
    case "mix":
      return sheet.breads.length > 1 ? m.do_mix_of({ name: bread.name }) : t.number > 1 ? m.do_mix_bowl({ number: t.number }) : m.do_mix();
    case "divide":
      return m.do_divide({
        number: t.number,
        count: bread.work.trays[t.number - 1] ?? 0,
        mass: amount(bread.work.ball, "g"),
      });
    case "fold":
      return bread.stuffed ? m.do_fill({ piece, mass: amount(bread.work.stuff ?? 0, "g") }) : m.do_fold({ piece });
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
