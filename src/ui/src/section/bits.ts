import type { Section } from "../api/types";
import { chance, type Frame, tenth } from "./frame";

/** Paths of one colour. */
export interface Coloured {
  hue: string;
  path: string;
}

/** A ball cut anywhere shows two thirds of its widest face; bits lie with room between them. More than so many are not told apart. */
const FACE = (2 / 3) * (Math.PI / 4);
const PACKED = 0.7;
const MOST_BITS = 220;
const MOST_FLECKS = 320;
const SQUARE_CM = 100;

/** Dough meets dough there, without filling, pixels. */
export const seamOf = (section: Section, frame: Frame): number =>
  section.filling ? Math.max(section.filling.rim * frame.perMillimetre, frame.rim * 0.6) : 0;

/** Filling lies between its walls and ends before the edge, rounded where it ends. */
export function fillingPaths(section: Section, frame: Frame): string[] {
  const { xs, bounds, long, left, y } = frame;
  const seam = seamOf(section, frame);
  const within = frame.places.filter((i) => (xs[i] ?? 0) >= left + seam && (xs[i] ?? 0) <= long + left - seam);
  return [...frame.filled].map((i) => {
    const [low, high] = [bounds[2 * i + 1] ?? 0, bounds[2 * i + 2] ?? 0];
    const along = (bound: number, k: number, places: number[]) =>
      places.map((at) => `${tenth(xs[at] ?? 0)} ${tenth(y(bound, k, at))}`).join("L");
    const [first, last] = [within[0] ?? 0, within.at(-1) ?? 0];
    const half = ((y(low, i + 1, first) - y(high, i + 1, first)) / 2) * 0.9;
    const cap = (at: number, out: number) => `${tenth((xs[at] ?? 0) + out)} ${tenth((y(low, i + 1, at) + y(high, i + 1, at)) / 2)}`;
    const end = (at: number) => `${tenth(xs[at] ?? 0)} ${tenth(y(high, i + 1, at))}`;
    const start = (at: number) => `${tenth(xs[at] ?? 0)} ${tenth(y(low, i + 1, at))}`;
    const out = Math.min(half * 2, seam * 0.8);
    return `M${along(low, i + 1, within)}Q${cap(last, out)} ${end(last)}L${along(high, i + 1, within.toReversed())}Q${cap(first, -out)} ${start(first)}Z`;
  });
}

/** Bits of a filling lie where chance puts them: as many of each as its share takes of the cut. */
export function lumpPaths(section: Section, frame: Frame): Coloured[] {
  const { bounds, long, left, perMillimetre, y, ellipse } = frame;
  const seam = seamOf(section, frame);
  return (section.look?.filling?.bits ?? []).map((bits, kind) => ({
    hue: bits.hue,
    path: [...frame.filled]
      .flatMap((i) => {
        const [low, high] = [bounds[2 * i + 1] ?? 0, bounds[2 * i + 2] ?? 0];
        const tall = Math.min(bits.size, (high - low) * 0.96);
        const wide = bits.size * perMillimetre;
        const room = long - 2 * seam - 2 * wide;
        const face = FACE * bits.size * tall;
        const count = Math.min(
          Math.round((((bits.share / 100) * (high - low) * (long - 2 * seam)) / perMillimetre / face) * PACKED),
          MOST_BITS,
        );
        return Array.from({ length: room > 0 ? count : 0 }, (_, n) => {
          const lot = n * 7 + i + kind * 31;
          const size = 0.55 + 0.45 * chance(lot + 2);
          const x = left + seam + wide + ((n + chance(lot)) / count) * room;
          const bound = low + tall / 2 + chance(lot * 13 + 5) * (high - low - tall);
          return ellipse(x, (at) => y(bound, i + 1, at), wide * size, tall * size);
        });
      })
      .join(""),
  }));
}

