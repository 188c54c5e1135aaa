import type { Page } from "@playwright/test";
import { expect, ownLine, test } from "./kitchen";
import { startServer } from "./server.mjs";
import { begin, openStove, pan } from "./service";

test.use({ expectErrors: /ERR_FAILED|status of 500/ });

const hide = (page: Page) =>
  page.evaluate(() => {
    Object.defineProperty(document, "hidden", { value: true, configurable: true });
    Object.defineProperty(document, "visibilityState", { value: "hidden", configurable: true });
    document.dispatchEvent(new Event("visibilitychange"));
  });
/** Counts how often the bell rings; the browser lets it, or not. */
const listenToBell = (page: Page, allowed = true) =>
  page.addInitScript((allowed) => {
    const heard = globalThis as unknown as { rung: number };
    heard.rung = 0;
    HTMLMediaElement.prototype.play = function () {
      if (!allowed) return Promise.reject(new DOMException("no", "NotAllowedError"));
      if (this.volume > 0) heard.rung++;
      return Promise.resolve();
    };
  }, allowed);
const rung = (page: Page) => page.evaluate(() => (globalThis as unknown as { rung: number }).rung);
const lay = async (page: Page) => {
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
};
interface Service {
  sheet: { now: number; past: { event: { act: string; at: number } }[]; pans: { places: { due: number }[] }[] };
}
const service = async (page: Page, address: string, id: string) =>
  (await (await page.request.get(`${address}/api/services/${id}`)).json()) as Service;
const past = async (page: Page, address: string, id: string) => (await service(page, address, id)).sheet.past.map((p) => p.event.act);
/** Pushes the kitchen's clock to so many seconds before the piece on the pan is due. */
async function nearlyDue(page: Page, kitchen: { address: string; ahead: (s: number) => void }, id: string, seconds: number) {
  const { sheet } = await service(page, kitchen.address, id);
  kitchen.ahead(sheet.pans[0]!.places[0]!.due - sheet.now - seconds);
}

test("the bell rings on time in a hidden tab whose own timers stand still", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await listenToBell(page);
  await page.reload();
  await openStove(page, kitchen, id);
  await lay(page);
  await nearlyDue(page, kitchen, id, 8);
  await expect(pan(page, 1)).toContainText(/0:0\d/);
  const before = await rung(page);
  // The browser all but stops a hidden page's timers; its line to the kitchen is let go.
  await page.clock.install();
  // A little ahead: the page's clock goes on until it is told.
  await page.clock.pauseAt(Date.now() + 2000);
  await hide(page);
  await expect.poll(() => rung(page), { timeout: 20_000 }).toBe(before + 1);
});

test("the bell does not ring in a hidden tab for what another screen has done meanwhile", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await listenToBell(page);
  await page.reload();
  await openStove(page, kitchen, id);
  await lay(page);
  await nearlyDue(page, kitchen, id, 8);
  await expect(pan(page, 1)).toContainText(/0:0\d/);
  const before = await rung(page);
  await hide(page);
  await expect.poll(async () => (await (await request.get(`${kitchen.address}/api/live/room`)).json()).open).toBe(0);
  await request.post(`${kitchen.address}/api/services/${id}/events`, {
    data: { id: crypto.randomUUID(), act: "turned", pan: 0, place: 0, bread: 0, number: 1, value: 0 },
  });
  // It hears of it when it would ring, since it looks before it does, however long the answer takes.
  await page.route(`**/api/services/${id}`, async (route) => {
    await new Promise((later) => setTimeout(later, 1500));
    await route.continue();
  });
  await expect(pan(page, 1)).toContainText("first side");
  await expect(pan(page, 1)).toContainText("second side", { timeout: 20_000 });
  expect(await rung(page)).toBe(before);
});

test("a browser that keeps the bell silent is said, until it lets it ring", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await listenToBell(page, false);
  await page.reload();
  await openStove(page, kitchen, id);
  await expect(page.getByTestId("bell-blocked")).toContainText("silent until this screen is touched");
  await expect(page.getByRole("button", { name: /The browser keeps the bell silent/ })).toBeVisible();
  await page.evaluate(() => (HTMLMediaElement.prototype.play = () => Promise.resolve()));
  await page.getByRole("heading", { level: 1 }).click();
  await expect(page.getByTestId("bell-blocked")).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Bell is on" })).toBeVisible();
});

