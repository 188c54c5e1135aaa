import { expect, test } from "./kitchen";

test("the ledger takes other flours, liquids, fats and additions", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  // Grams stand under each other, whatever else a line holds.
  await expect(page.getByTestId("grams")).toHaveCount(4);
  const ends = await page.getByTestId("grams").evaluateAll((all) => all.map((e) => Math.round(e.getBoundingClientRect().right)));
  expect(new Set(ends).size).toBe(1);
  const white = await bench.grams("flour-white").inputValue();

  await bench.choose("Liquid: Water", "Whole milk");
  await expect(bench.grams("milk")).toHaveValue(/\d g/);
  await bench.choose("Add a flour", "Barley flour");
  await expect(bench.grams("flour-white")).not.toHaveValue(white);
  await bench.choose("Add seeds, leaves, spice", "Nigella seed");
  await bench.set("Nigella seed, percent of flour", "2");
  await expect(bench.grams("seed-nigella")).toHaveValue("22 g");
  await page.getByRole("button", { name: "Leave out Barley flour" }).click();
  await expect(bench.portion("flour-barley")).toHaveCount(0);
  await bench.kept();
});

test("a walnut of ghee, two fists, a heaped spoon: amounts are read as they are said", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("button", { name: "Fix Ghee as it is" }).click();
  await bench.grams("ghee").fill("a walnut of ghee");
  await expect(bench.grams("ghee")).toHaveValue(/walnut|28 g/);
  await expect(bench.number("Ghee, percent of flour")).toHaveValue(/^2\.\d/);
  await bench.open("Balls");
  await bench.set("One ball", "60");
  await expect(page.getByText("like a lemon")).toBeVisible();
  await bench.set("One ball", "80");
  await expect(page.getByText("like a lemon")).toHaveCount(0);
});

test("how a cup of flour is filled is asked once, where it first matters, and the flour is put right with it", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("radio", { name: "Flour", exact: true }).click();
  await bench.number("Flour at hand").fill("2 metric cups");
  const unsaid = page.locator('[data-note="cupsUnsaid"]');
  await expect(unsaid).toContainText(/Scooped or spooned: [\d.]+ % or [\d.]+ % water/);
  const before = parseFloat(await bench.number("Flour at hand").inputValue());
  // A cup that cannot be is refused beside it; one that was weighed counts.
  const weighed = unsaid.getByLabel("Or weigh one as you fill it");
  await weighed.fill("5000");
  await expect(unsaid.getByRole("button", { name: "It weighs that" })).toBeDisabled();
  await unsaid.getByRole("button", { name: "Scooped" }).click();
  await expect.poll(async () => parseFloat(await bench.number("Flour at hand").inputValue())).toBeCloseTo(before * 1.14, 0);
  await expect(page.locator("[data-note^=cups]")).toHaveCount(0);
  // Never again.
  await bench.number("Flour at hand").fill("3 metric cups");
  await expect.poll(async () => parseFloat(await bench.number("Flour at hand").inputValue())).toBeCloseTo(before * 1.14 * 1.5, 0);
  await expect(page.locator("[data-note^=cups]")).toHaveCount(0);
});

test("a ball is as big as a golf ball, and what is like nothing says so", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Balls");
  const ball = bench.number("One ball");
  await ball.fill("two golf balls");
  await ball.blur();
  await expect(bench.stratum("balls")).toContainText("96 g");
  await ball.fill("a gobbet");
  await expect(page.locator("main")).toContainText("This kitchen has no");
});

test("another fat goes in at equal fat, by weight and by spoon", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await expect(bench.grams("ghee")).toHaveValue("35 g");
  await page.getByLabel("Dough fat: Ghee").click();
  const butter = page.getByRole("option", { name: /^Butter/ });
  await expect(butter).toContainText("43 g · 3¼ tbsp");
  await butter.click();
  await expect(bench.grams("butter")).toHaveValue("43 g");
  await expect(bench.number("Butter, percent of flour")).toHaveValue("3.69");
  // Its water comes off the water.
  await expect(bench.number("Water, percent of flour")).toHaveValue("61.4");
});

test("this jug makes ten: water and pieces are fixed, the ball follows, and whichever is turned last stays", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("radio", { name: "Water", exact: true }).click();
  await page.getByRole("button", { name: "Fix how many it makes" }).click();
  const water = await bench.grams("water").inputValue();
  await bench.set("It makes", "10");
  const makes = page.getByTestId("makes");
  await expect(makes).toContainText("10 × 192 g");
  await expect(bench.grams("water")).toHaveValue(water);
  await bench.open("Balls");
  await expect(bench.number("One ball")).toHaveValue("192");
  // The ball is given after all: now it is the pieces that follow.
  await bench.set("One ball", "96");
  await bench.open("Dough");
  await expect(makes).toContainText("20 × 96 g");
  await expect(page.getByRole("button", { name: "Fix how many it makes" })).toBeVisible();
  await bench.kept();
});

