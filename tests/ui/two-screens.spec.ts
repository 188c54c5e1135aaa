import type { APIRequestContext, Browser, Page } from "@playwright/test";
import { Bench, expect, hold, test, whatever, writes } from "./kitchen";

interface Kept {
  id: string;
  name: string;
  spec: { start: { pieces: number }; balls: { mass: number } };
}

test.use({ expectErrors: /ERR_FAILED|status of (404|409|412)/ });

/** Another browser on the same kitchen: a tablet beside the laptop. */
async function tablet(browser: Browser, address: string) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, timezoneId: "UTC" });
  const page = await context.newPage();
  await page.goto(address);
  return { page, bench: new Bench(page) };
}
const batches = async (request: APIRequestContext, address: string) =>
  (await (await request.get(`${address}/api/batches`)).json()) as Kept[];

/** A batch that both screens have on the bench. */
async function shared(bench: Bench, page: Page, browser: Browser) {
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("Shared");
  await bench.kept();
  const other = await tablet(browser, page.url());
  await expect(other.page.getByLabel("Name of the batch")).toHaveValue("Shared");
  return other;
}

const asked = (page: Page) => page.getByTestId("elsewhere");

test("what one screen changes is seen on the other, which keeps its bench", async ({ bench, page, browser }) => {
  const tab = await shared(bench, page, browser);
  await tab.bench.open("Balls");
  await bench.set("Pieces", "31");
  await expect(tab.bench.stratum("balls")).toContainText("31 ×");
  await expect(tab.page.getByRole("heading", { level: 1, name: "Balls" })).toBeVisible();
  await expect(tab.page.getByTestId("toast")).toContainText("Changed on another screen");
  await tab.page.context().close();
});

test("two screens that change different figures of one batch both have their way, and nobody is asked", async ({
  bench,
  page,
  browser,
  kitchen,
  request,
}) => {
  const tab = await shared(bench, page, browser);
  const go = await hold(page, "**/api/batches/*", writes);
  await bench.open("Balls");
  await bench.set("One ball", "90");
  await tab.bench.set("Pieces", "31");
  await tab.bench.kept();
  go();
  for (const b of [bench, tab.bench]) {
    await b.kept();
    await expect(b.stratum("balls")).toContainText("31 × 90 g");
  }
  await expect(asked(page)).toHaveCount(0);
  const { spec } = (await batches(request, kitchen.address)).find((b) => b.name === "Shared")!;
  expect([spec.start.pieces, spec.balls.mass]).toEqual([31, 90]);
  await tab.page.context().close();
});

for (const [button, pieces, names] of [
  ["Take mine", [40], ["Shared"]],
  ["Take theirs", [31], ["Shared"]],
  ["Keep both as two", [31, 40], ["Shared", "Shared, from this screen"]],
] as const) {
  test(`two screens that change the same are asked: ${button}`, async ({ bench, page, browser, kitchen, request }) => {
    const tab = await shared(bench, page, browser);
    const go = await hold(page, "**/api/batches/*", writes);
    await bench.set("Pieces", "40");
    await tab.bench.set("Pieces", "31");
    await tab.bench.kept();
    go();
    await expect(asked(page)).toContainText("Shared was changed on another screen while it was changed here.");
    await expect(asked(page).locator("[data-differs]")).toHaveText(/Dough, Pieces\s*40\s*31/);
    // Put off, it is not forgotten: nothing is overwritten, and it can be settled later.
    await asked(page).getByRole("button", { name: "Later" }).click();
    await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "elsewhere");
    expect((await batches(request, kitchen.address)).find((b) => b.name === "Shared")!.spec.start.pieces).toBe(31);
    await page.getByRole("button", { name: "Settle it" }).click();
    await asked(page).getByRole("button", { name: button }).click();
    await expect(asked(page)).toHaveCount(0);
    await bench.kept();
    const there = await batches(request, kitchen.address);
    expect(names.map((name) => there.filter((b) => b.name === name).map((b) => b.spec.start.pieces))).toEqual(pieces.map((p) => [p]));
    await expect(page.getByLabel("Name of the batch")).toHaveValue(names.at(-1)!);
    await tab.page.context().close();
  });
}

test("what is asked stays where it is when its drawings come", async ({ bench, page, browser }) => {
  const tab = await shared(bench, page, browser);
  const go = await hold(page, "**/api/batches/*", writes);
  await bench.set("Pieces", "40");
  await tab.bench.set("Pieces", "31");
  await tab.bench.kept();
  const drawn = await hold(page, "**/api/plan");
  go();
  const button = asked(page).getByRole("button", { name: "Take mine" });
  await expect(button).toBeVisible();
  const before = await button.boundingBox();
  await expect(asked(page).getByTestId("section")).toHaveCount(0);
  drawn();
  await expect(asked(page).getByTestId("section")).toHaveCount(2);
  expect(await button.boundingBox()).toEqual(before);
  await tab.page.context().close();
});

