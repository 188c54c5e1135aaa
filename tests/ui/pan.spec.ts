import { expect, refusedRequests, test } from "./kitchen";

const tab = (name: string) => ({ name, exact: true });

test.beforeEach(async ({ bench }) => {
  await bench.pick("Fenugreek triangles");
  await bench.open("Pan");
});

test("a turn is dragged, the bread follows, and the advice is one press away", async ({ page }) => {
  const turns = page.getByTestId("turn");
  await expect(turns).toHaveCount(3);
  const [first, second] = (await turns.allInnerTexts()).map(parseFloat);
  const face = page.locator("[data-face]").nth(1);
  const dark = parseFloat((await face.getAttribute("data-dark"))!);

  // The second turn three quarters of the second stay earlier: that face stays paler.
  const handle = page.locator('[data-turn="1"]');
  const box = (await handle.locator("circle").boundingBox())!;
  const from = (await page.locator('[data-turn="0"] circle').boundingBox())!;
  await page.mouse.move(box.x + 10, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 10 - (box.x - from.x) * 0.75, box.y + 10, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => parseFloat(await turns.nth(1).innerText())).toBeLessThan(second! * 0.4);
  expect(parseFloat(await turns.nth(0).innerText())).toBe(first);
  await expect.poll(async () => parseFloat((await face.getAttribute("data-dark"))!)).toBeLessThan(dark * 0.8);
  await expect(page.locator('[data-note="facePale"]')).toBeVisible();

  await page.getByRole("button", { name: "As advised" }).click();
  await expect(turns.nth(1)).toHaveText(`${second} s`);
  await expect(page.locator('[data-note="facePale"]')).toHaveCount(0);
});

test("turns and fat are moved by keys alone, and kept", async ({ bench, page }) => {
  const turns = page.getByTestId("turn");
  const first = parseFloat(await turns.nth(0).innerText());
  await page.getByRole("slider", { name: "Turn 1" }).focus();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(turns.nth(0)).toHaveText(`${first - 5} s`);
  await page.keyboard.press("ArrowRight");
  await expect(turns.nth(0)).toHaveText(`${first - 4} s`);

  await page.getByRole("slider", { name: "Fat, 2 g" }).first().focus();
  await page.keyboard.press("ArrowLeft");
  await expect(page.locator('[data-drop="0"]')).toBeFocused();
  await expect(page.getByTestId("stay").first()).toContainText("2 g");
  const third = parseFloat(await turns.nth(2).innerText());
  await page.getByRole("button", { name: "Stay 3 longer" }).click();
  await expect(turns.nth(2)).toHaveText(`${third + 1} s`);
  await bench.kept();
  await page.reload();
  await bench.open("Pan");
  await expect(turns).toHaveText([`${first - 4} s`, /s/, `${third + 1} s`]);
});

test("a stay that chars the face is said, and one press mends it", async ({ page }) => {
  const last = page.getByRole("slider", { name: "Lift" });
  await last.focus();
  for (let i = 0; i < 18; i++) await page.keyboard.press("PageUp");
  await expect(page.locator('[data-note="faceBurnt"]')).toBeVisible();
  await page.getByRole("button", { name: /^Back to the 3 stays/ }).click();
  await expect(page.locator('[data-note="faceBurnt"]')).toHaveCount(0);
});

test("schools of roasting differ in turns and in where the fat goes", async ({ bench, page }) => {
  await bench.choose("How it is roasted", "Dry, then fried in a stack");
  await expect(page.getByTestId("stay")).toHaveCount(4);
  await expect(page.getByTestId("stay").first()).toContainText("no fat yet");
  await expect(page.getByTestId("stay").last()).toContainText("2 g");
  await expect(page.getByTestId("out")).toContainText("A stack of 4:");
  await bench.choose("How it is roasted", "In a pool of fat");
  await expect(page.getByTestId("stay").first()).toContainText("4 g");
  await bench.choose("How it is roasted", "Dry, fat at the table");
  await expect(page.getByTestId("pan-chart").locator("[data-drop]")).toHaveCount(0);
  await bench.choose("How it is roasted", "Many turns");
  await expect.poll(() => page.getByTestId("stay").count()).toBeGreaterThan(6);
});

test("paler is quicker, and a pan too cool for any colour says so instead of a time", async ({ bench, page }) => {
  const total = async () => (await page.getByTestId("turn").allInnerTexts()).reduce((sum, t) => sum + parseFloat(t), 0);
  const brown = await total();
  await page.getByRole("radio", { name: "Pale" }).click();
  await expect.poll(total).toBeLessThan(brown * 0.8);
  await bench.set("Pan, when it goes on", "125");
  await page.getByRole("tab", tab("Pan and probe")).click();
  await page.getByRole("radio", { name: "Out" }).click();
  await page.getByRole("tab", tab("Roast")).click();
  await expect(page.getByTestId("cannot")).toBeVisible();
  await expect(page.getByTestId("out")).toHaveCount(0);
  await expect(bench.stratum("pan")).not.toContainText(/\d s/);
});

