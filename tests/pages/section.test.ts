import { expect, test } from "vitest";
import type { Section } from "../../src/ui/src/api/types";
import { draw } from "../../src/ui/src/section/geometry";
import { leafShades, shade } from "../../src/ui/src/section/look";

const contact = { film: 40, dust: 0, state: "open" as const };
const section: Section = {
  across: 160,
  thickness: 3,
  leaves: [1, 1, 1],
  contacts: [contact, contact],
  topFilm: 0,
  bottomFilm: 0,
  look: { dough: "#e8d4b0", flecks: [{ hue: "#22201f", size: 1.8, count: 6 }] },
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
    look: { dough: "#e8d4b0", flecks: [], filling: { hue: "#b6cc86", bits } },
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
