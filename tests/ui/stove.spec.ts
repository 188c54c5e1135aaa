import type { APIRequestContext, BrowserContext, Page } from "@playwright/test";
import { Bench, expect, refusedRequests, test, ownLine } from "./kitchen";
import { startServer } from "./server.mjs";
import { begin, type Kitchen, openStove as open, pan, showPans } from "./service";

/** A second screen on the same new service. */
async function two(page: Page, kitchen: Kitchen, context: BrowserContext, request: APIRequestContext) {
  const id = await begin(request, kitchen.address);
  const other = await context.newPage();
  await open(page, kitchen, id);
  await open(other, kitchen, id);
  return { id, other };
}

const group = (page: Page, at: string) => page.locator(`[data-group="${at}"]`);
const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name }).first().click();

test("from the clock to the stove, and a piece from pan to cloth press by press", async ({ bench, page }) => {
  await bench.pick("Night-crew squares");
  await bench.open("Clock");
  await page.getByRole("radio", { name: "Soonest" }).click();
  await page.getByRole("button", { name: "To the stove" }).click();
  await expect(page.getByTestId("hands-now")).toHaveText("Mix the dough");
  await showPans(page);
  await expect(page.getByTestId("done")).toHaveText("0 of 24 done");

  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(group(page, "onPan")).toContainText("1");
  await pan(page, 1).getByRole("button", { name: /^Turn/ }).click();
  await expect(pan(page, 1)).toContainText("second side");
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
  await pan(page, 1).getByRole("button", { name: /^Turn/ }).click();
  await expect(pan(page, 1).getByRole("button", { name: /^Lift/ })).toBeEnabled();
  await pan(page, 1).getByRole("button", { name: /^Lift/ }).click();
  await expect(group(page, "hot")).toContainText("1");
  await expect(page.getByTestId("done")).toHaveText("1 of 24 done");

  await group(page, "hot").click();
  await page.getByRole("button", { name: "All to the table" }).click();
  await expect(group(page, "served")).toContainText("1");
  await expect(group(page, "hot")).toHaveCount(0);
});

test("two screens show the same, and both can act; the same piece is lifted once", async ({ page, kitchen, context, request }) => {
  const { other } = await two(page, kitchen, context, request);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  for (let turn = 0; turn < 2; turn++) {
    await expect(pan(other, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
    await pan(turn ? page : other, 1)
      .getByRole("button", { name: /^Turn/ })
      .click();
    if (turn === 0) await expect(pan(page, 1)).toContainText("second side");
  }

  // Both at the same moment, before either has heard of the other.
  const lifts = [page, other].map((p) => pan(p, 1).getByRole("button", { name: /^Lift/ }));
  for (const lift of lifts) await expect(lift).toBeEnabled();
  await Promise.all(lifts.map((lift) => lift.evaluate((button) => (button as HTMLButtonElement).click())));
  for (const p of [page, other]) {
    await expect(p.getByTestId("done")).toHaveText("1 of 6 done");
    await expect(group(p, "hot")).toContainText("1");
    await expect(group(p, "onPan")).toHaveCount(0);
  }
  await other.close();
});

test("a foot pedal that types space does whatever comes next; hands and pans have their keys", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address, { pieces: 2, pans: 1 });
  await open(page, kitchen, id);
  await expect(page.getByTestId("hands-now")).toHaveText("Mix the dough");
  await page.keyboard.press("Space");
  await expect(page.getByTestId("hands-now")).toHaveText(/^Round \d+ balls of \d+ g, trayful 1$/);
  await expect(page.getByRole("button", { name: /^Done/ })).toBeEnabled();
  await page.keyboard.press("d");
  await expect(page.getByTestId("hands-now")).toHaveText("Sheet and fold 1");
  // Told and shown: thirds, ghee, thirds.
  await expect(page.getByTestId("hands-how").locator("[data-plan]")).toHaveCount(3);
  await expect(pan(page, 1).getByRole("button", { name: /^Lay 1/ })).toBeEnabled();
  await page.keyboard.press("f");
  await expect(group(page, "onPan")).toContainText("1");
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
  await page.keyboard.press("F");
  await expect(pan(page, 1)).toContainText("second side");
  await page.keyboard.press("u");
  await expect(pan(page, 1)).toContainText("first side");
  await expect(page.getByTestId("last-event")).toContainText("1 laid on pan 1");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
});

test("the time to the next turn runs by the kitchen's clock, and what is over is said and seen", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await open(page, kitchen, id);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  // The kitchen has it: only then does pushing the clock shorten its stay.
  await expect(pan(page, 1)).toContainText("first side");
  await expect(pan(page, 1)).toContainText(/(^|[^+\d])[01]:\d\d/);
  await expect(page.locator(".flash")).toHaveCount(0);
  kitchen.ahead(90);
  // The next word of the kitchen comes by itself.
  await expect(pan(page, 1)).toContainText(/\+0:\d\d/);
  await expect(page.locator(".flash")).toHaveCount(1);
});

