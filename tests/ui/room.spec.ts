import { expect, test } from "./kitchen";

/** Every bench uses the room it has: nothing to decide by lies behind the section, and on a phone the work has the screen. */
test.use({ viewport: { width: 1280, height: 800 } });
const BREADS = ["First-ferry squares", "Fenugreek triangles", "Cauliflower and pea rounds", "Cabbage moons", "Nigella coils", "Jug rounds"];

function tomorrowEvening(): Date {
  const day = new Date(Date.now() + 24 * 3600_000);
  day.setUTCHours(18, 30, 0, 0);
  return day;
}

test("no bench scrolls at 1280 by 800", async ({ bench, page, kitchen }) => {
  test.setTimeout(120_000);
  for (const bread of BREADS) {
    await page.goto(`${kitchen.address}/#/`);
    await bench.pick(bread);
    for (const stage of ["Dough", "Rest", "Balls", "Sheet", "Fold", "Filling", "Roll", "Pan", "Clock"]) {
      const tab = page.getByRole("tab", { name: new RegExp(`^${stage}`) }).first();
      if ((await tab.count()) === 0) continue;
      await tab.click();
      await expect(page.getByRole("heading", { level: 1, name: stage })).toBeVisible();
      // The same at every hour of the day: a service that goes over midnight says its days too.
      if (stage === "Clock") {
        await bench.setMoment("On the table at", tomorrowEvening());
        await page.getByTestId("what-ifs").getByRole("listitem").nth(3).waitFor();
      }
      const panel = page.getByRole("heading", { level: 1 }).locator("xpath=ancestor::*[@role='tabpanel'][1]");
      const over = () => panel.evaluate((e) => e.scrollHeight - e.clientHeight);
      await expect.poll(over, { message: `${bread}, ${stage}`, timeout: 4000 }).toBeLessThanOrEqual(1);
    }
  }
});

test("the section gives way to the bench, and is tall where it is pulled up", async ({ bench, page }) => {
  await bench.pick("Fenugreek triangles");
  const high = () => page.getByRole("region", { name: "Section" }).evaluate((e) => e.getBoundingClientRect().height);
  const strip = await high();
  await bench.open("Rest");
  await expect.poll(high).toBeGreaterThan(strip + 80);
  await bench.open("Dough");
  await page.getByRole("button", { name: "Section taller" }).click();
  await expect.poll(high).toBeGreaterThan(240);
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test("the bench has two thirds of the screen; name, strata, watch and section are a bar each", async ({ bench, page }) => {
    await bench.pick("First-ferry squares");
    await bench.open("Fold");
    const panel = page.getByRole("heading", { level: 1 }).locator("xpath=ancestor::*[@role='tabpanel'][1]");
    await expect.poll(() => panel.evaluate((e) => e.getBoundingClientRect().height)).toBeGreaterThan(844 * 0.55);
    const line = page.getByTestId("watch-line");
    await expect(line).toContainText("2 of 8 contacts weld");
    await expect(line).toBeInViewport();
    await line.click();
    await page.getByRole("button", { name: /^Brush 0.5 g before step 2/ }).click();
    await line.click();
    await expect(line).toContainText("2 of 8 contacts are patchy");
  });

  test("card, log and recipe are behind one button, which gives the keys back", async ({ bench, page }) => {
    await bench.pick("Landing rounds");
    const more = page.getByRole("button", { name: "Card, log and recipe" });
    await more.focus();
    await page.keyboard.press("Enter");
    await expect(page.getByRole("menuitem")).toHaveText(["Card", "Log it", "Make it the recipe", "Another school"]);
    await page.keyboard.press("Escape");
    await expect(more).toBeFocused();
    await page.keyboard.press("Enter");
    await page.getByRole("menuitem", { name: "Card" }).click();
    await expect(page.getByTestId("card")).toBeVisible();
  });
});

test("a caution that was read is its first line the next time, and opens when it is pressed", async ({ bench, page }) => {
  await page.clock.install();
  await bench.pick("Night-crew squares");
  await bench.open("Pan");
  const note = page.locator("[data-note=hotFat]");
  const body = note.getByText("not put out with water");
  await expect(body).toBeVisible();
  await page.clock.runFor(9000);
  // Not under the eyes that read it.
  await expect(body).toBeVisible();
  await bench.open("Roll");
  await bench.open("Pan");
  await expect(note).toContainText("Hot fat burns");
  await expect(body).toBeHidden();
  await note.getByRole("button").click();
  await expect(body).toBeVisible();
});
