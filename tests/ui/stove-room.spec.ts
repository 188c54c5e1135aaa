import { expect, test } from "./kitchen";
import { begin, openStove, pan } from "./service";

/** What is due leads at the stove, and all of it stands on one page of any screen. */

test("long before the first piece the pans are one line, and each pair of hands has its own", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address, { people: 2, pans: 4 });
  await page.goto(`${kitchen.address}/#/stove/${id}`);
  const line = page.getByTestId("pans-line");
  await expect(line).toContainText("4 pans");
  await expect(line).toContainText(/first piece at \d\d:\d\d/);
  await expect(line).toContainText("6 pieces to come");
  await expect(page.locator("[data-pan]")).toHaveCount(0);
  const hands = (number: number) => page.getByRole("region", { name: new RegExp(`^Hands ${number}`) });
  await expect(hands(1).getByTestId("hands-now")).toHaveText("Mix the dough");
  await expect(hands(1).getByTestId("hands-how")).toContainText("Rub in");
  await expect(hands(2)).toBeVisible();

  // The second pair takes this screen for itself.
  await page.getByRole("button", { name: "Hands 2", exact: true }).click();
  await expect(hands(1)).toHaveCount(0);
  await expect(hands(2)).toBeVisible();
  await page.reload();
  await expect(hands(2)).toBeVisible();
  await expect(hands(1)).toHaveCount(0);

  // When it is gone the screen is there for all hands.
  await page.getByTestId("in-hand").click();
  await page.getByRole("button", { name: "One pair of hands less" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("region", { name: /^Hands/ })).toHaveCount(1);
});

for (const [width, height] of [
  [1280, 800],
  [820, 1180],
  [390, 844],
] as const)
  test(`six pans, their times and what is next stand on one page of ${width} by ${height}`, async ({ page, kitchen, request }) => {
    await page.setViewportSize({ width, height });
    await openStove(page, kitchen, await begin(request, kitchen.address, { pieces: 12, people: 2, pans: 6 }));
    await expect(page.locator("[data-pan]")).toHaveCount(6);
    expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(height);
    const boxes = await page
      .locator("[data-pan] .disc, [data-pan] .count b, [data-pan] button, .hands-press button:visible")
      .evaluateAll((all) =>
        all.map((e) => {
          const { left, top, right, bottom } = e.getBoundingClientRect();
          return { what: e.textContent!.trim() || e.className.toString(), left, top, right, bottom };
        }),
      );
    expect(boxes.length).toBeGreaterThan(20);
    for (const box of boxes) {
      expect.soft(box.bottom, box.what).toBeLessThanOrEqual(height);
      expect.soft(box.right, box.what).toBeLessThanOrEqual(width);
    }
    // Nothing lies over anything else.
    const over = boxes.filter((a, i) =>
      boxes.some((b, j) => i !== j && a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1),
    );
    expect(over.map((b) => b.what)).toEqual([]);
    // What is on a pan is read from two metres.
    await pan(page, 1).getByRole("button", { name: /^Lay/ }).click();
    const time = pan(page, 1).locator(".count b");
    await expect(time).toHaveText(/^\d:\d\d$/);
    expect(await time.evaluate((e) => parseFloat(getComputedStyle(e).fontSize))).toBeGreaterThan(width < 500 ? 28 : 44);
  });
