import { readFileSync } from "node:fs";
import type { Download, Page } from "@playwright/test";
import Ajv2020 from "ajv/dist/2020.js";
import { expect, refusedRequests, test, whatever } from "./kitchen";
import { startServer } from "./server.mjs";

const text = async (download: Download) => readFileSync((await download.path())!, "utf8");
const file = (name: string, content: string, mimeType = "application/json") => ({ name, mimeType, buffer: Buffer.from(content) });

async function save(page: Page, press: () => Promise<unknown>): Promise<Download> {
  const [download] = await Promise.all([page.waitForEvent("download"), press()]);
  return download;
}

/** A kitchen's file but for the moment it was made. */
const records = (kitchen: string) => kitchen.split("\n").slice(1).join("\n");

test("cooked at the stove, logged, its fault found and put right, and all of it in another kitchen", async ({
  page,
  kitchen,
  bench,
  request,
}) => {
  test.slow();
  // At the stove: a piece goes on and comes off.
  await bench.pick("First-ferry squares");
  await bench.open("Clock");
  await page.getByRole("button", { name: "To the stove" }).click();
  await page.waitForURL(/stove\/./);
  const service = /stove\/([^/?]+)/.exec(page.url())![1];
  const press = (body: object) =>
    request.post(`${kitchen.address}/api/services/${service}/events`, {
      data: { id: crypto.randomUUID(), pan: 0, place: 0, bread: 0, number: 1, ...body },
    });
  for (const act of ["laid", "turned", "turned", "lifted"]) {
    expect((await press({ act })).ok()).toBe(true);
    kitchen.ahead(60 * (["laid", "turned", "turned", "lifted"].indexOf(act) + 1));
  }
  expect((await press({ act: "end" })).ok()).toBe(true);

  // In the log, without typing what the stove knows.
  const batches = (await (await request.get(`${kitchen.address}/api/batches`)).json()) as { id: string; name: string }[];
  await page.goto(`${kitchen.address}/#/log/new/${batches[0]!.id}`);
  await expect(page.getByLabel("Pieces", { exact: true })).toHaveValue("1");
  await page.getByTestId("symptoms").getByRole("button", { name: "No layers" }).click();
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("First-ferry squares is in the log.")).toBeVisible();

  // Its fault found, the change laid on the next.
  await page
    .locator('[data-cause="fusedContacts"]')
    .getByRole("button", { name: /Next time/ })
    .click();
  await expect(page.getByLabel("Name of the batch")).toHaveValue("First-ferry squares");
  await page.getByLabel("Name of the batch").fill("First-ferry squares, more ghee");
  await bench.kept();

  // Out as a file…
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  const saved = await save(page, () => page.getByRole("link", { name: "Save the kitchen" }).click());
  expect(saved.suggestedFilename()).toMatch(/^ystrata-kitchen-\d{4}-\d\d-\d\d\.json$/);
  const whole = await text(saved);

  // …and into a kitchen in which there is nothing.
  const other = await startServer({ demo: false });
  try {
    await page.goto(`${other.address}/#/larder/keeping`);
    await page.getByLabel("Take a file in").setInputFiles(file("kitchen.json", whole));
    const dialog = page.getByRole("dialog");
    await expect(dialog.getByTestId("file-preview").locator("tr", { hasText: "Breads" })).toContainText("12");
    await dialog.getByRole("button", { name: /^Take in \d/ }).click();
    await expect(page.getByText(/records taken in/)).toBeVisible();
    expect(records(await (await request.get(`${other.address}/api/files/kitchen`)).text())).toBe(records(whole));
    for (const path of ["breads", "batches", "log", "larder", "learned"]) {
      expect(await (await request.get(`${other.address}/api/${path}`)).text(), path).toBe(
        await (await request.get(`${kitchen.address}/api/${path}`)).text(),
      );
    }
    await page.goto(`${other.address}/#/log`);
    await expect(page.getByTestId("log-count")).toHaveText("13 cookings");
  } finally {
    // The page goes before its server does.
    await page.goto(`${kitchen.address}/#/`);
    await other.stop();
    other.clear();
  }
});

