import { expect, test } from "vitest";
import type { Section } from "../../src/ui/src/api/types";
import { draw } from "../../src/ui/src/section/geometry";
import type { Baked } from "../../src/ui/src/section/frame";
import { leafShades, shade } from "../../src/ui/src/section/look";
import { paint } from "../../src/ui/src/section/paint";
import { browned } from "../../src/ui/src/section/tint";

const contact = { film: 40, dust: 0, bits: 0, state: "open" as const };
const section: Section = {
  across: 160,
  thickness: 3,
  leaves: [1, 1, 1],
  contacts: [contact, contact],
  topFilm: 0,
  bottomFilm: 0,
  look: { dough: "#e8d4b0", flecks: [{ hue: "#22201f", size: 1.8, count: 6 }], laid: [], filling: null },
  rings: null,
  windings: 0,
};
const ellipses = (path: string) => path.split("M").length - 1;
const points = (path: string) =>
  [...path.matchAll(/M([\d.-]+) ([\d.-]+)a([\d.]+)/g)].map(([, x, y, r]) => [Number(x) + Number(r), Number(y)]);

test("as many flecks are drawn as lie in the cut", () => {
  const [flecks] = draw(section, 900, 150).flecks;
  // 160 mm by 3 mm are 4.8 cm².
  expect(flecks!.hue).toBe("#22201f");
  expect(ellipses(flecks!.path)).toBe(Math.round(6 * 4.8));
});

test("flecks lie inside the bread and at every look where they lay", () => {
  const [once, again] = [draw(section, 900, 150), draw(section, 900, 150)];
  expect(again.flecks).toEqual(once.flecks);
  for (const [x, y] of points(once.flecks[0]!.path)) {
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(900);
    expect(y).toBeGreaterThan(20);
    expect(y).toBeLessThan(130);
  }
});

test("bits of a filling are as many as their shares, each in its own hue", () => {
  const bits = [
    { hue: "#f1e9d2", size: 2, share: 60 },
    { hue: "#8aa84a", size: 2, share: 20 },
  ];
  const filled: Section = {
    ...section,
    leaves: [1, 1],
    contacts: [contact],
    thickness: 6,
    filling: { at: [0], thickness: 4, grain: 2, rim: 6, feel: "holds" },
    look: { dough: "#e8d4b0", flecks: [], laid: [], filling: { hue: "#b6cc86", bits } },
  };
  const lumps = draw(filled, 900, 150).lumps;
  expect(lumps.map((l) => l.hue)).toEqual(["#f1e9d2", "#8aa84a"]);
  expect(ellipses(lumps[0]!.path) / ellipses(lumps[1]!.path)).toBeCloseTo(3, 0);
});

test("a drawing without colours of its own has no flecks and no bits", () => {
  const { flecks, lumps } = draw({ ...section, look: null }, 900, 150);
  expect([flecks, lumps]).toEqual([[], []]);
});

test("shades of a hue are plain colours, lighter and darker", () => {
  expect(shade("#808080", 1)).toBe("#ffffff");
  expect(shade("#808080", -1)).toBe("#000000");
  expect(new Set(leafShades("#e8d4b0")).size).toBe(3);
});

const face = (dark: number, crust: number) => ({ dark, crust });
const baked = (more: Partial<Baked> = {}): Baked => ({
  first: face(1.8, 0.4),
  second: face(1, 0.3),
  opens: [600, 0],
  bursts: false,
  thickness: 3,
  ...more,
});
const heights = (path: string) => [...path.matchAll(/[ML]?[\d.-]+ ([\d.-]+)/g)].map(([, y]) => Number(y));
const light = (hex: string) => [1, 3, 5].reduce((sum, i) => sum + parseInt(hex.slice(i, i + 2), 16), 0);

test("off the pan an open contact stands open by as much as it lifted, and a welded one not at all", () => {
  const welded = { ...section, contacts: [contact, { ...contact, state: "fused" as const }] };
  const [raw, off] = [draw(welded, 900, 150), draw(welded, 900, 150, baked())];
  expect(raw.roast).toBeNull();
  expect(off.roast!.gaps.split("M")).toHaveLength(2);
  const middle = heights(off.roast!.gaps);
  // 3.6 mm stand as high as the box allows; 0.6 of them is the gap, at the widest.
  const scale = (off.taller * (900 - 4)) / 160;
  expect(Math.max(...middle) - Math.min(...middle)).toBeGreaterThan(0.6 * scale);
  expect(draw(welded, 900, 150, baked({ opens: [0, 0], thickness: 3 })).roast!.gaps).toBe("");
});

