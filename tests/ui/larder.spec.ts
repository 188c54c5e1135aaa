import { readFileSync } from "node:fs";
import { expect, test } from "./kitchen";

test.beforeEach(async ({ page, kitchen }) => {
  await page.goto(`${kitchen.address}/#/larder`);
  await expect(page.getByTestId("larder-list")).toBeVisible();
});

test("a value put right is used at once, set back with one press, and undone with another", async ({ bench, page }) => {
  await page.getByRole("searchbox").fill("strong white");
  await page.getByRole("button", { name: /Strong white flour/ }).click();
  await bench.set("Drinks, medium feel", "66");
  await expect(page.getByText("not kept yet")).toBeVisible();
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByText("Strong white flour is kept.")).toBeVisible();
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await bench.pick("Nigella coils");
  await expect(page.getByTestId("feels")).toHaveText("on the firm side");

  await page.getByRole("link", { name: "Larder", exact: true }).click();
  await expect(page.getByTestId("larder-list")).toBeVisible();
  await page.getByRole("searchbox").fill("strong white");
  await page.getByRole("button", { name: /Strong white flour/ }).click();
  await page.getByRole("button", { name: "Back to the shipped values" }).click();
  await expect(bench.number("Drinks, medium feel")).toHaveValue("61");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bench.number("Drinks, medium feel")).toHaveValue("66");
});

test("a sack has a thirst of its own and can be baked with", async ({ bench, page }) => {
  await page.getByRole("searchbox").fill("white wheat");
  await page.getByRole("button", { name: /White wheat flour/ }).click();
  await page.getByRole("button", { name: "A sack of a flour" }).click();
  await bench.number("Name").fill("Sack of Friday");
  await bench.set("Drinks more than its flour by", "4");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await page.getByRole("searchbox").fill("friday");
  await expect(page.getByTestId("larder-list").getByRole("button")).toContainText("62 %");

  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await bench.pick("Night-crew squares");
  await bench.choose("Flour: White wheat flour", "Sack of Friday");
  await expect(page.getByTestId("feels")).toHaveText("on the firm side");
  await bench.kept();

  // Taken out of the larder, what was made with it still plans.
  await page.getByRole("link", { name: "Larder", exact: true }).click();
  await expect(page.getByTestId("larder-list")).toBeVisible();
  await page.getByRole("searchbox").fill("friday");
  await page.getByRole("button", { name: /Sack of Friday/ }).click();
  await page.getByRole("button", { name: "Delete", exact: true }).click();
  await expect(page.getByTestId("larder-list").getByRole("button")).toHaveCount(0);
  await page.getByRole("link", { name: "Batch", exact: true }).click();
  await expect(page.locator("[data-portion^=own-sack-of-friday]")).toBeVisible();
});

test("the larder goes out as a file and comes back the same", async ({ page }) => {
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "Export" }).click()]);
  const file = await download.path();
  await page.getByRole("button", { name: "Import" }).click();
  await page.getByLabel("Choose a CSV file").setInputFiles({ name: "larder.csv", mimeType: "text/csv", buffer: readFileSync(file) });
  await expect(page.getByTestId("import-sums")).toContainText("0 new0 put right");
  await expect(page.getByText("Everything in it is already so.")).toBeVisible();

  const changed = readFileSync(file, "utf8").replace("Barley flour,flour,0.56", "Barley flour,flour,0.61");
  await page.getByLabel("Choose a CSV file").setInputFiles({ name: "larder.csv", mimeType: "text/csv", buffer: Buffer.from(changed) });
  await page.getByRole("button", { name: "Take all 1" }).click();
  await page.getByRole("searchbox").fill("barley");
  await page.getByRole("button", { name: /Barley flour/ }).click();
  await expect(page.getByRole("textbox", { name: "Weighs", exact: true })).toHaveValue("0.61");
});

