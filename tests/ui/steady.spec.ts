import { startServer } from "./server.mjs";
import { expect, hold, test, whatever } from "./kitchen";

test.use({ expectErrors: /net::ERR_|status of 404/, contextOptions: { reducedMotion: "no-preference" } });

test("while one plan is under way only the newest figures wait, and they win", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  let asked = 0;
  const go = await hold(page, "**/api/plan", () => ++asked === 1);

  for (const pieces of ["10", "11", "12", "13", "14", "15"]) await bench.number("Pieces").fill(pieces);
  await expect.poll(() => asked).toBe(1);
  go();

  await expect(bench.stratum("balls")).toContainText("15 × 80 g");
  expect(asked).toBe(2);
});

test("a reload loses nothing, not even what is not kept yet", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.route("**/api/batches*", (route) => route.abort());
  await bench.set("Pieces", "33");
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "unreachable");
  await page.unroute("**/api/batches*");
  await page.reload();
  await expect(bench.stratum("balls")).toContainText("33 × 80 g");
  await bench.kept();
});

test("a log entry that is not kept yet outlives a reload", async ({ page, kitchen }) => {
  await page.goto(`${kitchen.address}/#/log`);
  await expect(page.getByText("not kept yet")).toHaveCount(0);
  await page.getByRole("textbox", { name: "Note" }).fill("Turned twice.");
  await expect(page.getByText("not kept yet")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Note" })).toHaveValue("Turned twice.");
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("is in the log.")).toBeVisible();
  await expect(page.getByText("not kept yet")).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Note" })).toHaveValue("Turned twice.");
  await expect(page.getByText("not kept yet")).toHaveCount(0);
});

test.describe("a server of its own", () => {
  test.use({ ownServer: true });

  test("with the kitchen gone the figures stay, and are kept when it is back", async ({ bench, page, kitchen }) => {
    await bench.pick("Night-crew squares");
    await bench.set("Pieces", "20");
    await bench.kept();
    await kitchen.stop();
    await bench.set("Pieces", "21");
    await expect(page.getByTestId("keeping")).toContainText("no answer, trying again");
    await expect(bench.number("Pieces")).toHaveValue("21");

    const again = await startServer({ data: kitchen.data, port: Number(new URL(kitchen.address).port) });
    await bench.kept();
    await expect(bench.stratum("balls")).toContainText("21 × 80 g");
    await again.stop();
  });
});

test("the address of a batch leads back to it", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  await bench.set("Pieces", "9");
  await bench.kept();
  await expect(page).toHaveURL(/#\/batch\/[0-9a-f-]{36}$/);
  const address = page.url();
  await page.evaluate(() => localStorage.clear());
  await page.goto("about:blank");
  await page.goto(address);
  await expect(bench.stratum("balls")).toContainText("9 × 43 g");
});

test("a batch deleted under the cook's hands is kept as a new one", async ({ request, bench, page }) => {
  await bench.pick("Landing rounds");
  await bench.set("Pieces", "9");
  await bench.kept();
  const first = page.url();
  await request.delete(first.replace("/#/batch/", "/api/batches/"), { headers: whatever });
  await bench.set("Pieces", "10");
  await expect(page).not.toHaveURL(first);
  await bench.kept();
  await page.reload();
  await expect(bench.stratum("balls")).toContainText("10 × 43 g");
});

test("the pages' files come compressed and are kept for a year", async ({ page, kitchen }) => {
  const script = await page.locator("script[src]").first().getAttribute("src");
  const answer = await page.request.get(`${kitchen.address}${script}`, { headers: { "accept-encoding": "br, gzip" } });
  expect(answer.headers()["cache-control"]).toContain("immutable");
  expect(answer.headers()["content-encoding"]).toMatch(/br|gzip/);
  expect((await page.request.get(kitchen.address)).headers()["cache-control"]).toBe("no-cache");
});

test("an address that leads nowhere says so", async ({ page, kitchen }) => {
  await page.goto(`${kitchen.address}/#/batch`);
  await expect(page.getByText("No batch on the bench")).toBeVisible();
  await page.goto(`${kitchen.address}/#/log/00000000-0000-0000-0000-000000000000`);
  await expect(page.getByText("This entry is not there.")).toBeVisible();
});

test("what a dialog fetches has its room before it comes: what is pressed below stays where it is", async ({ page, kitchen }) => {
  const planned = await hold(page, "**/api/plan");
  await page.getByRole("button", { name: "More for Jug rounds" }).click();
  await page.getByRole("menuitem", { name: "Open at another size" }).click();
  const open = page.getByRole("button", { name: "Open it" });
  const before = await open.boundingBox();
  planned();
  await expect(page.getByTestId("scaled")).toBeVisible();
  expect(await open.boundingBox()).toEqual(before);

  await page.clock.install();
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  await page.getByRole("button", { name: "Back up now" }).click();
  await expect(page.getByTestId("toast")).toContainText("Backed up.");
  const seen = await hold(page, "**/preview");
  await page.getByTestId("backups").getByRole("button", { name: "Look" }).first().click();
  const close = page.getByRole("dialog").getByRole("button", { name: "Close" });
  await expect(page.getByRole("dialog")).toBeVisible();
  const there = await close.boundingBox();
  seen();
  await expect(page.getByTestId("restore-preview")).toBeVisible();
  expect(await close.boundingBox()).toEqual(there);
  // Nor does it move when what was told at the foot of the page goes.
  await page.clock.fastForward("00:11");
  await expect(page.getByTestId("toast")).toHaveCount(0);
  expect(await close.boundingBox()).toEqual(there);
});
