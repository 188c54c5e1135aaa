import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { type Bench, expect, refusedRequests, test } from "./kitchen";

const day = 24 * 3600_000;
const tomorrow = (time: string) => new Date(`${new Date(Date.now() + day).toISOString().slice(0, 11)}${time}Z`);

async function openClock(bench: Bench, page: Page, bread = "Night-crew squares") {
  await bench.pick(bread);
  await bench.open("Clock");
  await page.getByTestId("lanes").waitFor();
}

const TABLE = "On the table at";
const figure = (page: Page, label: string) =>
  page
    .getByTestId("clock-figures")
    .locator("div", { has: page.getByText(label, { exact: true }) })
    .locator("dd");
/** Of `15:35`, in minutes. */
const minutes = (hour: string) => Number(hour.slice(0, 2)) * 60 + Number(hour.slice(3, 5));

test("the hours run down the column, in the order of the work, to the table", async ({ bench, page }) => {
  await openClock(bench, page);
  await bench.setMoment(TABLE, tomorrow("18:30"));
  await expect(page.getByTestId("table-hour")).toHaveText("table 18:30");
  const hours = (await page.locator(".hour").allInnerTexts()).filter(Boolean);

  expect(hours.at(-1)).toBe("18:30");
  expect(hours.map(minutes)).toEqual([...hours.map(minutes)].sort((a, b) => a - b));
  await expect(figure(page, "Begin")).toHaveText(hours[0]!);
});

test("a later table moves everything by as much", async ({ bench, page }) => {
  await openClock(bench, page);
  await bench.setMoment(TABLE, tomorrow("18:30"));
  await expect(page.getByTestId("table-hour")).toHaveText("table 18:30");
  const before = minutes(await figure(page, "Begin").innerText());
  await bench.setMoment(TABLE, tomorrow("19:15"));
  await expect(page.getByTestId("table-hour")).toHaveText("table 19:15");

  await expect.poll(async () => minutes(await figure(page, "Begin").innerText())).toBe(before + 45);
});

test("the table is dragged on the lanes, and moved by keys", async ({ bench, page }) => {
  await openClock(bench, page);
  await bench.setMoment(TABLE, tomorrow("18:30"));
  await expect(page.getByTestId("table-hour")).toHaveText("table 18:30");
  const handle = page.getByRole("slider", { name: "On the table at" });
  await handle.focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByTestId("table-hour")).toHaveText("table 18:35");
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(page.getByTestId("table-hour")).toHaveText("table 18:34");

  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 120, box.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => minutes(((await page.getByTestId("table-hour").textContent()) ?? "").slice(6))).toBeLessThan(18 * 60 + 30);
});

test("a piece is followed by arrow keys through its whole way", async ({ bench, page }) => {
  await openClock(bench, page);
  await page.getByRole("slider", { name: "Follow a piece" }).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(page.getByTestId("life")).toContainText("Piece 2");
  const life = await page.getByTestId("life").innerText();

  const hours = [...life.matchAll(/\d\d:\d\d/g)].map(([h]) => minutes(h));
  expect(hours).toHaveLength(6);
  expect(life).toMatch(/rounded.*opened.*folded.*rolled.*on the pan.*lifted/);
  await expect(page.getByRole("slider", { name: "Follow a piece" })).toHaveAttribute("aria-valuenow", "2");
  await expect(page.getByRole("slider", { name: "Follow a piece" })).toHaveAttribute("aria-valuetext", /Piece 2: rounded/);
});

test("another pan is planned before it is bought, taken with a press, and taken back", async ({ bench, page }) => {
  await openClock(bench, page);
  await expect(page.getByTestId("bottleneck")).toContainText("The pan holds it up");
  const what = page.locator('[data-what="anotherPan"]');
  await expect(what).toContainText(/oldest \d+ min younger/);
  const oldest = await figure(page, "Oldest piece").innerText();
  await what.getByRole("button", { name: "Take it: Another pan" }).click();

  await expect(page.getByTestId("lanes")).toContainText("Pan 2");
  await expect(figure(page, "Oldest piece")).not.toHaveText(oldest);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(figure(page, "Oldest piece")).toHaveText(oldest);
  await expect(page.getByTestId("lanes")).not.toContainText("Pan 2");
});

test("too late to begin is said by how much, and what would do is marked", async ({ bench, page }) => {
  await openClock(bench, page);
  // Half an hour less than it takes.
  const lead = (await page.getByText(/in all/).innerText()).match(/(\d+) h (\d+)/)!;
  const at = Date.now() + (Number(lead[1]) * 60 + Number(lead[2]) - 30) * 60_000;
  await bench.setMoment(TABLE, new Date(at));

  await expect(page.locator('[data-breach="late"]')).toContainText(/That is (29|30|31) min too late to begin\./);
  await expect(page.locator('[data-what="shorterRests"]')).toContainText("would do");
  await expect(bench.stratum("clock").getByRole("img")).toBeVisible();
});

test("a table that has gone by is said to have", async ({ bench, page }) => {
  await openClock(bench, page);
  await bench.setMoment(TABLE, new Date(Date.now() - 3 * 3600_000));

  await expect(page.locator('[data-breach="tableGone"]')).toContainText(/went by 3 h|went by 1(79|80|81) min/);
});

