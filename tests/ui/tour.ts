import { type APIRequestContext, expect, type Page } from "@playwright/test";
import { begin } from "./service";

const STAGES = ["dough", "rest", "balls", "sheet", "fold", "filling", "roll", "pan", "clock"];

export interface Size {
  width: number;
  height: number;
}

/**
 * Every place, and every part of every bench, each looked at in every size; what is pressed to get there is pressed in the size that was last.
 */
export async function tour(
  page: Page,
  address: string,
  request: APIRequestContext,
  sizes: Size[],
  look: (where: string, size: Size) => Promise<void>,
) {
  // A place has settled once nothing it asked is unanswered and that is drawn.
  const asked = new Set<object>();
  const plain = (request: { url(): string }) => request.url().includes("/api/") && !request.url().includes("/api/live");
  page.on("request", (r) => plain(r) && asked.add(r));
  for (const done of ["requestfinished", "requestfailed"] as const) page.on(done as "requestfinished", (r) => asked.delete(r));
  const settle = async () => {
    await expect
      .poll(async () => {
        await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn))));
        return asked.size;
      })
      .toBe(0);
    await page.locator("main :is(h1, h2)").first().waitFor();
  };
  const lookAt = async (where: string) => {
    for (const size of sizes) {
      await page.setViewportSize(size);
      await settle();
      await look(`${where}, ${size.width} px`, size);
    }
  };
  const [batch] = (await (await request.get(`${address}/api/batches`)).json()) as { id: string; madeFor: string }[];
  const service = await begin(request, address);
  const paths = [
    "",
    "log",
    "log/table",
    "log/trends",
    "log/learned",
    "larder",
    "larder/cups",
    "larder/keeping",
    "larder/screens",
    "stove",
    `stove/${service}`,
    "trust",
    `day/${batch!.madeFor.slice(0, 10)}`,
  ];
  for (const path of paths) {
    await page.goto(`${address}/#/${path}`);
    await lookAt(path || "shelf");
  }
  await page.goto(`${address}/#/batch/${batch!.id}`);
  await page.locator('[data-stage="clock"] [data-figures]').waitFor();
  for (const stage of STAGES) {
    const stratum = page.locator(`[data-stage="${stage}"]`);
    if ((await stratum.count()) === 0) continue;
    await stratum.click();
    await settle();
    const tabs = page.locator("[role=tabpanel] [role=tab]");
    for (let i = 0; i < Math.max(await tabs.count(), 1); i++) {
      if ((await tabs.count()) > 0) await tabs.nth(i).click();
      await lookAt(`${stage} ${i}`);
    }
  }
  for (const path of ["card", "timetable", "labels"]) {
    await page.goto(`${address}/#/${path}`);
    await lookAt(path);
  }
}

/** What of the page's words is cut off, or wider than the screen. */
export const cutOff = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const cut: string[] = [];
    for (const e of document.querySelectorAll<HTMLElement>("body *")) {
      const style = getComputedStyle(e);
      const text = [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
      const meant = style.textOverflow === "ellipsis" || style.webkitLineClamp !== "none" || e.closest(".sr-only, svg");
      const sideways = style.overflowX === "hidden" && e.scrollWidth > e.clientWidth + 1;
      if (text && !meant && e.clientWidth > 1 && sideways) cut.push(e.textContent!.trim());
    }
    return cut;
  });

/** What goes beyond the screen's edge, or has to be scrolled sideways where it is only meant to be scrolled down. */
export const beyondEdge = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const beyond: string[] = [];
    const page = document.documentElement.scrollWidth - innerWidth;
    if (page > 0) beyond.push(`the page, by ${page} px`);
    for (const e of document.querySelectorAll<HTMLElement>("body *")) {
      const over = e.scrollWidth - e.clientWidth;
      // What is meant to be scrolled sideways says so; strata and the belt lie side by side on a narrow screen.
      if (over <= 1 || e.matches("[class*=overflow-x-auto], [class*=overflow-auto], [role=tablist], [data-testid=belt]")) continue;
      if (!["auto", "scroll"].includes(getComputedStyle(e).overflowX)) continue;
      beyond.push(`${e.getAttribute("aria-label") ?? e.className}, by ${over} px`);
    }
    return beyond;
  });
