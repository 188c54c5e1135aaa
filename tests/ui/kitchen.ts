import { test as base, expect, type Page } from "@playwright/test";
import { join } from "node:path";
import { own, startServer } from "./server.mjs";

type Server = Awaited<ReturnType<typeof startServer>>;

const begin = (from?: string) => startServer({ from, more: ["--words", join(import.meta.dirname, "../../.build/words")] });

async function end(server: Server) {
  await server.stop();
  server.clear();
}

/**
 * Every test has the demo kitchen as it began, and fails on any error in the browser's console, a blocked script or style among them.
 * One server serves a worker for its whole life; a test that stops or kills its server has one of its own (`ownServer`), over a copy of that kitchen.
 */
export const test = base.extend<
  { kitchen: Server; bench: Bench; expectErrors: RegExp; ownServer: boolean; firstTime: boolean },
  { shared: () => Promise<Server> }
>({
  firstTime: [false, { option: true }],
  expectErrors: [/^$/, { option: true }],
  ownServer: [false, { option: true }],
  shared: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      let server: Promise<Server> | undefined;
      const remembered = async () => {
        const begun = await begin();
        await begun.remember();
        return begun;
      };
      await use(() => (server ??= remembered()));
      if (server) await end(await server);
    },
    { scope: "worker" },
  ],
  kitchen: async ({ ownServer, shared }, use) => {
    const demo = await shared();
    const server = ownServer ? await begin(demo.clean) : demo;
    if (!ownServer) await server.reset();
    await use(server);
    if (ownServer) await end(server);
  },
  // What is asked beside the pages carries what they carry; the pages do so by themselves.
  request: async ({ playwright }, use) => {
    const context = await playwright.request.newContext({ extraHTTPHeaders: own });
    await use(context);
    await context.dispose();
  },
  // Whoever works here has looked round already, but for who comes the first time.
  context: async ({ context, firstTime }, use) => {
    if (!firstTime)
      await context.addInitScript(() => location.protocol.startsWith("http") && localStorage.setItem("ystrata.looked-round", "1"));
    await use(context);
  },
  // Auto: every test begins on the shelf and is watched for errors, whether it asks for the bench or not.
  bench: [
    async ({ page, kitchen, expectErrors }, use) => {
      const errors: string[] = [];
      page.on("console", (m) => m.type() === "error" && errors.push(m.text()));
      page.on("pageerror", (e) => errors.push(e.message));
      await page.goto(`${kitchen.address}/#/`);
      await use(new Bench(page));
      expect(errors.filter((e) => !expectErrors.test(e))).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** The browser says every refused request in its console; tests of bad input expect that. */
export const refusedRequests = /status of 4\d\d/;

/** For a change that another screen makes, whatever stands. */
export const whatever = { "If-Match": "*" };

/** Has the page keep a line of its own to the kitchen: what goes over it can be held back then, which a worker's cannot. */
export const ownLine = (page: Page) => page.addInitScript("delete globalThis.SharedWorker");

/** Whether a request changes something. */
export const writes = (method: string) => method !== "GET";

/**
 * What the page asks at a path waits until it is let go.
 * @param which Of what is asked there.
 */
export async function hold(page: Page, path: string, which: (method: string) => boolean = () => true): Promise<() => void> {
  let go: () => void = () => {};
  const held = new Promise<void>((resolve) => (go = resolve));
  await page.route(path, async (route) => {
    if (which(route.request().method())) await held;
    await route.continue();
  });
  return go;
}

const two = (figure: number) => String(figure).padStart(2, "0");

/** What a cook does, in a cook's words. */
export class Bench {
  constructor(readonly page: Page) {}

  async pick(bread: string) {
    await this.page.getByRole("button", { name: bread, exact: true }).click();
    await expect(this.page.getByRole("tab", { name: "Dough" })).toBeVisible();
  }

  async open(stage: string) {
    await this.page.getByRole("tab", { name: stage }).click();
    await expect(this.page.getByRole("heading", { level: 1, name: stage })).toBeVisible();
  }

  number(label: string) {
    return this.page.getByRole("textbox", { name: label, exact: true });
  }

  async set(label: string, value: string) {
    await this.number(label).fill(value);
    await this.number(label).blur();
  }

  stratum(stage: string) {
    return this.page.locator(`[data-stage="${stage}"]`);
  }

  /** Picks something from a list that is opened by its button. */
  async choose(button: string, option: string) {
    await this.page.getByLabel(button, { exact: true }).click();
    await this.page.getByRole("option", { name: option, exact: true }).click();
  }

  /** Types a day, part by part. */
  async setDay(label: string, day: Date) {
    const field = this.page.getByRole("group", { name: label, exact: true }).first();
    await field.getByRole("spinbutton", { name: /^day/ }).click();
    await this.page.keyboard.type(`${two(day.getUTCDate())}${two(day.getUTCMonth() + 1)}${day.getUTCFullYear()}`);
  }

  /** Types a day and an hour, part by part. */
  async setMoment(label: string, moment: Date) {
    await this.setDay(label, moment);
    const field = this.page.getByRole("group", { name: label, exact: true }).first();
    await field.getByRole("spinbutton", { name: /^hour/ }).click();
    await this.page.keyboard.type(`${two(moment.getUTCHours())}${two(moment.getUTCMinutes())}`);
    await this.page.keyboard.press("Enter");
  }

  portion(id: string) {
    return this.page.locator(`[data-portion="${id}"]`);
  }

  /** Grams of a line of the ledger, as they stand. */
  grams(id: string) {
    return this.portion(id).getByTestId("grams").getByRole("textbox");
  }

  /** Adds a step behind the one that is open, or at the end. */
  async add(kind: string) {
    await this.page.getByRole("button", { name: "Add a step" }).click();
    await this.page.getByRole("button", { name: kind, exact: true }).click();
  }

  step(i: number) {
    return this.page.locator(`[data-step="${i}"]`);
  }

  steps() {
    return this.page.locator("[data-step]").evaluateAll((tiles) => tiles.map((t) => t.getAttribute("data-kind")));
  }

  /** Contacts in the drawing, by their state. */
  drawn(state: "open" | "patchy" | "fused") {
    return this.page.getByRole("region", { name: "Section" }).locator(`[data-contact="${state}"]`);
  }

  async kept() {
    await expect(this.page.getByTestId("keeping")).toHaveAttribute("data-keeping", "kept");
  }
}
