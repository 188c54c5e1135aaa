import { expect, test } from "./kitchen";

const menu = async (page: import("@playwright/test").Page, bread: string, what: string) => {
  await page.getByRole("button", { name: `More for ${bread}` }).click();
  await page.getByRole("menuitem", { name: what }).click();
};

test("every school is offered and begins a bread", async ({ request, bench, page, kitchen }) => {
  const { schools } = (await (await page.request.get(`${kitchen.address}/api/larder`)).json()) as { schools: { spec: object }[] };
  // That each can be worked is the kitchen's to say.
  for (const { spec } of schools) expect((await request.post(`${kitchen.address}/api/plan`, { data: spec })).status()).toBe(200);
  await page.getByRole("button", { name: "New bread", exact: true }).click();
  const offers = page.getByRole("dialog").getByRole("listitem").getByRole("button");
  await expect(offers).toHaveCount(17);
  // Each with its picture, drawn by the kitchen's own plan.
  await expect(page.getByRole("dialog").getByTestId("section").getByRole("img")).toHaveCount(17);
  const offered = await offers.allInnerTexts();
  expect(schools.length).toBe(17);
  await page.keyboard.press("Escape");
  for (const school of [offered[0]!, offered[7]!, offered[16]!]) {
    await page.getByRole("link", { name: "Shelf", exact: true }).click();
    await page.getByRole("button", { name: "New bread", exact: true }).click();
    await page
      .getByRole("dialog")
      .getByRole("button", { name: school.split("\n")[0] ?? "" })
      .first()
      .click();
    await expect(page.getByTestId("makes")).toContainText(/\d+ × \d+ g/);
    // It is called by its school until it has a name of its own.
    await expect(page.getByRole("textbox", { name: "Name of the batch" })).toHaveValue(school.split("\n")[0]!);
    await expect(bench.stratum("pan")).toContainText(/\d s/);
  }
});

test("a bread is renamed, tagged and found by its tag, and all that undone", async ({ page }) => {
  await menu(page, "Landing rounds", "Name and tags");
  await page.getByLabel("Name", { exact: true }).fill("Slip rounds");
  await page.getByLabel("Tags, with commas").fill("noon, quayside");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await page.getByRole("button", { name: "quayside" }).click();
  await expect(page.getByTestId("shelf").getByRole("listitem")).toHaveCount(1);
  await expect(page.getByTestId("shelf")).toContainText("Slip rounds");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: "quayside" })).toHaveCount(0);
  await expect(page.getByTestId("shelf")).toContainText("Landing rounds");
});

test("a bread is duplicated", async ({ page }) => {
  await menu(page, "Leek pours", "Duplicate");
  await expect(page.getByTestId("shelf").getByRole("listitem")).toHaveCount(13);
  await expect(page.getByRole("button", { name: "Leek pours, copy", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("shelf").getByRole("listitem")).toHaveCount(12);
});

test("a bread opens at the size asked for", async ({ bench, page }) => {
  await menu(page, "Night-crew squares", "Open at another size");
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("radio", { name: "Flour" }).click();
  await dialog.getByRole("textbox", { name: "Flour" }).fill("2500");
  await expect(page.getByTestId("scaled")).toContainText("51 × 80 g");
  await dialog.getByRole("button", { name: "Open it" }).click();
  await expect(bench.number("Flour at hand")).toHaveValue(/2.500/);
  await expect(page.getByTestId("makes")).toContainText("51 × 80 g");
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await expect(page.getByTestId("shelf")).toContainText("24 × 80 g");
});

test.describe("what cannot be", () => {
  test.use({ expectErrors: /status of 4\d\d/ });

  test("a nameless or overtagged bread, and a size past all measure, are refused in words", async ({ page }) => {
    await menu(page, "Landing rounds", "Name and tags");
    await page.getByLabel("Name", { exact: true }).fill(" ");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByText("Give it a name.")).toBeVisible();
    await page.getByLabel("Name", { exact: true }).fill("Rounds");
    await page.getByLabel("Tags, with commas").fill(Array.from({ length: 9 }, (_, i) => `t${i}`).join(","));
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByText("No more than 8.")).toBeVisible();
    await page.getByRole("button", { name: "Close" }).click();

    await menu(page, "Landing rounds", "Open at another size");
    await page.getByRole("textbox", { name: "Pieces" }).fill("9999");
    await expect(page.getByText("From 1 to 500.")).toBeVisible();
    await expect(page.getByRole("button", { name: "Open it" })).toBeDisabled();
    await page.getByRole("textbox", { name: "Pieces" }).fill("many");
    await expect(page.getByText("Give a number from 1 to 500.")).toBeVisible();
  });
});

test("the card of every bread prints on one page, of A4 and of Letter", async ({ bench, page }) => {
  test.slow();
  await expect(page.getByTestId("shelf").getByRole("heading")).toHaveCount(12);
  const breads = await page.getByTestId("shelf").getByRole("heading").allInnerTexts();
  for (const bread of breads) {
    await page.getByRole("link", { name: "Shelf", exact: true }).click();
    await bench.pick(bread);
    await page.getByRole("link", { name: "Card" }).click();
    await expect(page.getByTestId("card")).toContainText(bread);
    await expect(page.getByTestId("card").getByRole("listitem").last()).toContainText("Pan at");
    for (const format of ["A4", "Letter"] as const) {
      const pdf = (await page.pdf({ format })).toString("latin1");
      expect(pdf.match(/\/Type\s*\/Page\b/g), `${bread} on ${format}`).toHaveLength(1);
    }
  }
});

test("batches older than the newest hundred come when they are asked for", async ({ page, kitchen, request }) => {
  const { spec } = (await (await request.get(`${kitchen.address}/api/breads`)).json())[0];
  for (let i = 1; i <= 101; i++)
    await request.post(`${kitchen.address}/api/batches`, {
      data: { breadId: null, name: `Noon ${i}`, spec, madeFor: "2026-11-26T12:00:00Z" },
    });
  await page.reload();
  const lately = page.getByRole("region", { name: "Lately" }).getByRole("listitem");
  const earlier = page.getByRole("button", { name: "Earlier batches" });
  await expect(lately.filter({ hasText: "Noon 101" })).toBeVisible();
  await expect(lately.filter({ hasText: /^Noon 1 / })).toHaveCount(0);
  await earlier.click();
  await expect(lately.filter({ hasText: /^Noon 1 / })).toBeVisible();
  await expect(earlier).toHaveCount(0);
});
