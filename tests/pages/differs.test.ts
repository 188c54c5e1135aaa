import { expect, inject, test } from "vitest";
import { larder } from "../../src/ui/src/api/larder.svelte";
import type { BatchSpec } from "../../src/ui/src/api/types";
import { fieldWords, rowsOf, valueWords } from "../../src/ui/src/words/differs";

interface Named {
  spec: BatchSpec;
}
/** Every place of a spec and what stands there. */
function* leaves(field: string, value: unknown): Generator<[string, unknown]> {
  if (Array.isArray(value)) for (const [i, v] of value.entries()) yield* leaves(`${field}[${i}]`, v);
  else if (value && typeof value === "object") for (const [k, v] of Object.entries(value)) yield* leaves(`${field}.${k}`, v);
  else yield [field, value];
}

test("whatever differs in a bread of the shelf is said by its bench and in words, and its figure with its unit", async () => {
  const breads = (await (await fetch(`${inject("kitchen")}/api/breads`)).json()) as Named[];
  const unsaid = new Set<string>();
  for (const { spec } of breads)
    for (const [field, value] of leaves("spec", spec)) {
      if (!/, ./.test(fieldWords(field))) unsaid.add(field.replaceAll(/\[\d+\]/g, "[]"));
      // A word of the program's own, such as waterBy, is none of a cook's.
      if (typeof value === "string" && !/^\d{4}-/.test(value) && value === valueWords(field, value) && /[a-z][A-Z]/.test(value))
        unsaid.add(`${field.replaceAll(/\[\d+\]/g, "[]")} = ${value}`);
    }
  expect([...unsaid].toSorted()).toEqual([]);
});

test("figures are said in this kitchen's units", () => {
  expect(valueWords("spec.balls.mass", 80)).toBe("80 g");
  expect(valueWords("spec.roll.diameter", 180)).toBe("18 cm");
  expect(valueWords("outcome.timed.pan", 214)).toBe("214 °C");
  expect(valueWords("spec.dough.flours[0].id", "flour-white")).toBe(larder.byId.get("flour-white")!.name);
  expect(valueWords("spec.pan.on.kind", "castIron")).not.toBe("castIron");
  expect(valueWords("note", null)).toBe("nothing");
  expect(valueWords("spec.fold.steps[1]", { kind: "half" })).toBe("Half");
  expect(valueWords("spec.dough.additions[0]", { id: "flour-white", amount: 3 })).toBe(larder.byId.get("flour-white")!.name);
  expect(valueWords("tags", ["jug", "early"])).toBe("jug, early");
  expect(valueWords("outcome.counts", false)).toBe("no");
});

test("what differs within one step is one line", () => {
  const clashes = [
    { field: "spec.fold.steps[1].kind", mine: "brush", theirs: "half" },
    { field: "spec.fold.steps[1].fat", mine: "ghee", theirs: undefined },
    { field: "spec.fold.steps[1].mass", mine: 2, theirs: null },
    { field: "spec.fold.steps[2]", mine: { kind: "letter" }, theirs: undefined },
  ];
  expect(rowsOf(clashes)).toEqual([
    { label: "Fold, step 2", mine: "Brush fat, Ghee, 2 g", theirs: "Half" },
    { label: "Fold, step 3", mine: "Letter", theirs: "nothing" },
  ]);
});