/** Flecks lie in the leaves, each leaf with as many as its share of the dough. */
export function fleckPaths(section: Section, frame: Frame): Coloured[] {
  const { bounds, long, left, rim, perMillimetre, fine, y, ellipse } = frame;
  const dough = section.leaves.reduce((sum, leaf) => sum + leaf, 0);
  return (section.look?.flecks ?? []).map((fleck, kind) => {
    const most = fine ? MOST_FLECKS / 4 : MOST_FLECKS;
    const square = section.ball ? (Math.PI / 4) * section.across * section.across : section.across * dough;
    const count = Math.min(Math.round((fleck.count * square) / SQUARE_CM), most);
    return {
      hue: fleck.hue,
      path: Array.from({ length: count }, (_, n) => {
        const lot = n * 3.7 + kind * 57 + 1;
        if (section.ball) {
          // Evenly over the round: along it by chance, up and down as far as it reaches there.
          const out = 0.94 * Math.sqrt(chance(lot)) * Math.cos(chance(lot * 23) * 2 * Math.PI);
          const size = fleck.size * (0.6 + 0.4 * chance(lot * 11));
          const bound = section.across * (0.04 + 0.92 * chance(lot * 17));
          return ellipse(left + (long / 2) * (1 + out), (i) => y(bound, 0, i), size * perMillimetre, size);
        }
        let below = chance(lot) * dough;
        const leaf = Math.max(
          section.leaves.findIndex((thick) => (below -= thick) <= 0),
          0,
        );
        const thick = section.leaves[leaf] ?? 0;
        const tall = Math.min(fleck.size * (0.5 + 0.5 * chance(lot * 5)), thick * 0.8);
        const wide = Math.max(fleck.size * (0.6 + 0.4 * chance(lot * 11)) * perMillimetre, 1.2);
        // Both faces of a leaf bend, each its own way: what lies between them goes with both.
        const up = (tall / 2 + chance(lot * 17) * (thick - tall)) / thick;
        const high = (i: number) => (1 - up) * y(bounds[2 * leaf] ?? 0, leaf, i) + up * y(bounds[2 * leaf + 1] ?? 0, leaf + 1, i);
        return ellipse(left + rim + chance(lot * 23) * (long - 2 * rim), high, wide, tall);
      }).join(""),
    };
  });
}

/** Seeds and leaves that steps have laid on: along each face and each contact as many as a cut meets there. */
export function laidPaths(section: Section, frame: Frame): Coloured[] {
  const { bounds, left, long, rim, perMillimetre, scale, y, ellipse } = frame;
  const last = section.leaves.length;
  const lines = [
    { bits: section.bottomBits ?? 0, bound: bounds[0] ?? 0, k: 0, leaf: 0 },
    ...section.contacts.map(({ bits }, i) => ({ bits, bound: bounds[2 * i + 1] ?? 0, k: i + 1, leaf: i })),
    { bits: section.topBits ?? 0, bound: bounds[2 * last - 1] ?? 0, k: last, leaf: last - 1 },
  ].filter(({ bits }) => bits > 0);
  const centimetres = (long - 2 * rim) / perMillimetre / 10;
  return (section.look?.laid ?? []).map(({ hue, size, count: along }, kind) => ({
    hue,
    path: lines
      .flatMap(({ bits, bound, k, leaf }) => {
        const count = Math.min(Math.round(along * bits * centimetres), MOST_FLECKS);
        const tall = Math.max(Math.min(size, (section.leaves[leaf] ?? 0) * 0.8), 1.5 / scale);
        return Array.from({ length: count }, (_, n) => {
          const lot = n * 4.1 + k * 19 + kind * 83 + 3;
          const wide = Math.max(size * (0.7 + 0.3 * chance(lot)) * perMillimetre, 1.5);
          const x = left + rim + ((n + chance(lot * 7)) / count) * (long - 2 * rim);
          return ellipse(x, (i) => y(bound, k, i), wide, tall * (0.7 + 0.3 * chance(lot * 3)));
        });
      })
      .join(""),
  }));
}
