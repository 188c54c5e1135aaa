import { describe, expect, test } from "vitest";
import { merge, same } from "../../src/ui/src/versions/merge";

const spec = (change: object = {}) => ({
  name: "Squares",
  start: { by: "pieces", pieces: 24, flour: null },
  dough: {
    hydration: 62,
    flours: [
      { id: "white", parts: 80 },
      { id: "whole", parts: 20 },
    ],
  },
  fold: { steps: [{ kind: "letter" }, { kind: "brush", mass: 6 }] as object[] },
  ...change,
});
type Spec = ReturnType<typeof spec>;
const changed = (change: (s: Spec) => void) => {
  const s = structuredClone(spec());
  change(s);
  return s;
};
const both = (mine: Spec, theirs: Spec, base: Spec | null = spec()) => merge(base, mine, theirs, ["start"]);

describe("two changes of one thing", () => {
  test("in different places are both made, whoever is preferred", () => {
    const mine = changed((s) => (s.dough.hydration = 66));
    const theirs = changed((s) => (s.name = "Late squares"));
    const { clashes, with: made } = both(mine, theirs);
    expect(clashes).toEqual([]);
    for (const prefer of ["mine", "theirs"] as const) expect(made(prefer)).toEqual(spec({ name: "Late squares", dough: mine.dough }));
  });

  test("in the same place are a clash, with what each of them says", () => {
    const { clashes, with: made } = both(
      changed((s) => (s.dough.hydration = 66)),
      changed((s) => ((s.dough.hydration = 58), (s.name = "Late"))),
    );
    expect(clashes).toEqual([{ field: "dough.hydration", mine: 66, theirs: 58 }]);
    expect([made("mine").dough.hydration, made("theirs").dough.hydration]).toEqual([66, 58]);
    expect(made("mine").name).toBe("Late");
  });

  test("that are alike are no clash", () => {
    const mine = changed((s) => (s.dough.hydration = 66));
    expect(both(mine, structuredClone(mine)).clashes).toEqual([]);
  });

  test("of what is one decision clash, though its parts differ", () => {
    const { clashes } = both(
      changed((s) => (s.start.pieces = 30)),
      changed((s) => Object.assign(s.start, { by: "flour", flour: 900 })),
    );
    expect(clashes.map((c) => c.field)).toEqual(["start.by", "start.pieces", "start.flour"]);
  });

  test("of two entries of a list of the same things are both made", () => {
    const { clashes, with: made } = both(
      changed((s) => (s.dough.flours[0]!.parts = 70)),
      changed((s) => (s.dough.flours[1]!.parts = 30)),
    );
    expect(clashes).toEqual([]);
    expect(made("mine").dough.flours.map((f) => f.parts)).toEqual([70, 30]);
  });

  test("of a list that became longer on one and other on the other clash, step by step", () => {
    const { clashes, with: made } = both(
      changed((s) => s.fold.steps.push({ kind: "letter" })),
      changed((s) => (s.fold.steps[1] = { kind: "brush", mass: 9 })),
    );
    expect(clashes).toEqual([
      { field: "fold.steps[1].mass", mine: 6, theirs: 9 },
      { field: "fold.steps[2]", mine: { kind: "letter" }, theirs: undefined },
    ]);
    expect(made("theirs").fold.steps).toHaveLength(2);
  });

  test("of which nobody knows what they were made from clash wherever they differ", () => {
    const { clashes } = both(
      changed((s) => (s.dough.hydration = 66)),
      changed((s) => (s.name = "Late")),
      null,
    );
    expect(clashes.map((c) => c.field)).toEqual(["name", "dough.hydration"]);
  });

  test("what is left out and what is nothing are alike", () => {
    expect(same({ a: 1, b: null }, { a: 1 })).toBe(true);
    expect(same({ a: undefined }, {})).toBe(true);
    expect(same([1, null], [1])).toBe(false);
    expect(same({ a: 0 }, {})).toBe(false);
  });

  test("leave what they were made from as it was", () => {
    const [base, mine, theirs] = [spec(), changed((s) => (s.dough.hydration = 66)), changed((s) => (s.name = "Late"))];
    const before = structuredClone([base, mine, theirs]);
    merge(base, mine, theirs).with("theirs");
    expect([base, mine, theirs]).toEqual(before);
  });
});