test("what the kitchen writes keeps to the schema it publishes, and one bread as well", async ({ kitchen, request }) => {
  const schema = (await (await request.get(`${kitchen.address}/formats/kitchen.schema.json`)).json()) as object;
  const valid = new Ajv2020({ strict: false, allErrors: true, validateFormats: false }).compile(schema);
  const breads = (await (await request.get(`${kitchen.address}/api/breads`)).json()) as { id: string }[];
  for (const path of ["kitchen", `breads/${breads[0]!.id}`]) {
    const document = (await (await request.get(`${kitchen.address}/api/files/${path}`)).json()) as { records: { kind: string }[] };
    expect(valid(document), JSON.stringify(valid.errors?.slice(0, 3))).toBe(true);
    // And the schema can say no.
    const bread = document.records.find((r) => r.kind === "bread") as unknown as { bread: { spec: { pan: { colour: string } } } };
    bread.bread.spec.pan.colour = "purple";
    expect(valid(document)).toBe(false);
  }
});

test("a bread is saved from the shelf and found again after it was changed", async ({ page, kitchen, bench, request }) => {
  await page.getByRole("button", { name: "More for Nigella coils" }).click();
  const saved = await save(page, () => page.getByRole("menuitem", { name: "Save as a file" }).click());
  expect(saved.suggestedFilename()).toBe("ystrata-nigella-coils.json");
  const whole = await text(saved);

  const breads = (await (await request.get(`${kitchen.address}/api/breads`)).json()) as { id: string; name: string; spec: object }[];
  const coils = breads.find((b) => b.name === "Nigella coils")!;
  await request.put(`${kitchen.address}/api/breads/${coils.id}`, {
    headers: whatever,
    data: { name: "Coils, spoilt", about: "", tags: [], spec: coils.spec },
  });
  await page.reload();
  await page.getByLabel("From a file").setInputFiles(file("coils.json", whole));
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("Nothing in it is new, and what is different stays.");
  await dialog.getByRole("radio", { name: "becomes as in the file" }).click();
  await dialog.getByRole("button", { name: "Take in 1" }).click();
  await expect(page.getByRole("button", { name: "Nigella coils", exact: true })).toBeVisible();
  await bench.pick("Nigella coils");
});

const recipe = JSON.stringify({
  "@context": "https://schema.org",
  "@type": "Recipe",
  name: "Leek rounds of the night ferry",
  recipeYield: "8 rounds",
  recipeIngredient: ["400 g atta", "1 cup water", "1 tbsp ghee", "1 tsp salt", "2 tbsp flour", "a handful of sorrel"],
  recipeInstructions: ["Let it rest for 30 minutes.", "Cook on a hot pan."],
});

test("a recipe from elsewhere is settled line by line and put on the shelf, by keyboard alone", async ({ page, bench }) => {
  await page.getByLabel("From a file").setInputFiles(file("leek.jsonld", recipe, "application/ld+json"));
  const dialog = page.getByRole("dialog");
  const lines = dialog.getByTestId("recipe-lines").getByRole("listitem");
  await expect(lines.nth(0)).toContainText("✓ 400 g");
  await expect(dialog).toContainText("✓ Rest 30 min");
  await expect(dialog).toContainText("2 to settle");
  const keep = dialog.getByRole("button", { name: "Put on the shelf" });
  await expect(keep).toBeDisabled();

  // "flour" could be any of them.
  await dialog.getByLabel("What “2 tbsp flour” is").focus();
  await page.keyboard.type("Rye flour");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(dialog).toContainText("1 to settle");
  await lines.nth(5).getByRole("button", { name: "Leave out" }).focus();
  await page.keyboard.press("Enter");
  await expect(keep).toBeEnabled();
  await keep.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("Leek rounds of the night ferry is on the shelf.")).toBeVisible();
  await bench.pick("Leek rounds of the night ferry");
  await expect(bench.grams("flour-atta")).toHaveValue("400 g");
});

