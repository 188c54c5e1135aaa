import type { APIRequestContext, Page } from "@playwright/test";
import { type Bench, expect, test, whatever } from "./kitchen";
import { startServer } from "./server.mjs";

interface Kept {
  name: string;
  spec: { start: { pieces: number }; fold: { steps: object[] } };
}

const shelf = (page: Page) => page.getByRole("link", { name: "Shelf", exact: true }).click();
/** Pieces of the batches the kitchen got from these tests, by name. */
async function kept(request: APIRequestContext, address: string, names: string[]) {
  const all = (await (await request.get(`${address}/api/batches`)).json()) as Kept[];
  return names.map((name) => all.filter((b) => b.name === name).map((b) => b.spec.start.pieces));
}
async function change(bench: Bench, page: Page, bread: string, name: string, pieces: string) {
  await bench.pick(bread);
  await page.getByLabel("Name of the batch").fill(name);
  await bench.set("Pieces", pieces);
}

test("a batch that is being kept while another one is opened stays its own", async ({ bench, page, kitchen, request }) => {
  let go: () => void = () => {};
  const held = new Promise<void>((resolve) => (go = resolve));
  let asked = 0;
  await page.route("**/api/batches", async (route) => {
    if (route.request().method() === "POST" && asked++ === 0) await held;
    await route.continue();
  });
  await change(bench, page, "Night-crew squares", "First", "33");
  await expect.poll(() => asked).toBe(1);
  await shelf(page);
  await change(bench, page, "Landing rounds", "Second", "9");
  await bench.kept();
  go();
  await expect.poll(() => kept(request, kitchen.address, ["First", "Second"])).toEqual([[33], [9]]);
  await expect(page.getByLabel("Name of the batch")).toHaveValue("Second");
  await bench.set("Pieces", "10");
  await bench.kept();
  expect(await kept(request, kitchen.address, ["First", "Second"])).toEqual([[33], [10]]);
});

test("a batch changed a moment before another one is opened is kept", async ({ bench, page, kitchen, request }) => {
  await change(bench, page, "Night-crew squares", "First", "33");
  await shelf(page);
  await bench.pick("Landing rounds");
  await expect.poll(() => kept(request, kitchen.address, ["First", "Landing rounds"])).toEqual([[33], expect.not.arrayContaining([33])]);
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "new");
});

test("an answer that is lost on its way makes no second batch", async ({ bench, page, kitchen, request }) => {
  let lost = 0;
  await page.route("**/api/batches", async (route) => {
    if (route.request().method() === "POST" && lost++ === 0) {
      await route.fetch();
      await route.abort();
    } else await route.continue();
  });
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("Only");
  // What is changed once it was sent, and before the kitchen is known to have it, is no other screen's.
  await expect.poll(() => lost).toBe(1);
  await bench.set("Pieces", "33");
  await bench.kept();
  expect(await kept(request, kitchen.address, ["Only"])).toEqual([[33]]);
});

test.use({
  expectErrors: /net::ERR_|status of (400|409|412|500)/,
});

test("what is refused is kept here, listed on the shelf, and opens as it was left", async ({ bench, page }) => {
  await change(bench, page, "Night-crew squares", "Too few", "0");
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "refused");
  await shelf(page);
  await bench.pick("Landing rounds");
  await shelf(page);
  await page.reload();
  await expect(page.locator("[data-unkept=refused]")).toContainText("Too few");
  await page.getByRole("link", { name: /Too few/ }).click();
  await expect(page.getByLabel("Name of the batch")).toHaveValue("Too few");
  await bench.set("Pieces", "12");
  await bench.kept();
  await shelf(page);
  await expect(page.locator("[data-unkept]")).toHaveCount(0);
});

test("undo goes to the batch it belongs to, and leaves the one on the bench alone", async ({ bench, page, kitchen, request }) => {
  await bench.pick("First-ferry squares");
  await page.getByLabel("Name of the batch").fill("First");
  await bench.open("Fold");
  const steps = (await bench.steps()).length;
  await bench.step(1).press("Delete");
  await bench.kept();
  await shelf(page);
  await bench.pick("Landing rounds");
  await page.getByRole("button", { name: "Undo" }).click();
  const first = async () =>
    ((await (await request.get(`${kitchen.address}/api/batches`)).json()) as Kept[]).find((b) => b.name === "First")!.spec.fold.steps
      .length;
  await expect.poll(first).toBe(steps);
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "new");
});

