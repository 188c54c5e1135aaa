import { expect, refusedRequests, test, type Bench } from "./kitchen";

async function stuff(bench: Bench) {
  await bench.pick("Landing rounds");
  await bench.open("Filling");
  await bench.page.getByRole("button", { name: "Stuff this bread" }).click();
  await expect(bench.page.getByTestId("verdict")).toBeVisible();
}

test("wet radish becomes a filling that holds, and its liquor goes into the dough", async ({ bench, page }) => {
  await stuff(bench);
  const squeeze = page.locator('[data-step="0-2"]');
  const verdict = page.getByTestId("verdict");

  await squeeze.click();
  await page.getByRole("radio", { name: "Drain" }).click();
  await expect(verdict).toHaveAttribute("data-feel", "weeps");
  await page.getByRole("radio", { name: "Hand" }).click();
  await expect(verdict).toHaveAttribute("data-feel", "rollInFlour");
  // What lies in cells is drawn apart, and goes as they are opened.
  await expect(page.locator('[data-step="0-0"] [data-cells]')).toHaveCount(1);
  await page.getByRole("button", { name: /Squeeze it in a cloth/ }).click();
  await expect(verdict).toHaveAttribute("data-feel", "holds");
  await expect(page.locator('[data-step="0-2"] [data-cells]')).toHaveCount(0);
  await expect(bench.stratum("filling")).toContainText("holds");

  await squeeze.click();
  await page.getByRole("switch", { name: "Liquor into the dough" }).click();
  await bench.open("Dough");
  await expect(bench.portion("liquor")).toContainText("Liquor");
  await bench.open("Filling");
  await page.getByRole("switch", { name: "Liquor into the dough" }).click();
  await bench.open("Dough");
  await expect(bench.portion("liquor")).toHaveCount(0);
});

test("the scale's weight overrules the estimate, and undo of a mend brings it all back", async ({ bench, page }) => {
  await stuff(bench);
  await page.locator('[data-step="0-2"]').click();
  await page.getByRole("button", { name: "Put it on the stand-in" }).click();
  await page.getByRole("button", { name: /Weighed after: From the scale/ }).click();
  await expect(page.getByTestId("edit-filling-step")).toContainText("expected");
  await expect(page.locator('[data-step="0-2"]')).toContainText(/5[67]\d g/);
  await page.getByRole("button", { name: "Take it off" }).click();

  await page.locator('[data-step="0-2"]').click();
  await bench.set("Salt wanted", "2.5");
  await page.getByRole("button", { name: /Season with/ }).click();
  await expect(page.locator('[data-step="together-0"]')).toContainText("Season");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator('[data-step="together-0"]')).toHaveCount(0);
});

test("a salted filling tells until when it holds, and salting last is one press", async ({ bench, page, kitchen, request }) => {
  const breads = await (await request.get(`${kitchen.address}/api/breads`)).json();
  const { spec } = breads.find((b: { name: string }) => b.name === "Quay radish rounds");
  const part = (...steps: object[]) => [
    { id: "cauliflower", mass: 400, trim: 0, steps: [{ kind: "chop", by: "grate", grain: 3 }, ...steps] },
  ];
  spec.filling = { ...spec.filling, parts: part({ kind: "salt", salt: "salt-fine", share: 1.2, time: 20 }), together: [] };
  const body = { name: "Salted rounds", about: "", tags: [], spec };
  expect((await request.post(`${kitchen.address}/api/breads`, { data: body })).ok()).toBe(true);
  await page.reload();
  await bench.pick("Salted rounds");
  await bench.open("Filling");
  const verdict = page.getByTestId("verdict");
  await expect(verdict).toHaveAttribute("data-feel", "weeps");
  await page.getByRole("button", { name: /^Salt last/ }).click();
  await expect(verdict).not.toHaveAttribute("data-feel", "weeps");
  await expect(page.getByTestId("holds-for")).toContainText("then it weeps");
  await expect(page.locator('[data-note="fillingUntil"]')).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(verdict).toHaveAttribute("data-feel", "weeps");
});

