import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";
import { refusedRequests, test } from "./kitchen";
import { startServer } from "./server.mjs";

/** How a kitchen, a bread and another way with it begin. */
type Server = Awaited<ReturnType<typeof startServer>>;
const empty = test.extend<{ empty: Server }>({
  empty: [
    async ({ page }, use) => {
      const server = await startServer({ demo: false });
      await page.goto(`${server.address}/#/`);
      await expect(page.getByTestId("questions").getByRole("button", { name: /^Begin: / })).toBeEnabled();
      await use(server);
      await page.goto("about:blank");
      await server.stop();
      server.clear();
    },
    { auto: true },
  ],
});
const name = (page: Page) => page.getByRole("textbox", { name: "Name of the batch" });

empty("three questions make a first batch, by the keyboard alone", async ({ page }) => {
  await expect(page.getByTestId("beginning").getByRole("listitem")).toHaveCount(17);
  await page.getByLabel("How many?").focus();
  await page.keyboard.type("6");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await page.keyboard.type("barley");
  await expect(page.getByRole("option")).toHaveCount(1);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^What flour/ })).toContainText(/barley/i);
  await page.getByRole("combobox", { name: "What pan?" }).focus();
  await page.keyboard.press("Enter");
  await page.keyboard.type("clay");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("combobox", { name: "What pan?" })).toContainText(/clay/i);
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("makes")).toContainText(/6 × \d+ g/);
  await expect(name(page)).toHaveValue("Plain round");
  await expect(page.locator('[data-portion="flour-barley"]')).toBeVisible();
});

empty("a number of pieces that cannot be is refused beside its field, and nothing begins", async ({ page }) => {
  const many = page.getByLabel("How many?");
  for (const wrong of ["0", "-5", "99999999", "many"]) {
    await many.fill(wrong);
    await many.press("Enter");
    await expect(page.getByTestId("questions").getByRole("alert")).toContainText(/1|number/);
    await expect(page.getByTestId("beginning")).toBeVisible();
  }
  await many.fill("4");
  await many.press("Enter");
  await expect(page.getByTestId("makes")).toContainText(/4 × \d+ g/);
});
empty.use({ expectErrors: refusedRequests });

empty.describe("by touch on a phone", () => {
  empty.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  empty("the first minute: a picture is pressed with what was answered", async ({ page }) => {
    await page.getByLabel("How many?").fill("10");
    // What was chosen is taken back again.
    const flour = page.getByRole("button", { name: /^What flour/ });
    for (const one of ["Rye flour", "as is usual for it"]) {
      await flour.tap();
      await page.getByRole("option", { name: one }).tap();
      await expect(flour).toContainText(one);
    }
    await page
      .getByTestId("beginning")
      .getByRole("button", { name: /Letter twice/ })
      .tap();
    await expect(name(page)).toHaveValue("Letter twice");
    await expect(page.getByTestId("makes")).toContainText(/10 × \d+ g/);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});

empty("the beginning has no axe violation and nothing beyond the edge, wide and on a phone", async ({ page }) => {
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  }
});

empty("the demo fills an empty kitchen and is taken out again, back and forth", async ({ empty, page }) => {
  const demo = page.getByTestId("demo").getByRole("button");
  await demo.click();
  const breads = page.getByTestId("shelf").getByRole("listitem");
  await expect(breads).toHaveCount(12);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("questions")).toBeVisible();
  await demo.click();
  await expect(breads).toHaveCount(12);
  await page.goto(`${empty.address}/#/larder/keeping`);
  await expect(demo).toHaveText("Take it out again");
  await demo.click();
  await expect(demo).toHaveText("Fill the kitchen with it");
  await expect(page.getByTestId("toast")).toContainText("The demo is out");
});

test("a batch is made the way of another school once it was seen what changes, and back", async ({ bench, page }) => {
  await bench.pick("Fenugreek triangles");
  await page.getByRole("button", { name: "Another school" }).click();
  const dialog = page.getByTestId("another-school");
  await dialog.getByRole("button", { name: /Roll and coil/ }).click();
  await expect(dialog.locator("[data-differs]").filter({ hasText: "One ball" })).toContainText(/70 g.*100 g/);
  // Seen first: nothing is changed yet.
  await expect(bench.stratum("balls")).toContainText("70 g");
  await dialog.getByRole("button", { name: "Another one" }).click();
  await dialog.getByRole("button", { name: /Half and half again/ }).click();
  await expect(dialog.locator("[data-differs]").filter({ hasText: "One ball" })).toHaveCount(0);
  await dialog.getByRole("button", { name: "Another one" }).click();
  await dialog.getByRole("button", { name: /Roll and coil/ }).click();
  await dialog.getByRole("button", { name: "Make it so" }).click();
  await expect(dialog).toHaveCount(0);
  await expect(bench.stratum("balls")).toContainText("100 g");
  await expect(bench.portion("fenugreek-leaf")).toBeVisible();
  await expect(name(page)).toHaveValue("Fenugreek triangles");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bench.stratum("balls")).toContainText("70 g");
});

test("what is called by its school is called by the new one, and a filling that goes comes back", async ({ bench, page }) => {
  await page.getByRole("button", { name: "New bread", exact: true }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /Stuffed round/ })
    .click();
  await expect(bench.stratum("filling")).toContainText(/\d/);
  await page.getByRole("button", { name: "Another school" }).click();
  await page
    .getByTestId("another-school")
    .getByRole("button", { name: /Letter twice/ })
    .click();
  await page.getByRole("button", { name: "Make it so" }).click();
  await expect(name(page)).toHaveValue("Letter twice");
  await expect(bench.stratum("filling")).toContainText("no filling");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(name(page)).toHaveValue("Stuffed round");
  await expect(bench.stratum("filling")).not.toContainText("no filling");
});
