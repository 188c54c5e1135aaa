import { readFile } from "node:fs/promises";
import { expect, test } from "./kitchen";

test.beforeEach(async ({ bench }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Fold");
});

test("steps are moved by dragging", async ({ bench }) => {
  await bench.step(2).dragTo(bench.step(0));
  expect(await bench.steps()).toEqual(["letter", "letter", "brush"]);
  await bench.open("Roll");
  await expect(bench.drawn("fused")).toHaveCount(2);
});

test("steps are moved by keys and stay in hand", async ({ bench }) => {
  await bench.step(1).press("Alt+ArrowRight");
  expect(await bench.steps()).toEqual(["letter", "letter", "brush"]);
  await expect(bench.step(2)).toBeFocused();
  await bench.step(2).press("Alt+ArrowLeft");
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
  await bench.step(0).press("Alt+ArrowLeft");
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
});

test("a fold goes across or along: the letter turned, its creases run the other way", async ({ bench, page }) => {
  const creases = async () =>
    bench
      .step(0)
      .locator("line, path")
      .evaluateAll((all) => all.map((e) => e.outerHTML).join(""));
  const across = await creases();
  await bench.step(0).click();
  await page.getByRole("radio", { name: "Along, into a strip" }).click();
  await expect(bench.step(0)).toContainText("along");
  await expect.poll(creases).not.toBe(across);
  await page.getByRole("radio", { name: "Across", exact: true }).click();
  await expect(bench.step(0)).not.toContainText("along");
  await expect.poll(creases).toBe(across);
});

test("a step taken out comes back where it was", async ({ bench, page }) => {
  await bench.step(1).press("Delete");
  expect(await bench.steps()).toEqual(["letter", "letter"]);
  await expect(bench.drawn("fused")).toHaveCount(2);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
  await expect(bench.drawn("fused")).toHaveCount(0);
});

test("a step's own figures change the bread", async ({ bench, page }) => {
  await bench.step(1).click();
  await bench.set("Fat on this face", "0.4");
  await expect(bench.drawn("patchy")).toHaveCount(2);
  await expect(page.locator('[data-note="patchyFat"]')).toContainText("2 of 8");
  await bench.set("Fat on this face", "0,1");
  await expect(bench.drawn("fused")).toHaveCount(2);
});

test("every kind of step can be added and says how it is done", async ({ bench, page }) => {
  for (let i = 2; i >= 0; i--) await bench.step(i).press("Delete");
  const all = {
    Scatter: "scatter",
    "Fat and flour paste": "paste",
    "Press seeds on": "seeds",
    "Wrap a fat dough": "enclose",
    "Roll to a rectangle": "rollLong",
    Gate: "gate",
    Rest: "rest",
    "Roll out": "roll",
    "Slit into ribbons": "slit",
    "Mat roll": "matRoll",
    Stretch: "stretch",
    "Cut the log": "cutLog",
    "Press by hand": "press",
  };
  for (const kind of Object.keys(all)) await bench.add(kind);
  expect(await bench.steps()).toEqual(Object.values(all));
  await expect(bench.stratum("fold")).toContainText(/rings/);
  await expect(page.getByTestId("section").locator('[data-contact="open"]').first()).toBeAttached();
  await expect(page.locator("[data-step] svg[data-plan]")).toHaveCount(13);
});

test("strips are gathered, a cone is wound, sides are folded in and pinched", async ({ bench, page }) => {
  for (let i = 2; i >= 0; i--) await bench.step(i).press("Delete");
  for (const kind of ["Envelope", "Strips", "Cone", "Pinch shut"]) await bench.add(kind);
  expect(await bench.steps()).toEqual(["envelope", "strips", "cone", "pinch"]);
  await bench.step(1).click();
  await bench.set("Strips", "4");
  // Four sides in is 4 leaves, 4 strips of it 16, five turns 80.
  await bench.step(1).click();
  await expect(page.getByText("of 80")).toBeVisible();
});

