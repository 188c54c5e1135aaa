import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import AxeBuilder from "@axe-core/playwright";
import { chromium, type Browser, type Page } from "@playwright/test";
import { test as base, expect } from "./kitchen";
import { chromiumFlags, chromiumPath, own, startServer } from "./server.mjs";
import { begin } from "./service";

const PASSPHRASE = "radish and nigella";

type Kitchen = Awaited<ReturnType<typeof startServer>> & { there: string };

async function networked(from: string, more: string[]): Promise<Kitchen> {
  const server = await startServer({ from, more: ["--lan", "true", "--lan-port", "0", ...more] });
  const set = await fetch(`${server.address}/api/screens/passphrase`, {
    method: "PUT",
    headers: { ...own, "content-type": "application/json" },
    body: JSON.stringify({ passphrase: PASSPHRASE }),
  });
  expect(set.status).toBe(204);
  return { ...server, there: await server.network() };
}

/** A kitchen that listens to the network, and pages of tablets that are told to take its certificate. */
const test = base.extend<{ lan: Kitchen; tablet: () => Promise<Page> }>({
  expectErrors: /status of 4\d\d|ERR_HTTP2|ERR_CONNECTION|ERR_INCOMPLETE/,
  lan: async ({ shared }, use) => {
    const server = await networked((await shared()).clean, ["--bind", "127.0.0.1"]);
    await use(server);
    await server.stop();
    server.clear();
  },
  tablet: async ({ browser }, use) => {
    const contexts: Awaited<ReturnType<Browser["newContext"]>>[] = [];
    await use(async () => {
      const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 820, height: 1180 } });
      contexts.push(context);
      return context.newPage();
    });
    for (const context of contexts) await context.close();
  },
});

async function comeIn(page: Page, address: string, name: string, kind?: string) {
  await page.goto(address);
  await page.getByLabel("Passphrase").fill(PASSPHRASE);
  await page.getByLabel("This screen is called").fill(name);
  if (kind) await page.getByRole("radio", { name: kind }).click();
  await page.getByRole("button", { name: "Come in" }).click();
}

