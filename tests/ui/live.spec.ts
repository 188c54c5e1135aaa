import type { Page } from "@playwright/test";
import { Bench, expect, ownLine, test } from "./kitchen";
import { begin, openStove, pan, showPans } from "./service";

test.use({ expectErrors: /status of 503|ERR_FAILED/ });

const room = async (page: Page, address: string) =>
  ((await (await page.request.get(`${address}/api/live/room`)).json()) as { open: number; most: number }).open;

/** What a browser tells a page whose tab goes behind another one, or comes back. */
const hide = (page: Page, hidden: boolean) =>
  page.evaluate((hidden) => {
    Object.defineProperty(document, "hidden", { value: hidden, configurable: true });
    Object.defineProperty(document, "visibilityState", { value: hidden ? "hidden" : "visible", configurable: true });
    document.dispatchEvent(new Event("visibilitychange"));
  }, hidden);

test("eight tabs with scale, probe and stove have one line, and the kitchen still answers all of them", async ({
  page,
  context,
  kitchen,
  request,
}) => {
  const id = await begin(request, kitchen.address);
  await openStove(page, kitchen, id);
  const tabs = [page];
  for (let n = 0; n < 7; n++) {
    const tab = await context.newPage();
    await tab.goto(`${kitchen.address}/#/stove/${id}`);
    tabs.push(tab);
  }
  for (const tab of tabs) await expect(tab.getByTestId("belt")).toBeVisible();
  expect(await room(page, kitchen.address)).toBe(1);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  for (const tab of tabs) await expect(pan(tab, 1).getByRole("button", { name: /^Turn/ })).toBeVisible();
  // All of them at once: a line a tab would have taken every connection that a browser opens to one kitchen.
  const answers = await Promise.all(tabs.map((tab) => tab.evaluate(async () => (await fetch("/api/breads")).status)));
  expect(answers).toEqual(tabs.map(() => 200));
  for (const tab of tabs.slice(1)) await tab.close();
});

test("a tab that comes later to a line that was opened anew hears the scale as the first does", async ({ bench, context, kitchen }) => {
  const toScale = async (b: Bench) => {
    await b.pick("Night-crew squares");
    await b.open("Balls");
    await b.page.getByRole("tab", { name: "Divide" }).click();
    await expect(b.page.getByTestId("scale-state")).toHaveAttribute("data-state", "ready");
  };
  await toScale(bench);
  const later = await context.newPage();
  await later.goto(`${kitchen.address}/#/`);
  await toScale(new Bench(later));
  await later.close();
});

test("presses that were left by a page that is gone are sent from any place", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await page.evaluate(
    ([service, at]) => {
      const body = { id: crypto.randomUUID(), act: "laid", pan: 0, place: 0, bread: 0, number: 1 };
      localStorage.setItem(`ystrata.press.2.${service}.${body.id}`, JSON.stringify({ service, body, at: Number(at) }));
    },
    [id, Date.now()] as const,
  );
  await page.reload();
  const past = async () =>
    (
      (await (await request.get(`${kitchen.address}/api/services/${id}`)).json()) as { sheet: { past: { event: { act: string } }[] } }
    ).sheet.past.map((p) => p.event.act);
  await expect.poll(past).toEqual(["laid"]);
});

test("a hidden tab lets its line go, and hears what it missed when it shows", async ({ page, bench, kitchen, request }) => {
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("Shared");
  await bench.kept();
  await expect.poll(() => room(page, kitchen.address)).toBe(1);
  await hide(page, true);
  await expect.poll(() => room(page, kitchen.address)).toBe(0);
  const address = page.url().replace("/#/batch/", "/api/batches/");
  const there = await (await request.get(address)).json();
  there.spec.start.pieces = 31;
  await request.put(address, { headers: { "If-Match": "*" }, data: there });
  await hide(page, false);
  await expect(bench.stratum("balls")).toContainText("31 ×");
});

test("a browser without shared workers has a line of its own, and a ball that lies on the scale while it breaks is taken once", async ({
  page,
  bench,
  kitchen,
}) => {
  await ownLine(page);
  await page.reload();
  await bench.pick("Night-crew squares");
  await bench.open("Balls");
  await page.getByRole("tab", { name: "Divide" }).click();
  await page.getByText("The stand-in scale").click();
  await page.getByRole("button", { name: "Put a ball on" }).click();
  await expect(page.getByTestId("tray").locator("[data-ball]")).toHaveCount(1);
  await hide(page, true);
  await expect.poll(() => room(page, kitchen.address)).toBe(0);
  await hide(page, false);
  await expect(page.getByTestId("scale-state")).toHaveText(/At rest|steady/i);
  await page.getByRole("button", { name: "Take it off" }).click();
  await expect(page.getByTestId("reading")).toHaveText(/^-?0 g$/);
  await expect(page.getByTestId("tray").locator("[data-ball]")).toHaveCount(1);
});

test("a screen too many is told so, works on, and listens once there is room", async ({ page, bench, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await page.goto("about:blank");
  await expect.poll(() => room(page, kitchen.address)).toBe(0);
  // Each answer is held: one that is let go of is hung up by the collector.
  const others = await Promise.all(
    Array.from({ length: 120 }, async () => {
      const gone = new AbortController();
      return { gone, answer: await fetch(`${kitchen.address}/api/live`, { signal: gone.signal }) };
    }),
  );
  await page.goto(`${kitchen.address}/#/`);
  await bench.pick("Night-crew squares");
  await expect(page.getByTestId("line")).toHaveAttribute("data-line", "full");
  await page.goto(`${kitchen.address}/#/stove/${id}`);
  await expect(page.getByTestId("unheard")).toContainText("Too many screens listen");
  await showPans(page);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeVisible();
  expect(others.every((o) => o.answer.ok)).toBe(true);
  for (const { gone } of others) gone.abort();
  await expect(page.getByTestId("unheard")).toHaveCount(0, { timeout: 20_000 });
});