test("plan views are drawn from the geometry: creases, flaps and what they carry", async ({ bench, page }) => {
  const letter = bench.step(0).locator("svg");
  await expect(letter.locator('[data-mark="fold"]')).toHaveCount(2);
  await expect(letter.locator('[data-up="fat"]')).toHaveCount(1);
  // Three flaps lie on each other after it, their backs up, and carry the ghee of the brush.
  await expect(bench.step(1).locator('[data-up="fat"]')).toHaveCount(3);
  await bench.step(2).click();
  await page.getByRole("slider", { name: "Step shown" }).press("ArrowLeft");
  await page.getByRole("slider", { name: "Step shown" }).press("ArrowLeft");
  await expect(page.getByTestId("show")).toHaveAttribute("data-position", "1");
  await expect(page.getByTestId("section").locator("[data-leaf]")).toHaveCount(3);
  await page.getByRole("slider", { name: "Step shown" }).press("End");
  await expect(page.getByTestId("section").locator("[data-leaf]")).toHaveCount(9);
});

test("the program plays to the finished bread and stops there", async ({ page }) => {
  await page.clock.install();
  await page.clock.pauseAt(Date.now() + 60_000);
  await page.getByRole("button", { name: "Play" }).click();
  await page.clock.runFor(1200);
  await expect(page.getByTestId("show")).toHaveAttribute("data-position", "2");
  await expect(page.getByTestId("section").locator("[data-leaf]")).toHaveCount(3);
  await page.clock.runFor(3400);
  await expect(page.getByTestId("show")).toHaveAttribute("data-position", "4");
  await expect(page.getByRole("button", { name: "Play" })).toBeVisible();
});

test("a mend is one press, and one press takes it back", async ({ bench, page }) => {
  await bench.step(1).press("Delete");
  await expect(bench.drawn("fused")).toHaveCount(2);
  await page.getByRole("button", { name: /^Brush .* before step 2: opens 2/ }).click();
  await expect(bench.drawn("fused")).toHaveCount(0);
  expect(await bench.steps()).toEqual(["letter", "brush", "letter"]);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bench.drawn("fused")).toHaveCount(2);
});

test("four schools side by side, sorted, and one taken over by a key", async ({ bench, page }) => {
  await page.getByRole("tab", { name: "Compare" }).click();
  const rows = page.getByTestId("compare").locator("tbody tr");
  await expect(rows).toHaveCount(5);
  await page.getByRole("button", { name: "Hand time" }).click();
  const times = await rows.locator("td:nth-of-type(4)").allTextContents();
  const inSeconds = times.map((t) => Number(/(\d+) min/.exec(t)?.[1] ?? 0) * 60 + Number(/(\d+) s/.exec(t)?.[1] ?? 0));
  expect(inSeconds).toEqual([...inSeconds].sort((a, b) => a - b));
  await expect(page.getByRole("columnheader", { name: "Hand time" })).toHaveAttribute("aria-sort", "ascending");
  await page.getByRole("button", { name: "Use Pleat and coil" }).press("u");
  await expect(bench.stratum("fold")).toContainText("rings");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bench.stratum("fold")).toContainText("9 leaves");
});

test("no more than six programs are compared", async ({ page }) => {
  await page.getByRole("tab", { name: "Compare" }).click();
  await page.getByRole("button", { name: "Envelope", exact: true }).click();
  await expect(page.getByTestId("compare").locator("tbody tr")).toHaveCount(6);
  await expect(page.getByRole("button", { name: "Strips", exact: true })).toBeDisabled();
});

test("programs for a bread that is wanted, quickest first, and what is no bread is refused", async ({ bench, page }) => {
  await page.getByRole("tab", { name: "Find" }).click();
  await page.getByRole("textbox", { name: "Leaves that come apart" }).fill("20");
  await page.getByRole("textbox", { name: "One leaf" }).fill("0.13");
  await expect(page.getByTestId("found").getByRole("listitem").first()).toContainText("Roll and coil");
  await page.getByRole("button", { name: "Use Roll and coil" }).first().click();
  await expect(bench.stratum("fold")).toContainText(/(1[7-9]|2[0-3]) leaves/);
  await page.getByRole("textbox", { name: "One leaf" }).fill("90");
  await expect(page.locator(".refusal")).toContainText("3 mm");
});

