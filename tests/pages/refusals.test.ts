import { expect, inject, test } from "vitest";
import { larder } from "../../src/ui/src/api/larder.svelte";
import type { BatchSpec, Refusal } from "../../src/ui/src/api/types";
import { parseNumber } from "../../src/ui/src/words/format";
import { say } from "../../src/ui/src/words/refusals";

// Every dial, by its place in the spec. Each has its range in the words of its bench.
const dials: [field: string, range: string][] = [
  ["start.pieces", "From 1 to 500."],
  ["balls.mass", "From 5 g to 1\u202f000 g."],
  ["balls.smallOne", "From 5 g to 1\u202f000 g."],
  ["dough.hydration", "From 20 % to 500 %."],
  ["dough.fat.amount.share", "From 0 % to 60 %."],
  ["dough.salt.amount.share", "From 0 % to 6 %."],
  ["rest.time", "From 0 min to 2\u202f880 min."],
  ["sheet.diameter", "From 6 cm to 120 cm."],
  ["sheet.width", "From 3 cm to 120 cm."],
  ["sheet.rest", "From 0 min to 720 min."],
  ["sheet.fatMass", "From 0 g to 200 g."],
  ["sheet.dustMass", "From 0 g to 50 g."],
  ["roll.diameter", "From 6 cm to 60 cm."],
  ["roll.rest", "From 0 min to 720 min."],
  ["pan.temperature", "From 120 °C to 320 °C."],
  ["pan.on.thickness", "From 0.8 mm to 30 mm."],
  ["pan.on.across", "From 10 cm to 90 cm."],
  ["pan.together", "From 1 to 12."],
  ["pan.fatPerSide", "From 0 g to 60 g."],
  ["pan.holdFor", "From 0 min to 240 min."],
  ["clock.people", "From 1 to 12."],
  ["clock.pans", "From 1 to 12."],
  ["clock.rollAhead", "From 1 to 24."],
  ["clock.openBalls", "From 1 to 60."],
  ["clock.bench", "From 1 to 500."],
];

const breads = (await (await fetch(`${inject("kitchen")}/api/breads`)).json()) as { name: string; spec: BatchSpec }[];
const squares = {
  ...breads.find((b) => b.name === "Night-crew squares")!.spec,
  clock: larder.view!.plainClock,
};
const pan = { ...squares.pan, on: larder.view!.pans[0]! };

function with_(field: string, value: unknown): BatchSpec {
  const spec = structuredClone({ ...squares, pan }) as unknown as Record<string, unknown>;
  const path = field.split(".");
  const last = path.pop()!;
  (path.reduce((part, name) => part[name] as Record<string, unknown>, spec) as Record<string, unknown>)[last] = value;
  return spec as unknown as BatchSpec;
}

async function refusals(spec: BatchSpec): Promise<Refusal[]> {
  const answer = await fetch(`${inject("kitchen")}/api/plan`, {
    method: "POST",
    headers: { "x-ystrata": "here", "content-type": "application/json" },
    body: JSON.stringify(spec),
  });
  return answer.status === 400 ? ((await answer.json()) as { refusals: Refusal[] }).refusals : [];
}

test("the bread these are tried on is one that can be worked", async () => {
  expect(await refusals(with_("start.pieces", 24))).toEqual([]);
});

test.each(dials)("%s: what cannot be is refused by its name, and its range said: %s", async (field, range) => {
  for (const value of [-3, 99_999_999, 1e30]) {
    const refused = await refusals(with_(field, value));
    const own = refused.find((r) => r.field === field);
    expect(own, `${value}: ${JSON.stringify(refused)}`).toBeDefined();
    expect(say(own!).toLowerCase(), String(value)).toContain(range.toLowerCase());
  }
});

test.each(dials)("%s: what is no number is never sent, and asked for in its range", (field, range) => {
  for (const typed of ["", "plenty", "NaN", "1/0", "<b>12</b>"]) expect(parseNumber(typed), typed).toBeNull();
  expect(say({ ...larder.limit(field), code: "notANumber" })).toBe(range.replace("From", "Give a number from"));
});