test("a shelf that cannot be fetched is not an empty one, and comes when the kitchen answers", async ({ page }) => {
  await expect(page.getByTestId("shelf").getByRole("heading")).toHaveCount(12);
  await page.route("**/api/breads", (route) => route.fulfill({ status: 500 }));
  await page.reload();
  await expect(page.locator("[data-trouble=fault]")).toContainText("The kitchen stumbled over that");
  await expect(page.getByText("The shelf is empty")).toHaveCount(0);
  await page.unrouteAll({ behavior: "wait" });
  await expect(page.getByTestId("shelf").getByRole("heading")).toHaveCount(12);
  await expect(page.locator("[data-trouble]")).toHaveCount(0);
});

test("what was kept is not sent again by a reload, over what another screen changed since", async ({ bench, page, request }) => {
  await change(bench, page, "Night-crew squares", "First", "33");
  await bench.kept();
  const address = page.url().replace("/#/batch/", "/api/batches/");
  const there = (await (await request.get(address)).json()) as Kept & Record<string, unknown>;
  await request.put(address, {
    headers: whatever,
    data: { ...there, spec: { ...there.spec, start: { ...there.spec.start, pieces: 44 } } },
  });
  await page.reload();
  await expect(bench.stratum("balls")).toContainText("44 ×");
  await bench.set("Pieces", "45");
  await bench.kept();
  expect(((await (await request.get(address)).json()) as Kept).spec.start.pieces).toBe(45);
});

test("two tabs have a bench each", async ({ bench, page, context, kitchen }) => {
  await change(bench, page, "Night-crew squares", "First", "33");
  await bench.kept();
  const other = await context.newPage();
  await other.goto(`${kitchen.address}/#/`);
  await other.getByRole("button", { name: "Landing rounds", exact: true }).click();
  await other.getByLabel("Name of the batch").fill("Second");
  await expect(other.getByTestId("keeping")).toHaveAttribute("data-keeping", "kept");
  await page.goto(`${kitchen.address}/#/batch`);
  await page.reload();
  await expect(page.getByLabel("Name of the batch")).toHaveValue("First");
  await other.close();
});

for (const how of ["full", "forbidden"] as const) {
  test(`with the browser's storage ${how} a bread opens, is changed and kept`, async ({ bench, page, kitchen, request }) => {
    await page.addInitScript((how) => {
      const no = () => {
        throw new DOMException("no", how === "full" ? "QuotaExceededError" : "SecurityError");
      };
      Storage.prototype.setItem = no;
      if (how === "forbidden") for (const store of ["localStorage", "sessionStorage"]) Object.defineProperty(window, store, { get: no });
    }, how);
    await page.reload();
    await change(bench, page, "Night-crew squares", "First", "33");
    await bench.kept();
    await expect(page.getByTestId("keeping")).toContainText("this browser keeps nothing for itself");
    expect(await kept(request, kitchen.address, ["First"])).toEqual([[33]]);
  });
}

test.describe("a kitchen that dies and returns", () => {
  test.use({ ownServer: true });

  test("gets three batches that were changed meanwhile, each one once", async ({ bench, page, kitchen, request }) => {
    await page.route("**/api/batches", (route) => (route.request().method() === "POST" ? route.abort() : route.continue()));
    for (const [bread, name, pieces] of [
      ["Night-crew squares", "First", "31"],
      ["Landing rounds", "Second", "32"],
      ["Jug rounds", "Third", "33"],
    ] as const) {
      await bench.pick(bread);
      await page.getByLabel("Name of the batch").fill(name);
      await page.getByRole("radio", { name: "Pieces", exact: true }).click();
      await bench.set("Pieces", pieces);
      await shelf(page);
    }
    await expect(page.locator("[data-unkept]")).toHaveCount(3);
    await kitchen.stop("SIGKILL");
    await page.unrouteAll({ behavior: "wait" });
    const again = await startServer({ data: kitchen.data, port: Number(new URL(kitchen.address).port) });
    await expect(page.locator("[data-unkept]")).toHaveCount(0, { timeout: 20_000 });
    expect(await kept(request, again.address, ["First", "Second", "Third"])).toEqual([[31], [32], [33]]);
    await again.stop();
  });
});
