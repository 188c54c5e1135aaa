import { expect, type Page } from "@playwright/test";
import { type Bench, test } from "./kitchen";

/** On paper, in black and white: nothing is said by a colour, nothing is pale, nothing is cut off. */
const A4 = { width: 703, height: 1032 };

/** What is printed in a colour, or paler than can be copied. */
const pale = (page: Page) =>
  page.evaluate(() => {
    const light = (css: string) => {
      const [r, g, b] = css.match(/[\d.]+/g)!.map(Number) as [number, number, number];
      return { grey: Math.max(r, g, b) - Math.min(r, g, b) <= 2, light: (0.2126 * r + 0.7152 * g + 0.0722 * b) / 255 };
    };
    const found: string[] = [];
    for (const e of document.querySelectorAll<HTMLElement>("main *")) {
      if (!e.checkVisibility() || e.closest(".sr-only")) continue;
      const text = [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
      if (!text) continue;
      const style = getComputedStyle(e);
      const ink = light(e instanceof SVGElement ? style.fill : style.color);
      if (!ink.grey || ink.light > 0.35) found.push(`${e.textContent!.trim().slice(0, 40)}: ${style.color}`);
    }
    return found;
  });

async function printed(bench: Bench, page: Page, bread: string, place: string) {
  await bench.pick(bread);
  await expect(bench.stratum("clock")).toContainText("oldest");
  await page.goto(`${new URL(page.url()).origin}/#/${place}`);
  await page.getByTestId(place).waitFor();
  await page.setViewportSize(A4);
  await page.emulateMedia({ media: "print" });
}

test("the card's words are black, and its bread is drawn in lines: leaves white, fat black, a weld crossed", async ({ bench, page }) => {
  await printed(bench, page, "First-ferry squares", "card");
  expect(await pale(page)).toEqual([]);
  const raw = page.getByTestId("section").first();
  const paint = (what: string, of: "fill" | "stroke") =>
    raw.locator(`[data-${what}]`).evaluateAll((all, of) => [...new Set(all.map((e) => getComputedStyle(e)[of as "fill"]))], of);
  expect(await paint("leaf", "fill")).toEqual(["rgb(255, 255, 255)"]);
  expect(await paint('contact="open"', "stroke")).toEqual(["rgb(0, 0, 0)"]);
  expect(await paint("stitch", "stroke")).toEqual(["rgb(0, 0, 0)"]);
  // The steps keep their numbers: none hangs over the edge of the paper.
  const list = page.getByTestId("card").getByRole("list").last();
  expect((await list.getByRole("listitem").first().boundingBox())!.x).toBeGreaterThan(25);
});

test("a label with much to declare is as high as that takes", async ({ bench, page }) => {
  await printed(bench, page, "Cauliflower and pea rounds", "labels");
  expect(await pale(page)).toEqual([]);
  const cut = await page
    .getByTestId("labels")
    .getByRole("listitem")
    .evaluateAll((all) => all.filter((e) => e.scrollHeight > e.clientHeight + 1).map((e) => e.textContent));
  expect(cut).toEqual([]);
  await expect(page.getByTestId("labels").getByRole("listitem").first()).toContainText(/fine salt, ground spice/);
});

test("the day's sheet says in black and white what clashes, and leaves room to write what is at hand", async ({ page }) => {
  await page.getByRole("link", { name: "Day sheet" }).click();
  await page.getByTestId("goods").waitFor();
  // Paper is narrower at once: no drawing is told of it and drawn anew.
  const wide = await page.getByTestId("day-lanes").evaluate((lanes) => {
    const room = lanes.parentElement!;
    room.style.width = "600px";
    const { width } = lanes.getBoundingClientRect();
    room.style.width = "";
    return width;
  });
  expect(wide).toBeLessThanOrEqual(600);
  await page.setViewportSize(A4);
  await page.emulateMedia({ media: "print" });
  expect(await pale(page)).toEqual([]);
  await expect(page.getByTestId("clashes")).toContainText("▲");
  await expect(page.locator('[data-good="ghee"]')).toContainText("____");
  await expect(page.getByTestId("clashes").getByRole("button")).toHaveCount(0);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(A4.width);
});
