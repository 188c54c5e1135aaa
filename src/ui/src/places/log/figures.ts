import type { LogView, Outcome } from "../../api/types";
import { m } from "../../paraglide/messages";

type Planned = NonNullable<LogView["planned"]>;

/** What was really used: each figure with its name and its unit. */
export const used = [
  ["pieces", m.pieces, ""],
  ["flour", m.flour, "g"],
  ["liquid", m.liquid, "g"],
  ["doughFat", m.dough_fat, "g"],
  ["salt", m.salt, "g"],
  ["ballMass", m.one_ball, "g"],
  ["lost", m.pieces_lost, ""],
  ["dough", m.dough_divided, "g"],
  ["raw", m.log_raw, "g"],
  ["roasted", m.log_roasted, "g"],
] as const;
export type Used = (typeof used)[number][0];

/** What was really timed, each with the way to it in the plan. */
export const timed = [
  ["pan", m.pan_heat, "°C", (p: Planned) => p.pan],
  ["firstSide", m.turn_first, "s", (p: Planned) => p.sides[0] ?? 0],
  ["secondSide", m.turn_second, "s", (p: Planned) => p.sides[1] ?? 0],
  ["lastSide", m.turn_last, "s", (p: Planned) => p.sides[2] ?? 0],
] as const;

/** An entry in which nothing is written. */
export const nothing: Outcome = {
  used: { pieces: null, flour: null, liquid: null, doughFat: null, salt: null, ballMass: null },
  timed: { pan: null, firstSide: null, secondSide: null, lastSide: null },
  judged: { soft: null, leaves: null, colour: null, taste: null, filling: null, wall: null },
  note: "",
  yields: null,
  hands: null,
  faults: null,
  counts: true,
};

/** What may be left out is left out, not nothing. */
export function setUsed(outcome: Outcome, key: Used, value: number | null): void {
  const spared = key === "dough" || key === "raw" || key === "roasted";
  if (spared && value === null) delete outcome.used[key];
  else if (spared) outcome.used[key] = value as number;
  else outcome.used[key] = value;
}
