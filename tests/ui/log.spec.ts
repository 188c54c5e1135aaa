import type { APIRequestContext, Page } from "@playwright/test";
import { expect, refusedRequests, test } from "./kitchen";

interface Line {
  id: string;
  name: string;
  batchId: string;
}

async function lines(request: APIRequestContext, address: string, query = ""): Promise<Line[]> {
  return ((await (await request.get(`${address}/api/log${query}`)).json()) as { lines: Line[] }).lines;
}

async function openLog(page: Page, address: string, path = "") {
  await page.goto(`${address}/#/log${path}`);
  await expect(page.getByRole("heading", { level: 1, name: "Log" })).toBeVisible();
}

const logLines = (page: Page) => page.getByTestId("log-lines").locator("li:has(a)");

test("the log is found by word, bread, flour and fault, and read as a table", async ({ bench, page, kitchen }) => {
  await openLog(page, kitchen.address);
  await expect(page.getByTestId("log-count")).toHaveText("12 cookings");
  await page.getByLabel("Find in the log").fill("FERRY");
  await expect(logLines(page)).toHaveCount(2);
  await page.getByLabel("Find in the log").fill("");
  await bench.choose("Fault", "Stiff");
  await expect(logLines(page)).toHaveCount(1);
  await expect(logLines(page)).toContainText("Landing rounds");
  await bench.choose("Bread", "Nigella coils");
  await expect(page.getByText("Nothing in the log is like that.")).toBeVisible();
  await bench.choose("Fault", "Any fault");
  await expect(logLines(page)).toHaveCount(2);

  await page.getByRole("link", { name: "Table" }).click();
  await expect(page.getByTestId("log-table").locator("tbody tr")).toHaveCount(2);
  await bench.choose("Bread", "Any bread");
  await bench.choose("Flour", "Strong white flour");
  await expect(page.getByTestId("log-table").locator("tbody tr")).toHaveCount(2);
  const first = page.getByTestId("log-table").getByRole("link").first();
  const name = await first.innerText();
  await first.click();
  await expect(page.getByLabel("Entry in the log")).toBeVisible();
  await expect(page.getByRole("form")).toContainText(name);
});

test("a fault is picked, its cause is convicted, and the change lies on the next batch", async ({ page, kitchen, bench, request }) => {
  const [ferry] = await lines(request, kitchen.address, "?find=first-ferry&fault=noLayers");
  await openLog(page, kitchen.address, `/${ferry!.id}`);
  const layers = page.getByTestId("symptoms").getByRole("button", { name: "No layers" });
  await expect(layers).toHaveAttribute("aria-pressed", "true");
  const cause = page.locator('[data-cause="fusedContacts"]');
  await expect(cause).toContainText("2 of 8 contacts weld");
  await expect(cause).toContainText("very likely");
  await expect(cause).toContainText("become one leaf");

  // What nothing explains is said so.
  await page.getByTestId("symptoms").getByRole("button", { name: "Too salty" }).click();
  await expect(page.locator('[data-complaint="tooSalty"]')).toContainText("Nothing in the figures explains");
  await page.getByTestId("symptoms").getByRole("button", { name: "Nothing" }).click();
  await expect(page.getByTestId("complaints")).toHaveCount(0);
  await layers.click();

  await cause.getByRole("button", { name: /Next time/ }).click();
  await expect(page.getByLabel("Name of the batch")).toHaveValue("First-ferry squares");
  await expect(bench.stratum("fold")).toContainText("9 leaves");
  await expect(page.getByText("First-ferry squares for next time is on the bench.")).toBeVisible();
});

test("what was poured otherwise convicts the hand and not the plan", async ({ page, kitchen, request }) => {
  const [squares] = await lines(request, kitchen.address, "?find=night-crew");
  await openLog(page, kitchen.address, `/${squares!.id}`);
  const liquid = page.getByLabel("Liquid", { exact: true });
  await liquid.fill("520");
  await page.getByTestId("symptoms").getByRole("button", { name: "Stiff" }).click();
  const cause = page.locator('[data-cause="doughStiff"]');
  await expect(cause).toContainText("it was made otherwise");
  await expect(cause.getByRole("button", { name: "Make it again as planned" })).toBeVisible();
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("Night-crew squares is in the log.")).toBeVisible();
  await expect(logLines(page).first()).toContainText("Stiff");
});

