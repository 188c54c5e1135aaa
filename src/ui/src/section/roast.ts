import type { Section } from "../api/types";
import { type Baked, chance, type Frame, tenth } from "./frame";

/** One face off the pan: as far as it is dry, its outer half, and where it lay hardest. */
export interface DrawnFace {
  dark: number;
  crust: string;
  outer: string;
  blisters: string;
}

export interface DrawnRoast {
  faces: DrawnFace[];
  /** Where leaves stand open, as one path. */
  gaps: string;
  /** Filling that has come out, as one path. */
  burst: string;
}

/** A face with no crust to speak of still shows its colour: so thin it is drawn, pixels. */
const LEAST_CRUST = 2.5;
/** Blisters along a face, mm from one to the next, and how much of a face that is dark has them. */
const BLISTER_EVERY = 9;
const DARK_FROM = 0.3;
const DARKEST = 2.2;
/** How far in a burst is drawn, as a share of the width, and how wide it gapes, pixels. */
const BURST_AT = 0.7;
const BURST_WIDE = 11;

export function drawRoast(section: Section, frame: Frame, baked: Baked): DrawnRoast {
  const { bounds, scale, left, long, rim, perMillimetre, y, band, ellipse } = frame;
  const last = section.leaves.length;
  const top = bounds[2 * last - 1] ?? 0;
  const thick = top - (bounds[0] ?? 0);
  const faces = [baked.first, baked.second].map(({ dark, crust }, face) => {
    const depth = Math.min(Math.max(crust, LEAST_CRUST / scale), thick / 2);
    const [from, k] = face === 0 ? [bounds[0] ?? 0, 0] : [top, last];
    const within = (deep: number) => (face === 0 ? band(from, k, from + deep, k) : band(from - deep, k, from, k));
    const share = Math.min(Math.max((dark - DARK_FROM) / (DARKEST - DARK_FROM), 0), 1);
    const count = Math.round(((long - 2 * rim) / perMillimetre / BLISTER_EVERY) * (0.25 + 0.75 * share));
    const blisters = Array.from({ length: share > 0 ? count : 0 }, (_, n) => {
      const lot = n * 5.3 + face * 71 + 2;
      const wide = (2.5 + 6 * chance(lot)) * (0.5 + 0.5 * share) * perMillimetre;
      const tall = Math.min(depth * (0.5 + 0.5 * chance(lot * 3)), (1.4 * wide) / scale);
      const x = left + rim + ((n + chance(lot * 7)) / count) * (long - 2 * rim);
      return ellipse(x, (i) => y(face === 0 ? from + tall * 0.4 : from - tall * 0.4, k, i), wide, tall);
    }).join("");
    return { dark, crust: within(depth), outer: within(depth * 0.5), blisters };
  });
  return { faces, gaps: gapPaths(section, frame, baked), burst: baked.bursts ? burstPath(frame, top, last) : "" };
}

function gapPaths(section: Section, { bounds, filled, band, long, left, perMillimetre, y, xs }: Frame, baked: Baked): string {
  if (!section.rings)
    return baked.opens
      .map((open, i) => (open > 0 && !filled.has(i) ? band(bounds[2 * i + 1] ?? 0, i + 1, bounds[2 * i + 2] ?? 0, i + 1) : ""))
      .join("");
  // Rings stand open to either side, from the face down.
  const [low, high] = [bounds[0] ?? 0, bounds[2 * section.leaves.length - 1] ?? 0];
  let radius = 0;
  return baked.opens
    .map((open, i) => {
      radius += (section.rings?.each[i] ?? 0) * perMillimetre;
      const wide = Math.max((open / 1000) * perMillimetre, open > 0 ? 0.8 : 0);
      if (!wide) return "";
      return [long / 2 - radius, long / 2 + radius]
        .map((out) => {
          const x = left + out;
          const at = Math.max(
            xs.findIndex((v) => v >= x),
            0,
          );
          return `M${tenth(x - wide / 2)} ${tenth(y(high, section.leaves.length, at))}h${tenth(wide)}V${tenth(y(low, 0, at))}h${tenth(-wide)}Z`;
        })
        .join("");
    })
    .join("");
}

// It breaks out of the upper wall: from the filling through it, and a bead of it outside.
function burstPath({ bounds, filled, xs, left, long, y }: Frame, top: number, last: number): string {
  const layer = [...filled].at(-1);
  if (layer === undefined) return "";
  const x = left + long * BURST_AT;
  const at = xs.findIndex((v) => v >= x);
  const [inside, outside] = [y(bounds[2 * layer + 2] ?? 0, layer + 1, at) + 2, y(top, last, at)];
  const w = BURST_WIDE;
  return (
    `M${tenth(x - w)} ${tenth(inside)}L${tenth(x - w * 0.4)} ${tenth(outside)}` +
    `C${tenth(x - w * 1.4)} ${tenth(outside - 7)} ${tenth(x + w * 1.2)} ${tenth(outside - 8)} ${tenth(x + w * 0.5)} ${tenth(outside)}` +
    `L${tenth(x + w)} ${tenth(inside)}Z`
  );
}