test("what was changed again while it was on its way is asked about once", async ({ bench, page, browser }) => {
  const tab = await shared(bench, page, browser);
  const go = await hold(page, "**/api/batches/*", writes);
  let sent = 0;
  page.on("request", (r) => r.method() === "PUT" && r.url().includes("/api/batches/") && sent++);
  await bench.set("Pieces", "40");
  await expect.poll(() => sent).toBe(1);
  await tab.bench.set("Pieces", "31");
  await tab.bench.kept();
  await bench.set("Pieces", "41");
  await expect(bench.stratum("balls")).toContainText("41 ×");
  go();
  await expect(asked(page).locator("[data-differs]")).toHaveText(/Dough, Pieces\s*41\s*31/);
  await asked(page).getByRole("button", { name: "Later" }).click();
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "elsewhere");
  expect(sent).toBe(1);
  await page.getByRole("button", { name: "Settle it" }).click();
  await asked(page).getByRole("button", { name: "Take theirs" }).click();
  await bench.kept();
  await expect(bench.stratum("balls")).toContainText("31 ×");
  await tab.page.context().close();
});

test("a batch deleted on another screen is said, and goes on as a new one with its next change", async ({
  bench,
  page,
  kitchen,
  request,
}) => {
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("Shared");
  await bench.kept();
  const address = page.url();
  await request.delete(address.replace("/#/batch/", "/api/batches/"), { headers: whatever });
  await expect(page.getByTestId("toast")).toContainText("Shared was deleted on another screen");
  await bench.set("Pieces", "31");
  await expect(page).not.toHaveURL(address);
  await bench.kept();
  expect((await batches(request, kitchen.address)).filter((b) => b.name === "Shared").map((b) => b.spec.start.pieces)).toEqual([31]);
});

test("a tablet that wakes lays nothing over a night's work", async ({ bench, page, kitchen, request }) => {
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("Shared");
  await bench.kept();
  const { id } = (await batches(request, kitchen.address)).find((b) => b.name === "Shared")!;
  // It falls asleep with a change that it could not bring to the kitchen; the night goes on without it.
  await page.route("**/api/batches/*", (route) => (route.request().method() === "PUT" ? route.abort() : route.continue()));
  await bench.set("Pieces", "40");
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "unreachable");
  await page.goto("about:blank");
  await page.unrouteAll({ behavior: "wait" });
  const there = (await (await request.get(`${kitchen.address}/api/batches/${id}`)).json()) as Kept;
  there.spec.start.pieces = 31;
  await request.put(`${kitchen.address}/api/batches/${id}`, { headers: whatever, data: there });
  await page.goto(`${kitchen.address}/#/`);
  await expect(page.locator("[data-unkept=elsewhere]")).toContainText("changed on another screen too");
  await page.getByRole("link", { name: /Shared/ }).click();
  await expect(asked(page).locator("[data-differs]")).toHaveText(/Dough, Pieces\s*40\s*31/);
  expect((await batches(request, kitchen.address)).find((b) => b.id === id)!.spec.start.pieces).toBe(31);
  await asked(page).getByRole("button", { name: "Take theirs" }).click();
  await expect(bench.number("Pieces")).toHaveValue("31");
  await bench.kept();
});

test("a log entry written on two screens is asked about, and both can be kept", async ({ page, browser, kitchen }) => {
  await page.goto(`${kitchen.address}/#/log`);
  await page.getByRole("textbox", { name: "Note" }).fill("Too pale.");
  const tab = await tablet(browser, `${kitchen.address}/#/log`);
  await tab.page.getByRole("textbox", { name: "Note" }).fill("Just right.");
  await tab.page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(tab.page.getByText("is in the log.")).toBeVisible();
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(asked(page).locator("[data-differs]")).toHaveText(/Note\s*Too pale\.\s*Just right\./);
  await asked(page).getByRole("button", { name: "Keep both as two" }).click();
  await expect(page.getByTestId("log-lines").getByRole("listitem")).toHaveCount(13);
  await tab.page.context().close();
});

test("a log entry changed in two places on two screens is laid together", async ({ page, browser, kitchen, request }) => {
  await page.goto(`${kitchen.address}/#/log`);
  await page.getByRole("textbox", { name: "Note" }).fill("Too pale.");
  const tab = await tablet(browser, `${kitchen.address}/#/log`);
  await tab.bench.number("Salt").fill("17");
  await tab.page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(tab.page.getByText("is in the log.")).toBeVisible();
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("is in the log.")).toBeVisible();
  const { lines } = (await (await request.get(`${kitchen.address}/api/log`)).json()) as { lines: { id: string; note: string }[] };
  const entry = await (await request.get(`${kitchen.address}/api/log/${lines[0]!.id}`)).json();
  expect([entry.outcome.note, entry.outcome.used.salt]).toEqual(["Too pale.", 17]);
  await tab.page.context().close();
});

