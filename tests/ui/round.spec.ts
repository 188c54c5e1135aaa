import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./kitchen";

test.describe("the first time", () => {
  test.use({ firstTime: true });

  test("the bench is shown round by keys alone, once, and again from the keys", async ({ bench, page }) => {
    await bench.pick("Landing rounds");
    const look = page.getByTestId("look-round");
    await expect(look).toContainText("The batch, from dough to table");
    await expect(page.locator("[data-looked-at]")).toHaveAttribute("data-round", "column");
    const { violations } = await new AxeBuilder({ page }).setLegacyMode().include("[data-testid=look-round]").analyze();
    expect(violations.map((v) => v.id)).toEqual([]);
    for (const head of ["The bench", "The bread, cut through", "What to watch", "To the stove"]) {
      await look.getByRole("button", { name: "Next" }).press("Enter");
      await expect(look).toContainText(head);
      await expect(look).toBeInViewport({ ratio: 0.99 });
    }
    await look.getByRole("button", { name: "Done" }).press("Enter");
    await expect(look).toHaveCount(0);
    await expect(page.locator("[data-looked-at]")).toHaveCount(0);
    await page.reload();
    await expect(page.getByRole("heading", { level: 1, name: "Dough" })).toBeVisible();
    await expect(look).toHaveCount(0);

    await page.keyboard.press("?");
    await page.getByRole("button", { name: "Look round the bench" }).click();
    await expect(look).toContainText("The batch, from dough to table");
  });

  test("it can be left at any moment, and the bench can be used meanwhile", async ({ bench, page }) => {
    await bench.pick("Landing rounds");
    const look = page.getByTestId("look-round");
    await expect(look).toBeVisible();
    await bench.open("Balls");
    await expect(look).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(look).toHaveCount(0);
    await page.getByRole("link", { name: /^Shelf/ }).click();
    await bench.pick("Jug rounds");
    await expect(look).toHaveCount(0);
  });

  for (const width of [390, 820])
    test(`on a screen of ${width} px every stop is in sight`, async ({ bench, page }) => {
      await page.setViewportSize({ width, height: 844 });
      await bench.pick("First-ferry squares");
      const look = page.getByTestId("look-round");
      for (let i = 0; i < 5; i++) {
        await expect(look).toContainText(`${i + 1} of 5`);
        await expect(look).toBeInViewport({ ratio: 0.99 });
        await look.getByRole("button", { name: i < 4 ? "Next" : "Done" }).click();
      }
      await expect(look).toHaveCount(0);
    });
});
