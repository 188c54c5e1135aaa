import type { APIRequestContext, Page } from "@playwright/test";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "./kitchen";
import { beyondEdge, cutOff, tour } from "./tour";

/**
 * Pages in two made-up languages. In the one every word is accented and half as long again: what is not was never in a catalogue, and what does not
 * fit is cut off. The other runs from right to left. Places are gone to by address and by mark, since no name is what it was.
 */
const types: Record<string, string> = {
  html: "text/html",
  js: "text/javascript",
  css: "text/css",
  svg: "image/svg+xml",
  woff2: "font/woff2",
};

/** Serves the pages of a language in the place of the kitchen's own. */
async function speak(page: Page, language: string) {
  const folder = join(import.meta.dirname, "../../.build/pages", language);
  await page.route(
    (url) => !/^\/(api|openapi|healthz)/.test(url.pathname),
    async (route) => {
      const path = new URL(route.request().url()).pathname;
      const file = join(folder, path === "/" ? "index.html" : path);
      if (existsSync(file)) await route.fulfill({ path: file, contentType: types[file.split(".").at(-1)!] ?? "application/octet-stream" });
      else await route.fulfill({ status: 404 });
    },
  );
  // The pages that are open are of another language.
  await page.goto("about:blank");
}

/** Words of the kitchen's own: names and notes that cooks gave. What ships in the larder has names in every language. */
async function ofTheKitchen(address: string, request: APIRequestContext): Promise<string> {
  const texts = await Promise.all(
    ["breads", "batches", "log", "scale", "keeping"].map(async (what) => (await request.get(`${address}/api/${what}`)).text()),
  );
  const larder = (await (await request.get(`${address}/api/larder`)).json()) as {
    ingredients: { name: string; note: string; origin: string }[];
    vessels: { name: string }[];
  };
  const own = larder.ingredients.filter((i) => i.origin === "own").map((i) => `${i.name} ${i.note}`);
  // Days and months are the platform's.
  const [days, months] = [7, 12].map((count, i) =>
    Array.from({ length: count }, (_, n) =>
      new Date(2026, i ? n : 0, i ? 1 : n + 1).toLocaleDateString("en", i ? { month: "long" } : { weekday: "long" }),
    ),
  );
  return [...texts, ...own, ...days!, ...months!, ...larder.vessels.map((v) => v.name), "ystrata kcal"].join(" ").toLowerCase();
}

const SIZES = [1280, 390].map((width) => ({ width, height: 800 }));

test("in a language half as long again nothing is cut off and nothing is left of English", async ({ page, kitchen, request }) => {
  test.setTimeout(180_000);
  await speak(page, "xa");
  const known = await ofTheKitchen(kitchen.address, request);
  const found: string[] = [];
  await tour(page, kitchen.address, request, SIZES, async (where) => {
    const english = await page.evaluate(() => {
      const english: string[] = [];
      const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const text = node.textContent ?? "";
        if (node.parentElement?.checkVisibility() && !node.parentElement.closest("kbd") && /[aeiou]/i.test(text)) english.push(text.trim());
      }
      for (const e of document.querySelectorAll("[aria-label], [placeholder], [aria-valuetext]"))
        for (const name of ["aria-label", "placeholder", "aria-valuetext"]) english.push(e.getAttribute(name) ?? "");
      return english;
    });
    for (const text of english)
      for (const word of text.match(/[A-Za-z][a-z]{3,}/g) ?? [])
        if (/[aeiou]/.test(word) && !known.includes(word.toLowerCase())) found.push(`${where}: ${word} in “${text}”`);
    for (const text of await cutOff(page)) found.push(`${where}: cut off “${text}”`);
    for (const what of await beyondEdge(page)) found.push(`${where}: beyond the edge ${what}`);
  });
  expect([...new Set(found)]).toEqual([]);
});

test("in a language from right to left no place is wider than the screen", async ({ page, kitchen, request }) => {
  test.setTimeout(180_000);
  await speak(page, "xb");
  await page.goto(kitchen.address);
  expect(await page.evaluate(() => document.dir)).toBe("rtl");
  const found: string[] = [];
  await tour(page, kitchen.address, request, SIZES, async (where) => {
    for (const what of await beyondEdge(page)) found.push(`${where}: ${what}`);
  });
  expect(found).toEqual([]);
});
