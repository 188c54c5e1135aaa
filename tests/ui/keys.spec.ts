import { expect, test } from "./kitchen";

test("a whole batch by keyboard alone", async ({ bench, page }) => {
  await page.getByRole("button", { name: "First-ferry squares", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: "Dough" })).toBeVisible();

  await page.keyboard.press("]");
  await expect(page.getByRole("heading", { level: 1, name: "Rest" })).toBeVisible();
  await page.keyboard.press("]");
  await expect(page.getByRole("heading", { level: 1, name: "Balls" })).toBeVisible();
  await bench.number("One ball").focus();
  await page.keyboard.press("+");
  await expect(bench.stratum("balls")).toContainText("× 81 g");
  await page.keyboard.press("-");
  await page.keyboard.press("-");
  await expect(bench.stratum("balls")).toContainText("× 79 g");
  await page.keyboard.press("Tab");
  await page.keyboard.press("ArrowRight");
  await expect(bench.stratum("balls")).toContainText("× 80 g");

  await bench.stratum("balls").focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("heading", { level: 1, name: "Sheet" })).toBeVisible();
  await page.keyboard.press("]");
  await expect(page.getByRole("heading", { level: 1, name: "Fold" })).toBeVisible();
  await page.getByRole("button", { name: "Add a step" }).focus();
  await page.keyboard.press("Enter");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(bench.step(2)).toBeFocused();
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(bench.stratum("fold")).toContainText("9 leaves");
  await bench.kept();

  await page.getByRole("button", { name: "Log it" }).focus();
  await page.keyboard.press("Enter");
  await bench.number("Flour").focus();
  await page.keyboard.type("880");
  await page.getByRole("button", { name: "Keep the entry" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("First-ferry squares is in the log.")).toBeVisible();
});

test("the places have their keys, and no key fires while typing", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  await page.getByLabel("Name of the batch").focus();
  await page.keyboard.type(" 4?1[");
  await expect(page.getByRole("heading", { level: 1, name: "Dough" })).toBeVisible();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.getByLabel("Name of the batch").blur();

  await page.keyboard.press("4");
  await expect(page.getByRole("heading", { level: 1, name: "Log" })).toBeVisible();
  await page.keyboard.press("5");
  await expect(page.getByRole("heading", { level: 1, name: "Larder" })).toBeVisible();
  await page.keyboard.press("1");
  await expect(page.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
  await page.keyboard.press("2");
  await expect(page.getByLabel("Name of the batch")).toHaveValue(/4\?1\[$/);
});

test("the question mark shows every key, and Escape puts it away", async ({ page }) => {
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Every key" })).toBeVisible();
  await page.keyboard.press("4");
  await expect(page.getByRole("dialog")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
});

test("a dough by keyboard alone: a list is found in, a pin is pressed, a tab is opened", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByLabel("Add seeds, leaves, spice").focus();
  await page.keyboard.press("Enter");
  await page.keyboard.type("nigel");
  await expect(page.getByRole("option")).toHaveCount(1);
  await page.keyboard.press("Enter");
  await expect(bench.portion("seed-nigella")).toBeVisible();

  await page.getByLabel("Dough fat: Ghee").focus();
  await page.keyboard.press("Enter");
  const ghee = page.getByRole("option", { name: "Ghee", exact: true });
  await expect(ghee).toHaveAttribute("aria-selected", "true");
  await page.keyboard.press("ArrowDown");
  await expect(ghee).toHaveAttribute("aria-selected", "false");
  await page.keyboard.press("Enter");
  await expect(bench.portion("butter")).toBeVisible();

  await page.getByRole("button", { name: "Fix White wheat flour as it is" }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByRole("radio", { name: "Flour", exact: true })).toHaveAttribute("aria-checked", "true");
  await page.getByRole("radio", { name: "Flour", exact: true }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("radio", { name: "Water", exact: true })).toBeFocused();

  await page.getByRole("tab", { name: "Weigh" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: /Begin with/ })).toBeVisible();
  await page.keyboard.press("]");
  await expect(page.getByRole("heading", { level: 1, name: "Rest" })).toBeVisible();
});

test("the larder by keyboard alone", async ({ page }) => {
  await page.keyboard.press("5");
  await page.keyboard.press("/");
  await expect(page.getByRole("searchbox", { name: "Find in the larder" })).toBeFocused();
  await page.keyboard.type("radish");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Tab");
  await expect(page.getByRole("button", { name: /White radish/ })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("form", { name: "White radish" })).toBeVisible();
  await page.getByRole("textbox", { name: "Salt draws of its water" }).focus();
  await page.keyboard.type("33");
  await page.keyboard.press("Enter");
  await expect(page.getByText("White radish is kept.")).toBeVisible();
});