test("the crust is as deep as it has dried, and never more than half the bread", () => {
  const deep = (crust: number) => {
    const [first] = draw({ ...section, leaves: [3], contacts: [] }, 900, 150, baked({ first: face(1, crust), opens: [], thickness: 3 }))
      .roast!.faces;
    const ys = heights(first!.crust);
    return Math.max(...ys) - Math.min(...ys);
  };
  expect(deep(0.4)).toBeLessThan(deep(0.9));
  expect(deep(9)).toBe(deep(1.5));
});

test("a face takes its colour from the dough and how dark it is; a pale one has no blisters", () => {
  const hues = [0, 0.3, 1, 1.8, 3].map((dark) => light(browned("#e8d4b0", dark)));
  expect(hues).toEqual(hues.toSorted((a, b) => b - a));
  expect(new Set(hues).size).toBe(5);
  expect(browned("#c0667f", 1)).not.toBe(browned("#e8d4b0", 1));
  const kinds = (off: Baked) => paint(section, draw(section, 900, 150, off), off).map((s) => s.is);
  expect(kinds(baked())).toContain("blister");
  expect(kinds(baked({ first: face(0.2, 0.2), second: face(0.2, 0.2) }))).not.toContain("blister");
});

test("a filling that bursts is drawn outside the bread", () => {
  const filled: Section = {
    ...section,
    leaves: [1, 1],
    contacts: [contact],
    thickness: 6,
    filling: { at: [0], thickness: 4, grain: 2, rim: 6, feel: "weeps" },
  };
  const [whole, burst] = [false, true].map((bursts) => draw(filled, 900, 150, baked({ opens: [0], thickness: 6, bursts })));
  expect(whole!.roast!.burst).toBe("");
  expect(Math.min(...heights(burst!.roast!.burst))).toBeLessThan(Math.min(...heights(burst!.crust)) + 1);
});

test("rings that part stand open to either side", () => {
  const coil: Section = { ...section, leaves: [3], contacts: [], rings: { each: [20, 20, 20, 20], contacts: [contact, contact, contact] } };
  const off = baked({ opens: [400, 0, 400], thickness: 3 });
  expect(draw(coil, 900, 150, off).roast!.gaps.split("M")).toHaveLength(5);
});

test("a ball is drawn as round as it is", () => {
  const ball: Section = { ...section, ball: true, across: 50, thickness: 50, leaves: [50], contacts: [] };
  const drawing = draw(ball, 900, 150);
  const ys = heights(drawing.crust);
  expect(drawing.taller).toBe(1);
  expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(138, 0);
  expect(drawing.flecks[0]!.path.split("M").length - 1).toBe(Math.round((6 * (Math.PI / 4) * 50 * 50) / 100));
});

test("every stroke of a drawing has a key of its own, and the same stroke of the next one has the same", () => {
  const keys = (off: Baked | null) => paint(section, draw(section, 900, 150, off), off).map((s) => s.key);
  expect(new Set(keys(baked())).size).toBe(keys(baked()).length);
  expect(keys(null).filter((key) => keys(baked()).includes(key))).toContain("leaf2");
});

test("seeds that were laid on lie on their face, as many as a cut meets", () => {
  const laid = [{ hue: "#22201f", size: 1.8, count: 0.06 }];
  const seeded: Section = { ...section, topBits: 10, look: { dough: "#e8d4b0", flecks: [], laid, filling: null } };
  const drawing = draw(seeded, 900, 150);
  const [seeds] = drawing.laid;
  // 0.6 on a centimetre of the 16 that it is across, but for its rounded rims.
  expect(ellipses(seeds!.path)).toBeGreaterThan(7);
  expect(ellipses(seeds!.path)).toBeLessThanOrEqual(10);
  const top = Math.min(...heights(drawing.crust));
  for (const [, y] of points(seeds!.path)) expect(y).toBeLessThan(top + 25);
  expect(draw({ ...seeded, topBits: 0, contacts: [{ ...contact, bits: 10 }, contact] }, 900, 150).laid[0]!.path).not.toBe("");
});