test("a batch starts from any of six figures, and switching changes nothing", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  const flour = await bench.grams("flour-white").inputValue();
  for (const [question, label, value] of [
    ["Flour", "Flour at hand", /1.17[0-9]/],
    ["Water", "Water at hand", "728"],
    ["Filling", "Filling at hand", /1.440/],
    ["People", "People", "12"],
    ["Rounds", "Round, across", "18"],
    ["Pieces", "Pieces", "24"],
  ] as const) {
    await page.getByRole("radio", { name: question, exact: true }).click();
    await expect(bench.number(label)).toHaveValue(value);
    await expect(page.getByTestId("makes")).toContainText("24 × 80 g");
    await expect(bench.grams("flour-white")).toHaveValue(flour);
  }
});

test("water first: the jug sets how many", async ({ bench, page }) => {
  await bench.pick("Jug rounds");
  await expect(page.getByRole("radio", { name: "Water", exact: true })).toHaveAttribute("aria-checked", "true");
  await expect(page.getByRole("button", { name: "Water is fixed. Let it follow" })).toHaveAttribute("aria-pressed", "true");
  await bench.set("Water at hand", "840");
  await expect(bench.grams("water")).toHaveValue("840 g");
  await expect(page.getByTestId("makes")).toContainText("45 ×");
  // The blue jug holds just that: it can be said so.
  await bench.grams("water").fill("half a blue jug");
  await expect(page.getByTestId("makes")).toContainText("22 ×");
  await bench.kept();
});

test("a mass typed for the flour pins the flour; unpinned, the pieces count again", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.grams("flour-white").fill("8 metric cups scooped");
  // 8 · 250 ml · 0.53 g/ml · 1.14 = 1 208.4 g.
  await expect(bench.number("Flour at hand")).toHaveValue(/1.208/);
  await expect(page.getByRole("radio", { name: "Flour", exact: true })).toHaveAttribute("aria-checked", "true");
  await page.getByRole("button", { name: "White wheat flour is fixed. Let it follow" }).click();
  await expect(page.getByRole("radio", { name: "Pieces", exact: true })).toHaveAttribute("aria-checked", "true");
  await expect(page.getByTestId("makes")).toContainText("25 ×");
});

test.describe("what cannot be", () => {
  test.use({ expectErrors: /status of 4\d\d/ });

  test("flour, water and percent all pinned: two are kept by letting one go", async ({ bench, page }) => {
    await bench.pick("Night-crew squares");
    await page.getByRole("button", { name: "Fix White wheat flour as it is" }).click();
    await page.getByRole("button", { name: "Fix Water as it is" }).click();
    await expect(page.getByTestId("pins")).toHaveText(/Flour, the liquids and the water percent are all fixed. Keep two/);
    await expect(page.getByTestId("keeping")).toHaveAttribute("data-keeping", "refused");

    await page.getByRole("radio", { name: "As poured" }).click();
    await expect(page.getByTestId("pins")).toHaveCount(0);
    await expect(page.getByTestId("water-bar")).toContainText("62 %");
    await bench.grams("water").fill("600");
    await expect(page.getByTestId("water-bar")).toContainText("51.1 %");
    await expect(page.getByTestId("feels")).toHaveText("stiff");
    await bench.kept();
  });

  test("a jug makes no thousand and not none, and what was typed stays", async ({ bench, page }) => {
    await bench.pick("Night-crew squares");
    await page.getByRole("radio", { name: "Flour", exact: true }).click();
    await page.getByRole("button", { name: "Fix how many it makes" }).click();
    for (const typed of ["0", "499", "-3", "ten"]) {
      await bench.number("It makes").fill(typed);
      await expect(page.locator(".refusal").first()).toBeVisible();
      await expect(bench.number("It makes")).toHaveValue(typed);
    }
    await bench.number("It makes").fill("12");
    await expect(page.getByTestId("makes")).toContainText("12 ×");
    await expect(page.locator(".refusal")).toHaveCount(0);
  });

  test("shares of flour that cannot be are said where they were typed", async ({ bench }) => {
    await bench.pick("Beet quarters");
    const before = await bench.grams("flour-atta").inputValue();
    await bench.number("White wheat flour, percent of flour").fill("150");
    await expect(bench.portion("flour-white").locator(".refusal")).toHaveText(/[Ff]rom 0.1 % to 99.9 %/);
    await expect(bench.grams("flour-atta")).toHaveValue(before);
    await bench.number("White wheat flour, percent of flour").fill("80");
    await expect(bench.number("Stone-ground whole durum or wheat, percent of flour")).toHaveValue("20");
    await bench.kept();
  });

  test("a puree carries all the water; more than fits is told, and taken back with a press", async ({ bench, page }) => {
    await bench.pick("Beet quarters");
    await expect(page.getByTestId("water-bar")).toContainText("Beetroot puree 64");
    await bench.choose("Add a liquid", "Water");
    await page.getByRole("radio", { name: "As poured" }).click();
    await page.getByRole("radio", { name: "By percent" }).click();
    await bench.grams("puree-beet").fill("900");
    await expect(bench.portion("puree-beet")).toContainText(/Only 4\d\d(\.\d)? g of beetroot puree fits; 4\d\d(\.\d)? g is left over/);
    await page.getByRole("button", { name: /^Take 4/ }).click();
    await expect(bench.grams("puree-beet")).toHaveValue(/^4\d\d g$/);
    await bench.kept();
  });
});

