import type { ContactState, Section } from "../api/types";

/** Points along the width, closer towards the rims; their number is fixed, so that a section can melt into the next one. */
const POINTS = 84;
const AT_RIM = 14;

export interface DrawnContact {
  state: ContactState;
  fat: boolean;
  dust: boolean;
  path: string;
  width: number;
  stitches: string;
}

export interface Drawing {
  /** One closed path a leaf, from the bottom up. */
  leaves: string[];
  contacts: DrawnContact[];
  /** Where the windings of a rope touch, as one path. */
  windings: string;
  crust: string;
  /** How many times taller than wide it is drawn. */
  taller: number;
}

/** How many times taller than wide a section may be drawn: few enough that a thicker bread is seen to be thicker. */
const TALLER = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 70, 100];

/**
 * Draws a section to scale in height, on a box of w × h pixels. The waves are only the hand's: they bend all leaves alike and
 * change no thickness by more than a third. With `scaleOf`, several sections share one scale.
 */
export function draw(section: Section, w: number, h: number, scaleOf: Pick<Section, "across" | "thickness"> = section): Drawing {
  const stack = section.thickness;
  const perMillimetre = (w - 4) / scaleOf.across;
  const taller = TALLER.findLast((t) => t * perMillimetre * scaleOf.thickness <= h - 12) ?? (h - 12) / (perMillimetre * scaleOf.thickness);
  const scale = taller * perMillimetre;
  const base = (h + stack * scale) / 2;
  const long = perMillimetre * section.across;
  const rim = Math.min(Math.max(stack * scale * 0.45, 8), 30);
  const least = Math.min(...section.leaves) * scale;
  const wave = Math.min(2.2, least * 0.3, stack * scale * 0.04);

  // Height of every boundary above the bottom: leaf i lies between bounds[2i] and bounds[2i + 1], a film between leaves.
  const bounds: number[] = [];
  let height = section.bottomFilm / 1000;
  section.leaves.forEach((leaf, i) => {
    bounds.push(height);
    height += leaf;
    bounds.push(height);
    height += (section.contacts[i]?.film ?? 0) / 1000;
  });

  const xs = Array.from({ length: POINTS }, (_, i) => {
    const j = Math.min(i, POINTS - 1 - i);
    const inner = rim + ((long - 2 * rim) * (i - AT_RIM)) / (POINTS - 1 - 2 * AT_RIM);
    const outer = rim * (1 - Math.cos((j / AT_RIM) * (Math.PI / 2)));
    return 2 + (j >= AT_RIM ? inner : i === j ? outer : long - outer);
  });
  const middle = stack / 2;
  const squeeze = xs.map((x) => {
    const edge = Math.min(x - 2, long + 2 - x) / rim;
    return edge >= 1 ? 1 : 0.12 + 0.88 * Math.sqrt(Math.max(1 - (1 - edge) ** 2, 0));
  });
  const y = (bound: number, k: number, i: number) => {
    const x = xs[i] ?? 0;
    const bend = Math.sin(x / 61 + k * 1.9) * wave + Math.sin(x / 23 + k * 0.7) * wave * 0.5;
    return base - (middle + (bound - middle) * (squeeze[i] ?? 1)) * scale + bend;
  };
  const line = (bound: number, k: number, reverse = false) => {
    const points = xs.map((x, i) => `${x.toFixed(1)} ${y(bound, k, i).toFixed(1)}`);
    return (reverse ? points.reverse() : points).join("L");
  };
  // Both faces of a film bend together, so that no film is drawn thicker than it is.
  const leaves = section.leaves.map((_, i) => `M${line(bounds[2 * i] ?? 0, i)}L${line(bounds[2 * i + 1] ?? 0, i + 1, true)}Z`);
  const contacts = section.contacts.map((contact, i) => {
    const middleOfFilm = ((bounds[2 * i + 1] ?? 0) + (bounds[2 * i + 2] ?? 0)) / 2;
    return {
      state: contact.state,
      fat: contact.film > 0,
      dust: contact.dust > 0,
      path: `M${line(middleOfFilm, i + 1)}`,
      width: Math.max((contact.film / 1000) * scale, 1.1),
      stitches: contact.state === "fused" ? stitch(middleOfFilm, i + 1, least) : "",
    };
  });

  // A weld is drawn as a seam: short strokes across the contact.
  function stitch(bound: number, k: number, leaf: number): string {
    const reach = Math.min(6, Math.max(2, leaf * 0.45));
    return xs
      .map((x, i) => [x, i] as const)
      .filter(([, i]) => i > AT_RIM && i < POINTS - AT_RIM && i % 3 === 1)
      .map(([x, i]) => `M${x.toFixed(1)} ${(y(bound, k, i) - reach).toFixed(1)}v${(2 * reach).toFixed(1)}`)
      .join("");
  }

  const last = section.leaves.length;
  const crust = `M${line(bounds[0] ?? 0, 0)}L${line(bounds[2 * last - 1] ?? 0, last, true)}Z`;
  // What stands upright is mirrored about the middle: rings to the left and to the right.
  const top = (x: number) => {
    const i = Math.min(
      Math.max(
        xs.findIndex((v) => v >= x),
        0,
      ),
      xs.length - 1,
    );
    return [y(bounds[2 * last - 1] ?? 0, last, i), y(bounds[0] ?? 0, 0, i)] as const;
  };
  const upright = (radius: number) =>
    [long / 2 - radius, long / 2 + radius].map((x) => {
      const [high, low] = top(2 + x);
      return { x: 2 + x, high, low };
    });
  let radius = 0;
  const rings: DrawnContact[] = (section.rings?.contacts ?? []).map((contact, i) => {
    radius += (section.rings?.each[i] ?? 0) * perMillimetre;
    const lines = upright(radius);
    return {
      state: contact.state,
      fat: contact.film > 0,
      dust: contact.dust > 0,
      path: lines.map(({ x, high, low }) => `M${x.toFixed(1)} ${high.toFixed(1)}V${low.toFixed(1)}`).join(""),
      width: Math.max((contact.film / 1000) * perMillimetre, 1),
      stitches:
        contact.state === "fused"
          ? lines
              .flatMap(({ x, high, low }) => [0.3, 0.7].map((t) => `M${(x - 2.5).toFixed(1)} ${(high + (low - high) * t).toFixed(1)}h5`))
              .join("")
          : "",
    };
  });
  const each = section.windings ? section.across / 2 / section.windings : 0;
  const windings = Array.from({ length: section.windings ? Math.ceil(section.windings) - 1 : 0 }, (_, i) =>
    upright((i + 1) * each * perMillimetre)
      .map(({ x, high, low }) => `M${x.toFixed(1)} ${high.toFixed(1)}V${low.toFixed(1)}`)
      .join(""),
  ).join("");
  return { leaves, contacts: [...contacts, ...rings], windings, crust, taller };
}
