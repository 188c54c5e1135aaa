import { expect, refusedRequests, test } from "./kitchen";

test.use({ expectErrors: refusedRequests });

// One dial of every bench. That each field is refused in its range, and says so, is shown without a browser (tests/pages).
const dials: [stage: string, label: string, range: string, part?: string][] = [
  ["Dough", "Ghee, percent of flour", "From 0 % to 60 %."],
  ["Rest", "Rest of the dough", "From 0 min to 2\u202f880 min."],
  ["Balls", "One ball", "From 5 g to 1\u202f000 g."],
  ["Sheet", "Long side", "From 6 cm to 120 cm."],
  ["Roll", "Rest before the last roll", "From 0 min to 720 min."],
  ["Pan", "Fat on each side", "From 0 g to 60 g.", "Fat"],
  ["Clock", "Pairs of hands", "From 1 to 12.", "Hands and pans"],
];

test("on every bench what cannot be is said in words, and what was typed stays", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  // The clock answers last.
  await expect(bench.stratum("clock")).toContainText("oldest");
  const figures = await page.locator("[data-figures]").allInnerTexts();

  for (const [stage, label, range, part] of dials) {
    await bench.open(stage);
    if (part) await page.getByRole("tab", { name: part, exact: true }).click();
    const field = bench.number(label);
    const described = async () => page.locator(`[id="${await field.getAttribute("aria-describedby")}"]`);
    const before = await field.inputValue();

    await bench.set(label, "99999999");
    await expect(field).toHaveAttribute("aria-invalid", "true");
    await expect(await described()).toContainText(range, { ignoreCase: true });
    await expect(field).toHaveValue("99999999");
    await bench.set(label, "<b>12</b>");
    await expect(await described()).toContainText(range.replace("From", "Give a number from"));
    await expect(field).toHaveValue("<b>12</b>");

    // The sheet is the last good one, and nothing was half kept.
    expect(await page.locator("[data-figures]").allInnerTexts()).toEqual(figures);
    const kept = await page.request.get(`${new URL(page.url()).origin}/api/batches`);
    expect(JSON.stringify(await kept.json())).not.toContain("99999999");
    await bench.set(label, before);
    await expect(field).not.toHaveAttribute("aria-invalid");
  }
});

test("half a piece is no piece", async ({ bench }) => {
  await bench.pick("Night-crew squares");
  await bench.set("Pieces", "2.5");
  await expect(bench.number("Pieces")).toHaveAttribute("aria-invalid", "true");
  await expect(bench.number("Pieces")).toHaveValue("2.5");
  await bench.set("Pieces", "25");
  await expect(bench.stratum("balls")).toContainText("25 × 80 g");
});

test("a figure put right is planned and kept again", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.set("Pieces", "0");
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "refused");
  await bench.set("Pieces", " 12 ");
  await bench.kept();
  await expect(bench.stratum("balls")).toContainText("12 × 80 g");
  await expect(bench.number("Pieces")).not.toHaveAttribute("aria-invalid");
});

test("a line that carries too much says how far it may go", async ({ bench }) => {
  await bench.pick("Night-crew squares");
  await bench.set("Water, percent of flour", "-4");
  await expect(bench.portion("water").locator(".refusal")).toContainText("From 0 % to 500 %.");
  await bench.set("Water, percent of flour", "62");
  await expect(bench.portion("water").locator(".refusal")).toHaveCount(0);
});

test("amounts that cannot be read say so and change nothing", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  const flour = bench.number("White wheat flour, weight");
  const before = await page.getByTestId("dough-mass").textContent();
  for (const [typed, said] of [
    ["plenty", "Write an amount"],
    ["3 buckets", "This kitchen has no “buckets”."],
    ["1,500 g", "Thousand or fraction?"],
    ["500 kg", "From nothing to 100\u202f000 g."],
    ["<b>2</b>", "Write an amount"],
  ] as const) {
    await flour.fill(typed);
    await expect(flour).toHaveAttribute("aria-invalid", "true");
    await expect(page.locator(`[id="${await flour.getAttribute("aria-describedby")}"]`)).toContainText(said);
    await expect(flour).toHaveValue(typed);
    await expect(page.getByTestId("dough-mass")).toHaveText(before ?? "");
  }
  await flour.fill("0");
  await expect(bench.number("Flour at hand")).toHaveAttribute("aria-invalid", "true");
  await flour.fill("1 kg");
  await expect(page.getByTestId("makes")).toContainText("20 ×");
});

test("a refusal on another bench is said on this one", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.set("Pieces", "0");
  await bench.open("Pan");
  await expect(page.getByTestId("astray")).toHaveText("Dough, Pieces: From 1 to 500.");
});

test("a batch without a name is not kept, and says so", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByLabel("Name of the batch").fill("  ");
  await expect(page.getByText("Give it a name.")).toBeVisible();
});

test("a log entry keeps what was typed until it is right", async ({ bench, page }) => {
  await page.goto(`${new URL(page.url()).origin}/#/log`);
  await bench.number("Flour").fill("lots");
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("Put the red figures right first.")).toBeVisible();
  await bench.number("Flour").fill("-5");
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(bench.number("Flour")).toHaveAttribute("aria-invalid", "true");
  await expect(bench.number("Flour")).toHaveValue("-5");
  await bench.number("Flour").fill("");
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await expect(page.getByText("is in the log.")).toBeVisible();
  await page.reload();
  await expect(bench.number("Flour")).toHaveValue("");
});

test("script in a name or a note is only letters", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  const name = '<img src=x onerror="document.title=1">';
  await page.getByLabel("Name of the batch").fill(name);
  await bench.kept();
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await expect(page.getByText(name)).toBeVisible();
  await expect(page).toHaveTitle("Shelf · Ystrata");
});