test("how a puree is made: what to buy, how little water to blend, thicker or thinner", async ({ bench, page }) => {
  await bench.pick("Beet quarters");
  await page.getByRole("tab", { name: "Puree" }).click();
  const boil = page.getByTestId("puree-ways").getByRole("row").nth(1);
  await expect(boil).toContainText("Boil 40 min");
  const before = await boil.textContent();
  await bench.set("Beetroot puree, water in it", "82");
  await expect(boil).not.toHaveText(before ?? "");
  await expect(boil.getByRole("cell").nth(3)).toHaveText(/\d g/);
  await page.getByRole("button", { name: "as in the larder" }).click();
  await expect(boil).toHaveText(before ?? "");
});

test("a batter is a school of its own, with a ladle for a bench", async ({ bench, page }) => {
  await page.getByRole("button", { name: "New bread", exact: true }).click();
  await page.getByRole("button", { name: /^Batter/ }).click();
  await expect(page.locator("[data-stage]")).toHaveCount(5);
  await expect(page.getByTestId("feels")).toHaveText("pours");
  await bench.open("Ladle");
  await bench.set("One ladle", "120");
  await bench.set("Poured, thickness", "3");
  // D = √(4 · 120 / (π · 0.3)) cm.
  await expect(page.getByRole("tabpanel")).toContainText("22.6 cm");
  await bench.open("Dough");
  await page.getByRole("radio", { name: "Flour", exact: true }).click();
  await bench.set("Flour at hand", "500");
  await expect(page.getByTestId("makes")).toContainText(/10 × 1\d\d g/);
  await page.getByRole("radio", { name: "Medium" }).click();
  await expect(page.locator("[data-stage]")).toHaveCount(9);
  await expect(page.getByTestId("feels")).toHaveText("a batter");
});

test("adding bit by bit replans from what went in, and the log has it", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("tab", { name: "Mix" }).click();
  await page.getByRole("button", { name: "Begin with 655 g" }).click();
  await expect(page.getByTestId("bit-now")).toContainText("655 g in: 55.8 % water, on the firm side");
  await page.getByRole("button", { name: "+ a spoon" }).click();
  await page.getByRole("button", { name: "+ a spoon" }).click();
  await page.getByRole("button", { name: "+ a teaspoon" }).click();
  await expect(page.getByTestId("bit-now")).toContainText("690 g in");
  await expect(bench.stratum("balls")).toContainText("24 × 78 g");
  await page.getByRole("tab", { name: "Weigh" }).click();
  await expect(bench.grams("water")).toHaveValue("728 g");
  await bench.kept();

  await page.getByRole("button", { name: "Log it" }).click();
  await expect(bench.number("Liquid")).toHaveValue("690");
  await page.getByRole("button", { name: "Keep the entry" }).click();
  await page.getByTestId("log-lines").getByRole("link").first().click();
  await expect(page.getByRole("form")).toContainText("728 g");
});

test("a dough too big for the bowl is mixed in equal lots", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await page.getByRole("tab", { name: "Mix" }).click();
  await bench.number("Bowl takes at most").fill("0.7 kg");
  await expect(page.getByTestId("lots")).toHaveText("Lot 1 of 3: 653 g each, mixed in turn");
  await page.getByRole("tab", { name: "Weigh" }).click();
  await expect(bench.grams("flour-white")).toHaveValue("392 g");
});

test("a piece has its cost, by part, and what it contains", async ({ bench, page }) => {
  await bench.pick("Landing rounds");
  await page.getByRole("tab", { name: "Cost" }).click();
  await expect(page.getByTestId("cost")).toContainText("¤ 0.0");
  await expect(page.getByRole("row", { name: /Flour/ })).toBeVisible();
  await expect(page.getByTestId("allergens")).toHaveText("Contains: gluten, wheat, milk.");
});

test("a rest in the fridge comes back slower in one lump, and a bare dough grows a skin", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Rest");
  await page.getByRole("radio", { name: "Bare" }).click();
  await expect(page.locator('[data-note="restNeedsCover"]')).toBeVisible();
  await page.getByRole("radio", { name: "Covered", exact: true }).click();
  await page.getByRole("radio", { name: "In the fridge" }).click();
  await bench.set("Rest of the dough", "720");
  await expect(page.getByTestId("warms")).toContainText(/as one: \d h.*as balls: 90 min/);
  await expect(page.locator('[data-note="divideCold"]')).toBeVisible();
});
