import { expect, test } from "./kitchen";

/* eslint-disable @typescript-eslint/no-explicit-any -- the specs here are spoilt on purpose */
// Figures that bring out every note there is, each on the plain bread with something wrong.
const spoils: Record<string, (spec: any) => void> = {
  "dry, salty, torn, short of rest": (s) => {
    s.dough.hydration = 45;
    s.dough.salt = 3;
    s.sheet.diameter = 700;
    s.sheet.rest = 0;
    s.fold.steps = [{ kind: "letter" }];
    s.roll.rest = 0;
    s.pan = { ...s.pan, temperature: 255, fatPerSide: 30 };
  },
  "firm side, flat, thick, drowned in fat": (s) => {
    s.dough.hydration = 52;
    s.dough.salt = 0.5;
    s.sheet = { ...s.sheet, diameter: 150, fatMass: 40, dustMass: 10 };
    s.fold.steps = [{ kind: "half" }];
    s.pan = { ...s.pan, temperature: 245, fatPerSide: 0.2 };
  },
  "soft side, egg, smeared, patchy": (s) => {
    s.dough.hydration = 63;
    s.dough.liquid = "egg";
    s.sheet = { ...s.sheet, diameter: 300, fatMass: 1.5 };
    s.fold.steps = [
      { kind: "letter" },
      { kind: "brush", fat: "ghee", mass: 0.4 },
      { kind: "letter" },
      { kind: "brush", fat: "ghee", mass: 1 },
      { kind: "letter" },
    ];
    s.roll.diameter = 400;
    s.pan.temperature = 150;
  },
  "sticky, coiled with a dry back, thick": (s) => {
    s.dough.hydration = 80;
    s.balls.mass = 300;
    s.sheet = { ...s.sheet, diameter: 400, fatMass: 20 };
    s.fold.steps = [{ kind: "matRoll" }, { kind: "coil" }];
  },
  "a batter, rolled smaller": (s) => {
    s.dough.hydration = 160;
    s.dough.fatShare = 10;
    s.dough.fat = "butter";
    s.sheet.diameter = 300;
  },
  "all right": (s) => {
    s.sheet = { ...s.sheet, diameter: 300, fatMass: 6 };
    s.fold.steps = [{ kind: "letter" }, { kind: "brush", fat: "ghee", mass: 2 }, { kind: "letter" }];
  },
};

test("every note has its words and every word its figure", async ({ bench, page, kitchen }) => {
  const { plain } = await (await page.request.get(`${kitchen.address}/api/larder`)).json();
  const openapi = await (await page.request.get(`${kitchen.address}/openapi/v1.json`)).json();
  const codes = new Set<string>(openapi.components.schemas.NoteCode.enum);

  for (const [name, spoil] of Object.entries(spoils)) {
    const spec = structuredClone(plain);
    spoil(spec);
    const made = await page.request.post(`${kitchen.address}/api/batches`, {
      data: { breadId: null, name, spec, madeFor: "2026-11-20T12:00:00Z" },
    });
    expect(made.status(), await made.text()).toBe(201);
    await page.goto(`${kitchen.address}/#/batch/${(await made.json()).id}`);
    await expect(page.getByLabel("Name of the batch")).toHaveValue(name);
    for (const stage of ["Dough", "Balls", "Sheet", "Fold", "Roll", "Pan"]) {
      await bench.open(stage);
      for (const note of await page.locator("[data-note]").all()) {
        codes.delete((await note.getAttribute("data-note")) ?? "");
        const text = await note.innerText();
        expect(text).not.toMatch(/undefined|NaN|null|\{|\}/);
        expect(text).toMatch(/[.]$/);
      }
    }
  }

  expect([...codes]).toEqual([]);
});