test("another pan, another flame: the times and the row of pieces follow", async ({ bench, page }) => {
  await page.getByRole("tab", tab("Pan and probe")).click();
  await expect(bench.stratum("pan")).toContainText(/\d\d:\d\d/);
  const pan = () => bench.stratum("pan").innerText();
  const iron = await pan();
  await bench.choose("Pan", "Thin non-stick");
  await expect.poll(pan).not.toBe(iron);
  await expect(bench.number("Floor, thick")).toHaveValue("2.5");
  await bench.choose("Pan", "Cast iron");
  await page.getByRole("radio", { name: "Low" }).click();
  await expect(page.locator("[data-testid=row] td").first()).toHaveText("220 °C");
  await bench.kept();
  await page.getByRole("tab", tab("Roast")).click();
  const falls = page.locator('[data-note="panFalls"]');
  await expect(falls).toContainText("does not keep up");
  // Pale faces further on come of it too, and one change mends both.
  await page.locator('[data-note="facePale"]').getByRole("button", { name: "Flame to high" }).click();
  await expect(falls).toHaveCount(0);
  await expect(page.locator('[data-note="facePale"]')).toHaveCount(0);
  await page.getByRole("tab", tab("Pan and probe")).click();
  await expect(page.getByRole("radio", { name: "High" })).toBeChecked();
});

test("the probe disagrees and the plan follows it until it is told not to", async ({ bench, page, kitchen }) => {
  await page.getByRole("tab", tab("Pan and probe")).click();
  // The hours come after the figures: only then is the row whole.
  await expect(bench.stratum("pan")).toContainText(/\d\d:\d\d/);
  await expect(page.getByTestId("probe")).toHaveText(/^\d+ °C$/);
  await expect(page.getByTestId("probe-state")).toContainText("cooler than planned");
  const pan = () => bench.stratum("pan").innerText();
  const planned = await pan();
  await page.getByRole("switch", { name: "Plan with what is measured" }).click();
  await expect.poll(pan).not.toBe(planned);
  await page.getByText("Play with the stand-in").click();
  const followed = await pan();
  // A bread on a pan whose flame is out: it falls, and the plan with it.
  await page.getByRole("radiogroup", { name: "Flame" }).last().getByRole("radio", { name: "Out" }).click();
  await page.getByRole("button", { name: "Lay a bread" }).click();
  kitchen.ahead(60);
  await expect.poll(pan).not.toBe(followed);
  await page.getByRole("button", { name: "Pull the plug" }).click();
  await expect(page.getByTestId("probe-state")).toHaveAttribute("data-state", "unplugged");
  await page.getByRole("switch", { name: "Plan with what is measured" }).click();
  await expect.poll(pan).toBe(planned);
});

test("two pans stand side by side and one is cooked on", async ({ bench, page }) => {
  await page.getByRole("tab", tab("Compare")).click();
  const times = page.getByTestId("compared");
  await expect(times).toHaveCount(2);
  const [iron, light] = await times.allInnerTexts();
  expect(iron).not.toBe(light);
  await bench.choose("Compare with", "Wide plate");
  await expect(times.nth(1)).not.toHaveText(light!);
  const plate = await times.nth(1).innerText();
  await page.getByRole("button", { name: "Cook on this one" }).click();
  await expect(times.nth(0)).toHaveText(plate);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(times.nth(0)).toHaveText(iron!);
});

test("fats are mixed, counted where they end, and one that browns early is said", async ({ bench, page }) => {
  await page.getByRole("tab", tab("Fat")).click();
  await bench.choose("Add a second fat", "Butter");
  await expect(page.locator('[data-note="butterBrowns"]')).toBeVisible();
  await expect(page.locator('[data-note="panSmokes"]')).toContainText("150 °C");
  await page.getByRole("button", { name: "Leave butter out", exact: false }).click();
  await expect(page.locator('[data-note="panSmokes"]')).toHaveCount(0);
  await bench.set("Fat on each side", "12");
  await expect(page.getByTestId("fat-of-piece")).toContainText("stay in the pan");
});

test("finished while it steams, held where it stays soft", async ({ bench, page }) => {
  await page.getByRole("tab", tab("Finish, hold")).click();
  await page.getByRole("radio", { name: "Clap" }).click();
  await expect(page.getByTestId("finish")).toContainText("while it steams");
  await page.getByRole("radio", { name: /^Plate/ }).click();
  await bench.set("From pan to table", "60");
  await expect(page.locator('[data-note="holdStiff"]')).toBeVisible();
  await page.getByRole("radio", { name: /^Lidded pot/ }).click();
  await expect(page.locator('[data-note="holdStiff"]')).toHaveCount(0);
  await expect(page.getByTestId("hold")).toContainText("reheated dry");
});

