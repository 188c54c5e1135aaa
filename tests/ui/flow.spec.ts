import { startServer } from "./server.mjs";
import { expect, test } from "./kitchen";

test.describe("a server of its own", () => {
  // A page whose server is killed says so in its console, sooner or later.
  test.use({ ownServer: true, expectErrors: /net::ERR_/ });

  test("a batch goes from the shelf over its benches, and the bread follows", async ({ bench, page }) => {
    await bench.pick("First-ferry squares");
    await expect(bench.stratum("balls")).toContainText("16 × 80 g");
    await expect(bench.stratum("fold")).toContainText("7 leaves");
    await bench.open("Fold");
    await expect(bench.drawn("fused")).toHaveCount(2);
    const before = await bench.drawn("open").first().getAttribute("d");

    await bench.open("Balls");
    await bench.set("One ball", "95");
    await expect(bench.stratum("balls")).toContainText("16 × 95 g");
    await expect(bench.stratum("dough")).toContainText(/1.551 g/);

    await bench.open("Fold");
    await expect(bench.drawn("open").first()).not.toHaveAttribute("d", before ?? "");
    await bench.add("Brush fat");
    await bench.step(2).press("Alt+ArrowLeft");
    expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
    await expect(bench.stratum("fold")).toContainText("9 leaves");
    await expect(page.locator('[data-note="allOpen"]')).toBeVisible();
    await bench.open("Roll");
    await expect(bench.drawn("fused")).toHaveCount(0);
    await expect(bench.drawn("open")).toHaveCount(8);
  });

  test("what went from the bench to the log is there after the server was killed", async ({ kitchen, bench, page }) => {
    await bench.pick("First-ferry squares");
    await bench.open("Fold");
    await bench.add("Brush fat");
    await bench.step(2).press("Alt+ArrowLeft");
    await expect(bench.stratum("fold")).toContainText("9 leaves");
    await page.getByLabel("Name of the batch").fill("Harbour squares");
    await bench.kept();
    await page.getByRole("button", { name: "Log it" }).click();
    await bench.number("Flour").fill("905");
    await bench.number("First side").fill("52,5");
    await page.getByRole("group", { name: "Soft" }).getByText("soft", { exact: true }).click();
    await page.getByRole("textbox", { name: "Note" }).fill("Held the ghee well.");
    await page.getByRole("button", { name: "Keep the entry" }).click();
    await expect(page.getByText("Harbour squares is in the log.")).toBeVisible();

    await kitchen.stop("SIGKILL");
    const again = await startServer({ data: kitchen.data });
    await page.goto(`${again.address}/#/log`);
    const line = page.getByTestId("log-lines").getByRole("link", { name: /Harbour squares/ });
    await line.click();
    await expect(bench.number("Flour")).toHaveValue("905");
    await expect(bench.number("First side")).toHaveValue("52.5");
    await expect(page.getByRole("textbox", { name: "Note" })).toHaveValue("Held the ghee well.");
    await expect(page.getByRole("radio", { name: "soft", exact: true })).toHaveAttribute("aria-checked", "true");
    await page.goto(`${again.address}/#/`);
    await page.getByRole("link", { name: /Harbour squares/ }).click();
    await expect(bench.stratum("fold")).toContainText("9 leaves");
    await again.stop();
  });
});

test("every bench shows its figures and the bread as it is there", async ({ bench, page }) => {
  await bench.pick("Nigella coils");
  await expect(page.getByTestId("dough-mass")).toHaveText(/1.224 g/);
  const cut = page.getByRole("region", { name: "Section" }).getByTestId("section").getByRole("img");
  for (const [stage, what] of [
    ["Rest", /a ball of/],
    ["Balls", /a ball of/],
    ["Sheet", /1 leaf/],
    ["Fold", /20 leaves/],
    ["Roll", /20 leaves/],
    ["Pan", /20 leaves.*off the pan/],
  ] as const) {
    await bench.open(stage);
    await expect(cut).toHaveAttribute("aria-label", what);
  }
  // Rings and windings are seen from above as well, and roasted leaves stand apart.
  await expect(page.locator("[data-gap]")).not.toHaveAttribute("d", "");
  await expect(page.getByTestId("turn")).toHaveCount(3);
  await expect(page.getByTestId("out")).toContainText("gone as steam");
  await page.getByRole("tab", { name: "Finish, hold" }).click();
  await expect(page.locator("[data-section-of=held]")).toContainText("at the table");
});