test.describe("where something is refused", () => {
  test.use({ expectErrors: refusedRequests });

  test("two cookings stand side by side, what matters on top", async ({ page, kitchen }) => {
    await openLog(page, kitchen.address);
    await page
      .getByRole("checkbox", { name: /^Compare Night-crew squares/ })
      .first()
      .check();
    await page
      .getByRole("checkbox", { name: /^Compare First-ferry squares/ })
      .first()
      .check();
    await page.getByRole("link", { name: "Compare 2" }).click();
    const table = page.getByTestId("compared-cookings");
    await expect(table.locator("thead a")).toHaveText(["Night-crew squares", "First-ferry squares"]);
    const rows = table.locator("tbody").first().locator("[data-figure]");
    await expect(rows.filter({ hasText: "Hydration" })).toHaveCount(1);
    await expect(table).toContainText("Alike, or nearly so");
    await page.goto(`${kitchen.address}/#/log/compare/00000000-0000-0000-0000-000000000000,00000000-0000-0000-0000-000000000001`);
    await expect(page.getByText("One of these is not there any more.")).toBeVisible();
  });
});

test("what the record says is used in plans when the cook says so, and there is a way back", async ({ page, kitchen, request }) => {
  const plain = ((await (await request.get(`${kitchen.address}/api/larder`)).json()) as { plain: { dough: object } }).plain;
  const spec = { ...plain, dough: { ...plain.dough, waterBy: "feel" } };
  const hydration = async () =>
    ((await (await request.post(`${kitchen.address}/api/plan`, { data: spec })).json()) as { dough: { water: { hydration: number } } })
      .dough.water.hydration;
  const before = await hydration();

  await openLog(page, kitchen.address, "/learned");
  const flour = page.locator('[data-learned="thirst:flour-white"]');
  await expect(flour).toContainText("cookings, spread");
  await flour.getByRole("switch").click();
  await expect(page.getByText("Plans use it from now on.")).toBeVisible();
  expect(await hydration()).toBeGreaterThan(before + 0.3);
  await flour.getByRole("switch").press("Space");
  await expect(page.getByText("Plans are back to the larder's figure.")).toBeVisible();
  expect(await hydration()).toBeCloseTo(before, 6);

  await flour.getByRole("button", { name: /Begin anew/ }).click();
  await expect(flour).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(flour).toHaveCount(1);
});

test("trends are drawn and said", async ({ page, kitchen }) => {
  await openLog(page, kitchen.address, "/trends");
  await expect(page.getByRole("img", { name: /Thirst: water over plan: \d+ cookings, .* newest/ })).toBeVisible();
  await expect(page.getByRole("img", { name: /Leaves planned, leaves judged: \d+ cookings/ })).toBeVisible();
  await expect(page.getByText("Nothing taken yet that would draw this.")).toHaveCount(1);
});

test.describe("where something is refused", () => {
  test.use({ expectErrors: refusedRequests });

  test("a photo is made small and kept; what is no photo is refused in words", async ({ page, kitchen, request }) => {
    const [first] = await lines(request, kitchen.address, "?find=drinks%20more");
    await openLog(page, kitchen.address, `/${first!.id}`);
    const png = await page.evaluate(() => {
      const canvas = document.createElement("canvas");
      [canvas.width, canvas.height] = [2400, 1200];
      canvas.getContext("2d")!.fillRect(0, 0, 1200, 1200);
      return canvas.toDataURL("image/png").split(",")[1]!;
    });
    const photo = page.getByTestId("photo");
    await photo
      .locator("input[type=file]")
      .setInputFiles({ name: "../../bread.png", mimeType: "image/png", buffer: Buffer.from("<svg onload=alert(1)>") });
    await expect(photo.getByRole("alert")).toContainText("PNG, JPEG or WebP");
    await photo.locator("input[type=file]").setInputFiles({ name: "bread.png", mimeType: "image/png", buffer: Buffer.from(png, "base64") });
    const image = photo.getByRole("img");
    await expect(image).toBeVisible();
    expect(await image.evaluate((i: HTMLImageElement) => [i.naturalWidth, i.naturalHeight])).toEqual([160, 80]);
    await page.getByRole("button", { name: "Keep the entry" }).click();
    await page.reload();
    await expect(photo.getByRole("img")).toBeVisible();
    await photo.getByRole("button", { name: "Take the photo out" }).click();
    await expect(photo.getByText("Add a photo")).toBeVisible();
  });
});