test.describe("what cannot be", () => {
  test.use({ expectErrors: /status of 4\d\d/ });

  test("an own egg is told by its traits, its colour and what one weighs", async ({ bench, page }) => {
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await bench.number("Name").fill("Duck egg");
    await bench.set("One weighs", "0");
    await bench.set("Water", "70");
    await page.getByRole("button", { name: "not to be eaten raw" }).click();
    await page.getByRole("button", { name: "spoils in the warm" }).click();
    await page.getByLabel("Colour").fill("#f5c542");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByText("From 0.1 g to 5\u202f000 g.")).toBeVisible();
    await expect(bench.number("One weighs")).toHaveValue("0");
    await bench.set("One weighs", "70");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByText("Duck egg is kept.")).toBeVisible();

    await page.reload();
    await page.getByRole("searchbox").fill("duck");
    await page.getByRole("button", { name: /Duck egg/ }).click();
    await expect(page.getByRole("button", { name: "not to be eaten raw" })).toHaveAttribute("aria-pressed", "true");
    await expect(page.getByRole("button", { name: "sour", exact: true })).toHaveAttribute("aria-pressed", "false");
    await expect(page.getByLabel("Colour")).toHaveValue("#f5c542");
    await expect(bench.number("One weighs")).toHaveValue("70");
  });

  test("a file with a bad line is shown line by line and nothing of it is taken", async ({ page }) => {
    const header = "id,name,kind,density_g_ml,water_pct,fat_pct,sugar_pct,salt_pct,kcal_100g\n";
    const bring = (text: string) =>
      page.getByLabel("Choose a CSV file").setInputFiles({ name: "x.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
    await page.getByRole("button", { name: "Import" }).click();
    await bring(`${header},Sorrel,addition,0.2,90,0.5,1,0.1,30\n,Stone,addition,0,0,0,0,0,0\n,Cress,hope,0.2,many,0,0,0,10\n`);
    await expect(page.getByTestId("import-sums")).toContainText("2 lines cannot be taken");
    await expect(page.locator('[data-line="3"]')).toContainText("Weighs: From 0.1 g/ml to 3 g/ml.");
    await expect(page.locator('[data-line="4"]')).toContainText("“many” is no number.");
    await expect(page.getByRole("button", { name: /^Take/ })).toHaveCount(0);

    await bring("name,weight\nSorrel,3\n");
    await expect(page.getByRole("alert")).toContainText("These columns are missing: kind,");
    // The kitchen says how much a file may have; here it says less than usual.
    await page.route("**/api/larder", async (route) => {
      const answer = await route.fetch();
      await route.fulfill({ response: answer, json: { ...(await answer.json()), mostFileBytes: 200_000 } });
    });
    await page.reload();
    await page.getByRole("button", { name: "Import" }).click();
    await bring("x".repeat(300_000));
    await expect(page.getByRole("alert")).toContainText("A CSV file may have 0.2 MB. This one has 0.3 MB.");
    await page.getByRole("button", { name: "Close" }).click();
    await page.getByRole("searchbox").fill("sorrel");
    await expect(page.getByText("Nothing in the larder is called “sorrel”.")).toBeVisible();
  });

  test("a line that cannot stand keeps what was typed and says why", async ({ bench, page }) => {
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByText("Give it a name.")).toBeVisible();
    await bench.number("Name").fill("water");
    await bench.set("Weighs", "0");
    await bench.set("Water", "200");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByText("There is already a “water”.")).toBeVisible();
    await expect(page.getByText("From 0 % to 100 %.")).toBeVisible();
    await expect(bench.number("Weighs")).toHaveValue("0");
    await bench.number("Name").fill("Sorrel");
    await bench.set("Weighs", "0.3");
    await bench.set("Water", "90");
    await bench.set("Fat", "30");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByRole("alert")).toContainText("come to 120 %");
    await bench.set("Fat", "plenty");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(bench.number("Fat")).toHaveAttribute("aria-invalid", "true");
  });

  test("a vessel without a weighing is none", async ({ page }) => {
    await page.getByRole("tab", { name: "Cups and units" }).click();
    await page.getByRole("button", { name: "Add the vessel" }).click();
    await expect(page.getByText("Give it a name.")).toBeVisible();
    await expect(page.getByText("From 1 g to 20\u202f000 g.")).toBeVisible();
  });
});

test("the cook's own glass, weighed once, is a measure everywhere", async ({ bench, page }) => {
  await page.getByRole("tab", { name: "Cups and units" }).click();
  await bench.number("Name").fill("tea glass");
  await bench.set("Weighs", "160");
  await page.getByRole("button", { name: "Add the vessel" }).click();
  await expect(page.getByTestId("vessels")).toContainText("tea glass160 ml");

  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await bench.pick("Landing rounds");
  await bench.grams("water").fill("3 tea glasses");
  await expect(bench.number("Water at hand")).toHaveValue("480");
  await bench.kept();
  await page.getByRole("link", { name: "Larder", exact: true }).click();
  await page.getByRole("tab", { name: "Cups and units" }).click();
  await page.getByRole("button", { name: "Delete tea glass" }).click();
  await expect(page.getByTestId("vessels")).not.toContainText("tea glass");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("vessels")).toContainText("tea glass");
});