test("own hand times count from the next plan on", async ({ page }) => {
  await page.getByRole("tab", { name: "Hands" }).click();
  const before = await page.getByText(/^Hand time: /).textContent();
  await page.getByRole("textbox", { name: /Roll the first sheet/ }).fill("105");
  await expect(page.getByText(/^Hand time: /)).not.toHaveText(before ?? "");
  await page.getByRole("textbox", { name: /Roll the first sheet/ }).fill("");
  await expect(page.getByText(/^Hand time: /)).toHaveText(before ?? "");
});

test("the section goes out as SVG that stands alone, and as PNG", async ({ bench, page }) => {
  await bench.open("Roll");
  await page.getByRole("button", { name: "Look closer" }).click();
  const [svg] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the section as SVG" }).click()]);
  expect(svg.suggestedFilename()).toBe("Night-crew-squares-section.svg");
  const text = (await readFile(await svg.path())).toString();
  expect(text).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg"/);
  expect(text).toContain("Night-crew squares, raw: 9 leaves");
  expect(text.match(/<path/g)?.length).toBe(9 + 8 + 1);
  const [png] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save the section as PNG" }).click()]);
  expect((await readFile(await png.path())).subarray(1, 4).toString()).toBe("PNG");
});

test("closer up the section is stretched less, down to its own scale", async ({ bench, page }) => {
  await bench.open("Roll");
  await page.getByRole("button", { name: "Look closer" }).click();
  const dialog = page.getByRole("dialog");
  const stretched = async () => Number(/(\d+) times/.exec((await dialog.textContent()) ?? "")?.[1] ?? 1);
  const before = await stretched();
  await dialog.getByRole("slider", { name: "Zoom" }).press("End");
  await expect.poll(stretched).toBeLessThan(before);
  expect(await stretched()).toBeGreaterThanOrEqual(1);
});

test("a coil of a wide square is refused in words and the bread stays on the page", async ({ bench, page }) => {
  const answered = page.waitForResponse((r) => r.url().endsWith("/api/plan"));
  await bench.add("Coil");
  expect((await answered).status()).toBe(400);
  await expect(page.getByTestId("fold-refusal")).toContainText("does not stand on its edge");
  await expect(bench.drawn("open")).toHaveCount(8);
  await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "refused");
});

test("rolled like a mat and wound, leaves and rings are both told", async ({ bench, page }) => {
  for (let i = 2; i >= 0; i--) await bench.step(i).press("Delete");
  for (const kind of ["Mat roll", "Coil"]) await bench.add(kind);
  await bench.step(1).click();
  await expect(page.getByText("Windings")).toBeVisible();
  await expect(page.locator('[data-note="ringsFused"]')).toBeVisible();
});

test.use({ expectErrors: /status of 400/ });

test("where it will weld is asked on the drawing, told once it is marked, and counted in the log", async ({ page, kitchen }) => {
  await page.getByRole("tab", { name: "Practice", exact: true }).click();
  await expect(page.getByTestId("level")).toContainText("Level 1 of 3");
  const stack = page.getByTestId("fold-stack");
  const contacts = stack.getByRole("button");
  await expect(contacts.first()).toBeVisible();
  const count = await contacts.count();
  expect(count).toBeGreaterThan(2);
  await contacts.first().click();
  await expect(contacts.first()).toHaveAttribute("aria-pressed", "true");
  await contacts.first().click();
  await expect(contacts.first()).toHaveAttribute("aria-pressed", "false");
  await page.getByRole("button", { name: "Tell me" }).click();
  await expect(stack.locator("[data-told]")).toHaveCount(count);
  await expect(stack.locator("[data-told=fused]").first()).toContainText(/Step \d, \w+: /);
  // Nothing marked: nothing told of what welds.
  await expect(page.getByTestId("fold-score")).toHaveText(/^0\s/);
  await page.goto(`${kitchen.address}/#/log`);
  await expect(page.locator("[data-trained=fold]")).toContainText("Best of 1: 0 of 100");
});
