import { larder } from "../../api/larder.svelte";
import type { BatchSpec, PanSheet, Stay } from "../../api/types";

/** The stays as they are now, the cook's own or those advised, for the cook to change. The cook's own are newer than any sheet. */
export const staysOf = (spec: BatchSpec, pan: PanSheet): Stay[] =>
  spec.pan.own ?? pan.program.turns.map(({ time, fat }) => ({ time, fat }));

const shortest = () => larder.limit("pan.own[].time").least;

/** Moves the end of a stay: the next one takes up what this one leaves; the last one only ends sooner or later. */
export function endAt(stays: Stay[], index: number, at: number): Stay[] {
  const least = shortest();
  const start = stays.slice(0, index).reduce((sum, s) => sum + s.time, 0);
  const next = stays[index + 1];
  const end = next ? start + stays[index]!.time + next.time : Infinity;
  const to = Math.round(Math.min(Math.max(at, start + least), end - (next ? least : 0)));
  return stays.map((s, i) => (i === index ? { ...s, time: to - start } : i === index + 1 ? { ...s, time: end - to } : s));
}

/** The same, so many seconds later, or earlier when negative. */
export const endBy = (stays: Stay[], index: number, by: number): Stay[] =>
  endAt(stays, index, stays.slice(0, index + 1).reduce((sum, s) => sum + s.time, 0) + by);

/** The fat of one stay goes on before another. */
export function fatTo(stays: Stay[], from: number, to: number): Stay[] {
  const fat = stays[from]?.fat ?? 0;
  return from === to || !stays[to]
    ? stays
    : stays.map((s, i) => (i === from ? { ...s, fat: 0 } : i === to ? { ...s, fat: s.fat + fat } : s));
}

export const takeOver = (spec: BatchSpec, stays: Stay[]) => (spec.pan.own = stays);

/** One stay longer or shorter; what comes after it keeps its length. */
export const nudge = (stays: Stay[], index: number, by: number): Stay[] =>
  stays.map((s, i) => (i === index ? { ...s, time: Math.max(s.time + by, shortest()) } : s));