test("what spoils and runs out of time in the warm is said, quietly at first and red when it is thrown away", async ({
  bench,
  page,
  kitchen,
}) => {
  await bench.pick("Cauliflower and pea rounds");
  await bench.open("Clock");
  await page.getByRole("radio", { name: "Soonest" }).click();
  await page.getByRole("button", { name: "To the stove" }).click();
  await expect(page.getByTestId("hands-now")).toHaveText("Mix the dough");
  await showPans(page);
  // Rolled and laid without a press before: its filling was ready by then.
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(group(page, "onPan")).toContainText("1");
  const warm = page.getByTestId("running-out");
  await expect(warm).toHaveCount(0);
  kitchen.ahead(100 * 60);
  await expect(warm).toContainText(/the filling has been warm for \d+ min, \d+ min left/);
  await expect(warm).toHaveClass(/quiet/);
  kitchen.ahead(150 * 60);
  await expect(warm).toContainText("over the usual limit");
  kitchen.ahead(260 * 60);
  await expect(warm).toContainText("throw it away; local food codes come first");
  await expect(warm).not.toHaveClass(/quiet/);
});

test("every press can be taken back from the list", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await open(page, kitchen, id);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(group(page, "onPan")).toContainText("1");
  // By another screen: after a piece laid out of time the plan may want the second on either pan.
  await request.post(`${kitchen.address}/api/services/${id}/events`, {
    data: { id: crypto.randomUUID(), act: "laid", pan: 1, place: 0, bread: 0, number: 2 },
  });
  await expect(group(page, "onPan")).toContainText("2");
  await page.getByRole("button", { name: "Earlier" }).click();
  const past = page.getByRole("dialog");
  await expect(past).toContainText("2 laid on pan 2");
  await past.getByRole("button", { name: "Undo" }).last().click();
  await expect(past.locator(".line-through")).toContainText("1 laid on pan 1");
  await past.getByRole("button", { name: "Close" }).click();
  await expect(pan(page, 1).getByRole("button", { name: /^Lay 1/ })).toBeVisible();
  await expect(pan(page, 2).getByRole("button", { name: /^Turn/ })).toBeVisible();
});

test("a lost piece, a pan away, hands held up and nobody there: the plan goes round them and says so", async ({
  page,
  kitchen,
  request,
}) => {
  const id = await begin(request, kitchen.address, { bread: "Cabbage moons" });
  await open(page, kitchen, id);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
  await pan(page, 1).getByRole("button", { name: "More" }).click();
  await press(page, "1 burst");
  await expect(group(page, "lost")).toContainText("1");
  await expect(page.getByTestId("done")).toContainText("1 lost");
  await expect(pan(page, 1)).toContainText("Wipe it before the next");

  await group(page, "ball").click();
  await page.getByRole("dialog").getByRole("button", { name: /^4/ }).click();
  await page.getByRole("button", { name: "4 is lost" }).click();
  await expect(page.getByTestId("done")).toContainText("2 lost");

  await pan(page, 2).getByRole("button", { name: "More" }).click();
  await press(page, "Pan is needed elsewhere");
  await expect(pan(page, 2)).toContainText("This pan is away");
  await page.getByRole("button", { name: "2 min late" }).click();
  await expect(page.getByTestId("last-event")).toContainText("Late by 2 min");

  await page.getByTestId("in-hand").click();
  await page.getByRole("button", { name: "One pair of hands less" }).click();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect(page.getByTestId("in-hand")).toContainText("stands still");
  await expect(page.getByText("Nobody is at the stove")).toBeVisible();
});

test("a pan that is measured too hot is said in words with what to do", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await open(page, kitchen, id);
  await request.post(`${kitchen.address}/api/services/${id}/events`, {
    data: { id: crypto.randomUUID(), act: "heat", pan: 1, value: 246 },
  });
  await expect(pan(page, 2).getByTestId("pan-heat")).toHaveText("246 °C");
  await expect(pan(page, 2)).toContainText(/Turn it down now: the fat smokes at 250 °C\. Never water into hot fat\./);
  await pan(page, 1).getByRole("button", { name: "More" }).click();
  await press(page, "Probe on this pan");
  await expect(pan(page, 1).getByTestId("pan-heat")).toHaveText(/\d{2,3} °C/, { timeout: 20_000 });
});

