import type { Section } from "../api/types";
import type { Baked } from "./frame";
import type { Drawing } from "./geometry";
import { leafShades, shade } from "./look";
import { browned } from "./tint";

/** One stroke of the brush. Colours are plain or of the theme (`var(--color-…)`), so that a file of its own can put them in. */
export interface Stroke {
  /** What it shows, and of what kind. */
  key: string;
  is: "leaf" | "fleck" | "contact" | "filling" | "bits" | "windings" | "crust" | "gap" | "face" | "blister" | "burst" | "stitch" | "dust";
  kind?: string;
  d: string;
  fill?: string;
  stroke?: string;
  width?: number;
  dash?: string;
}

const ghee = "var(--color-ghee)";
const outline = "var(--color-crust)";
const chilli = "var(--color-chilli)";
const plain = [1, 2, 3].map((n) => `var(--color-leaves-${n})`);

/** Crumb that has been hot through is a touch deeper than raw dough; the deep of a gap is lit by nothing but it. */
const CRUMB = 0.14;
const GAP_LIGHT = 0.62;
const BLISTER_DARKER = 0.8;
const UNDER_CRUST = 0.45;

/** A drawing stroke by stroke, from what lies behind to what lies before it. */
export function paint(section: Section, drawing: Drawing, baked: Baked | null | undefined, small = false): Stroke[] {
  const count: Record<string, number> = {};
  // The same stroke of the next drawing has the same key, so that one melts into the other.
  return strokes(section, drawing, baked, small).map((s) => ({ ...s, key: s.is + (count[s.is] = (count[s.is] ?? 0) + 1) }));
}

type Bare = Omit<Stroke, "key">;

function strokes(section: Section, drawing: Drawing, baked: Baked | null | undefined, small: boolean): Bare[] {
  const { look } = section;
  const baking = baked && look;
  const dough = look ? (baking ? browned(look.dough, CRUMB) : look.dough) : null;
  const tints = dough ? leafShades(dough) : plain;
  const { roast } = drawing;
  const dark = baked ? Math.max(baked.first.dark, baked.second.dark) : 0;
  return [
    ...(section.filling ? [{ is: "crust" as const, d: drawing.crust, fill: tints[0]! }] : []),
    ...drawing.leaves.map((d, i) => ({ is: "leaf" as const, d, fill: tints[i % 3]! })),
    ...drawing.flecks.map(({ hue, path }) => ({ is: "fleck" as const, d: path, fill: hue })),
    ...(roast && dough ? facesOf(roast.faces, look!.dough) : []),
    ...(roast && dough
      ? [{ is: "gap" as const, d: roast.gaps, fill: shade(dough, GAP_LIGHT), stroke: shade(dough, -0.12), width: 0.7 }]
      : []),
    ...drawing.contacts.flatMap((contact) => contactOf(contact, small, roast !== null)),
    ...drawing.fillings.map((d) => ({ is: "filling" as const, d, fill: look?.filling?.hue ?? "var(--color-filling)" })),
    ...drawing.lumps.map(({ hue, path }) => ({ is: "bits" as const, d: path, fill: hue, stroke: "var(--color-shade)", width: 0.5 })),
    ...drawing.laid.map(({ hue, path }) => ({ is: "fleck" as const, kind: "laid", d: path, fill: hue })),
    ...(drawing.windings ? [{ is: "windings" as const, d: drawing.windings, stroke: outline, width: 1.2, dash: "6 5" }] : []),
    { is: "crust", d: drawing.crust, stroke: baking ? browned(look.dough, Math.max(dark, 1) + 0.5) : outline, width: small ? 1.6 : 2.4 },
    ...(roast?.burst
      ? [{ is: "burst" as const, d: roast.burst, fill: look?.filling?.hue ?? "var(--color-filling)", stroke: chilli, width: 1.6 }]
      : []),
  ];
}

const facesOf = (faces: NonNullable<Drawing["roast"]>["faces"], dough: string): Bare[] =>
  faces.flatMap(({ dark, crust, outer, blisters }) => [
    { is: "face" as const, kind: dark.toFixed(1), d: crust, fill: browned(dough, dark * UNDER_CRUST) },
    { is: "face" as const, kind: dark.toFixed(1), d: outer, fill: browned(dough, dark) },
    ...(blisters ? [{ is: "blister" as const, d: blisters, fill: browned(dough, dark + BLISTER_DARKER) }] : []),
  ]);

function contactOf({ state, fat, dust, path, width, stitches }: Drawing["contacts"][number], small: boolean, off: boolean): Bare[] {
  if (state === "fused")
    return [
      { is: "contact", kind: "fused", d: path, stroke: "var(--color-weld)", width: 0.8, dash: "2 4" },
      { is: "stitch", d: stitches, stroke: chilli, width: small ? 1 : 1.6 },
    ];
  // Off the pan the gap says it; what was only greased in patches shows where it holds.
  if (off) return state === "patchy" ? [{ is: "contact", kind: state, d: path, stroke: "var(--color-weld)", width: 1, dash: "7 9" }] : [];
  return [
    {
      is: "contact",
      kind: state,
      d: path,
      stroke: fat ? ghee : "white",
      width: fat ? width : 1.6,
      ...(state === "patchy" ? { dash: "9 7" } : fat ? {} : { dash: "1 3" }),
    },
    ...(fat && dust && width >= 2 ? [{ is: "dust" as const, d: path, stroke: "white", width: 1.2, dash: "1 5" }] : []),
  ];
}
