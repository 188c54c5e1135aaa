import type { ClockSheet } from "../../api/types";

/** A stretch of the axis: busy ones are to scale, rests in which nobody does anything are drawn short. */
export interface AxisPart {
  from: number;
  to: number;
  x: number;
  width: number;
  rest: boolean;
}

const SHORT_REST = 300;
const REST_WIDTH = 54;

/** Lays a stretch of a timetable along a width, with its long rests drawn short. */
export function axisOf(sheet: ClockSheet, from: number, to: number, left: number, width: number): AxisPart[] {
  const busy = [
    ...sheet.hands.flatMap((h) => h.parts.map((p) => [p.from, p.to] as const)),
    ...sheet.pans.map((p) => [p.laid, p.lifted] as const),
  ]
    .filter(([a, b]) => b > from && a < to)
    .toSorted((a, b) => a[0] - b[0]);
  const parts: { from: number; to: number; rest: boolean }[] = [];
  let at = from;
  for (const [a, b] of [...busy, [to, to] as const]) {
    if (a - at > SHORT_REST) parts.push({ from: at, to: a, rest: true });
    const last = parts.at(-1);
    if (last && !last.rest) last.to = Math.min(Math.max(last.to, b), to);
    else parts.push({ from: a - at > SHORT_REST ? a : at, to: Math.min(b, to), rest: false });
    at = Math.max(at, b);
  }
  const rests = parts.filter((p) => p.rest).length;
  const rest = Math.min(REST_WIDTH, (width * 0.4) / Math.max(rests, 1));
  const seconds = parts.filter((p) => !p.rest).reduce((sum, p) => sum + p.to - p.from, 0);
  const scale = (width - rests * rest) / Math.max(seconds, 1);
  let x = left;
  return parts.map((p) => {
    const w = p.rest ? rest : (p.to - p.from) * scale;
    const part = { ...p, x, width: w };
    x += w;
    return part;
  });
}

/** Where a moment lies; moments outside lie at the ends. */
export function place(axis: AxisPart[], at: number): number {
  const part = axis.find((p) => at <= p.to) ?? axis.at(-1);
  if (!part) return 0;
  const share = part.to > part.from ? Math.min(Math.max((at - part.from) / (part.to - part.from), 0), 1) : 1;
  return part.x + share * part.width;
}