test("units are chosen once and everything reads in them", async ({ bench, page, kitchen }) => {
  await page.getByRole("tab", { name: "Cups and units" }).click();
  for (const unit of ["Ounces", "°F", "Inches"]) await page.getByRole("radio", { name: unit }).click();
  // Every one of three quick presses is kept; the last is on its way.
  await expect
    .poll(
      async () => ((await (await page.request.get(`${kitchen.address}/api/larder`)).json()) as { units: { length: string } }).units.length,
    )
    .toBe("inches");
  await page.reload();
  await expect(page.getByRole("radio", { name: "Ounces" })).toHaveAttribute("aria-checked", "true");
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await bench.pick("Night-crew squares");
  await expect(bench.number("One ball")).toHaveValue("2.82");
  await expect(bench.grams("ghee")).toHaveValue("1.24 oz");
  await bench.open("Pan");
  await expect(bench.number("Pan, when it goes on")).toHaveValue("417");
  await bench.set("Pan, when it goes on", "400");
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "kept");
  await bench.open("Roll");
  await expect(bench.number("Round, across")).toHaveValue("7.09");
  await bench.set("Round, across", "8");
  // As big as an 8 inch round: a square of 7.2 by 7.
  await expect(bench.stratum("roll")).toContainText("7.2 in");
});

test("a unit chosen while the larder answers the one before is not lost to that answer", async ({ page }) => {
  await page.getByRole("tab", { name: "Cups and units" }).click();
  let answer = () => {};
  const asked = new Promise<void>((seen) =>
    page.route(
      "**/api/larder",
      async (route) => {
        const before = await route.fetch();
        const held = new Promise<void>((go) => (answer = go));
        seen();
        await held;
        await route.fulfill({ response: before });
      },
      { times: 1 },
    ),
  );
  await page.getByRole("radio", { name: "Ounces" }).click();
  await asked;
  await page.getByRole("radio", { name: "°F" }).click();
  answer();
  const kept = page.waitForResponse((r) => r.request().postData()?.includes("inches") ?? false);
  await page.getByRole("radio", { name: "Inches" }).click();
  await kept;
  await page.reload();
  for (const unit of ["Ounces", "°F", "Inches"])
    await expect(page.getByRole("radio", { name: unit })).toHaveAttribute("aria-checked", "true");
});

test("the board is the kitchen's: what cannot be one is said and not kept, what can be is", async ({ page }) => {
  await page.getByRole("tab", { name: "Cups and units" }).click();
  const board = page.getByLabel("Board, across");
  await expect(board).toHaveValue("45");
  for (const typed of ["3", "-40", "900000", "wide"]) {
    await board.fill(typed);
    await expect(page.locator(".refusal")).toBeVisible();
    await expect(board).toHaveValue(typed);
  }
  const kept = page.waitForResponse((r) => r.url().endsWith("/api/larder/units") && r.ok());
  await board.fill("36");
  await expect(page.locator(".refusal")).toHaveCount(0);
  await kept;
  await page.reload();
  await expect(board).toHaveValue("36");
});

test("a kitchen that measures in cups reads cups first, and its spoons stand beside every mass", async ({ bench, page }) => {
  await page.getByRole("tab", { name: "Cups and units" }).click();
  await page.getByRole("radio", { name: "Cups first" }).click();
  await page.getByRole("radio", { name: "US, 237 ml" }).click();
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await bench.pick("Night-crew squares");
  await expect(bench.number("White wheat flour, in cups and spoons")).toHaveValue("9⅓ cups");
  await page.getByRole("tab", { name: "Mix" }).click();
  await expect(page.getByRole("list").filter({ hasText: "Mix dry" })).toContainText("9⅓ cups (1\u202f175 g)");
  await bench.open("Sheet");
  await expect(page.getByText("1¼ tsp")).toBeVisible();
});

test("five thousand lines scroll and are found like fifty", async ({ bench, request, page, kitchen }) => {
  const lines = Array.from({ length: 5000 }, (_, i) => `own-x${i},Herb number ${i},addition,0.2,90,0,0,0,20`).join("\n");
  const answer = await request.post(`${kitchen.address}/api/larder/import?take=true`, {
    headers: { "content-type": "text/csv" },
    data: `id,name,kind,density_g_ml,water_pct,fat_pct,sugar_pct,salt_pct,kcal_100g\n${lines}\n`,
  });
  expect((await answer.json()).taken).toBe(true);
  await page.reload();
  const list = page.getByTestId("larder-list");
  await bench.choose("Kind", "Seeds, herbs, additions");
  await list.evaluate((e) => (e.scrollTop = e.scrollHeight));
  await expect(list.getByRole("listitem").last()).toHaveAttribute("aria-posinset", "5025");
  expect(await list.getByRole("listitem").count()).toBeLessThan(60);
  await page.getByRole("searchbox").fill("number 4321");
  await expect(list.getByRole("button")).toHaveCount(1);
});
