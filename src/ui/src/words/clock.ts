import type { Breach, ClockRest, ClockView, ClockWork, HandSlot, PieceLife, WhatIf, WhatIfSheet } from "../api/types";
import { m } from "../paraglide/messages";
import { beside, amount, clock as hour } from "./format";

/** The hour of a moment of a timetable. */
export const hourOf = (view: ClockView, seconds: number): string => hour(new Date(Date.parse(view.zero) + seconds * 1000).toISOString());

/** Whole minutes, as a cook says how long something takes; seconds under two minutes. */
export const span = (seconds: number): string => (seconds < 120 ? amount(seconds, "s") : amount(Math.round(seconds / 60), "min"));

export const workName: Record<ClockWork, () => string> = {
  filling: m.work_filling,
  mix: m.work_mix,
  divide: m.work_divide,
  fold: m.work_fold,
  roll: m.work_roll,
  lay: m.work_lay,
  turn: m.work_turn,
  lift: m.work_lift,
  fry: m.work_fry,
};

export const clockRestName: Record<ClockRest, () => string> = {
  dough: m.clock_rest_dough,
  balls: m.clock_rest_balls,
  folded: m.clock_rest_folded,
  fridge: m.clock_rest_fridge,
  freezer: m.clock_rest_freezer,
};

export const whatIfName: Record<WhatIf, () => string> = {
  anotherPan: m.what_if_pan,
  anotherHand: m.what_if_hand,
  rollTwoAhead: m.what_if_ahead,
  shorterRests: m.what_if_rests,
  dryThenFry: m.what_if_dry,
  fridgeOvernight: m.what_if_fridge,
  frozenRounds: m.what_if_frozen,
  coldThenHot: m.what_if_cold_then_hot,
};

/** Red is what cannot be, spoils or is unsafe; what would only be better otherwise is quiet. */
export const breachTone = (b: Breach): string => (b.severity === "wrong" ? "refusal" : "caution");

export function breachWords(b: Breach): string {
  const by = span(b.by);
  switch (b.code) {
    case "late":
      return m.breach_late({ by });
    case "tableGone":
      return m.breach_table_gone({ by });
    case "rolledWaits":
      return m.breach_rolled({ is: span(b.is), allowed: span(b.allowed) });
    case "foldedWaits":
      return m.breach_folded({ is: span(b.is), allowed: span(b.allowed) });
    case "doughStands":
      return m.breach_stands({ is: span(b.is), allowed: span(b.allowed) });
    case "doughWarm":
      return m.breach_dough_warm({ is: span(b.is), allowed: span(b.allowed) });
    case "fillingWarm":
      return m.breach_filling_warm({ is: span(b.is), allowed: span(b.allowed) });
    case "fillingWeeps":
      return m.breach_filling_weeps({ is: span(b.is), allowed: span(b.allowed) });
    case "goesCool":
      return m.breach_cool({ is: span(b.is), allowed: span(b.allowed) });
    case "goesLimp":
      return m.breach_limp({ is: span(b.is), allowed: span(b.allowed) });
    case "goesStiff":
      return m.breach_stiff({ is: span(b.is), allowed: span(b.allowed) });
  }
}

/** What a change buys: later to begin, younger at the table. */
export function buys(w: WhatIfSheet, forwards: boolean): string[] {
  const said = [];
  if (Math.abs(w.saves) >= 30)
    said.push(
      w.saves > 0
        ? (forwards ? m.buys_sooner : m.buys_later)({ time: span(w.saves) })
        : (forwards ? m.costs_later : m.costs_sooner)({ time: span(-w.saves) }),
    );
  if (Math.abs(w.younger) >= 30) said.push((w.younger > 0 ? m.buys_younger : m.costs_older)({ time: span(Math.abs(w.younger)) }));
  return said.length > 0 ? said : [m.buys_nothing()];
}

/** The way of one piece in a sentence of hours. */
export function lifeWords(view: ClockView, life: PieceLife): string {
  const steps: [number | null | undefined, (at: { at: string }) => string][] = [
    [life.rounded, m.life_rounded],
    [life.opened, m.life_opened],
    [life.folded, m.life_folded],
    [life.rolled, m.life_rolled],
    [life.laid, m.life_laid],
    [life.lifted, m.life_lifted],
  ];
  return beside(...steps.map(([at, say]) => at != null && say({ at: hourOf(view, at) })));
}

/** What one pair of hands does, with its number. */
export const slotWords = (slot: HandSlot): string => m.work_number({ work: workName[slot.work](), number: slot.number });
