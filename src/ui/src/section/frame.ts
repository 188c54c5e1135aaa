import type { BakedCut, Section } from "../api/types";

/** What the pan and time have made of a section: how it is drawn off the pan. */
export interface Baked extends BakedCut {
  /** Its filling comes out. */
  bursts: boolean;
}

/** Points along the width, closer towards the rims; their number is fixed, so that a section can melt into the next one. */
export const POINTS = 84;
export const AT_RIM = 14;

/** More lines than this are hair-thin: they are drawn straight and with one brush for all that look alike. */
export const FINE = 120;

/** Left of and over the drawing, pixels. */
const MARGIN = 2;

/** How many times taller than wide a section may be drawn: few enough that a thicker bread is seen to be thicker. */
const TALLER = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 70, 100];

/** Where everything in a section lies on a box of w × h pixels: to scale in height, along it as long as there is room. */
export interface Frame {
  xs: number[];
  /** Heights over the bottom, mm: leaf i lies between bounds[2i] and bounds[2i + 1]. */
  bounds: number[];
  /** Contacts in which filling lies. */
  filled: Set<number>;
  left: number;
  long: number;
  rim: number;
  /** Thinnest leaf, pixels. */
  least: number;
  fine: boolean;
  /** Pixels along a millimetre, and up one. */
  perMillimetre: number;
  scale: number;
  taller: number;
  /** A height at the i-th point. `k` says which wave it bends with: neighbours bend alike, so that nothing is drawn thicker than it is. */
  y: (bound: number, k: number, i: number) => number;
  line: (bound: number, k: number, reverse?: boolean) => string;
  /** What lies between two heights, closed. */
  band: (low: number, kLow: number, high: number, kHigh: number) => string;
  /** The points that are drawn. */
  places: number[];
  /** Round a place: x across, and its height at the i-th point. */
  ellipse: (x: number, high: (i: number) => number, wide: number, tall: number) => string;
}

export const tenth = (v: number): number => Math.round(v * 10) / 10;

/** Chance that falls alike at every look. */
export const chance = (n: number): number => Math.abs(Math.sin(n * 12.9898 + 4.1) * 43758.5453) % 1;

export type ScaleOf = Pick<Section, "across" | "thickness">;

/** With `scaleOf`, several sections share one scale. The waves are only the hand's: they change no thickness by more than a third. */
export function frameOf(section: Section, w: number, h: number, baked?: Baked | null, scaleOf?: ScaleOf): Frame {
  const stack = baked?.thickness ?? section.thickness;
  const scaled = scaleOf ?? { across: section.across, thickness: stack };
  // Nothing is drawn flatter than it is: what is too thick for its box is drawn less wide.
  const perMillimetre = Math.min((w - 4) / scaled.across, (h - 12) / scaled.thickness);
  const taller = section.ball ? 1 : (TALLER.findLast((t) => t * perMillimetre * scaled.thickness <= h - 12) ?? 1);
  const scale = taller * perMillimetre;
  const base = (h + stack * scale) / 2;
  const long = perMillimetre * section.across;
  const left = scaleOf ? MARGIN : (w - long) / 2;
  const rim = section.ball ? long / 2 : Math.min(Math.max(stack * scale * 0.45, 8), 30);
  const least = Math.min(...section.leaves) * scale;
  const fine = section.leaves.length + section.contacts.length > FINE;
  const wave = fine || section.ball ? 0 : Math.min(2.2, least * 0.3, stack * scale * 0.04);

  const filling = section.filling;
  const filled = new Set(filling?.at);
  const bounds: number[] = [];
  let height = section.bottomFilm / 1000;
  section.leaves.forEach((leaf, i) => {
    bounds.push(height);
    height += leaf;
    bounds.push(height);
    const open = section.rings ? 0 : (baked?.opens[i] ?? 0);
    height += ((section.contacts[i]?.film ?? 0) + open) / 1000 + (filled.has(i) ? filling!.thickness : 0);
  });

  const xs = Array.from({ length: POINTS }, (_, i) => {
    const j = Math.min(i, POINTS - 1 - i);
    const inner = rim + ((long - 2 * rim) * (i - AT_RIM)) / (POINTS - 1 - 2 * AT_RIM);
    const outer = rim * (1 - Math.cos((j / AT_RIM) * (Math.PI / 2)));
    return left + (j >= AT_RIM ? inner : i === j ? outer : long - outer);
  });
  const middle = stack / 2;
  // A ball is round to its very edge; what was rolled has an edge.
  const edge = section.ball ? 0 : 0.12;
  const squeeze = xs.map((x) => {
    const near = Math.min(x - left, long + left - x) / rim;
    return near >= 1 ? 1 : edge + (1 - edge) * Math.sqrt(Math.max(1 - (1 - near) ** 2, 0));
  });
  const y = (bound: number, k: number, i: number) => {
    const flat = base - (middle + (bound - middle) * (squeeze[i] ?? 1)) * scale;
    if (!wave) return flat;
    const x = xs[i] ?? 0;
    return flat + Math.sin(x / 61 + k * 1.9) * wave + Math.sin(x / 23 + k * 0.7) * wave * 0.5;
  };
  // What does not wave is straight between the rims; what is hair-thin needs few points there.
  const places = [...xs.keys()].filter((i) => !fine || (Math.min(i, POINTS - 1 - i) <= AT_RIM && Math.min(i, POINTS - 1 - i) % 4 === 0));
  const forwards = places.map((i) => [i, `${tenth(xs[i] ?? 0)} `] as const);
  const backwards = forwards.toReversed();
  const line = (bound: number, k: number, reverse = false) => {
    let path = "";
    for (const [i, x] of reverse ? backwards : forwards) path += (path && "L") + x + tenth(y(bound, k, i));
    return path;
  };
  return {
    ...{ xs, bounds, filled, left, long, rim, least, fine, perMillimetre, scale, taller, y, line, places },
    band: (low, kLow, high, kHigh) => `M${line(low, kLow)}L${line(high, kHigh, true)}Z`,
    ellipse: (x, high, wide, tall) => {
      const at = Math.max(
        xs.findIndex((v) => v >= x),
        0,
      );
      const [rx, ry] = [wide / 2, (tall / 2) * scale];
      return `M${tenth(x - rx)} ${tenth(high(at))}a${tenth(rx)} ${tenth(ry)} 0 1 0 ${tenth(2 * rx)} 0a${tenth(rx)} ${tenth(ry)} 0 1 0 ${tenth(-2 * rx)} 0`;
    },
  };
}
