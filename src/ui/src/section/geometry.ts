import type { ContactState, Section } from "../api/types";

/** Points along the width, closer towards the rims; their number is fixed, so that a section can melt into the next one. */
const POINTS = 84;
const AT_RIM = 14;

/** More lines than this are hair-thin: they are drawn straight and with one brush for all that look alike. */
export const FINE = 120;

export interface DrawnContact {
  state: ContactState;
  fat: boolean;
  dust: boolean;
  path: string;
  width: number;
  stitches: string;
}

export interface Coloured {
  hue: string;
  path: string;
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
  /** Where the windings of a rope touch, as one path. */
  windings: string;
  crust: string;
  /** How many times taller than wide it is drawn. */
  taller: number;
}

/** A ball cut anywhere shows two thirds of its widest face; bits lie with room between them. More than so many are not told apart. */
const FACE = (2 / 3) * (Math.PI / 4);
const PACKED = 0.7;
const MOST_BITS = 220;
const MOST_FLECKS = 320;
const SQUARE_CM = 100;

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
  const fine = section.leaves.length + section.contacts.length > FINE;
  const wave = fine ? 0 : Math.min(2.2, least * 0.3, stack * scale * 0.04);

  const filling = section.filling;
  const filled = new Set(filling?.at);
  // Height of every boundary above the bottom: leaf i lies between bounds[2i] and bounds[2i + 1], a film between leaves.
  const bounds: number[] = [];
  let height = section.bottomFilm / 1000;
  section.leaves.forEach((leaf, i) => {
    bounds.push(height);
    height += leaf;
    bounds.push(height);
    height += (section.contacts[i]?.film ?? 0) / 1000 + (filled.has(i) ? filling!.thickness : 0);
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
  // Both faces of a film bend together, so that no film is drawn thicker than it is.
  const leaves = section.leaves.map((_, i) => `M${line(bounds[2 * i] ?? 0, i)}L${line(bounds[2 * i + 1] ?? 0, i + 1, true)}Z`);
  const contacts = section.contacts.flatMap((contact, i) => {
    if (filled.has(i)) return [];
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

  // Filling lies between its walls and ends before the edge, where dough meets dough.
  const seam = filling ? Math.max(filling.rim * perMillimetre, rim * 0.6) : 0;
  const within = forwards.filter(([i]) => (xs[i] ?? 0) >= 2 + seam && (xs[i] ?? 0) <= long + 2 - seam);
  const fillings = [...filled].map((i) => {
    const [low, high] = [bounds[2 * i + 1] ?? 0, bounds[2 * i + 2] ?? 0];
    const along = (bound: number, k: number, places: typeof within) => places.map(([at, x]) => x + tenth(y(bound, k, at))).join("L");
    // Rounded where it ends.
    const [first, last] = [within[0]?.[0] ?? 0, within.at(-1)?.[0] ?? 0];
    const half = ((y(low, i + 1, first) - y(high, i + 1, first)) / 2) * 0.9;
    const cap = (at: number, out: number) => `${tenth((xs[at] ?? 0) + out)} ${tenth((y(low, i + 1, at) + y(high, i + 1, at)) / 2)}`;
    const end = (at: number) => `${tenth(xs[at] ?? 0)} ${tenth(y(high, i + 1, at))}`;
    const start = (at: number) => `${tenth(xs[at] ?? 0)} ${tenth(y(low, i + 1, at))}`;
    const out = Math.min(half * 2, seam * 0.8);
    return `M${along(low, i + 1, within)}Q${cap(last, out)} ${end(last)}L${along(high, i + 1, within.toReversed())}Q${cap(first, -out)} ${start(first)}Z`;
  });
  const ellipse = (x: number, bound: number, k: number, wide: number, tall: number) => {
    const at = Math.max(
      xs.findIndex((v) => v >= x),
      0,
    );
    const [rx, ry] = [wide / 2, (tall / 2) * scale];
    return `M${tenth(x - rx)} ${tenth(y(bound, k, at))}a${tenth(rx)} ${tenth(ry)} 0 1 0 ${tenth(2 * rx)} 0a${tenth(rx)} ${tenth(ry)} 0 1 0 ${tenth(-2 * rx)} 0`;
  };
  // Bits lie where chance puts them, the same at every look: as many of each as its share of the filling takes of the cut.
  const lumps = (section.look?.filling?.bits ?? []).map((bits, kind) => ({
    hue: bits.hue,
    path: [...filled]
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
          const x = 2 + seam + wide + ((n + chance(lot)) / count) * room;
          return ellipse(x, low + tall / 2 + chance(lot * 13 + 5) * (high - low - tall), i + 1, wide * size, tall * size);
        });
      })
      .join(""),
  }));
  // Flecks lie in the leaves, each leaf with as many as its share of the dough.
  const dough = section.leaves.reduce((sum, leaf) => sum + leaf, 0);
  const flecks = (section.look?.flecks ?? []).map((fleck, kind) => {
    const most = fine ? MOST_FLECKS / 4 : MOST_FLECKS;
    const count = Math.min(Math.round((fleck.count * section.across * dough) / SQUARE_CM), most);
    return {
      hue: fleck.hue,
      path: Array.from({ length: count }, (_, n) => {
        const lot = n * 3.7 + kind * 57 + 1;
        let left = chance(lot) * dough;
        const leaf = Math.max(
          section.leaves.findIndex((thick) => (left -= thick) <= 0),
          0,
        );
        const thick = section.leaves[leaf] ?? 0;
        const tall = Math.min(fleck.size * (0.5 + 0.5 * chance(lot * 5)), thick * 0.8);
        const wide = Math.max(fleck.size * (0.6 + 0.4 * chance(lot * 11)) * perMillimetre, 1.2);
        const bound = (bounds[2 * leaf] ?? 0) + tall / 2 + chance(lot * 17) * (thick - tall);
        return ellipse(2 + rim + chance(lot * 23) * (long - 2 * rim), bound, leaf, wide, tall);
      }).join(""),
    };
  });

  // A weld is drawn as a seam: short strokes across the contact.
  function stitch(bound: number, k: number, leaf: number): string {
    const reach = Math.min(6, Math.max(2, leaf * 0.45));
    return xs
      .map((x, i) => [x, i] as const)
      .filter(([, i]) => i > AT_RIM && i < POINTS - AT_RIM && i % (fine ? 9 : 3) === 1)
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
  const all = [...contacts, ...rings];
  return { leaves: fine ? inThrees(leaves) : leaves, contacts: fine ? alike(all) : all, fillings, lumps, flecks, windings, crust, taller };
}

/** Chance that falls alike at every look. */
const chance = (n: number) => Math.abs(Math.sin(n * 12.9898 + 4.1) * 43758.5453) % 1;

const tenth = (v: number) => Math.round(v * 10) / 10;

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
