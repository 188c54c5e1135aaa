import type { Page } from "@playwright/test";
import { expect, test } from "./kitchen";

test.beforeEach(async ({ bench, page }) => {
  await bench.pick("Nigella coils");
  await bench.open("Balls");
  await page.getByRole("tab", { name: "Divide" }).click();
  await expect(page.getByTestId("scale-state")).toHaveAttribute("data-state", "ready");
});

const tray = (page: Page) => page.getByTestId("tray").locator("[data-ball]");

async function weigh(page: Page, already: number) {
  await page.getByRole("button", { name: "Put a ball on" }).click();
  await expect(tray(page)).toHaveCount(already + 1);
  await page.getByRole("button", { name: "Take it off" }).click();
  await expect(page.getByTestId("reading")).toHaveText(/^0\sg$/);
}

test("balls are weighed one by one, and the last is no runt", async ({ bench, page }) => {
  await bench.open("Dough");
  await bench.set("Pieces", "5");
  await bench.open("Balls");
  await page.getByRole("tab", { name: "Divide" }).click();
  await expect(page.getByText("5 of 5")).toBeVisible();
  for (let i = 0; i < 5; i++) await weigh(page, i);
  await expect(page.getByText("All divided")).toBeVisible();
  await expect(page.getByText("0 of 5")).toBeVisible();
  const masses = (await tray(page).locator("text").allTextContents()).map(Number);
  expect(masses).toHaveLength(5);
  for (const mass of masses) expect(mass).toBeGreaterThan(80);
  // Five of 100 g: what is left of the dough is what the balls left.
  const over = 500 - masses.reduce((sum, m) => sum + m, 0);
  await expect(page.getByTestId("next")).toContainText(over < -0.5 ? `${-over} g short` : `${over} g of dough left over`);
  await bench.kept();
  await page.reload();
  await bench.open("Balls");
  await page.getByRole("tab", { name: "Divide" }).click();
  await expect(tray(page)).toHaveCount(5);
});

test("a ball too heavy or light is said in grams, and the rest take up the difference", async ({ bench, page }) => {
  for (const mass of ["120", "100", "92"]) {
    await bench.set("Weight by hand", mass);
    await page.getByRole("button", { name: "Put on the tray" }).click();
  }
  await expect(tray(page)).toHaveCount(3);
  await expect(tray(page).nth(0)).toContainText("20 g to take");
  await expect(tray(page).nth(2)).toContainText("8 g to add");
  // 1200 − 312 over nine.
  await expect(page.getByTestId("next")).toHaveText("99 g");
  await page.getByRole("button", { name: "Take the last one back" }).click();
  await expect(tray(page)).toHaveCount(2);
  await page.getByRole("button", { name: "Clear the tray" }).click();
  await expect(tray(page)).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(tray(page)).toHaveCount(2);
});

test("a small one for a child is counted apart", async ({ bench, page }) => {
  await bench.set("Small one for a child", "40");
  await expect(page.getByTestId("next")).toHaveText("105 g");
  await bench.set("Weight by hand", "41");
  await page.getByRole("button", { name: "Put on the tray" }).click();
  await expect(tray(page).first()).toContainText("the small one");
});

test("the dough becomes big balls of two, strips or slices, each with its measure", async ({ bench, page }) => {
  await page.getByRole("tab", { name: "Ball", exact: true }).click();
  await page.getByRole("radio", { name: "Strips" }).click();
  await expect(page.locator("[data-cut]")).toHaveCount(11);
  await bench.set("Strip, long", "20");
  await expect(page.getByRole("img", { name: /12 pieces cut .* wide/ })).toBeVisible();
  await page.getByRole("radio", { name: "A log" }).click();
  await bench.set("Log, across", "900");
  await expect(page.locator("main")).toContainText("From 15 mm to 200 mm.");
  await bench.set("Log, across", "6");
  await page.getByRole("radio", { name: "Big balls" }).click();
  await expect(page.locator("main")).toContainText("each becomes two pieces of 100 g");
  await page.getByRole("tab", { name: "Divide" }).click();
  await expect(page.getByTestId("next")).toHaveText("200 g");
});

test("nothing is taken from a scale that is overloaded, unplugged or left loaded", async ({ page, kitchen, request }) => {
  await page.getByRole("button", { name: /^6.000 g on it$/ }).click();
  await expect(page.getByTestId("scale-state")).toHaveAttribute("data-state", "overload");
  await page.getByRole("button", { name: "Pull the plug" }).click();
  await expect(page.getByTestId("scale-state")).toHaveAttribute("data-state", "unplugged");
  await expect(page.getByTestId("reading")).toHaveText("—");
  await page.getByRole("button", { name: "Take it off" }).click();
  await page.getByRole("button", { name: "Plug it in" }).click();
  await expect(page.getByTestId("scale-state")).toHaveAttribute("data-state", "ready");
  await expect(tray(page)).toHaveCount(0);
  await page.getByRole("button", { name: "Put a ball on" }).click();
  await expect(tray(page)).toHaveCount(1);
  // What is laid beside it is no weight of its own.
  await request.post(`${kitchen.address}/api/scale/stand-in`, { data: { load: 140 } });
  await expect(page.getByTestId("reading")).toHaveText(/^1(39|4[01])\sg$/);
  await expect(page.getByTestId("scale-state")).toContainText("at rest");
  await expect(tray(page)).toHaveCount(1);
  await page.getByRole("button", { name: "Tare" }).click();
  await expect(page.getByTestId("reading")).toHaveText(/^[−-]?[01]\sg$/);
});

test("what is no weight is refused where it was typed", async ({ bench, page }) => {
  await bench.set("Weight by hand", "lots");
  await expect(page.locator(".refusal")).toContainText("Give a number");
  await bench.set("Weight by hand", "-4");
  await page.getByRole("button", { name: "Put on the tray" }).click();
  await expect(page.locator(".refusal").first()).toContainText("From 1 g");
  await page.getByRole("button", { name: "Take the last one back" }).click();
  await expect(page.locator(".refusal")).toHaveCount(0);
});

test.use({ expectErrors: /status of 400/ });
