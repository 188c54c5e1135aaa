import { expect, test } from "./kitchen";

test.use({ sharesKitchen: true });

test.beforeEach(async ({ bench }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Fold");
});

test("steps are moved by dragging", async ({ bench }) => {
  await bench.step(2).dragTo(bench.step(0));
  expect(await bench.steps()).toEqual(["letter", "letter", "brush"]);
  await expect(bench.drawn("fused")).toHaveCount(2);
});

test("steps are moved by keys and stay in hand", async ({ bench }) => {
  await bench.step(1).press("Alt+ArrowRight");
  expect(await bench.steps()).toEqual(["letter", "letter", "brush"]);
  await expect(bench.step(2)).toBeFocused();
  await bench.step(2).press("Alt+ArrowLeft");
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
  await bench.step(0).press("Alt+ArrowLeft");
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
});

test("a step taken out comes back where it was", async ({ bench, page }) => {
  await bench.step(1).press("Delete");
  expect(await bench.steps()).toEqual(["letter", "letter"]);
  await expect(bench.drawn("fused")).toHaveCount(2);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
  await expect(bench.drawn("fused")).toHaveCount(0);
});

test("a step's own figures change the bread", async ({ bench, page }) => {
  await bench.step(1).click();
  await bench.set("Fat on this face", "0.4");
  await expect(bench.drawn("patchy")).toHaveCount(2);
  await expect(page.locator('[data-note="patchyFat"]')).toContainText("2 of 8");
  await bench.set("Fat on this face", "0,1");
  await expect(bench.drawn("fused")).toHaveCount(2);
});

test("every kind of step can be added and says how it is done", async ({ bench, page }) => {
  for (let i = 2; i >= 0; i--) await bench.step(i).press("Delete");
  for (const kind of ["Half", "Brush fat", "Dust flour", "Roll out", "Pleat"]) {
    await page.getByRole("button", { name: "Add a step" }).click();
    await page.getByRole("button", { name: kind, exact: true }).click();
  }
  expect(await bench.steps()).toEqual(["half", "brush", "dust", "roll", "accordion"]);
  await bench.set("Pleats", "6");
  await expect(bench.stratum("fold")).toContainText(/leaves/);
  await expect(page.getByText("of 12", { exact: false })).toBeVisible();
});

test("a coil without a rope is refused in words and the bread stays on the page", async ({ bench, page }) => {
  await page.getByRole("button", { name: "Add a step" }).click();
  const answered = page.waitForResponse((r) => r.url().endsWith("/api/plan"));
  await page.getByRole("button", { name: "Coil", exact: true }).click();
  expect((await answered).status()).toBe(400);
  await expect(page.getByTestId("fold-refusal")).toContainText("put a mat roll right before it");
  await expect(bench.drawn("open")).toHaveCount(8);
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "refused");
});

test("rolled like a mat and wound, leaves and rings are both told", async ({ bench, page }) => {
  for (let i = 2; i >= 0; i--) await bench.step(i).press("Delete");
  for (const kind of ["Mat roll", "Coil"]) {
    await page.getByRole("button", { name: "Add a step" }).click();
    await page.getByRole("button", { name: kind, exact: true }).click();
  }
  await expect(page.getByText("Rings, rim to middle")).toBeVisible();
  await expect(page.locator('[data-note="ringsFused"]')).toBeVisible();
});

test.use({ expectErrors: /status of 400/ });
