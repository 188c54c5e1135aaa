import { expect, inject, test } from "vitest";
import { larder } from "../../src/ui/src/api/larder.svelte";
import { mendWords, wordsOf } from "../../src/ui/src/words/notes";
import { symptomName } from "../../src/ui/src/words/symptoms";

/* eslint-disable @typescript-eslint/no-explicit-any -- the specs here are spoilt on purpose */
const stuffed = (id: string, mass: number, steps: object[], together: object[] = [], share = 80) => ({
  parts: [{ id, mass, trim: 0, steps }],
  together,
  saltWanted: 1.2,
  liquorToDough: false,
  wall: { shape: "gathered", share },
});

// Figures that bring out every note there is, each on the plain bread with something wrong.
const spoils: Record<string, (spec: any) => void> = {
  "dry, salty, torn, short of rest": (s) => {
    s.dough.hydration = 45;
    s.dough.salt.amount.share = 3;
    s.rest.time = 0;
    s.sheet.diameter = 700;
    s.sheet.rest = 0;
    s.fold.steps = [{ kind: "letter" }];
    s.roll.rest = 0;
    s.pan = { ...s.pan, temperature: 255, fatPerSide: 30 };
  },
  "firm side, flat, thick, drowned in fat": (s) => {
    s.dough.hydration = 52;
    s.dough.salt.amount.share = 0.5;
    s.rest = { ...s.rest, time: 700, place: "fridge" };
    s.sheet = { ...s.sheet, diameter: 150, fatMass: 40, dustMass: 10 };
    s.fold.steps = [{ kind: "half" }];
    s.pan = { ...s.pan, temperature: 245, fatPerSide: 0.2 };
  },
  "soft side, egg, smeared, patchy": (s) => {
    s.dough.hydration = 63;
    s.dough.liquids[0].id = "egg";
    s.rest.time = 200;
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
    s.rest.time = 400;
    s.sheet = { ...s.sheet, diameter: 400, fatMass: 20 };
    s.fold.steps = [{ kind: "matRoll" }, { kind: "coil" }];
  },
  "a batter, rolled smaller": (s) => {
    s.dough.hydration = 160;
    s.dough.fat.amount.share = 10;
    s.dough.fat.id = "butter";
    s.rest.covered = false;
    s.sheet.diameter = 300;
  },
  "a batter that pours, spread thin and wide": (s) => {
    s.dough.feel = "batter";
    s.dough.hydration = 180;
    s.ladle = { volume: 200, thickness: 1 };
  },
  "a thick batter, poured thick": (s) => {
    s.dough.feel = "batter";
    s.dough.hydration = 120;
    s.ladle = { volume: 100, thickness: 8 };
  },
  "a thin batter poured thick": (s) => {
    s.dough.feel = "batter";
    s.dough.hydration = 380;
    s.ladle = { volume: 90, thickness: 3 };
  },
  "too thin a batter": (s) => {
    s.dough.feel = "batter";
    s.dough.hydration = 440;
    s.rest.time = 5;
  },
  "sweet, much leaven, a small sack": (s) => {
    s.start = { ...s.start, by: "flour", flour: 170 };
    s.dough.additions = [
      ["honey", 9],
      ["baking-powder", 3],
      ["yeast-quick", 1],
    ].map(([id, share]) => ({ id, amount: { by: "share", share, mass: 0 } }));
    s.rest.time = 150;
  },
  "bare but oiled, over long": (s) => {
    s.rest = { ...s.rest, covered: false, oiled: true, time: 60 };
  },
  "puree, unkneaded, in a warm room": (s) => {
    s.dough.liquids[0].id = "puree-beet";
    s.dough.flours[0].id = "flour-semolina";
    s.dough.mix.kneading = "none";
    s.dough.fat.amount.share = 0;
  },
  "in the fridge as two small balls": (s) => {
    s.start.pieces = 1;
    s.balls.mass = 40;
    s.rest = { ...s.rest, place: "fridge", time: 600 };
  },
  "a round in letters, coarse herbs between": (s) => {
    s.sheet = { ...s.sheet, diameter: 300, fatMass: 6 };
    s.fold.steps = [{ kind: "scatter", item: "seed-nigella", mass: 1, grain: 4 }, { kind: "letter" }, { kind: "letter" }];
  },
  "a parcel": (s) => {
    s.fold.steps = [{ kind: "envelope", overlap: false }, { kind: "pinch" }];
  },
  "stuffed wet, warm, coarse and tight, rolled too wide": (s) => {
    s.roll.diameter = 300;
    s.filling = stuffed(
      "radish",
      3000,
      [
        { kind: "chop", by: "chop", grain: 8 },
        { kind: "blanch", time: 2 },
      ],
      [],
      250,
    );
  },
  "stuffed with brined cheese, too little of it": (s) => {
    s.filling = stuffed("feta", 300, [{ kind: "chop", by: "mash", grain: 1 }]);
  },
  "stuffed with mince that is loose": (s) => {
    s.filling = stuffed("lamb-mince-cooked", 600, []);
  },
  "stuffed with salted radish, more liquor than dough": (s) => {
    s.filling = {
      ...stuffed(
        "radish",
        9000,
        [
          { kind: "chop", by: "grate", grain: 1 },
          { kind: "salt", salt: "salt-fine", share: 1.5, time: 20 },
          { kind: "squeeze", by: "cloth" },
        ],
        [{ kind: "bind", binder: "gram-flour-roasted", mass: 80 }],
      ),
      saltWanted: 2,
      liquorToDough: true,
    };
  },
  "stuffed with salted radish, squeezed by hand": (s) => {
    s.filling = stuffed("radish", 1600, [
      { kind: "chop", by: "grate", grain: 3 },
      { kind: "salt", salt: "salt-fine", share: 1.5, time: 15 },
      { kind: "squeeze", by: "hand" },
    ]);
  },
  "stuffed with cauliflower that is salted and waits": (s) => {
    s.filling = stuffed(
      "cauliflower",
      400,
      [
        { kind: "chop", by: "grate", grain: 3 },
        { kind: "saute", time: 5, pan: 260, fat: "ghee", fatMass: 0 },
      ],
      [
        { kind: "season", item: "salt-fine", mass: 5 },
        { kind: "season", item: "spice-ground", mass: 4 },
      ],
    );
  },
  "stuffed with dates": (s) => {
    s.filling = stuffed("date-paste", 520, [{ kind: "chop", by: "mash", grain: 1 }]);
  },
  "stuffed with pulses under pressure": (s) => {
    s.filling = stuffed(
      "lentil-dry",
      200,
      [{ kind: "pressure", time: 15 }],
      [
        { kind: "season", item: "garlic", mass: 5 },
        { kind: "bind", binder: "oats-rolled", mass: 10 },
      ],
    );
  },
  "a pan gone out under a stuffed, chilled parcel": (s) => {
    s.filling = stuffed("leek", 500, [{ kind: "cool", time: 120, place: "fridge" }]);
    s.pan = { ...s.pan, temperature: 150, own: [{ time: 10, fat: 0 }], on: { kind: "nonStick", thickness: 2, across: 200, flame: "low" } };
  },
  "boiled high up": (s) => {
    s.rest.air = "highUp";
    s.filling = stuffed("lentil-dry", 300, [{ kind: "boil", time: 40 }]);
  },
  "mash in a deep heap": (s) => {
    s.filling = stuffed("pea-mash", 6000, [
      { kind: "boil", time: 5 },
      { kind: "cool", time: 60, place: "room", trays: 1 },
    ]);
  },
  "more mash than a fridge takes": (s) => {
    s.filling = stuffed("pea-mash", 20000, [
      { kind: "boil", time: 5 },
      { kind: "cool", time: 60, place: "fridge", trays: 20 },
    ]);
  },
  "its own short stays, crowded, held too long in paper": (s) => {
    s.pan = { ...s.pan, together: 8, own: [{ time: 8, fat: 2 }], second: { id: "butter", share: 40 }, hold: "paper", holdFor: 200 };
    s.pan.on = { kind: "castIron", thickness: 4, across: 240, flame: "low" };
  },
  "to be hot, and held open too long": (s) => {
    s.pan = { ...s.pan, hold: "plate", holdFor: 60, wants: "hot" };
  },
  "to be crisp, and covered": (s) => {
    s.pan = { ...s.pan, hold: "cloth", holdFor: 30, wants: "crisp", colour: "brown" };
  },
  "to be crisp, and pale": (s) => {
    s.pan = { ...s.pan, wants: "crisp", colour: "pale" };
  },
  "charred and dried out": (s) => {
    s.balls.mass = 40;
    s.pan = {
      ...s.pan,
      temperature: 250,
      own: [
        { time: 300, fat: 0 },
        { time: 300, fat: 1 },
      ],
    };
    s.pan.on = { kind: "castIron", thickness: 4, across: 240, flame: "high" };
  },
  pale: (s) => {
    s.pan = {
      ...s.pan,
      own: [
        { time: 60, fat: 0 },
        { time: 30, fat: 1 },
        { time: 10, fat: 1 },
      ],
    };
  },
  "a pan that climbs": (s) => {
    s.pan = { ...s.pan, temperature: 160, on: { kind: "aluminium", thickness: 3, across: 260, flame: "high" } };
  },
  "frozen into deep fat on a red hot coated pan": (s) => {
    s.pan = {
      ...s.pan,
      temperature: 275,
      frozen: true,
      roasting: "shallowFry",
      on: { kind: "nonStick", thickness: 2, across: 260, flame: "high" },
    };
  },
  "raw garlic kept overnight, chicken held for hours": (s) => {
    s.filling = stuffed("chicken-cooked", 600, [], [{ kind: "season", item: "garlic", mass: 5 }]);
    s.clock = { ...s.clock, ahead: "fridge" };
    s.pan = { ...s.pan, hold: "plate", holdFor: 230 };
    s.roll.rest = 60;
  },
  "an egg dough that rests by the hour": (s) => {
    s.dough.liquids = [
      { id: "egg", amount: { by: "share", share: 10, mass: 0 } },
      { id: "water", amount: { by: "rest", share: 0, mass: 0 } },
    ];
    s.rest = { ...s.rest, time: 110, place: "room" };
  },
  "rice flour alone, wound": (s) => {
    s.dough.flours = [{ id: "flour-rice", parts: 100 }];
    s.fold = { steps: [{ kind: "matRoll" }, { kind: "coil" }] };
  },
  "rice flour alone, folded": (s) => {
    s.dough.flours = [{ id: "flour-rice", parts: 100 }];
    s.fold = { steps: [{ kind: "letter" }] };
  },
  "wider than its pan": (s) => {
    s.pan = { ...s.pan, on: { kind: "castIron", thickness: 4, across: 120, flame: "high" } };
  },
  "no flame at all": (s) => {
    s.pan = { ...s.pan, temperature: 200, on: { kind: "nonStick", thickness: 2, across: 260, flame: "off" } };
  },
  "no colour": (s) => {
    s.pan = { ...s.pan, temperature: 120, on: { kind: "castIron", thickness: 4, across: 260, flame: "low" } };
  },
  "a block of dough on a red hot pan": (s) => {
    s.balls.mass = 300;
    s.sheet.diameter = 120;
    s.roll.diameter = 120;
    s.pan = { ...s.pan, temperature: 310 };
  },
  "no fat, and one face long on the pan": (s) => {
    s.dough.fat.amount.share = 0;
    s.balls.weighed = [60, 95, 80, 71];
    s.pan.own = [
      { time: 15, fat: 0 },
      { time: 170, fat: 2 },
    ];
  },
  bare: (s) => {
    s.rest.covered = false;
  },
  "rested to the best": (s) => {
    s.rest.time = 30;
  },
  "measured in cups nobody has said the filling of": (s) => {
    s.start = { ...s.start, by: "flour", flour: 250 };
    s.dough.cups = { packing: 1, allMeasured: false };
  },
  "all right": (s) => {
    s.sheet = { ...s.sheet, diameter: 300, fatMass: 6 };
    s.fold.steps = [{ kind: "letter" }, { kind: "brush", fat: "ghee", mass: 2 }, { kind: "letter" }];
  },
};