test("what is due is said to a screen reader, and aloud where that is wanted and there is a voice", async ({ page, kitchen, request }) => {
  await page.addInitScript(() => {
    const said: string[] = ((globalThis as unknown as { said: string[] }).said = []);
    const voice = {
      getVoices: () => [{}],
      cancel: () => {},
      speak: (u: { text: string }) => said.push(u.text),
      addEventListener: () => {},
    };
    Object.defineProperty(globalThis, "speechSynthesis", { value: voice });
  });
  await page.reload();
  const id = await begin(request, kitchen.address);
  await openStove(page, kitchen, id);
  const said = () => page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
  await lay(page);
  const aloud = page.getByRole("button", { name: "Say the next press aloud" });
  await expect(aloud).toHaveAttribute("aria-pressed", "false");
  await aloud.click();
  await nearlyDue(page, kitchen, id, 7);
  await expect(page.getByTestId("said")).toHaveText(/Turn 1 now/);
  expect((await said()).at(-1)).toMatch(/Turn 1 now/);
});

test("where there is no voice none is offered", async ({ page, kitchen, request }) => {
  await page.addInitScript("Object.defineProperty(globalThis, 'speechSynthesis', { value: undefined })");
  await page.reload();
  await openStove(page, kitchen, await begin(request, kitchen.address));
  await expect(page.getByRole("button", { name: "Say the next press aloud" })).toHaveCount(0);
});

for (const [allowed, count] of [
  [true, 0],
  [false, 1],
] as const) {
  test(`a browser that ${allowed ? "keeps" : "does not keep"} the screen awake is ${allowed ? "not spoken of" : "said"}`, async ({
    page,
    kitchen,
    request,
  }) => {
    await page.addInitScript((allowed) => {
      const wakeLock = {
        request: () => (allowed ? Promise.resolve({ release: () => Promise.resolve() }) : Promise.reject(new Error("no"))),
      };
      Object.defineProperty(navigator, "wakeLock", { value: wakeLock });
    }, allowed);
    await page.reload();
    await openStove(page, kitchen, await begin(request, kitchen.address));
    await expect(page.getByTestId("may-sleep")).toHaveCount(count);
  });
}

test("presses wait when the stove is left, go by themselves, and a newer screen loses none of them", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await openStove(page, kitchen, id);
  await page.route("**/events", (route) => route.abort());
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(page.getByTestId("unheard")).toBeVisible();
  await page.keyboard.press("Escape");
  await openStove(page, kitchen, id);
  await page.getByRole("button", { name: "2 min late" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByTestId("shelf")).toBeVisible();
  await page.unrouteAll({ behavior: "wait" });
  await expect.poll(() => past(page, kitchen.address, id)).toEqual(["late", "laid"]);
});

test.describe("a stove that is left while the kitchen is away", () => {
  test.use({ ownServer: true, expectErrors: /net::ERR_/ });

  test("is listened to no more when the kitchen is back", async ({ page, kitchen, request }) => {
    await ownLine(page);
    await page.reload();
    const id = await begin(request, kitchen.address);
    await openStove(page, kitchen, id);
    await kitchen.stop("SIGKILL");
    await expect(page.getByTestId("unheard")).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(page.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
    const asked: string[] = [];
    const line = /\/(live\?|stream)/;
    page.on("request", (r) => line.test(r.url()) && asked.push(r.url()));
    // How often it asks meanwhile is no matter: in the end the kitchen that is back answers.
    const answered = page.waitForResponse((r) => line.test(r.url()) && r.ok());
    const again = await startServer({ data: kitchen.data, port: Number(new URL(kitchen.address).port) });
    await answered;
    expect(asked.length).toBeGreaterThan(0);
    expect(asked.filter((url) => url.includes(id))).toEqual([]);
    await again.stop();
  });
});

test("a press is sent with the browser's storage full", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException("no", "QuotaExceededError");
    };
  });
  await page.reload();
  await openStove(page, kitchen, id);
  await lay(page);
  expect(await past(page, kitchen.address, id)).toEqual(["laid"]);
});