test("as soon as can be needs no table, and a start has its own", async ({ bench, page }) => {
  await openClock(bench, page);
  await page.getByRole("radio", { name: "Soonest" }).click();
  await expect(page.getByRole("group", { name: TABLE })).toHaveCount(0);
  await expect(page.getByRole("slider", { name: "On the table at" })).toHaveCount(0);
  await page.getByRole("radio", { name: "From a start" }).click();
  await bench.setMoment("Begin at", tomorrow("09:00"));
  await expect(figure(page, "Begin")).toHaveText(/^09:00/);
});

test("coils go to the fridge overnight", async ({ bench, page }) => {
  await openClock(bench, page);
  await page.getByRole("tab", { name: "Hands and pans" }).click();
  await page.getByRole("radio", { name: "Coils, fridge" }).click();
  await page.getByRole("tab", { name: "Timetable" }).click();

  await expect(page.getByTestId("lanes")).toContainText(/Fridge 1\d h/);
});

test("another bread shares hands and pans; how many of it has its bounds", async ({ bench, page }) => {
  await openClock(bench, page);
  await page.getByRole("tab", { name: "Hands and pans" }).click();
  await bench.choose("Add a bread", "Landing rounds");
  const count = page.getByRole("textbox", { name: "Pieces of Landing rounds" });
  await expect(count).toHaveValue("12");
  await count.fill("8");
  await page.getByRole("tab", { name: "Timetable" }).click();
  await expect(bench.stratum("clock")).toContainText(/32 (hot|soft|done)/);
  await page.getByRole("slider", { name: "Follow a piece" }).focus();
  await page.keyboard.press("PageDown");
  await expect(page.getByTestId("life")).toContainText("Night-crew squares");
  await page.getByRole("tab", { name: "Hands and pans" }).click();
  await page.getByRole("button", { name: "Without Landing rounds" }).click();
  await expect(bench.stratum("clock")).toContainText(/24 (hot|soft)/);
});

test.describe("what is refused", () => {
  test.use({ expectErrors: refusedRequests });
  test("a count beside that cannot be is refused by name and stays as typed", async ({ bench, page }) => {
    await openClock(bench, page);
    await page.getByRole("tab", { name: "Hands and pans" }).click();
    await bench.choose("Add a bread", "Landing rounds");
    const count = page.getByRole("textbox", { name: "Pieces of Landing rounds" });
    for (const typed of ["0", "-4", "99999"]) {
      await count.fill(typed);
      await expect(count).toHaveAttribute("aria-invalid", "true");
      await expect(page.getByTestId("beside")).toContainText("From 1 to 500.");
      await expect(count).toHaveValue(typed);
    }
    await count.fill("many");
    await expect(count).toHaveValue("many");
    await count.fill("6");
    await expect(count).not.toHaveAttribute("aria-invalid");
  });
});

test("alarms and the whole service come as files a calendar reads", async ({ bench, page }) => {
  await openClock(bench, page);
  const texts = [];
  for (const name of ["Alarms", "Calendar"]) {
    const download = page.waitForEvent("download");
    await page.getByRole("button", { name, exact: true }).click();
    texts.push(readFileSync(await (await download).path(), "utf8"));
  }

  for (const text of texts) expect(text).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*BEGIN:VALARM[\s\S]*END:VCALENDAR/);
  expect(texts[1]!.split("BEGIN:VEVENT").length).toBeGreaterThan(texts[0]!.split("BEGIN:VEVENT").length + 24);
});

test("the timetable for the wall has a line for each stretch of work, in its order", async ({ bench, page }) => {
  await openClock(bench, page);
  await bench.setMoment(TABLE, tomorrow("18:30"));
  await expect(page.getByTestId("table-hour")).toHaveText("table 18:30");
  await page.getByRole("link", { name: "Print" }).click();
  const printed = page.getByTestId("printed-timetable");
  await expect(printed.getByRole("row").nth(5)).toBeVisible();
  const from = (await printed.locator("tbody tr td:first-child").allInnerTexts()).map(minutes);

  expect(from.length).toBeLessThan(30);
  expect(from).toEqual([...from].sort((a, b) => a - b));
  await expect(printed).toContainText("Fold 1–24");
  // The last piece on the pan is lifted when the table begins.
  const roast = printed.getByRole("row", { name: /Roast 1–24/ });
  expect(18 * 60 + 30 - minutes(await roast.locator("td").nth(1).innerText())).toBeLessThanOrEqual(1);
});

test("own step times are what the clock goes by", async ({ bench, page }) => {
  await openClock(bench, page, "Landing rounds");
  await page.getByRole("tab", { name: "Step times" }).click();
  const field = page.getByRole("textbox", { name: /^Lay on the pan/ });
  const hands = async () => (await page.getByTestId("bottleneck").innerText()).match(/(\d+ (?:s|min[^,.]*)) of hands/)![1];
  await page.getByRole("tab", { name: "Timetable" }).click();
  const before = await hands();
  await page.getByRole("tab", { name: "Step times" }).click();
  await field.fill("19");
  await field.blur();
  await page.getByRole("tab", { name: "Timetable" }).click();
  await expect.poll(hands).not.toBe(before);
  await page.getByRole("tab", { name: "Step times" }).click();
  await page.getByRole("textbox", { name: /^Lay on the pan/ }).fill("");
  await page.getByRole("textbox", { name: /^Lay on the pan/ }).blur();
  await page.getByRole("tab", { name: "Timetable" }).click();
  await expect.poll(hands).toBe(before);
});
