import type { Page } from "@playwright/test";
import { expect, test } from "./kitchen";
import { beyondEdge, cutOff, tour } from "./tour";

/** What a checker does not find: where the keys are, what is said and when, and what is left at twice the size. */
const atMain = (page: Page) => page.evaluate(() => document.activeElement?.tagName);

test("title and focus follow the place", async ({ bench, page }) => {
  await expect(page).toHaveTitle("Shelf · Ystrata");
  await page.getByRole("link", { name: /^Log/ }).click();
  await expect(page).toHaveTitle("Log · Ystrata");
  await expect.poll(() => atMain(page)).toBe("MAIN");
  await page.getByRole("link", { name: /^Shelf/ }).click();
  await bench.pick("Nigella coils");
  await expect(page).toHaveTitle("Nigella coils · Ystrata");
  // What was pressed is gone with the shelf it stood on.
  await expect.poll(() => atMain(page)).toBe("MAIN");
});

test("a way back stays until it is taken, by a key as well", async ({ page }) => {
  await page.clock.install();
  await page.getByRole("button", { name: "More for Beet quarters" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(page.getByTestId("toast")).toContainText("Beet quarters is deleted.");
  await page.clock.runFor(120_000);
  await expect(page.getByRole("button", { name: "Beet quarters", exact: true })).toHaveCount(0);
  await page.keyboard.press("u");
  await expect(page.getByRole("button", { name: "Beet quarters", exact: true })).toBeVisible();
  await expect(page.getByTestId("toast")).toHaveCount(0);
});

test("the menu gives the keys back to the button that opened it, and a dialog to nobody else meanwhile", async ({ page }) => {
  const more = page.getByRole("button", { name: "More for Jug rounds" });
  await more.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("menuitem", { name: "Open at another size" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(more).toBeFocused();
  await page.keyboard.press("Enter");
  await page.getByRole("menuitem", { name: "Name and tags" }).press("Enter");
  const dialog = page.getByRole("dialog");
  await expect(dialog.locator(":focus")).toHaveCount(1);
  await page.keyboard.press("Escape");
  await expect(dialog).toHaveCount(0);
});

test("that a change is kept is not said at each change; that it is not kept is", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  const said: string[] = [];
  await page.exposeFunction("heard", (text: string) => said.push(text));
  await page.evaluate(() => {
    const live = () => [...document.querySelectorAll("[role=status], [aria-live]")].map((e) => e.textContent.trim()).join("|");
    let before = live();
    new MutationObserver(() => {
      const now = live();
      if (now !== before) void (globalThis as unknown as { heard: (text: string) => void }).heard(now);
      before = now;
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  await bench.set("Pieces", "31");
  await bench.kept();
  expect(said.filter((text) => /keeping|kept/.test(text))).toEqual([]);
});

test.describe("a batch that is not kept", () => {
  test.use({ expectErrors: /ERR_FAILED|Failed to load/ });
  test("is said to be", async ({ bench, page }) => {
    await bench.pick("Landing rounds");
    await bench.set("Pieces", "31");
    await bench.kept();
    await page.route("**/api/batches/**", (route) => route.abort());
    await bench.set("Pieces", "32");
    await expect(page.getByRole("status").filter({ hasText: "not kept: no answer" })).toHaveCount(1);
  });
});

// At twice the size, and with text spaced as WCAG 1.4.12 has it.
const TWICE = { width: 640, height: 400 };
const SPACED = { width: 1280, height: 800 };
const SPACING =
  "* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; } p { margin-bottom: 2em !important; }";

test("at twice the size and with text spaced wide nothing is cut off", async ({ page, kitchen, request }) => {
  test.setTimeout(180_000);
  const found: string[] = [];
  await tour(page, kitchen.address, request, [TWICE, SPACED], async (where, size) => {
    // No style tag is let in; a sheet that a script makes is.
    await page.evaluate(
      async (text) => {
        const sheet = new CSSStyleSheet();
        sheet.replaceSync(text);
        document.adoptedStyleSheets = [sheet];
        await new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn)));
      },
      size === SPACED ? SPACING : "",
    );
    for (const text of await cutOff(page)) found.push(`${where}: “${text}”`);
    for (const what of await beyondEdge(page)) found.push(`${where}: beyond the edge ${what}`);
    for (const text of await beyondReach(page)) found.push(`${where}: out of reach “${text}”`);
  });
  expect([...new Set(found)]).toEqual([]);
});

/** Controls that no scrolling brings into sight. */
const beyondReach = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const lost: string[] = [];
    for (const e of document.querySelectorAll<HTMLElement>("button, a[href], input, [role=tab], [role=radio], [role=slider]")) {
      if (!e.checkVisibility() || e.closest(".sr-only, [inert]")) continue;
      e.scrollIntoView({ block: "center", inline: "center" });
      const { left, top, width, height } = e.getBoundingClientRect();
      if (width < 2 || height < 2) continue;
      if (left + width / 2 < 0 || left + width / 2 > innerWidth || top + height / 2 < 0 || top + height / 2 > innerHeight)
        lost.push(e.getAttribute("aria-label") ?? e.textContent?.trim() ?? e.tagName);
    }
    return lost;
  });

test("a floury finger finds every control, wide and on a phone", async ({ page, kitchen, request }) => {
  test.setTimeout(180_000);
  const found: string[] = [];
  await tour(
    page,
    kitchen.address,
    request,
    [1280, 390].map((width) => ({ width, height: 800 })),
    async (where) => {
      const small = await page.evaluate(() =>
        [
          ...document.querySelectorAll<HTMLElement>(
            "body :is(button, a[href], input, select, textarea, [role=tab], [role=radio], [role=checkbox])",
          ),
        ]
          // A link in a sentence is read there, and goes by its line.
          .filter((e) => e.checkVisibility() && !e.closest(".sr-only, p, li > a") && getComputedStyle(e).display !== "inline")
          .map((e) => {
            // A small box that is pressed by its label, or through a larger one laid around it, is as large as that.
            const around = e.closest("label") ?? e;
            const box = around.getBoundingClientRect();
            const [before, after] = ["::before", "::after"].map((part) => getComputedStyle(e, part));
            const [w, h] = (["width", "height"] as const).map((side) =>
              Math.max(box[side], ...[before, after].map((reach) => parseFloat(reach![side]) || 0)),
            ) as [number, number];
            return { name: e.getAttribute("aria-label") || e.textContent?.trim() || e.outerHTML.slice(0, 200), w, h };
          })
          .filter(({ w, h }) => w > 1 && h > 1 && (h < 43.5 || w < 43.5))
          .map(({ name, w, h }) => `${name} (${Math.round(w)} × ${Math.round(h)})`),
      );
      for (const one of small) found.push(`${where}: ${one}`);
    },
  );
  expect([...new Set(found.map((f) => f.replace(/^[^:]*: /, "")))]).toEqual([]);
});

test.describe("at twice the size", () => {
  // 1280 by 800 at 200 %.
  test.use({ viewport: { width: 640, height: 400 }, deviceScaleFactor: 2 });
  test("every dialog is scrolled through and closed", async ({ page }) => {
    const close = page.getByRole("dialog").getByRole("button", { name: "Close", exact: true });
    await page.keyboard.press("?");
    await close.click();
    await page.getByRole("button", { name: "New bread", exact: true }).click();
    await close.click();
    await page.getByRole("button", { name: "Paste a recipe" }).click();
    await close.click();
    await page.getByRole("button", { name: "More for Jug rounds" }).click();
    await page.getByRole("menuitem", { name: "Open at another size" }).click();
    await close.click();
    await expect(page.getByRole("dialog")).toHaveCount(0);
  });
});
