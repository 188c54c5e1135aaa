// Several screens on one kitchen: how soon a change is kept, seen elsewhere and shown at the stove, and what is left in a browser brought back.
import { chromium } from "@playwright/test";
import { chromiumFlags, chromiumPath, startServer, own } from "../tests/ui/server.mjs";

const row = (what, figure, target) => console.log(`${what.padEnd(44)}${figure.padStart(24)}   target ${target}`);
const quantile = (times, q) => times.toSorted((a, b) => a - b)[Math.floor((times.length - 1) * q)];
const ms = (t) => `${t.toFixed(1)} ms`;

const server = await startServer();
const post = async (path, body) =>
  (
    await fetch(server.address + path, {
      method: "POST",
      headers: { ...own, "content-type": "application/json" },
      body: JSON.stringify(body),
    })
  ).json();
const { plain } = await (await fetch(`${server.address}/api/larder`)).json();

// Fifty screens on one service: from the press until each has the new state.
const atStove = await post("/api/batches", {
  breadId: null,
  name: "Fifty screens",
  madeFor: new Date().toISOString(),
  spec: { ...plain, start: { ...plain.start, by: "pieces", pieces: 120 }, clock: { people: 3, pans: 4, by: "soonest" } },
});
const service = await post("/api/services", { batchId: atStove.id });
const SCREENS = 50;
const heard = Array.from({ length: SCREENS }, () => ({ wanted: 0, tell: () => {} }));
const streams = await Promise.all(
  heard.map(async (screen) => {
    const gone = new AbortController();
    const answer = await fetch(`${server.address}/api/live?service=${service.id}`, { signal: gone.signal });
    void (async () => {
      let text = "";
      for await (const chunk of answer.body.pipeThrough(new TextDecoderStream())) {
        text += chunk;
        const end = text.lastIndexOf("\n\n");
        if (end < 0) continue;
        // The table is moved by a second each time: that tells one state from the other without reading all of it.
        if (text.slice(0, end).includes(`"table":${screen.wanted},`)) screen.tell(performance.now());
        text = text.slice(end + 2);
      }
    })().catch(() => undefined);
    return gone;
  }),
);
const fanned = [];
for (let i = 0; i < 60; i++) {
  const table = 20_000 + i;
  const all = heard.map((screen) => new Promise((resolve) => ((screen.wanted = table), (screen.tell = resolve))));
  const from = performance.now();
  void post(`/api/services/${service.id}/events`, { id: crypto.randomUUID(), act: "table", value: table });
  for (const at of await Promise.all(all)) if (i >= 10) fanned.push(at - from);
}
streams.forEach((gone) => gone.abort());
row(`press to ${SCREENS} screens, 120 pieces, p50 / p95`, `${ms(quantile(fanned, 0.5))} / ${ms(quantile(fanned, 0.95))}`, "p95 50 ms");

// A shelf of five hundred and twelve breads, as it is looked at all day.
const [some] = await (await fetch(`${server.address}/api/breads`)).json();
for (let i = 0; i < 500; i++) {
  const spec = { ...some.spec, balls: { ...some.spec.balls, mass: 60 + (i % 60) } };
  await post("/api/breads", { name: `Bread ${i}`, about: "", tags: [], spec });
}
const looks = [];
for (let i = 0; i < 30; i++) {
  const from = performance.now();
  await (await fetch(`${server.address}/api/breads`)).arrayBuffer();
  looks.push(performance.now() - from);
}
row("512 breads on the shelf, first / p50", `${ms(looks[0])} / ${ms(quantile(looks.slice(1), 0.5))}`, "60 ms");

// A change on one screen: when it leaves for the kitchen, and when the other screen shows it.
const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumFlags });
const screen = async (address) => {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(address);
  return page;
};
const laptop = await screen(`${server.address}/#/`);
await laptop.getByRole("button", { name: "Night-crew squares", exact: true }).click();
await laptop.getByLabel("Name of the batch").fill("Two screens");
await laptop.locator("[data-testid=keeping][data-keeping=kept]").waitFor();
const tablet = await screen(laptop.url());
await tablet.getByLabel("Name of the batch").waitFor();
const clockOf = (page) => page.evaluate(() => performance.timeOrigin + performance.now());
// Both pages and this process read one machine's clock; what they differ by is measured all the same.
const off = async (page) => (await clockOf(page)) - (performance.timeOrigin + performance.now());
const [kept, seen] = [[], []];
for (let i = 0; i < 40; i++) {
  const pieces = String(20 + i);
  const shown = tablet.evaluate(
    (pieces) =>
      new Promise((resolve) => {
        const figures = document.querySelector('[data-stage="balls"] [data-figures]');
        const look = () => {
          if (figures.textContent.includes(`${pieces} ×`)) requestAnimationFrame(() => resolve(performance.timeOrigin + performance.now()));
          else requestAnimationFrame(look);
        };
        look();
      }),
    pieces,
  );
  const left = laptop.waitForRequest((request) => request.method() === "PUT").then(() => performance.timeOrigin + performance.now());
  const typed = await laptop.evaluate((pieces) => {
    const field = [...document.querySelectorAll("input")].find(
      (f) => f.labels?.[0]?.textContent?.trim() === "Pieces" || f.getAttribute("aria-label") === "Pieces",
    );
    field.value = pieces;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    return performance.timeOrigin + performance.now();
  }, pieces);
  const sent = await left;
  kept.push(sent - typed);
  seen.push((await shown) - sent);
}
row("last change to its keeping, p50 / p95", `${ms(quantile(kept, 0.5))} / ${ms(quantile(kept, 0.95))}`, "500 ms");
row("kept to seen on the other screen, p50 / p95", `${ms(quantile(seen, 0.5))} / ${ms(quantile(seen, 0.95))}`, "p95 300 ms");
row("  clocks of the two pages differ by", ms(Math.abs((await off(laptop)) - (await off(tablet)))), "(measured)");

// What is left in a browser is brought back beside the first plan, not before it.
const figures = { breadId: null, name: "Left", madeFor: new Date().toISOString(), spec: plain };
async function firstPlan(drawers) {
  await laptop.evaluate(
    ([drawers, figures]) => {
      for (let i = 0; i < drawers; i++) {
        const id = crypto.randomUUID();
        localStorage.setItem(`ystrata.unkept.1.${id}`, JSON.stringify({ id, known: false, ...figures, name: `Left ${i}` }));
      }
    },
    [drawers, figures],
  );
  const from = performance.now();
  const answered = laptop.waitForResponse((answer) => answer.url().endsWith("/api/plan"));
  await laptop.reload({ waitUntil: "commit" });
  await answered;
  const took = performance.now() - from;
  await laptop.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith("ystrata.unkept.")));
  return took;
}
const [none, twenty] = [[], []];
for (let i = 0; i < 14; i++) {
  const plain = await firstPlan(0);
  const full = await firstPlan(20);
  if (i < 2) continue;
  none.push(plain);
  twenty.push(full);
}
row(
  "reload to first plan, 0 / 20 drawers, p50",
  `${ms(quantile(none, 0.5))} / ${ms(quantile(twenty, 0.5))}`,
  `50 ms more (here ${ms(quantile(twenty, 0.5) - quantile(none, 0.5))})`,
);

await browser.close();
await server.stop();
server.clear();
