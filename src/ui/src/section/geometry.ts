import type { ContactState, Section } from "../api/types";
import { type Coloured, fillingPaths, fleckPaths, laidPaths, lumpPaths } from "./bits";
import { AT_RIM, type Baked, type Frame, frameOf, POINTS, type ScaleOf } from "./frame";
import { drawRoast, type DrawnRoast } from "./roast";

export { FINE } from "./frame";

export interface DrawnContact {
  state: ContactState;
  fat: boolean;
  dust: boolean;
  path: string;
  width: number;
  stitches: string;
}

export interface Drawing {
  /** One closed path a leaf, from the bottom up; every third leaf in one path where they are many. */
  leaves: string[];
  contacts: DrawnContact[];
  /** Each layer of filling as one path, and its bits by their hue. */
  fillings: string[];
  lumps: Coloured[];
  /** Bran, seeds and leaves in the dough, by their hue. */
  flecks: Coloured[];
  /** What steps have laid on faces and between leaves, by its hue. */
  laid: Coloured[];
  /** Where the windings of a rope touch, as one path. */
  windings: string;
  /** All round it. */
  crust: string;
  /** What the pan has made of it; nothing while it is raw. */
  roast: DrawnRoast | null;
  /** How many times taller than wide it is drawn. */
  taller: number;
}

/** Draws a section to scale in height, on a box of w × h pixels: raw, or as it is off the pan. */
export function draw(section: Section, w: number, h: number, baked?: Baked | null, scaleOf?: ScaleOf): Drawing {
  const frame = frameOf(section, w, h, baked, scaleOf);
  const { bounds, fine, band } = frame;
  const leaves = section.leaves.map((_, i) => band(bounds[2 * i] ?? 0, i, bounds[2 * i + 1] ?? 0, i + 1));
  const last = section.leaves.length;
  const contacts = [...contactPaths(section, frame), ...ringPaths(section, frame)];
  return {
    leaves: fine ? inThrees(leaves) : leaves,
    contacts: fine ? alike(contacts) : contacts,
    fillings: fillingPaths(section, frame),
    lumps: lumpPaths(section, frame),
    flecks: fleckPaths(section, frame),
    laid: laidPaths(section, frame),
    windings: windingPaths(section, frame),
    crust: band(bounds[0] ?? 0, 0, bounds[2 * last - 1] ?? 0, last),
    roast: baked ? drawRoast(section, frame, baked) : null,
    taller: frame.taller,
  };
}

// A film is drawn as thick as it is, and seen where it is thinner than a line; never so that lines hide the leaves between them.
const filmOf = (film: number, { scale, least }: Frame) => Math.max((film / 1000) * scale, Math.min(1.1, least * 0.4));

// Both faces of a film bend together, so that no film is drawn thicker than it is.
const contactPaths = (section: Section, frame: Frame): DrawnContact[] =>
  section.contacts.flatMap((contact, i) => {
    if (frame.filled.has(i)) return [];
    const middle = ((frame.bounds[2 * i + 1] ?? 0) + (frame.bounds[2 * i + 2] ?? 0)) / 2;
    return {
      ...drawn(contact),
      path: `M${frame.line(middle, i + 1)}`,
      width: filmOf(contact.film, frame),
      stitches: contact.state === "fused" ? stitch(frame, middle, i + 1) : "",
    };
  });

const drawn = ({ state, film, dust }: Section["contacts"][number]) => ({ state, fat: film > 0, dust: dust > 0 });

/** A weld is drawn as a seam: short strokes across the contact. */
function stitch({ xs, y, least, fine }: Frame, bound: number, k: number): string {
  const reach = Math.min(6, Math.max(2, least * 0.45));
  return xs
    .map((x, i) => [x, i] as const)
    .filter(([, i]) => i > AT_RIM && i < POINTS - AT_RIM && i % (fine ? 9 : 3) === 1)
    .map(([x, i]) => `M${x.toFixed(1)} ${(y(bound, k, i) - reach).toFixed(1)}v${(2 * reach).toFixed(1)}`)
    .join("");
}

// What stands upright is mirrored about the middle: to the left and to the right, from face to face.
const upright = (section: Section, { bounds, xs, left, long, y }: Frame, radius: number) =>
  [long / 2 - radius, long / 2 + radius].map((out) => {
    const x = left + out;
    const beyond = xs.findIndex((v) => v >= x);
    const i = beyond < 0 ? 0 : beyond;
    const last = section.leaves.length;
    return { x, high: y(bounds[2 * last - 1] ?? 0, last, i), low: y(bounds[0] ?? 0, 0, i) };
  });

function ringPaths(section: Section, frame: Frame): DrawnContact[] {
  let radius = 0;
  return (section.rings?.contacts ?? []).map((contact, i) => {
    radius += (section.rings?.each[i] ?? 0) * frame.perMillimetre;
    const lines = upright(section, frame, radius);
    return {
      ...drawn(contact),
      path: lines.map(({ x, high, low }) => `M${x.toFixed(1)} ${high.toFixed(1)}V${low.toFixed(1)}`).join(""),
      width: Math.max((contact.film / 1000) * frame.perMillimetre, 1),
      stitches:
        contact.state === "fused"
          ? lines
              .flatMap(({ x, high, low }) => [0.3, 0.7].map((t) => `M${(x - 2.5).toFixed(1)} ${(high + (low - high) * t).toFixed(1)}h5`))
              .join("")
          : "",
    };
  });
}

function windingPaths(section: Section, frame: Frame): string {
  const each = section.windings ? section.across / 2 / section.windings : 0;
  return Array.from({ length: section.windings ? Math.ceil(section.windings) - 1 : 0 }, (_, i) =>
    upright(section, frame, (i + 1) * each * frame.perMillimetre)
      .map(({ x, high, low }) => `M${x.toFixed(1)} ${high.toFixed(1)}V${low.toFixed(1)}`)
      .join(""),
  ).join("");
}

const inThrees = (leaves: string[]) => [0, 1, 2].map((tint) => leaves.filter((_, i) => i % 3 === tint).join(""));

function alike(contacts: DrawnContact[]): DrawnContact[] {
  const kinds = new Map<string, DrawnContact>();
  for (const c of contacts) {
    const kind = `${c.state} ${c.fat} ${c.dust} ${c.width.toFixed(1)}`;
    const had = kinds.get(kind);
    kinds.set(kind, had ? { ...had, path: had.path + c.path, stitches: had.stitches + c.stitches } : c);
  }
  return [...kinds.values()];
}