test("the table can be moved and the bell muted; a screen can be there for pans or hands alone", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await open(page, kitchen, id);
  const before = await page.getByTestId("in-hand").innerText();
  await page.getByTestId("in-hand").click();
  await new Bench(page).setMoment("On the table at", new Date(Date.now() + 6 * 3600_000));
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect(page.getByTestId("in-hand")).not.toHaveText(before);

  await page.keyboard.press("b");
  await expect(page.getByRole("button", { name: "Bell is off" })).toBeVisible();
  await page.getByRole("button", { name: "Pans", exact: true }).click();
  await expect(page.getByRole("region", { name: /Hands/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Hands", exact: true }).click();
  await expect(pan(page, 1)).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId("hands-now")).toBeVisible();
  await expect(pan(page, 1)).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Bell is off" })).toBeVisible();
});

test("a service left open since yesterday asks whether it goes on, and can be closed", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await open(page, kitchen, id);
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
  kitchen.ahead(26 * 3600);
  await page.goto(`${kitchen.address}/#/stove`);
  await expect(page.getByTestId("services")).toContainText("open since");
  await page.getByTestId("services").getByRole("link").click();
  await expect(page.getByTestId("left-open")).toContainText("Nobody pressed anything for 26 h");
  await page.getByRole("button", { name: "It goes on" }).click();
  await expect(page.getByTestId("left-open")).toHaveCount(0);
  await page.getByTestId("in-hand").click();
  await page.getByRole("button", { name: "Close the service" }).click();
  await expect(page.getByText("Closed: 0 pieces done.")).toBeVisible();
  await page.goto(`${kitchen.address}/#/stove`);
  await expect(page.getByTestId("services")).toHaveCount(0);
  await expect(page.getByText("Nothing is on the stove.")).toBeVisible();
});

test.describe("with the kitchen gone", () => {
  test.use({
    expectErrors: /net::ERR_|status of 404/,
    ownServer: true,
  });

  test("a server killed and started again: timers go on, a waiting press counts once, all screens catch up", async ({
    page,
    kitchen,
    context,
    request,
  }) => {
    const { id, other } = await two(page, kitchen, context, request);
    await pan(page, 1)
      .getByRole("button", { name: /^Lay 1/ })
      .click();
    for (const p of [page, other]) await expect(pan(p, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
    await kitchen.stop("SIGKILL");
    await expect(page.getByTestId("unheard")).toBeVisible();
    // What is pressed now is not shown as done.
    await pan(page, 1).getByRole("button", { name: /^Turn/ }).click();
    await expect(pan(page, 1)).toContainText("first side");
    await expect(pan(page, 1).getByText("Waits for an answer")).toHaveCount(1);
    await page.reload({ waitUntil: "commit" }).catch(() => undefined);

    const again = await startServer({ data: kitchen.data, port: Number(new URL(kitchen.address).port) });
    again.ahead(30);
    await page.goto(`${kitchen.address}/#/stove/${id}`);
    for (const p of [page, other]) {
      await expect(pan(p, 1)).toContainText("second side", { timeout: 30_000 });
      await expect(p.getByTestId("unheard")).toHaveCount(0);
    }
    const state = (await (await request.get(`${kitchen.address}/api/services/${id}`)).json()) as {
      sheet: { past: { event: { act: string } }[] };
    };
    expect(state.sheet.past.map((p) => p.event.act)).toEqual(["turned", "laid"]);
    await other.close();
    await again.stop();
  });
});

test.describe("an address that leads nowhere", () => {
  test.use({ expectErrors: /status of 404/ });

  test("an address of no service says so", async ({ page, kitchen }) => {
    await page.goto(`${kitchen.address}/#/stove/0199b2f0-0000-7000-8000-000000000001`);
    await expect(page.getByRole("heading", { name: "There is no such service" })).toBeVisible();
  });
});

test.describe("what another screen did meanwhile", () => {
  test.use({ expectErrors: refusedRequests });
  test("a press that cannot be is said in words and changes nothing", async ({ page, kitchen, request }) => {
    const id = await begin(request, kitchen.address);
    // All that this screen ever hears is how the service began.
    const begun = await (await request.get(`${kitchen.address}/api/services/${id}`)).text();
    await ownLine(page);
    await page.route("**/api/live?*", (route) =>
      route.fulfill({ contentType: "text/event-stream", body: `event: service\ndata: ${begun}\n\n` }),
    );
    await page.reload();
    await open(page, kitchen, id);
    await request.post(`${kitchen.address}/api/services/${id}/events`, { data: { id: crypto.randomUUID(), act: "end" } });
    await page.getByRole("button", { name: "2 min late" }).click();
    await expect(page.getByText("Not counted: this service is closed.")).toBeVisible();
  });
});

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test(`a wet knuckle finds every control at ${width} px`, async ({ page, kitchen, request }) => {
    await page.setViewportSize({ width, height });
    const id = await begin(request, kitchen.address, { people: 2 });
    await open(page, kitchen, id);
    await pan(page, 1)
      .getByRole("button", { name: /^Lay 1/ })
      .click();
    await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
    const small = await page
      .getByTestId("stove")
      .locator("button:visible, a:visible")
      .evaluateAll((all) =>
        all
          .map((e) => [e.textContent?.trim(), e.getBoundingClientRect()] as const)
          .filter(([, b]) => b.height < 63.5 || b.width < 63.5)
          .map(([t]) => t),
      );
    expect(small).toEqual([]);
  });
}