// Of food that can make people ill: they say so, and defer to local codes.
const unsafe = new Set([
  ...["rawFlour", "rawEgg", "honeyInfants", "coolFast", "coolsSlowly", "fridgeOverloaded", "coreSafe", "coreUnsafe", "pulseCold"],
  ...["rawGarlic", "rawGarlicKept", "warmLong", "warmTooLong", "restUnsafe"],
]);
const gap = /undefined|NaN|null|\{|\}|\[object/;
const seen = new Set<string>();

// One test a plan: a whole shelf of them in one is a race against the clock on a busy machine.
test.each(Object.entries(spoils))("every note of a bread that is %s has its words", (_, spoil) => worded(spoil));

test("every note of a flour measured before cups were said has its words", async () => {
  const put = (units: object) =>
    fetch(`${inject("kitchen")}/api/larder/units`, {
      method: "PUT",
      headers: { "x-ystrata": "here", "content-type": "application/json", "if-match": "*" },
      body: JSON.stringify(units),
    });
  const { units } = larder.view!;
  expect((await put({ ...units, fill: "scooped", cupSaid: true })).status).toBe(200);
  await worded(spoils["measured in cups nobody has said the filling of"]!);
  expect((await put(units)).status).toBe(200);
});

async function worded(spoil: (spec: any) => void) {
  const spec = structuredClone(larder.view!.plain);
  spoil(spec);
  const answer = await fetch(`${inject("kitchen")}/api/plan`, {
    method: "POST",
    headers: { "x-ystrata": "here", "content-type": "application/json" },
    body: JSON.stringify(spec),
  });
  const sheet = await answer.json();
  expect(answer.status, JSON.stringify(sheet)).toBe(200);
  for (const note of sheet.notes) {
    seen.add(note.code);
    const { head, more } = wordsOf(note);
    if (unsafe.has(note.code)) {
      expect(more, note.code).toMatch(/\bill\b|poison/);
      expect(more, note.code).toMatch(/local (food|guidance)/i);
    }
    expect(head, note.code).not.toMatch(gap);
    expect(head, note.code).not.toBe("");
    expect(more, note.code).not.toMatch(gap);
    expect(more, note.code).toMatch(/[.]$/);
    for (const mend of note.mends ?? [])
      expect(mendWords(mend), `${note.code}, ${mend.code}`).toMatch(/^(?!.*(undefined|NaN|null|[{}])).+$/);
  }
  for (const risk of sheet.risks) expect(symptomName[risk.symptom as keyof typeof symptomName]()).not.toMatch(gap);
}

test("these breads bring out every note there is", () => {
  expect(inject("noteCodes").length).toBeGreaterThan(0);
  expect(inject("noteCodes").filter((code) => !seen.has(code))).toEqual([]);
});