test("crisp at the table is another wish than soft: the cover that keeps the one takes the other", async ({ bench, page }) => {
  await page.getByRole("tab", tab("Finish, hold")).click();
  await bench.set("From pan to table", "6");
  await expect(page.locator("[data-note^=hold]")).toHaveCount(0);
  await page.getByRole("radio", { name: "Crisp", exact: true }).click();
  await expect(page.locator('[data-note="holdSoftens"]')).toContainText("crisp for 2 min");
  await page.getByRole("button", { name: "Leave it open on a plate" }).click();
  await expect(page.locator("[data-note^=hold]")).toHaveCount(0);
  await expect(page.getByRole("radio", { name: /^Plate/ })).toBeChecked();
  await page.getByRole("radio", { name: "Hot", exact: true }).click();
  await bench.set("From pan to table", "30");
  await expect(page.locator('[data-note="holdCools"]')).toBeVisible();
  await expect(page.getByTestId("hold")).toContainText("Cold at the table");
  await page.getByRole("button", { name: "Hold it in a lidded, insulated pot" }).click();
  await expect(page.getByTestId("hold")).toContainText("Hot at the table");
});

test("with one turn the first face gets its colour before it is turned", async ({ bench, page }) => {
  await bench.choose("How it is roasted", "One turn");
  await expect(page.getByTestId("stay")).toHaveCount(2);
  await expect(page.getByTestId("stay").first()).toContainText("2 g");
  await expect(page.getByTestId("stay").last()).toContainText("2 g");
});

test.describe("what cannot be", () => {
  test.use({ expectErrors: refusedRequests });

  test("a stay of more than a quarter of an hour and a frozen batter are refused in words, and what was typed stays", async ({
    bench,
    page,
  }) => {
    await page.getByRole("slider", { name: "Lift" }).focus();
    for (let i = 0; i < 90; i++) await page.keyboard.press("PageUp");
    await expect(page.getByTestId("pan-astray")).toContainText("Time of a stay: From 3 s to");
    await page.getByRole("button", { name: "As advised" }).click();
    await expect(page.getByTestId("pan-astray")).toHaveCount(0);

    await page.getByRole("link", { name: "Shelf", exact: false }).last().click();
    await bench.pick("Leek pours");
    await bench.open("Pan");
    await page.getByRole("tab", tab("Pan and probe")).click();
    await page.getByLabel("Straight from the freezer").check();
    await expect(page.getByTestId("pan-astray")).toContainText("A batter is poured, not frozen");
    await page.getByLabel("Straight from the freezer").uncheck();
    await expect(page.getByTestId("pan-astray")).toHaveCount(0);
  });
});

test("one round of practice: turned and lifted by eye, cut open, its score in the log", async ({ page, kitchen }) => {
  await page.clock.install();
  await page.getByRole("tab", tab("Practice")).click();
  await expect(page.getByTestId("task")).toContainText("Wanted:");
  await page.getByRole("button", { name: "A pinch of flour" }).click();
  await page.clock.runFor(60_000);
  await expect(page.getByTestId("pinch")).toContainText("Gold.");
  await page.getByRole("slider", { name: "The pan is at about" }).press("ArrowLeft");
  await page.getByRole("button", { name: "Lay it on the pan" }).click();
  const clock = page.getByTestId("clock");
  for (const [name, at] of [
    ["Turn", 50],
    ["Turn", 120],
    ["Lift", 180],
  ] as const) {
    // The clock waits for every answer, so it is pushed until it is there.
    await expect
      .poll(
        async () => {
          await page.clock.runFor(2000);
          return parseFloat(await clock.innerText());
        },
        { intervals: [20] },
      )
      .toBeGreaterThanOrEqual(at);
    await page.getByRole("button", { name, exact: true }).click();
  }
  const score = parseFloat(await page.getByTestId("score").innerText());
  expect(score).toBeGreaterThan(0);
  const curves = page.getByTestId("score-curve");
  await expect(curves).toHaveCount(3);
  await expect(curves.first()).toContainText(/best \d+ s/);
  await expect(curves.first()).toContainText(/yours 5\d s/);
  await expect(page.getByTestId("marks")).toContainText("Colour");
  await expect(page.getByTestId("cut")).toBeVisible();
  await expect(page.getByTestId("practice-end")).toContainText(/Advised|No turns/);

  await page.goto(`${kitchen.address}/#/log`);
  await expect(page.locator("[data-trained=score]")).toContainText(`Best of 1: ${score} of 100`);
  for (const trained of ["heat", "colour", "done"]) await expect(page.locator(`[data-trained=${trained}]`)).toContainText("Best of 1");
});

test("practice can be quick, is dealt anew, and a turn at the very first moment is none", async ({ page }) => {
  await page.clock.install();
  await page.getByRole("tab", tab("Practice")).click();
  const task = await page.getByTestId("task").innerText();
  // Lots repeat now and then: a few are dealt until another one comes.
  await expect
    .poll(async () => {
      await page.getByRole("button", { name: "Another lot" }).click();
      return page.getByTestId("task").innerText();
    })
    .not.toBe(task);
  await page.getByLabel("4 times as fast").check();
  await page.getByRole("button", { name: "Lay it on the pan" }).click();
  await page.getByRole("button", { name: "Turn", exact: true }).click();
  await page.clock.runFor(5000);
  await expect.poll(async () => parseFloat(await page.getByTestId("clock").innerText())).toBeGreaterThanOrEqual(18);
  await expect(page.getByTestId("practice-pan").locator("[data-face]")).toHaveAttribute("data-dark", "0.00");
});