test("opening and leafing through a batch changes nothing", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  for (const stage of ["Rest", "Balls", "Sheet", "Fold", "Roll", "Pan", "Dough"]) await bench.open(stage);

  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "new");
  await bench.open("Pan");
  await expect(bench.number("Pan, when it goes on")).toHaveValue("214");
});

test("the ball can be fixed by its mass or by its round, and neither jumps when switching", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Balls");
  await page.getByRole("radio", { name: "The round" }).click();
  await expect(bench.number("Round, thickness of dough")).toHaveValue("2.66");
  await expect(bench.stratum("balls")).toContainText("24 × 80 g");
  await bench.set("Round, across", "20");
  await expect(bench.stratum("balls")).toContainText("24 × 99 g");
  await page.getByRole("radio", { name: "The ball" }).click();
  await expect(bench.number("One ball")).toHaveValue("98.8");
});

test("a batch becomes the recipe, and the old recipe comes back with one press", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  await bench.set("Pieces", "41");
  await expect(bench.stratum("balls")).toContainText("41 ×");
  await page.getByRole("button", { name: "Make it the recipe" }).click();
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await expect(page.getByTestId("shelf")).toContainText("41 × 43 g");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("shelf")).toContainText("30 × 43 g");
});

test("a batch under another name is kept as a bread of its own", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  await page.getByLabel("Name of the batch").fill("Leek rounds");
  await page.getByRole("button", { name: "Keep as new bread" }).click();
  await expect(page.getByText("Leek rounds is on the shelf.")).toBeVisible();
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await expect(page.getByTestId("shelf").getByRole("listitem")).toHaveCount(13);
});

test("a deleted bread, batch or log entry comes back with one press", async ({ page }) => {
  const shelf = page.getByTestId("shelf").getByRole("listitem");
  await expect(shelf).toHaveCount(12);
  await page.getByRole("button", { name: "More for Beet quarters" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(shelf).toHaveCount(11);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(shelf).toHaveCount(12);

  await page.getByRole("button", { name: "Delete Landing rounds, Wed 4 Nov" }).click();
  await expect(page.getByRole("link", { name: /Landing rounds/ })).toHaveCount(1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("link", { name: /Landing rounds/ })).toHaveCount(2);

  await page.getByRole("link", { name: "Log" }).click();
  await page.getByRole("button", { name: "Delete the entry" }).click();
  await expect(page.getByTestId("log-lines").getByRole("listitem")).toHaveCount(11);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("log-lines").getByRole("listitem")).toHaveCount(12);
});

test("finding narrows the shelf and the log", async ({ page }) => {
  await expect(page.getByTestId("shelf").getByRole("listitem")).toHaveCount(12);
  await page.keyboard.press("/");
  await expect(page.getByRole("searchbox")).toBeFocused();
  await page.keyboard.type("ferry");
  await expect(page.getByTestId("shelf").getByRole("listitem")).toHaveCount(1);
  await page.getByRole("searchbox").fill("");
  await page.getByRole("link", { name: "Log" }).click();
  // Until the log stands there the shelf's own finding does.
  await expect(page.getByTestId("log-lines")).toBeVisible();
  await page.getByRole("searchbox").fill("puree");
  await expect(page.getByTestId("log-lines").getByRole("listitem")).toHaveCount(2);
  await page.getByRole("searchbox").fill("zzz");
  await expect(page.getByText("Nothing is called “zzz”.")).toBeVisible();
});