test.describe("pasted", () => {
  test.use({ expectErrors: refusedRequests });

  test("a recipe is pasted as somebody wrote it, what is open is settled with a press, and it is on the shelf", async ({ page, bench }) => {
    await page.getByRole("button", { name: "Paste a recipe" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByTestId("pasted").fill("How are you?");
    await dialog.getByRole("button", { name: "Read it" }).click();
    await expect(dialog.getByRole("alert")).toContainText("no recipe");
    await dialog
      .getByTestId("pasted")
      .fill(
        "Dill rounds\nMakes 6\n- 2 cups flour, plus extra for dusting\n- 3/4 cup water, or as needed\n- 1 tsp salt\n- a handful of dill, chopped\n\nMethod\nRest 20 minutes. Roll to 7 inches. Cook 1-2 minutes each side.",
      );
    await dialog.getByRole("button", { name: "Read it" }).click();
    const lines = dialog.getByTestId("recipe-lines").getByRole("listitem");
    await expect(lines).toHaveCount(4);
    await expect(dialog).toContainText("Each side, turned once: 1 min 30 s");
    // The commonest flour stands there already: one press.
    await expect(lines.first().getByRole("button", { name: /White wheat flour$/ })).toBeVisible();
    await lines.first().getByRole("button", { name: "So it is" }).click();
    await dialog.getByRole("button", { name: "Put on the shelf" }).click();
    await bench.pick("Dill rounds");
    // Cups nobody has said the filling of are asked about where they matter.
    await expect(page.locator('[data-note="cupsUnsaid"]')).toBeVisible();
  });
});

test("a bread is saved as a recipe with its steps in words, and read again decision by decision", async ({ page, request, kitchen }) => {
  await page.getByRole("button", { name: "More for Cabbage moons" }).click();
  const saved = await save(page, () => page.getByRole("menuitem", { name: "Save as a recipe" }).click());
  const written = await text(saved);
  const document = JSON.parse(written) as { "@type": string; recipeIngredient: string[]; recipeInstructions: { text: string }[] };
  expect(document["@type"]).toBe("Recipe");
  expect(document.recipeIngredient.join("\n")).toContain("Cabbage, for the filling");
  expect(document.recipeInstructions.at(-1)!.text).toContain("Pan at");

  const read = (await (await request.post(`${kitchen.address}/api/files/recipes`, { data: { file: written } })).json()) as { spec: object };
  const breads = (await (await request.get(`${kitchen.address}/api/breads`)).json()) as { name: string; spec: object }[];
  expect(read.spec).toEqual(breads.find((b) => b.name === "Cabbage moons")!.spec);
});

test("packets get their labels: how many, until when, what is in them; eight on a page", async ({ page, bench }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("link", { name: "Card" }).click();
  await page.getByRole("link", { name: "Packet labels" }).click();
  const labels = page.getByTestId("labels").getByRole("listitem");
  await expect(labels).toHaveCount(6);
  await expect(labels.first()).toContainText("4 pieces");
  await expect(labels.first()).toContainText("Straight from the freezer. Pan at");
  await expect(labels.first()).toContainText("Contains: gluten, wheat, milk");
  await bench.setDay("Made on", new Date("2026-11-26"));
  await page.keyboard.press("Enter");
  await expect(labels.first()).toContainText("Use by 25 Jan 2027");
  await page.getByRole("radio", { name: "Cooked, in the fridge" }).click();
  await expect(labels.first()).toContainText("Use by 29 Nov 2026");
  await bench.set("Pieces a packet", "2");
  await expect(labels).toHaveCount(12);
  const pdf = (await page.pdf({ format: "A4" })).toString("latin1");
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(2);
});

test("weights of another scale are read onto the tray, and taken back", async ({ page, bench }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Balls");
  await page.getByRole("tab", { name: "Divide" }).click();
  await page.getByLabel("Read a CSV").setInputFiles(file("tray.csv", "number,weighed_g\n1,79.5\n2,84\n", "text/csv"));
  await expect(page.getByText("2 balls laid on the tray.")).toBeVisible();
  await expect(page.getByTestId("tray").locator("[data-ball]")).toHaveCount(2);
  const saved = await text(await save(page, () => page.getByRole("button", { name: "Save as CSV" }).click()));
  expect(saved.split("\r\n").slice(0, 3)).toEqual([
    "number,wanted_g,weighed_g,off_g",
    expect.stringMatching(/^1,[\d.]+,79\.5,/),
    expect.stringMatching(/^2,[\d.]+,84,/),
  ]);
  await page.getByLabel("Read a CSV").setInputFiles(file("tray.csv", "weighed_g\n-3\nheavy\n", "text/csv"));
  await expect(page.getByRole("alert")).toContainText("Nothing of this file is taken.");
  await expect(page.locator("[data-line]")).toHaveCount(2);
  await expect(page.getByTestId("tray").locator("[data-ball]")).toHaveCount(2);
});

test("the log is put right in a table and read again", async ({ page, kitchen, request }) => {
  const csv = await (await request.get(`${kitchen.address}/api/log/export`)).text();
  await page.goto(`${kitchen.address}/#/log`);
  await page.getByRole("button", { name: "Import" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Choose a CSV file").setInputFiles(file("log.csv", csv, "text/csv"));
  await expect(dialog).toContainText("Everything in it is already so.");
  await dialog.getByLabel("Choose a CSV file").setInputFiles(file("log.csv", csv.replace("Best so far.", "Best of all."), "text/csv"));
  await dialog.getByRole("button", { name: "Take all 1" }).click();
  await expect(page.getByText("The log has taken 1 line.")).toBeVisible();
  await expect(page.getByTestId("log-lines")).toContainText("Best of all.");
});

test.describe("files of something else", () => {
  test.use({ expectErrors: refusedRequests });

  for (const [name, content, words] of [
    ["words", "no kitchen at all", "of something else"],
    ["another program", '{"format":"their-kitchen","version":1,"records":[]}', "of something else"],
    ["another version", '{"format":"ystrata-kitchen","version":9,"records":[]}', "newer version"],
    ["cut short", '{"format":"ystrata-kitchen","version":1,"records":[\n{"kind":"units"', "cut short in line 2"],
    ["nothing", "", "of something else"],
    ["deep", `{"format":"ystrata-kitchen","version":1,"records":[\n${"[".repeat(9000)}`, "cut short in line 2"],
  ] as const) {
    test(`${name}: refused in words`, async ({ page, kitchen }) => {
      await page.goto(`${kitchen.address}/#/larder/keeping`);
      await page.getByLabel("Take a file in").setInputFiles(file("../../etc/kitchen.json", content));
      await expect(page.getByRole("dialog").getByRole("alert")).toContainText(words);
      await page.getByRole("dialog").getByRole("button", { name: "Close" }).click();
      await expect(page.getByRole("dialog")).toHaveCount(0);
    });
  }

  test("bad lines are told with their reason and nothing is taken", async ({ page, kitchen, request }) => {
    const whole = await (await request.get(`${kitchen.address}/api/files/kitchen`)).text();
    await page.goto(`${kitchen.address}/#/larder/keeping`);
    await page.getByLabel("Take a file in").setInputFiles(file("kitchen.json", whole.replace('"hydration":58', '"hydration":9000')));
    const dialog = page.getByRole("dialog");
    await expect(dialog.getByRole("alert")).toContainText("1 line cannot be taken");
    await expect(dialog.locator("[data-line]")).toContainText("hydration: From 20 % to 500 %");
    await expect(dialog.getByRole("button", { name: /^Take in/ })).toHaveCount(0);
  });

  test("a packet of no pieces, of thousands or of a word is refused, and what stood there stays", async ({ page, bench }) => {
    await bench.pick("Night-crew squares");
    await page.getByRole("link", { name: "Card" }).click();
    await page.getByRole("link", { name: "Packet labels" }).click();
    const labels = page.getByTestId("labels").getByRole("listitem");
    await expect(labels).toHaveCount(6);
    for (const wrong of ["0", "-4", "1000", "four"]) {
      await bench.set("Pieces a packet", wrong);
      await expect(page.locator(".refusal").first(), wrong).toBeVisible();
      await expect(labels, "what stood there stays").toHaveCount(6);
    }
  });

  for (const [name, content, words] of [
    ["a web page without one", "<html><body>Bread</body></html>", "no recipe in this file"],
    ["half a file", '{"@type":"Recipe",', "cut short"],
    ["too big a file", " ".repeat(950_000), "0.9 MB"],
  ] as const) {
    test(`no recipe, ${name}: said in words`, async ({ page, kitchen }) => {
      await page.goto(`${kitchen.address}/#/`);
      await page.getByLabel("From a file").setInputFiles(file("recipe.jsonld", content));
      await expect(page.getByRole("dialog").getByRole("alert")).toContainText(words);
    });
  }
});

test("reading can be stopped, and with the kitchen away that is said", async ({ page, kitchen, request }) => {
  const whole = await (await request.get(`${kitchen.address}/api/files/kitchen`)).text();
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  await page.getByText("What was deleted stays here").waitFor();
  // An answer that never comes.
  await page.route("**/api/files", () => undefined);
  await page.getByLabel("Take a file in").setInputFiles(file("kitchen.json", whole));
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("status")).toContainText("Sending the file to the kitchen");
  await dialog.getByRole("button", { name: "Stop", exact: true }).click();
  await expect(dialog).toHaveCount(0);
  await page.unroute("**/api/files");
  await page.route("**/api/files", (route) =>
    route.fulfill({ status: 200, contentType: "application/x-ndjson", body: '{"taken":5,"of":10,"records":1}\n' }),
  );
  await page.getByLabel("Take a file in").setInputFiles(file("kitchen.json", whole));
  await expect(dialog.getByRole("alert")).toContainText("could not be read to its end");
});