test("a bread renamed on two screens is asked about; its tags from one and its name from the other are not", async ({
  page,
  browser,
  kitchen,
}) => {
  const edit = async (p: Page, name: string) => {
    await p.getByRole("button", { name: `More for ${name}` }).click();
    await p.getByRole("menuitem", { name: "Name and tags" }).click();
  };
  await edit(page, "Jug rounds");
  await page.getByLabel("Tags, with commas").fill("jug, early");
  const tab = await tablet(browser, `${kitchen.address}/#/`);
  await edit(tab.page, "Jug rounds");
  await tab.page.getByLabel("Name", { exact: true }).fill("Jug pours");
  await tab.page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(tab.page.getByRole("button", { name: "Jug pours", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByRole("button", { name: "Jug pours", exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "early", exact: true })).toBeVisible();

  await edit(page, "Jug pours");
  await page.getByLabel("Name", { exact: true }).fill("Mine");
  await edit(tab.page, "Jug pours");
  await tab.page.getByLabel("Name", { exact: true }).fill("Theirs");
  await tab.page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(tab.page.getByRole("button", { name: "Theirs", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(asked(page).locator("[data-differs]")).toHaveText(/Mine\s*Theirs/);
  await asked(page).getByRole("button", { name: "Take mine" }).click();
  await expect(page.getByRole("button", { name: "Mine", exact: true })).toBeVisible();
  await expect(tab.page.getByRole("button", { name: "Mine", exact: true })).toBeVisible();
  await tab.page.context().close();
});

test("a line of the larder put right on two screens is asked about", async ({ page, browser, kitchen, bench }) => {
  const open = async (p: Page) => p.getByRole("button", { name: /Strong white flour/ }).click();
  await page.goto(`${kitchen.address}/#/larder`);
  await open(page);
  await bench.set("Drinks, medium feel", "66");
  const tab = await tablet(browser, `${kitchen.address}/#/larder`);
  await open(tab.page);
  await tab.bench.set("Drinks, medium feel", "58");
  await tab.page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(tab.page.getByTestId("toast")).toBeVisible();
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(asked(page).locator("[data-differs]")).toHaveText(/66 %\s*58 %/);
  await asked(page).getByRole("button", { name: "Take theirs" }).click();
  await expect(bench.number("Drinks, medium feel")).toHaveValue("58");
  await tab.page.context().close();
});

test("units chosen on two screens are both kept", async ({ page, browser, kitchen }) => {
  await page.goto(`${kitchen.address}/#/larder/cups`);
  const tab = await tablet(browser, `${kitchen.address}/#/larder/cups`);
  const go = await hold(page, "**/api/larder/units", writes);
  await page.getByRole("radio", { name: "°F" }).click();
  await tab.page.getByRole("radio", { name: "Inches" }).click();
  await expect.poll(async () => (await (await page.request.get(`${kitchen.address}/api/larder`)).json()).units.length).toBe("inches");
  go();
  for (const p of [page, tab.page]) for (const unit of ["°F", "Inches"]) await expect(p.getByRole("radio", { name: unit })).toBeChecked();
  await tab.page.context().close();
});

test("what is deleted on one screen is not changed on the other: it is said, and a batch goes on as a new one", async ({
  page,
  bench,
  kitchen,
  request,
}) => {
  const breads = (await (await request.get(`${kitchen.address}/api/breads`)).json()) as Kept[];
  const jug = breads.find((b) => b.name === "Jug rounds")!;
  await page.getByRole("button", { name: "More for Jug rounds" }).click();
  await page.getByRole("menuitem", { name: "Name and tags" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Jug pours");
  await request.delete(`${kitchen.address}/api/breads/${jug.id}`, { headers: whatever });
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByRole("dialog").locator("[data-trouble=missing]")).toContainText("It is not there any more");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Jug rounds", exact: true })).toHaveCount(0);
  await expect(bench.page.getByTestId("shelf").getByRole("heading")).toHaveCount(11);
});

test("a switch of what was learned, turned on both screens, is turned once", async ({ page, browser, kitchen }) => {
  const flour = (p: Page) => p.locator('[data-learned="thirst:flour-white"]').getByRole("switch");
  await page.goto(`${kitchen.address}/#/log/learned`);
  const tab = await tablet(browser, `${kitchen.address}/#/log/learned`);
  await expect(flour(page)).not.toBeChecked();
  const go = await hold(page, "**/api/learned", writes);
  await flour(page).click();
  await flour(tab.page).click();
  await expect(flour(tab.page)).toBeChecked();
  go();
  await expect(flour(page)).toBeChecked();
  await expect(flour(tab.page)).toBeChecked();
  await tab.page.context().close();
});
