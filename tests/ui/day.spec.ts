import { readFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import { refusedRequests, test } from "./kitchen";

/** Several batches of one day on one page: the demo's canteen makes five the day after it was filled. */
const good = (page: Page, id: string) => page.locator(`[data-good="${id}"]`);
const grams = (text: string) => Number(text.replaceAll(/[^\d.]/g, ""));
const needed = async (page: Page, id: string) => grams(await good(page, id).locator("[data-needed]").innerText());
const clashes = (page: Page) => page.getByTestId("clashes").getByRole("listitem");

test.beforeEach(async ({ page }) => {
  await page.getByRole("link", { name: "Day sheet" }).click();
  await expect(page.getByTestId("goods")).toBeVisible();
});

test("what is at hand is taken off what is to be bought, and stays said", async ({ page }) => {
  const flour = await needed(page, "flour-white");
  expect(flour).toBeGreaterThan(500);
  await expect(good(page, "flour-white").locator("[data-buy]")).toContainText("pack");
  const field = page
    .getByLabel("At hand: White wheat flour (strong roti or all-purpose)")
    .or(page.getByLabel(/^At hand: White wheat flour/));
  await field.first().fill("100");
  await field.first().press("Tab");
  await expect.poll(async () => grams((await good(page, "flour-white").locator("[data-buy] b").innerText()) || "0")).toBe(flour - 100);
  await page.reload();
  await expect(field.first()).toHaveValue("100");
  // Two one after the other, before there is any answer.
  await field.first().fill("99999");
  await page.getByLabel(/^At hand: Ghee/).fill("7");
  await page.getByLabel(/^At hand: Ghee/).press("Tab");
  await expect(good(page, "flour-white").locator("[data-buy]")).toContainText("✓");
  await page.reload();
  await expect(field.first()).toHaveValue(/99.?999/);
  await expect(page.getByLabel(/^At hand: Ghee/)).toHaveValue("7");
});

test("doughs stand in the order of mixing, with what goes into each bowl", async ({ page }) => {
  const doughs = page.getByTestId("doughs").getByRole("listitem");
  await expect(doughs).toHaveCount(5);
  const hours = (await doughs.locator("b").allInnerTexts()).filter((t) => /^\d\d:\d\d$/.test(t));
  expect(hours).toHaveLength(5);
  expect(hours).toEqual([...hours].sort());
  await expect(doughs.filter({ hasText: "Nigella coils" })).toContainText(/Nigella seed \d/);
});

test("batches that want the same hands are told, and one press puts one out of the way and back", async ({ page }) => {
  await expect(clashes(page).first()).toContainText("pairs of hands are wanted and there is one.");
  const before = await clashes(page).allInnerTexts();
  const move = page.getByTestId("clashes").getByRole("button", { name: /^Night-crew squares .* later$/ });
  const said = await move.innerText();
  await move.click();
  await expect(page.getByTestId("toast")).toContainText(said.replace("Night-crew squares ", "Night-crew squares is "));
  await expect.poll(async () => (await clashes(page).allInnerTexts()).length).toBeLessThan(before.length);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => clashes(page).allInnerTexts()).toEqual(before);
});

test("with hands and pans enough nothing clashes", async ({ page }) => {
  const [people, pans] = [page.getByLabel("Pairs of hands"), page.getByLabel("Pans", { exact: true })];
  await expect(people).toHaveAttribute("placeholder", "1");
  await people.fill("4");
  await people.press("Tab");
  await pans.fill("3");
  await pans.press("Tab");
  await expect(page.getByTestId("clashes")).toContainText("Hands and pans are enough all day.");
  await page.reload();
  await expect(people).toHaveValue("4");
});

test.describe("what cannot be", () => {
  test.use({ expectErrors: refusedRequests });

  test("no kitchen has so many hands, and what can be is taken after it", async ({ page }) => {
    const people = page.getByLabel("Pairs of hands");
    for (const wrong of ["0", "-1", "400", "some"]) {
      await people.fill(wrong);
      await people.press("Tab");
      await expect(page.getByTestId("day").getByRole("alert")).toContainText(/from 1 to 12\./i);
    }
    await people.fill("3");
    await people.press("Tab");
    await expect(page.getByTestId("day").getByRole("alert")).toHaveCount(0);
    await expect(page.getByTestId("day-lanes")).toContainText("3 pairs of hands");
  });

  test("no amount at hand is refused beside its field, and nothing is lost", async ({ page }) => {
    const ghee = page.getByLabel(/^At hand: Ghee/);
    await ghee.fill("40");
    await ghee.press("Tab");
    for (const wrong of ["-5", "1e12", "a lot"]) {
      await ghee.fill(wrong);
      await ghee.press("Tab");
      await expect(page.getByTestId("day").getByRole("alert").first()).toBeVisible();
    }
    await page.reload();
    await expect(ghee).toHaveValue("40");
  });
});

test("the day is to be had as CSV, as a calendar and for the wall", async ({ page }) => {
  const file = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name, exact: true }).click()]);
    return readFileSync(await download.path(), "utf8");
  };
  expect(await file("As CSV")).toMatch(/^id,ingredient,bread,/);
  const [alarms, all] = [await file("Alarms"), await file("Calendar")];
  expect(alarms).toContain("BEGIN:VALARM");
  expect(all.split("BEGIN:VEVENT").length).toBeGreaterThan(alarms.split("BEGIN:VEVENT").length);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("button", { name: "Print" })).toBeHidden();
  await expect(page.getByLabel("Pairs of hands")).toBeHidden();
  await expect(page.getByTestId("goods")).toBeVisible();
});

test("days are gone through, one on which nothing is made says so, and what is no day is today", async ({ page }) => {
  const heading = page.getByRole("heading", { level: 1 });
  const tomorrow = await heading.innerText();
  await page.getByRole("button", { name: "The day after" }).click();
  await expect(page.getByTestId("empty-day")).toBeVisible();
  await expect(heading).not.toHaveText(tomorrow);
  await page.getByRole("button", { name: "The day before" }).click();
  await expect(heading).toHaveText(tomorrow);
  await page.goto(`${new URL(page.url()).origin}/#/day/nonsense`);
  await expect(heading).not.toHaveText(tomorrow);
  await page.getByRole("button", { name: "The day after" }).click();
  await expect(heading).toHaveText(tomorrow);
});

test("on a phone nothing is wider than the screen, and names stand over their lines", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const lanes = page.getByTestId("day-lanes");
  await expect(lanes).toContainText("Fenugreek triangles");
  const box = (await lanes.boundingBox())!;
  expect(box.x + box.width).toBeLessThanOrEqual(390);
});