test.describe("the network", () => {
  test("a tablet comes in by the passphrase, by keyboard alone, after a wrong try that is said and counted", async ({
    lan,
    tablet,
    page,
  }) => {
    const screen = await tablet();
    await screen.goto(lan.there);
    await screen.getByLabel("Passphrase").focus();
    await screen.keyboard.type("leek and walnut");
    await screen.keyboard.press("Enter");
    await expect(screen.getByRole("alert")).toHaveText(/not the kitchen's passphrase/);
    await expect(screen.getByLabel("Passphrase")).toHaveValue("leek and walnut");
    await screen.getByLabel("Passphrase").press("ControlOrMeta+a");
    await screen.keyboard.type(PASSPHRASE);
    await screen.keyboard.press("Enter");
    await expect(screen.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
    // It may all the others may.
    await screen.getByRole("button", { name: "Nigella coils", exact: true }).click();
    await screen.getByRole("tab", { name: "Balls" }).click();
    await expect(screen.getByTestId("keeping")).toBeVisible();

    await page.goto(`${lan.address}/#/larder/screens`);
    await expect(page.getByTestId("screens").getByRole("textbox")).toHaveValue("Tablet");
    await expect(page.getByTestId("wrong")).toContainText("127.0.0.1, 1 ×");
    // It leaves by itself too.
    await screen.keyboard.press("?");
    await screen.getByRole("button", { name: "Leave the kitchen" }).click();
    await expect(screen.getByRole("heading", { level: 1, name: "Let this screen in" })).toBeVisible();
    await page.reload();
    await expect(page.getByText("None was let in yet.")).toBeVisible();
  });

  test("a code that is scanned lets one in for the stove: it begins and presses, sees nothing else, and is sent away in the midst of it", async ({
    lan,
    tablet,
    page,
    request,
  }) => {
    await page.goto(`${lan.address}/#/larder/screens`);
    await page.getByRole("radio", { name: "look, and press at the stove" }).click();
    await page.getByRole("button", { name: "Show a code" }).click();
    const scanned = (await page.getByTestId("code").getAttribute("aria-label"))!.split(": ")[1]!;
    const screen = await tablet();
    await screen.goto(scanned);
    await screen.getByLabel("This screen is called").fill("By the pans");
    await screen.getByRole("button", { name: "Come in" }).click();
    await expect(screen.getByRole("heading", { level: 1, name: "Stove" })).toBeVisible();
    await expect(screen.getByRole("navigation", { name: "Places" }).getByRole("link")).toHaveText([/Stove/]);
    await screen.goto(`${lan.there}/#/larder`);
    await expect(screen.getByRole("heading", { level: 1, name: "Stove" })).toBeVisible();

    const id = await begin(request, lan.address);
    await screen.goto(`${lan.there}/#/stove/${id}`);
    await screen.getByRole("button", { name: /^Done/ }).first().click();
    await expect
      .poll(
        async () =>
          ((await (await request.get(`${lan.address}/api/services/${id}`)).json()) as { sheet: { past: unknown[] } }).sheet.past.length,
      )
      .toBeGreaterThan(0);

    // The second that scans it is told so, and may type the passphrase.
    const late = await tablet();
    await late.goto(scanned);
    await late.getByRole("button", { name: "Come in" }).click();
    await expect(late.getByRole("alert")).toHaveText(/has let a screen in already/);
    await expect(late.getByLabel("Passphrase")).toBeVisible();

    await page.getByRole("button", { name: "Send By the pans away" }).click();
    await expect(screen.getByRole("heading", { level: 1, name: "Let this screen in" })).toBeVisible();
    await expect(screen.getByRole("navigation", { name: "Places" }).getByRole("link")).toHaveCount(0);
    // Let in again it is where it was told to be.
    await comeIn(screen, lan.there, "By the pans", "look, and press");
    await expect(screen.getByRole("heading", { level: 1, name: "Stove" })).toBeVisible();
  });

  test("a press of a screen that was sent away waits, and is counted when it is let in again", async ({ lan, tablet, page, request }) => {
    const id = await begin(request, lan.address);
    const screen = await tablet();
    await comeIn(screen, lan.there, "By the pans");
    await expect(screen.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
    await screen.goto(`${lan.there}/#/stove/${id}`);
    await expect(screen.getByRole("button", { name: /^Done/ }).first()).toBeVisible();
    await screen.route("**/events", (route) => route.abort());
    await screen.getByRole("button", { name: /^Done/ }).first().click();
    await page.goto(`${lan.address}/#/larder/screens`);
    await page.getByRole("button", { name: "Send By the pans away" }).click();
    await expect(screen.getByRole("heading", { level: 1, name: "Let this screen in" })).toBeVisible();
    const counted = async () =>
      ((await (await request.get(`${lan.address}/api/services/${id}`)).json()) as { sheet: { past: unknown[] } }).sheet.past.length;
    expect(await counted()).toBe(0);
    await screen.unroute("**/events");
    await comeIn(screen, lan.there, "By the pans");
    await expect.poll(counted).toBe(1);
  });

  test("the passphrase is changed on the machine, and one too short is said beside it", async ({ lan, tablet, page }) => {
    await page.goto(`${lan.address}/#/larder/screens`);
    await page.getByLabel("New passphrase").fill("short");
    await page.getByRole("button", { name: "Set it" }).click();
    await expect(page.getByRole("alert")).toHaveText(/at least 8/);
    await page.getByLabel("New passphrase").fill("cabbage moons at noon");
    await page.getByRole("button", { name: "Set it" }).click();
    await expect(page.getByTestId("toast")).toContainText("The passphrase is set");
    const screen = await tablet();
    await comeIn(screen, lan.there, "Tablet");
    await expect(screen.getByRole("alert")).toHaveText(/not the kitchen's passphrase/);
    await screen.getByLabel("Passphrase").fill("cabbage moons at noon");
    await screen.getByRole("button", { name: "Come in" }).click();
    await expect(screen.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
    await screen.goto(`${lan.there}/#/larder/screens`);
    await expect(screen.getByText("set and changed on the machine")).toBeVisible();
    await expect(screen.getByLabel("New passphrase")).toHaveCount(0);
  });

  test("no place of it has an axe violation or anything beyond the edge, at 1280 and 390 px", async ({ lan, tablet, page }) => {
    const sound = async (on: Page, where: string) => {
      for (const [width, height] of [
        [1280, 800],
        [390, 844],
      ] as const) {
        await on.setViewportSize({ width, height });
        await expect.poll(() => on.evaluate(() => document.documentElement.scrollWidth), where).toBeLessThanOrEqual(width);
        const { violations } = await new AxeBuilder({ page: on }).setLegacyMode().analyze();
        expect
          .soft(
            violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(" | ")}`),
            `${where} at ${width} px`,
          )
          .toEqual([]);
      }
    };
    const screen = await tablet();
    await screen.goto(lan.there);
    await screen.getByLabel("Passphrase").fill("leek and walnut");
    await screen.getByRole("button", { name: "Come in" }).click();
    await expect(screen.getByRole("alert")).toBeVisible();
    await sound(screen, "the door");
    await screen.getByRole("link", { name: "Trust this kitchen" }).click();
    await expect(screen.getByTestId("authority")).toBeVisible();
    await sound(screen, "what is to be trusted");
    await comeIn(screen, lan.there, "By the pans");
    await expect(screen.getByRole("heading", { level: 1, name: "Your breads" })).toBeVisible();
    await page.goto(`${lan.address}/#/larder/screens`);
    await page.getByRole("button", { name: "Show a code" }).click();
    await expect(page.getByTestId("code")).toBeVisible();
    await sound(page, "the screens");
  });

  test("what a tablet is told to trust is what the machine shows", async ({ lan, tablet, page }) => {
    const screen = await tablet();
    await screen.goto(lan.there);
    await screen.getByRole("link", { name: "Trust this kitchen" }).click();
    const seen = await screen.getByTestId("authority").textContent();
    await page.goto(`${lan.address}/#/larder/screens`);
    await page.getByRole("link", { name: "Trust this kitchen" }).click();
    await expect(page.getByTestId("authority")).toHaveText(seen!);
    const [file] = await Promise.all([
      screen.waitForEvent("download"),
      screen.getByRole("link", { name: "Fetch the certificate" }).click(),
    ]);
    expect(file.suggestedFilename()).toBe("ystrata-authority.crt");
  });
});

test.describe("a page of another site", () => {
  test.use({ expectErrors: /./ });

  test("can neither write nor read here, whatever it tries", async ({ lan, page, request }) => {
    const elsewhere = createServer((_, answer) => answer.setHeader("content-type", "text/html").end("<title>elsewhere</title>"));
    await new Promise<void>((resolve) => elsewhere.listen(0, "127.0.0.1", resolve));
    const backups = async () => ((await (await request.get(`${lan.address}/api/keeping`)).json()) as { backups: unknown[] }).backups.length;
    const before = await backups();
    // By another name of the same machine, which a browser takes for another site, and by the same with another port.
    for (const host of ["localhost", "127.0.0.1"]) {
      await page.goto(`http://${host}:${(elsewhere.address() as AddressInfo).port}/`);
      const got = await page.evaluate(async (kitchen) => {
        const tries: (() => Promise<Response>)[] = [
          () => fetch(`${kitchen}/api/keeping/backups`, { method: "POST", mode: "no-cors" }),
          () => fetch(`${kitchen}/api/keeping/backups`, { method: "POST", headers: { "X-Ystrata": "here" } }),
          () =>
            fetch(`${kitchen}/api/keeping/backups`, {
              method: "POST",
              mode: "no-cors",
              headers: { "content-type": "text/plain" },
              body: "{}",
            }),
          () => fetch(`${kitchen}/api/larder`),
        ];
        const read: string[] = [];
        for (const one of tries)
          read.push(
            await one().then(
              async (a) => `${a.type} ${await a.text()}`,
              () => "refused",
            ),
          );
        return read.filter((r) => r.includes("ghee"));
      }, lan.address);
      expect(got).toEqual([]);
      // A form asks nobody for leave: it goes, and is refused.
      const [answer] = await Promise.all([
        page.waitForResponse((r) => r.url().endsWith("/api/keeping/backups") && r.request().isNavigationRequest()),
        page.evaluate((kitchen) => {
          const form = document.createElement("form");
          Object.assign(form, { method: "post", action: `${kitchen}/api/keeping/backups` });
          document.body.append(form);
          form.submit();
        }, lan.address),
      ]);
      expect(answer.status()).toBe(403);
      await page.waitForURL(/backups$/);
    }
    expect(await backups()).toBe(before);
    elsewhere.close();
  });
});

test.describe("over a real network", () => {
  // Two hosts of the test's own: this machine's network is left as it is, or the browsers of other tests would see it change.
  const [kitchen, tablet] = [`ystrata-kitchen-${process.pid}`, `ystrata-tablet-${process.pid}`];
  const [kitchenAt, tabletAt] = ["10.213.7.1", "10.213.7.2"];
  const run = (...args: string[]) => spawnSync("ip", args, { encoding: "utf8" });
  const browserIn = (host: string, folder: string) => {
    const file = join(folder, host);
    writeFileSync(file, `#!/bin/sh\nexec ip netns exec ${host} ${chromiumPath} "$@"\n`, { mode: 0o755 });
    return chromium.launch({ executablePath: file, args: chromiumFlags });
  };
  let not = "";

  test.beforeAll(() => {
    for (const args of [
      ["netns", "add", kitchen],
      ["netns", "add", tablet],
      ["-n", kitchen, "link", "add", "veth0", "type", "veth", "peer", "name", "veth0", "netns", tablet],
      ["-n", kitchen, "addr", "add", `${kitchenAt}/30`, "dev", "veth0"],
      ["-n", tablet, "addr", "add", `${tabletAt}/30`, "dev", "veth0"],
      ...[kitchen, tablet].flatMap((host) => ["veth0", "lo"].map((link) => ["-n", host, "link", "set", link, "up"])),
    ]) {
      const done = run(...args);
      if (done.status !== 0) not ||= `ip ${args.join(" ")}: ${done.error?.message ?? done.stderr}`;
    }
  });
  test.afterAll(() => {
    for (const host of [kitchen, tablet]) run("netns", "del", host);
  });

  test("a tablet of its own address comes in, presses and is sent away, and reaches nothing of the machine's own", async () => {
    test.skip(not !== "", `no network namespace can be made here: ${not}`);
    const folder = mkdtempSync(join(tmpdir(), "ystrata-hosts-"));
    const server = await startServer({ through: ["ip", "netns", "exec", kitchen], more: ["--lan", "true", "--lan-port", "0"] });
    const [near, far] = await Promise.all([browserIn(kitchen, folder), browserIn(tablet, folder)]);
    try {
      const there = await server.network();
      expect(there).toContain(`https://${kitchenAt}:`);
      const page = await near.newPage();
      await page.goto(`${server.address}/#/larder/screens`);
      await page.getByLabel("New passphrase").fill(PASSPHRASE);
      await page.getByRole("button", { name: "Set it" }).click();
      await expect(page.getByTestId("addresses")).toContainText(there);

      const tablets = await far.newContext({ ignoreHTTPSErrors: true });
      // The ear of the machine itself hears nothing of the network.
      await expect((await tablets.newPage()).goto(`http://${kitchenAt}:${new URL(server.address).port}/`)).rejects.toThrow(
        /ERR_CONNECTION_REFUSED/,
      );
      const screen = await tablets.newPage();
      await screen.goto(there);
      await screen.getByLabel("Passphrase").fill("walnut and date");
      await screen.getByRole("button", { name: "Come in" }).click();
      await expect(screen.getByRole("alert")).toHaveText(/not the kitchen's passphrase/);
      await comeIn(screen, there, "By the pans", "look, and press");
      await screen
        .getByRole("button", { name: /^Night-crew squares/ })
        .first()
        .click();
      await screen.getByRole("button", { name: /^Done/ }).first().click();
      await expect(screen.getByTestId("belt")).toBeVisible();

      await page.reload();
      await expect(page.getByTestId("wrong")).toContainText(`${tabletAt}, 1 ×`);
      await page.getByRole("button", { name: "Send By the pans away" }).click();
      await expect(screen.getByRole("heading", { level: 1, name: "Let this screen in" })).toBeVisible();
    } finally {
      await Promise.all([near.close(), far.close()]);
      await server.stop();
      server.clear();
      rmSync(folder, { recursive: true });
    }
  });
});
