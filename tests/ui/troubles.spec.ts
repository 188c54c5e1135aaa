import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./kitchen";

/** Every failure is told where it happened: an empty list, a kitchen that is away and one that stumbles look different. */
test.use({ expectErrors: /ERR_FAILED|status of (404|5\d\d)/ });

const places: [place: string, path: string, asked: string, empty: RegExp][] = [
  ["the shelf", "/", "**/api/breads", /The shelf is empty/],
  ["the log", "/log", "**/api/log", /Nothing in the log|first cooking/],
  ["trends", "/log/trends", "**/api/log/trends", /Nothing taken yet/],
  ["what was learned", "/log/learned", "**/api/learned", /Nothing learned/],
  ["backups", "/larder/keeping", "**/api/keeping", /Nothing in the trash/],
  ["the stove", "/stove", "**/api/services", /Nothing is on the stove/],
  ["the larder itself", "/larder", "**/api/larder", /Nothing is called/],
];

for (const [place, path, asked, empty] of places) {
  test(`a kitchen that stumbles, or is away, is said on ${place}, and what is there comes when it is back`, async ({ page, kitchen }) => {
    for (const kind of ["fault", "away"] as const) {
      // The kitchen is back with the press: what a page asks by itself before it still goes wrong.
      let back = false;
      // What the page before asked for is not asked of this one.
      await page.goto("about:blank");
      await page.route(asked, async (route) => {
        back ||= await page.evaluate(() => document.documentElement.hasAttribute("data-pressed"));
        if (back) await route.continue();
        else await (kind === "fault" ? route.fulfill({ status: 500 }) : route.abort());
      });
      await page.goto(`${kitchen.address}/#${path}`);
      const told = page.locator(`main [data-trouble=${kind}]`).first();
      await expect(told).toContainText(kind === "fault" ? "The kitchen stumbled" : "The kitchen does not answer");
      await expect(page.getByText(empty)).toHaveCount(0);
      const { violations } = await new AxeBuilder({ page }).setLegacyMode().include("[data-trouble]").analyze();
      expect(violations.map((v) => v.id)).toEqual([]);
      await page.evaluate(() =>
        addEventListener("click", () => document.documentElement.setAttribute("data-pressed", ""), { capture: true }),
      );
      await told.getByRole("button", { name: "Try again" }).click();
      await expect(page.locator("[data-trouble]")).toHaveCount(0);
    }
  });
}

test("a delete that was not done is not said to be, and the thing is still there", async ({ page }) => {
  const shelf = page.getByTestId("shelf").getByRole("listitem");
  await expect(shelf).toHaveCount(12);
  await page.route("**/api/breads/*", (route) =>
    route.request().method() === "DELETE" ? route.fulfill({ status: 500 }) : route.continue(),
  );
  await page.getByRole("button", { name: "More for Beet quarters" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(page.getByTestId("toast")).toContainText("Delete Beet quarters: not done. The kitchen stumbled over that");
  await expect(page.getByText("is deleted")).toHaveCount(0);
  await expect(shelf).toHaveCount(12);
  // It stays until it is closed.
  await page.getByTestId("toast").getByRole("button", { name: "Close" }).click();
  await expect(page.getByTestId("toast")).toHaveCount(0);
});

test("after a lost request the units can be changed as before, and what was not kept is not shown", async ({ page, kitchen }) => {
  await page.goto(`${kitchen.address}/#/larder/cups`);
  await page.route("**/api/larder/units", (route) => route.abort());
  await page.getByRole("radio", { name: "°F" }).click();
  await expect(page.getByTestId("toast")).toContainText("not done. The kitchen does not answer");
  await expect(page.getByRole("radio", { name: "°C" })).toBeChecked();
  await page.unrouteAll({ behavior: "wait" });
  const kept = page.waitForResponse((answer) => answer.url().endsWith("/api/larder/units") && answer.ok());
  await page.getByRole("radio", { name: "Inches" }).click();
  await expect(page.getByRole("radio", { name: "Inches" })).toBeChecked();
  await kept;
  await page.reload();
  await expect(page.getByRole("radio", { name: "Inches" })).toBeChecked();
});

test("a kitchen that stumbles over a plan is said on the bench, and the press is not dead", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.route("**/api/plan", (route) => route.fulfill({ status: 500 }));
  await bench.number("Pieces").fill("31");
  await expect(page.locator("[data-trouble=fault]")).toBeVisible();
  await page.unrouteAll({ behavior: "wait" });
  await expect(bench.stratum("balls")).toContainText("31 ×");
  await expect(page.locator("[data-trouble]")).toHaveCount(0);
});

test("a clock, a card and labels that cannot be worked out say why, and come when the kitchen is back", async ({
  bench,
  page,
  kitchen,
}) => {
  await bench.pick("Night-crew squares");
  await page.route("**/api/clock", (route) => route.fulfill({ status: 500 }));
  await bench.open("Balls");
  await bench.set("One ball", "90");
  await bench.open("Clock");
  await expect(page.locator("[data-trouble=fault]")).toBeVisible();
  await page.unrouteAll({ behavior: "wait" });
  await expect(page.locator("[data-trouble]")).toHaveCount(0);

  for (const [place, asked] of [
    ["card", "**/api/plan"],
    ["labels", "**/api/plan"],
    ["labels", "**/api/packets"],
    ["timetable", "**/api/clock"],
  ]) {
    await page.route(asked!, (route) => route.abort());
    await page.goto(`${kitchen.address}/#/${place}`);
    await page.reload();
    await expect(page.locator("[data-trouble=away]")).toBeVisible();
    await page.unrouteAll({ behavior: "wait" });
    await page.getByRole("button", { name: "Try again" }).click();
    await expect(page.locator("[data-trouble]")).toHaveCount(0);
  }
});

test("an undo, a copy and a backup that fail are said to have failed", async ({ page, kitchen }) => {
  await page.getByRole("button", { name: "More for Beet quarters" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await page.route("**/restore", (route) => route.fulfill({ status: 500 }));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("toast")).toContainText("Undo: not done");
  await page.route("**/api/breads", (route) => (route.request().method() === "POST" ? route.fulfill({ status: 500 }) : route.continue()));
  await page.getByRole("button", { name: "More for Jug rounds" }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  await expect(page.getByTestId("toast")).toContainText("Jug rounds: not done");
  await page.route("**/api/keeping/backups", (route) => route.fulfill({ status: 500 }));
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  await page.getByRole("button", { name: "Back up now" }).click();
  await expect(page.getByTestId("toast")).toContainText("Back up now: not done");
});

test("what could not be kept can be thrown away, and taken back", async ({ bench, page }) => {
  await page.route("**/api/batches", (route) => (route.request().method() === "POST" ? route.abort() : route.continue()));
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("Never mind");
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await expect(page.locator("[data-unkept=unreachable]")).toContainText("Never mind");
  await page.getByRole("button", { name: "Throw away what was not kept: Never mind" }).click();
  await expect(page.locator("[data-unkept]")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.locator("[data-unkept]")).toContainText("Never mind");
});
