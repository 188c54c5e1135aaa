import { expect, hold, test } from "./kitchen";

test.use({ contextOptions: { reducedMotion: "no-preference" } });

// A press changes the batch as it stands, whatever the last answer said of it.

test("water poured spoon by spoon counts every spoon", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("tab", { name: "Mix" }).click();
  await page.getByRole("button", { name: "Begin with 655 g" }).click();
  await expect(page.getByTestId("bit-now")).toContainText("655 g in");
  const go = await hold(page, "**/api/plan");
  for (const spoon of ["+ a spoon", "+ a spoon", "+ a teaspoon"]) await page.getByRole("button", { name: spoon }).click();
  await expect(bench.number("Really went in")).toHaveValue("690 g");
  go();
  await expect(page.getByTestId("bit-now")).toContainText("690 g in");
});

test("a dial whose figure the cook never set is nudged twice", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Pan");
  await page.getByRole("tab", { name: "Finish, hold", exact: true }).click();
  const field = bench.number("From pan to table");
  const before = Number(await field.inputValue());
  const go = await hold(page, "**/api/plan");
  await field.focus();
  await page.keyboard.press("+");
  await page.keyboard.press("+");
  go();
  await bench.kept();
  await expect(field).toHaveValue(String(before + 10));
});

test("a pin pressed twice is where it was", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.choose("Add a liquid", "Whole milk");
  const pin = bench.portion("milk").getByRole("button", { name: "Fix Whole milk as it is" });
  await pin.waitFor();
  const go = await hold(page, "**/api/plan");
  await pin.click();
  await pin.click();
  go();
  await bench.kept();
  await expect(pin).toHaveAttribute("aria-pressed", "false");
});

test("a share that was just typed is what a pin fixes", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  const go = await hold(page, "**/api/plan");
  await bench.number("Ghee, percent of flour").fill("6");
  await page.getByRole("button", { name: "Fix Ghee as it is" }).click();
  go();
  await expect(page.getByRole("button", { name: "Ghee is fixed. Let it follow" })).toBeVisible();
  await expect(bench.number("Ghee, percent of flour")).toHaveValue("6");
});

test("another question keeps the size that was just asked for", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  const go = await hold(page, "**/api/plan");
  await bench.number("Pieces").fill("36");
  await page.getByRole("radio", { name: "Flour", exact: true }).click();
  go();
  await expect(bench.number("Flour at hand")).toBeVisible();
  await expect(page.getByTestId("makes")).toContainText("36 × 80 g");
});

test("a mend is laid into the bread as it stands, not as it was when it was offered", async ({ bench, page }) => {
  await bench.pick("First-ferry squares");
  await bench.open("Fold");
  const mend = page.locator('[data-note="fusedContacts"]').getByRole("button").first();
  await mend.waitFor();
  const go = await hold(page, "**/api/plan");
  await bench.add("Rest");
  await mend.click();
  go();
  await expect(page.locator('[data-note="fusedContacts"]')).toHaveCount(0);
  expect(await bench.steps()).toContain("rest");
  expect(await bench.steps()).toContain("brush");
});

test("a batter poured wider than its pan is mended by a smaller ladle, and that is taken back whole", async ({ bench, page }) => {
  await bench.pick("Leek pours");
  await bench.open("Ladle");
  await bench.set("One ladle", "300");
  await bench.open("Pan");
  const wider = page.locator('[data-note="widerThanPan"]');
  await wider.getByRole("button", { name: /ladle/i }).click();
  await expect(wider).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(wider).toBeVisible();
});

test("a bread opened at another size is as many as were typed, whatever it is asked by", async ({ page }) => {
  await page.getByRole("button", { name: "More for Night-crew squares" }).click();
  await page.getByRole("menuitem", { name: "Open at another size" }).click();
  const dialog = page.getByRole("dialog");
  await expect(page.getByTestId("scaled")).toContainText("24 × 80 g");
  const go = await hold(page, "**/api/plan");
  await dialog.getByRole("textbox", { name: "Pieces" }).fill("48");
  await dialog.getByRole("radio", { name: "Flour" }).click();
  go();
  await expect(dialog.getByRole("textbox", { name: "Flour" })).toBeVisible();
  await expect(page.getByTestId("scaled")).toContainText("48 × 80 g");
});

test("three more pairs of hands are three, and two presses are taken back with two", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Clock");
  await page.getByRole("button", { name: "To the stove" }).click();
  await page.getByTestId("belt").waitFor();
  await page.getByTestId("in-hand").click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("1 pair of hands");
  let go = await hold(page, "**/events");
  for (let i = 0; i < 3; i++) await dialog.getByRole("button", { name: "One more pair of hands" }).click();
  go();
  await expect(dialog).toContainText("4 pairs of hands");
  await dialog.getByRole("button", { name: "Close", exact: true }).click();
  // No key is the stove's while a dialog has it.
  await expect(dialog).toHaveCount(0);

  go = await hold(page, "**/events");
  await page.keyboard.press("u");
  await page.keyboard.press("u");
  go();
  await page.getByRole("button", { name: "Earlier" }).click();
  await expect(page.getByRole("dialog").locator(".line-through")).toHaveCount(2);
});
