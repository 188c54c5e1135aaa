import { readFileSync } from "node:fs";
import { createServer, get } from "node:http";
import { join } from "node:path";
import { expect, ownLine, test } from "./kitchen";
import { startServer } from "./server.mjs";
import { begin } from "./service";

/** Pages that are kept in the browser: they open while the kitchen is away, and nothing old is taken for new. */
test.use({ serviceWorkers: "allow", ownServer: true, expectErrors: /net::ERR_|Failed to fetch|status of 50/ });

// The browser says when its worker has everything: that is waited for, and not looked for.
const kept = (page: import("@playwright/test").Page) =>
  page.evaluate(async () => {
    const worker = await navigator.serviceWorker.ready;
    if (worker.active?.state !== "activated")
      await new Promise((done) => worker.active?.addEventListener("statechange", done, { once: true }));
    return (await caches.keys()).length;
  });

test("pages open while the kitchen is away and say so, and what they show comes when it is back", async ({ kitchen, page }) => {
  await expect(page.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
  expect(await kept(page)).toBeGreaterThan(0);
  await kitchen.stop();
  await page.reload();
  await expect(page.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
  await expect(page.getByRole("alert")).toContainText("The kitchen does not answer");
  await page.getByRole("link", { name: /^Log/ }).click();
  await expect(page.getByRole("alert").first()).toContainText("The kitchen does not answer");
  await page.getByRole("link", { name: /^Shelf/ }).click();

  const again = await startServer({ data: kitchen.data, port: Number(new URL(kitchen.address).port) });
  await expect(page.getByRole("button", { name: "Nigella coils", exact: true })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole("alert")).toHaveCount(0);
  await again.stop();
});

test("the stove that is opened anew while the kitchen is away goes on with its timers, and its presses wait for it", async ({
  kitchen,
  page,
  request,
}) => {
  await ownLine(page);
  const id = await begin(request, kitchen.address);
  await page.goto(`${kitchen.address}/#/stove/${id}`);
  await expect(page.getByTestId("belt")).toBeVisible();
  expect(await kept(page)).toBeGreaterThan(0);
  await kitchen.stop();
  await page.reload();
  await expect(page.getByTestId("belt")).toBeVisible();
  await page.getByRole("button", { name: /^Done/ }).first().click();

  const again = await startServer({ data: kitchen.data, port: Number(new URL(kitchen.address).port) });
  await expect
    .poll(
      async () =>
        ((await (await request.get(`${kitchen.address}/api/services/${id}`)).json()) as { sheet: { past: unknown[] } }).sheet.past.length,
      {
        timeout: 20_000,
      },
    )
    .toBe(1);
  await again.stop();
});

test("after an update the page says that a newer version is here, and takes it where nothing is lost by it", async ({ kitchen, page }) => {
  expect(await kept(page)).toBeGreaterThan(0);
  // What the kitchen says it is, is another version than the pages are.
  await page.route("**/api/door", async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, json: { ...((await answer.json()) as object), version: "99.0.0" } });
  });
  await page.goto(`${kitchen.address}/#/larder`);
  await page.reload();
  await expect(page.getByText("A newer version of Ystrata is here.")).toBeVisible();
  await page.unroute("**/api/door");
  await page.getByRole("button", { name: "Take it" }).click();
  await expect(page.getByTestId("version")).toHaveText(/Ystrata \d/);
  await expect(page.getByText("A newer version of Ystrata is here.")).toHaveCount(0);
});

test("pages that are kept of one version give way to those of the next, once and for all", async ({ kitchen, page }) => {
  expect(await kept(page)).toBeGreaterThan(0);
  await kitchen.stop();
  // The next version: the same pages under another title, and a worker that knows it, before a kitchen that is else the same.
  const pages = join(import.meta.dirname, "../../src/Web/wwwroot");
  const read = (file: string) => readFileSync(join(pages, file), "utf8");
  const next: Record<string, [string, string]> = {
    "/index.html": ["text/html", read("index.html").replace("<head>", '<head><meta name="generator" content="the next" />')],
    "/sw.js": ["text/javascript", read("sw.js").replace(/(\{"url":"\/index.html","revision":")[^"]+/, "$1next")],
  };
  const again = await startServer({ data: kitchen.data });
  const before = createServer((request, answer) => {
    const [type, text] = next[new URL(request.url!, kitchen.address).pathname.replace(/\/$/, "/index.html")] ?? [];
    if (type) return void answer.writeHead(200, { "content-type": type }).end(text);
    const on = get(again.address + request.url, { method: request.method, headers: request.headers }, (from) => {
      answer.writeHead(from.statusCode!, from.headers);
      from.pipe(answer);
    });
    on.on("error", () => answer.destroy());
  });
  await new Promise<void>((done) => before.listen(Number(new URL(kitchen.address).port), "127.0.0.1", done));

  const generator = page.locator("meta[name=generator]");
  await page.goto(`${kitchen.address}/#/larder`);
  await page.reload();
  // What was kept opens at once; the next is fetched beside it and says so.
  await expect(page.getByText("A newer version of Ystrata is here.")).toBeVisible();
  await page.getByRole("button", { name: "Take it" }).click();
  await expect(generator).toHaveAttribute("content", "the next");
  await expect(page.getByText("A newer version of Ystrata is here.")).toHaveCount(0);
  before.closeAllConnections();
  before.close();
  await again.stop();
  await page.reload();
  await expect(generator).toHaveAttribute("content", "the next");
});

test("it can be laid on a tablet's own screen", async ({ kitchen, page, request }) => {
  const link = await page.locator("link[rel=manifest]").getAttribute("href");
  const manifest = (await (await request.get(kitchen.address + link)).json()) as {
    icons: { src: string; sizes: string }[];
    display: string;
  };
  expect(manifest.display).toBe("standalone");
  for (const icon of manifest.icons) expect((await request.get(kitchen.address + icon.src)).status()).toBe(200);
  // What the kitchen answers is kept nowhere but where the program says so.
  expect(await kept(page)).toBeGreaterThan(0);
  const urls = await page.evaluate(async () => {
    const all: string[] = [];
    for (const name of await caches.keys()) for (const one of await (await caches.open(name)).keys()) all.push(new URL(one.url).pathname);
    return all;
  });
  expect(urls).toContain("/index.html");
  expect(urls.filter((url) => url.startsWith("/api"))).toEqual([]);
});