test("after a stove run the entry knows pieces, losses and times", async ({ page, kitchen, request }) => {
  const [squares] = await lines(request, kitchen.address, "?find=night-crew");
  const batch = (await (await request.get(`${kitchen.address}/api/batches/${squares!.batchId}`)).json()) as Record<string, never>;
  const kept = await request.post(`${kitchen.address}/api/batches`, { data: { ...batch, id: null, madeFor: new Date().toISOString() } });
  const batchId = ((await kept.json()) as Line).id;
  const service = await request.post(`${kitchen.address}/api/services`, { data: { batchId } });
  const id = ((await service.json()) as Line).id;
  let clock = 0;
  for (const event of [
    { act: "laid", number: 1 },
    { act: "turned", ahead: 50 },
    { act: "turned", ahead: 70 },
    { act: "lifted", ahead: 40 },
    { act: "laid", number: 2 },
    { act: "dropped", number: 2 },
    { act: "heat", value: 221 },
  ]) {
    const { ahead = 0, ...press } = event;
    clock += ahead;
    if (ahead) kitchen.ahead(clock);
    const answer = await request.post(`${kitchen.address}/api/services/${id}/events`, {
      data: { id: crypto.randomUUID(), pan: 0, place: 0, bread: 0, ...press },
    });
    expect(answer.status(), await answer.text()).toBe(200);
  }
  await openLog(page, kitchen.address, `/new/${batchId}`);
  await expect(page.getByLabel("Pieces", { exact: true })).toHaveValue("1");
  await expect(page.getByLabel("Lost", { exact: true })).toHaveValue("1");
  await expect(page.getByLabel("Pan, when it goes on")).toHaveValue("221");
  for (const [side, least] of [
    ["First side", 50],
    ["Second side", 70],
    ["Last side", 40],
  ] as const) {
    const value = Number(await page.getByLabel(side, { exact: true }).inputValue());
    expect(value).toBeGreaterThanOrEqual(least - 1);
    expect(value).toBeLessThanOrEqual(least + 10);
  }
});

test("the colour a face reached is read off its photo: the white touched, then the face", async ({ page, kitchen, request }) => {
  const [squares] = await lines(request, kitchen.address, "?find=best%20so%20far");
  await openLog(page, kitchen.address, `/${squares!.id}`);
  const said = page.getByTestId("colour-first");
  await expect(said).toContainText("planned gold");
  const kept = await said.innerText();
  await page.getByRole("button", { name: "Leave out: First face" }).click();
  await expect(said).toHaveCount(0);

  await page.getByRole("button", { name: "Read its colour" }).click();
  const photo = page.getByRole("button", { name: /arrows move it/ });
  await photo.locator("img").evaluate((img: HTMLImageElement) => img.decode());
  const { width, height } = (await photo.boundingBox())!;
  const touch = (x: number, y: number) => photo.click({ position: { x: width * x, y: height * y } });
  await touch(175 / 800, 0.5);
  await expect(page.getByText("Now touch the face.")).toBeVisible();
  await touch(420 / 800, 0.5);
  // The page reads what the drawing was made with.
  await expect(said).toHaveText(kept);

  // The table is not white, and is said so; nothing is learned from that.
  await touch(0.05, 0.5);
  await touch(420 / 800, 0.5);
  await expect(page.getByTestId("colour-trouble")).toBeVisible();
  await expect(said).toHaveCount(0);

  // By keys alone: white, then face, each moved by the arrows.
  await photo.focus();
  await page.keyboard.press("Enter");
  for (let i = 0; i < 3; i++) await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Enter");
  await expect(said).toHaveText(kept);
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("not kept yet")).toHaveCount(0);
  await page.reload();
  await expect(said).toHaveText(kept);
});

test("a photo in shadow says so, and three good ones teach the pan its pace of browning", async ({ page, kitchen, request }) => {
  const [beet] = await lines(request, kitchen.address, "?find=cooked%20the%20puree");
  await openLog(page, kitchen.address, `/${beet!.id}`);
  await expect(page.getByTestId("colour-trouble")).toContainText("A shadow lies across the face");
  await page.getByRole("link", { name: "Learned" }).click();
  await expect(page.locator('[data-learned^="browning"]').first()).toContainText("How fast it browns");
});

test.describe("weighed", () => {
  test.use({ expectErrors: refusedRequests });

  test("a piece weighed before and after teaches how much the pan drives off", async ({ page, kitchen, request }) => {
    const [squares] = await lines(request, kitchen.address, "?find=best%20so%20far");
    await openLog(page, kitchen.address, `/${squares!.id}`);
    await page.getByLabel("A piece, raw").fill("88");
    await page.getByLabel("The same, roasted").fill("500");
    await page.getByRole("button", { name: "Keep the entry" }).click();
    await expect(page.getByText("From 1 g to 106 g.").first()).toBeVisible();
    await page.getByLabel("The same, roasted").fill("78");
    await page.getByRole("button", { name: "Keep the entry" }).click();
    await expect(page.getByText("not kept yet")).toHaveCount(0);
    await page.getByRole("link", { name: "Learned" }).click();
    await expect(page.locator('[data-learned^="steam"]')).toContainText("counts from 3 on");
  });
});