for (const [how, button, events] of [
  ["as it was", /^Count it at/, ["laid"]],
  ["now", "Count it now", ["laid"]],
  ["never", "Throw it away", []],
] as const) {
  test(`a press that waited for two hours is asked about: ${how}`, async ({ page, kitchen, request }) => {
    const id = await begin(request, kitchen.address);
    await page.evaluate(
      ([service, at]) => {
        const body = { id: crypto.randomUUID(), act: "laid", pan: 0, place: 0, bread: 0, number: 1 };
        localStorage.setItem(`ystrata.press.2.${service}.${body.id}`, JSON.stringify({ service, body, at: Number(at) }));
      },
      [id, Date.now() - 2 * 3600_000] as const,
    );
    await page.reload();
    await openStove(page, kitchen, id);
    const old = page.getByTestId("old-press");
    await expect(old).toContainText("the kitchen has not heard of it");
    expect(await past(page, kitchen.address, id)).toEqual([]);
    await old.getByRole("button", { name: button }).click();
    await expect(old).toHaveCount(0);
    await expect.poll(() => past(page, kitchen.address, id)).toEqual(events);
    expect(await page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith("ystrata.press")))).toEqual([]);
  });
}

test("a clock that is put on by an hour while a press waits makes nobody's press an hour old", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  await openStove(page, kitchen, id);
  await page.route("**/events", (route) => route.abort());
  await pan(page, 1)
    .getByRole("button", { name: /^Lay 1/ })
    .click();
  await expect(page.getByTestId("unheard")).toBeVisible();
  await page.evaluate(() => {
    const now = Date.now.bind(Date);
    Date.now = () => now() + 3700_000;
  });
  await page.unrouteAll({ behavior: "wait" });
  await expect(page.getByTestId("old-press")).toBeVisible();
  await page.getByRole("button", { name: "Count it now" }).click();
  await expect.poll(() => past(page, kitchen.address, id)).toEqual(["laid"]);
});

test("words that come in the wrong order show the newest", async ({ page, kitchen, request }) => {
  const id = await begin(request, kitchen.address);
  const begun = await (await request.get(`${kitchen.address}/api/services/${id}`)).text();
  await request.post(`${kitchen.address}/api/services/${id}/events`, {
    data: { id: crypto.randomUUID(), act: "laid", pan: 0, place: 0, bread: 0, number: 1 },
  });
  const laid = await (await request.get(`${kitchen.address}/api/services/${id}`)).text();
  await ownLine(page);
  const word = (data: string) => `event: service\ndata: ${data}\n\n`;
  await page.route("**/api/live?*", (route) => route.fulfill({ contentType: "text/event-stream", body: word(laid) + word(begun) }));
  await page.reload();
  await openStove(page, kitchen, id);
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeVisible();
});

test("a stray digit or slash does not leave a running stove; letters of any script press, and can be switched off", async ({
  page,
  kitchen,
  request,
}) => {
  const id = await begin(request, kitchen.address);
  await openStove(page, kitchen, id);
  for (const key of ["1", "4", "/", "["]) await page.keyboard.press(key);
  await expect(page.getByTestId("belt")).toBeVisible();
  const type = (key: string, code: string) =>
    page.evaluate(
      ([key, code]) => document.body.dispatchEvent(new KeyboardEvent("keydown", { key, code, bubbles: true, cancelable: true })),
      [key, code] as const,
    );
  // F on a Cyrillic keyboard.
  await type("а", "KeyF");
  await expect(pan(page, 1).getByRole("button", { name: /^Turn/ })).toBeEnabled();
  await page.keyboard.press("?");
  await page.getByRole("switch", { name: "Single letters, digits and signs are keys" }).click();
  await page.keyboard.press("Escape");
  // Until it is gone it has the keys, so that two of Escape in a row do not leave the stove as well.
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.keyboard.press("b");
  await type("г", "KeyU");
  await expect(page.getByRole("button", { name: /Bell is on|keeps the bell silent/ })).toBeVisible();
  expect(await past(page, kitchen.address, id)).toEqual(["laid"]);
  // The pedal types space, and Escape still leaves.
  await page.keyboard.press("Escape");
  await expect(page.getByTestId("shelf")).toBeVisible();
  await page.keyboard.press("4");
  await expect(page.getByTestId("shelf")).toBeVisible();
});