test("steps are added, moved and taken out by keyboard", async ({ bench, page }) => {
  await stuff(bench);
  await page.getByRole("button", { name: "Add a step: All together" }).press("Enter");
  await page.getByRole("button", { name: "Bind", exact: true }).press("Enter");
  await page.getByRole("button", { name: "Add a step: All together" }).press("Enter");
  await page.getByRole("button", { name: "Season", exact: true }).press("Enter");
  await expect(page.locator('[data-step="together-1"]')).toContainText("Season");
  await page.locator('[data-step="together-1"]').press("Alt+ArrowLeft");
  await expect(page.locator('[data-step="together-0"]')).toContainText("Season");
  await page.locator('[data-step="together-0"]').press("Delete");
  await expect(page.locator('[data-step="together-0"]')).toContainText("Bind");
  await expect(page.locator('[data-step="together-1"]')).toHaveCount(0);
});

test("wall, shape and share redraw the piece, and a thin wall is said", async ({ bench, page }) => {
  await bench.pick("Quay radish rounds");
  await bench.open("Filling");
  await page.getByRole("tab", { name: "Wall" }).click();
  await expect(page.locator("[data-parcel=gathered]")).toBeVisible();
  await bench.set("Round, across", "26");
  await expect(page.locator("[data-note=wallThin]")).toContainText("The wall is too thin");
  await expect(page.getByTestId("tear")).toHaveAttribute("data-risk", /some|likely/);
  await page.getByRole("radio", { name: "Half-moon" }).click();
  await expect(page.locator("[data-parcel=halfMoon]")).toBeVisible();
  await expect(page.locator("[data-note=wallThin]")).toHaveCount(0);
  await page.getByRole("button", { name: /spoonful/ }).click();
  await expect(bench.number("Filling to dough")).toHaveValue("40");
  await page.getByRole("radio", { name: "Leaved disc" }).click();
  await expect(bench.stratum("fold")).toBeVisible();
});

test("the section shows the filling from the bench that puts it in", async ({ bench, page }) => {
  await bench.pick("Cabbage moons");
  const filling = page.getByRole("region", { name: "Section" }).locator("[data-filling]");
  await bench.open("Balls");
  await expect(page.locator("[data-section-of=ball]")).toBeVisible();
  await expect(filling).toHaveCount(0);
  for (const stage of ["Filling", "Roll", "Pan"]) {
    await bench.open(stage);
    await expect(filling).toHaveCount(1);
  }
});

test("the last roll tells the wall, not a leaf", async ({ bench, page }) => {
  await bench.pick("Quay radish rounds");
  await bench.open("Roll");
  await expect(page.getByRole("main")).toContainText("Wall");
  await expect(page.getByText("bready")).toHaveCount(0);
  await bench.open("Dough");
  await page.getByRole("link", { name: "Card" }).click();
  await expect(page.getByTestId("card")).toContainText("White radish, filling");
  await expect(page.getByTestId("card")).toContainText("Wrap 56 g of filling in each piece");
});

test("filling and pieces are brought together either way", async ({ bench, page }) => {
  await stuff(bench);
  await page.getByRole("tab", { name: "Amounts" }).click();
  await expect(page.getByText("30 of 30")).toHaveCount(0);
  await page.getByRole("button", { name: "Make the filling fit" }).click();
  await expect(page.getByText("30 of 30")).toBeVisible();
  await bench.set("Name of the batch", "Fits");
  await page.getByRole("button", { name: "Let the filling set the pieces" }).click();
  await expect(page.getByRole("button", { name: "The filling sets the pieces" })).toHaveAttribute("aria-pressed", "true");
});

test.describe("what cannot be", () => {
  test.use({ expectErrors: refusedRequests });

  test("is said beside the field, with the figure that cannot", async ({ bench, page }) => {
    await stuff(bench);
    await page.locator('[data-step="0-2"]').click();
    await bench.set("Weighed after", "5000");
    await expect(page.getByTestId("edit-filling-step")).toContainText("is more than the");
    await bench.set("Weighed after", "30");
    await expect(page.getByTestId("edit-filling-step")).toContainText("more would be gone than there was water");
    await bench.set("Weighed after", "a cup");
    await expect(page.getByTestId("edit-filling-step").locator(".refusal")).toBeVisible();
    await bench.set("Weighed after", "30");
    await page.locator('[data-step="0-2"]').click();
    await expect(page.getByTestId("filling-astray")).toContainText("Filling, step 3");
    await page.locator('[data-step="0-2"]').click();
    await expect(page.getByTestId("filling-astray")).toHaveCount(0);
    await bench.set("Weighed after", "");
    await page.locator('[data-step="0-1"]').click();
    await bench.set("Salt", "20");
    await expect(page.getByTestId("edit-filling-step")).toContainText("From 0 % to 8 %.");
    await bench.set("Salt", "1.5");
    await page.getByRole("tab", { name: "Wall" }).click();
    await bench.set("Filling to dough", "0");
    await expect(page.locator("main")).toContainText("From 5 % to 400 %.");
    await bench.set("Filling to dough", "390");
    await expect(page.locator("main")).toContainText("No ball of this dough holds that.");
  });
});

test("a bread without filling says so, and what was stuffed can be taken out again", async ({ bench, page }) => {
  await stuff(bench);
  await page.getByRole("button", { name: "Take the filling out" }).click();
  await expect(bench.stratum("filling")).toContainText("no filling");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("verdict")).toBeVisible();
});

test("a bread opened at another size brings its filling along", async ({ bench, page }) => {
  await page.getByRole("button", { name: "More for Quay radish rounds" }).click();
  await page.getByRole("menuitem", { name: "Open at another size" }).click();
  await page.getByRole("dialog").getByRole("textbox").fill("40");
  await expect(page.getByTestId("scaled")).toContainText("40");
  await page.getByRole("button", { name: "Open it" }).click();
  await bench.open("Filling");
  await page.getByRole("tab", { name: "Amounts" }).click();
  await expect(page.getByText("40 of 40")).toBeVisible();
});

test("a batch that starts from its filling follows the filling bench", async ({ bench, page }) => {
  await bench.pick("Quay radish rounds");
  await page.getByRole("radio", { name: "Filling" }).click();
  await page.getByRole("button", { name: /Filling bench: .* in each/ }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Filling" })).toBeVisible();
});

test("a paste of sugar, flour and fat says how much water binds it, and what is cut is filled slice by slice", async ({
  bench,
  page,
  kitchen,
  request,
}) => {
  const larder = (await (await request.get(`${kitchen.address}/api/larder`)).json()) as {
    schools: { id: string; spec: { fold: object } }[];
  };
  const { spec } = larder.schools.find((s) => s.id === "starchLog") as { spec: any }; // eslint-disable-line @typescript-eslint/no-explicit-any
  const part = (id: string, mass: number) => ({ id, mass, trim: 0, steps: [] });
  spec.filling = {
    parts: [part("sugar-brown", 200), part("flour-cake", 150), part("ghee", 40)],
    together: [],
    saltWanted: 0,
    liquorToDough: false,
    wall: { shape: "laminated", share: 60 },
  };
  await request.post(`${kitchen.address}/api/breads`, { data: { name: "Sugar slices", about: "", tags: [], spec } });
  await page.goto(`${kitchen.address}/#/`);
  await bench.pick("Sugar slices");
  await bench.open("Filling");
  const verdict = page.getByTestId("verdict");
  await expect(verdict).toHaveAttribute("data-feel", "loose");
  await expect(page.locator('[data-note="fillingLoose"]')).toContainText(/\d+ g of water binds it/);
  await page.locator('[data-note="fillingLoose"]').getByRole("button").first().click();
  await expect(verdict).toHaveAttribute("data-feel", "holds");
  // Lumps as they come out of the bag are too coarse for the wall; a press crushes them.
  await expect(page.locator('[data-note="lumpsTear"]')).toBeVisible();

  await page.getByRole("tab", { name: /Wall/ }).click();
  const drops = bench.number("Drops of fat inside");
  await drops.fill("1.5");
  await drops.blur();
  await expect(page.getByRole("button", { name: "Fat: Ghee" })).toBeVisible();
  await bench.kept();
});
