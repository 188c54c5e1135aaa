// Speed of the built program as it is used: POST /api/plan, memory, a change redrawn in the browser, sizes and start.
import { execFileSync } from "node:child_process";
import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { chromium } from "@playwright/test";
import { build } from "vite";
import { chromiumFlags, chromiumPath, startServer, own } from "../tests/ui/server.mjs";

const root = join(import.meta.dirname, "..");
const row = (what, figure, target) => console.log(`${what.padEnd(44)}${figure.padStart(24)}   target ${target}`);
const quantile = (times, q) => times.toSorted((a, b) => a - b)[Math.floor((times.length - 1) * q)];
const ms = (t) => `${t.toFixed(1)} ms`;

const began = performance.now();
const server = await startServer();
await fetch(`${server.address}/healthz`);
row("server started and well", ms(performance.now() - began), "3000 ms (second start)");

// Plans over one connection, one after the other, each another bread.
const { plain } = await (await fetch(`${server.address}/api/larder`)).json();
const squares = {
  ...plain,
  sheet: { ...plain.sheet, diameter: 300, fatMass: 6 },
  fold: { steps: [{ kind: "letter" }, { kind: "brush", fat: "ghee", mass: 2 }, { kind: "letter" }] },
};
async function plan(i) {
  const body = JSON.stringify({ ...squares, balls: { ...squares.balls, mass: 60 + (i % 60) } });
  const from = performance.now();
  const answer = await fetch(`${server.address}/api/plan`, {
    method: "POST",
    headers: { ...own, "content-type": "application/json" },
    body,
  });
  await answer.json();
  return performance.now() - from;
}
const times = [];
for (let i = 0; i < 10_000; i++) times.push(await plan(i));
const warm = times.slice(500);
row("POST /api/plan, p50 / p95", `${ms(quantile(warm, 0.5))} / ${ms(quantile(warm, 0.95))}`, "p95 10 ms");
const resident = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, "utf8"))[1]) / 1024;
row("server resident after 10 000 plans", `${resident.toFixed(0)} MB`, "160 MB");

// A change typed on a bench until the screen is redrawn: plan asked, answered, drawn and painted.
const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumFlags });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => location.protocol.startsWith("http") && localStorage.setItem("ystrata.looked-round", "1"));
await page.goto(`${server.address}/#/`);
await page.getByRole("button", { name: "Night-crew squares", exact: true }).click();
/** Types one figure after the other, and waits until a drawing of the section is another one and painted. */
const typed = (label, values) =>
  page.evaluate(
    async ({ label, values }) => {
      const field =
        document.querySelector(`input[aria-label="${label}"]`) ??
        document.getElementById([...document.querySelectorAll("label")].find((l) => l.textContent.trim() === label)?.htmlFor);
      const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
      const drawing = () => document.querySelector(`[aria-label="Section"] [data-testid=section]`)?.innerHTML;
      const times = [];
      for (const value of values) {
        const before = drawing();
        const from = performance.now();
        field.value = String(value);
        field.dispatchEvent(new Event("input", { bubbles: true }));
        while (drawing() === before) await painted();
        await painted();
        times.push(performance.now() - from);
      }
      return times;
    },
    { label, values },
  );
for (const [bench, label, drawn, valueOf] of [
  ["Roll", "Round, across", "[data-leaf]", (i) => 15 + ((i * 7) % 60) / 10],
  ["Pan", "Pan, when it goes on", "[data-gap]", (i) => 195 + ((i * 7) % 40)],
]) {
  await page.getByRole("tab", { name: bench }).first().click();
  await page.locator(`[aria-label="Section"] ${drawn}`).first().waitFor();
  const redraws = await typed(
    label,
    Array.from({ length: 120 }, (_, i) => valueOf(i)),
    drawn,
  );
  row(`change at ${bench} to redrawn screen, p50 / p95`, `${ms(quantile(redraws, 0.5))} / ${ms(quantile(redraws, 0.95))}`, "p95 80 ms");
}

// Typing grams into the ledger until the whole ledger is repainted.
await page.getByRole("tab", { name: "Dough" }).click();
await page.getByRole("textbox", { name: "White wheat flour, weight" }).waitFor();
const ledger = await page.evaluate(async () => {
  const flour = document.querySelector('[aria-label="White wheat flour, weight"]');
  const water = document.querySelector('[aria-label="Water, weight"]');
  const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  const times = [];
  for (let i = 0; i < 120; i++) {
    const before = water.value;
    const from = performance.now();
    flour.focus();
    flour.value = String(900 + ((i * 70) % 600));
    flour.dispatchEvent(new Event("input", { bubbles: true }));
    while (water.value === before) await painted();
    await painted();
    times.push(performance.now() - from);
  }
  return times;
});
row("typed grams to repainted ledger, p50 / p95", `${ms(quantile(ledger, 0.5))} / ${ms(quantile(ledger, 0.95))}`, "p95 100 ms");

// A place opened for the first time on a page where the shelf has stood for a moment: pressed, drawn and painted.
const FRESH = 12;
const A_MOMENT_MS = 2000;
for (const [name, press, drawn] of [
  ["bench", 'button:text-is("Night-crew squares")', '[aria-label="Section"] [data-leaf]'],
  ["log", 'a[href="#/log"]', '[data-testid="log-lines"] li'],
  ["larder", 'a[href="#/larder"]', '[data-testid="larder-list"] [role="listitem"]'],
]) {
  const opened = [];
  for (let i = 0; i < FRESH; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript(() => location.protocol.startsWith("http") && localStorage.setItem("ystrata.looked-round", "1"));
    const first = await context.newPage();
    await first.goto(`${server.address}/#/`);
    await first.getByTestId("shelf").getByRole("listitem").first().waitFor();
    await first.waitForTimeout(A_MOMENT_MS);
    const at = await first.locator(press).first().elementHandle();
    opened.push(
      await first.evaluate(
        async ([at, drawn]) => {
          const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
          const from = performance.now();
          at.click();
          while (!document.querySelector(drawn)) await painted();
          await painted();
          return performance.now() - from;
        },
        [at, drawn],
      ),
    );
    await context.close();
  }
  row(`${name} opened the first time, p50 / p95`, `${ms(quantile(opened, 0.5))} / ${ms(quantile(opened, 0.95))}`, "120 ms");
}

// The section of a bread of 200 leaves: drawn, laid in the page and laid out, by itself; then the whole bench as its program is scrubbed.
const brush = { kind: "brush", fat: "ghee", mass: 3 };
const many = {
  ...plain,
  sheet: { ...plain.sheet, diameter: 300, width: 300, fatMass: 8 },
  fold: {
    steps: [{ kind: "accordion", pleats: 25 }, brush, { kind: "half" }, { kind: "half" }, { kind: "half" }, { kind: "rest", time: 5 }],
  },
};
const post = async (path, body) =>
  (
    await fetch(server.address + path, {
      method: "POST",
      headers: { ...own, "content-type": "application/json" },
      body: JSON.stringify(body),
    })
  ).json();
const { section } = await post("/api/plan", many);
const drawing = { entry: join(root, "src/ui/src/section/geometry.ts"), formats: ["es"] };
const [built] = await build({ configFile: false, logLevel: "error", build: { write: false, lib: drawing } });
const { code } = built.output[0];
const blank = await browser.newPage();
const sections = await blank.evaluate(
  async ({ code, section }) => {
    const { draw } = await import(`data:text/javascript,${encodeURIComponent(code)}`);
    const svg = document.body.appendChild(document.createElementNS("http://www.w3.org/2000/svg", "svg"));
    svg.setAttribute("width", "1200");
    svg.setAttribute("height", "150");
    const times = [];
    for (let i = 0; i < 120; i++) {
      const from = performance.now();
      const drawing = draw({ ...section, across: section.across + i / 10 }, 1200, 150);
      const paths = [...drawing.leaves, ...drawing.contacts.map((c) => c.path), drawing.crust];
      while (svg.childElementCount < paths.length) svg.appendChild(document.createElementNS("http://www.w3.org/2000/svg", "path"));
      paths.forEach((path, k) => svg.children[k].setAttribute("d", path));
      svg.lastElementChild.getBBox();
      times.push(performance.now() - from);
    }
    return times;
  },
  { code, section },
);
await blank.close();
row(
  `section of ${section.leaves.length} leaves redrawn, p50 / p95`,
  `${ms(quantile(sections, 0.5))} / ${ms(quantile(sections, 0.95))}`,
  "8 ms",
);
const { id } = await post("/api/batches", { breadId: null, name: "Two hundred leaves", madeFor: new Date().toISOString(), spec: many });
await page.goto(`${server.address}/#/batch/${id}`);
await page.reload();
await page.getByRole("tab", { name: "Fold" }).click();
await page
  .getByRole("img", { name: /200 leaves/ })
  .first()
  .waitFor();
const scrubs = await page.evaluate(async () => {
  const thumb = document.querySelector(`[role=slider][aria-label="Step shown"]`);
  const section = document.querySelector('[aria-label="Section"] [data-testid=section]');
  const times = [];
  for (let i = 0; i < 60; i++) {
    const from = performance.now();
    thumb.dispatchEvent(new KeyboardEvent("keydown", { key: i % 2 ? "ArrowRight" : "ArrowLeft", bubbles: true, cancelable: true }));
    await new Promise((resolve) => {
      const observer = new MutationObserver(() => resolve(observer.disconnect()));
      observer.observe(section, { subtree: true, attributes: true, childList: true });
    });
    section.getBoundingClientRect();
    times.push(performance.now() - from);
    await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
  }
  return times;
});
row("bench of 200 leaves scrubbed, p50 / p95", `${ms(quantile(scrubs, 0.5))} / ${ms(quantile(scrubs, 0.95))}`, "p95 100 ms");

// A turn moved by a second until the faces and the chart are repainted.
await page.goto(`${server.address}/#/`);
await page.getByRole("button", { name: "Night-crew squares", exact: true }).click();
await page.getByRole("tab", { name: "Pan" }).click();
await page.locator('[data-turn="0"]').waitFor();
const turned = await page.evaluate(async () => {
  const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  const first = () => document.querySelector('[data-testid="turn"]').textContent;
  const times = [];
  for (let i = 0; i < 100; i++) {
    const before = first();
    const from = performance.now();
    document
      .querySelector('[data-turn="0"]')
      .dispatchEvent(new KeyboardEvent("keydown", { key: i % 2 ? "ArrowLeft" : "ArrowRight", bubbles: true }));
    while (first() === before) await painted();
    await painted();
    times.push(performance.now() - from);
  }
  return times;
});
row("a turn moved to repainted pan, p50 / p95", `${ms(quantile(turned, 0.5))} / ${ms(quantile(turned, 0.95))}`, "p95 100 ms");

// A weight typed on the filling bench until verdict, ladder and section are repainted.
await page.goto(`${server.address}/#/`);
await page.getByRole("button", { name: "Quay radish rounds", exact: true }).click();
await page.getByRole("tab", { name: "Filling" }).click();
await page.locator('[data-step="0-2"]').click();
await page.getByRole("textbox", { name: "Weighed after" }).waitFor();
const fillings = await page.evaluate(async () => {
  const field = [...document.querySelectorAll("label")].find((l) => l.textContent === "Weighed after").parentElement.querySelector("input");
  const bar = document.querySelector('[data-step="0-2"]');
  const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  const times = [];
  for (let i = 0; i < 120; i++) {
    const before = bar.textContent;
    const from = performance.now();
    field.value = String(700 + ((i * 37) % 300));
    field.dispatchEvent(new Event("input", { bubbles: true }));
    while (bar.textContent === before) await painted();
    await painted();
    times.push(performance.now() - from);
  }
  return times;
});
row("filling weighed to repainted, p50 / p95", `${ms(quantile(fillings, 0.5))} / ${ms(quantile(fillings, 0.95))}`, "p95 100 ms");

// A larder of five thousand lines: read, shown, searched.
const lines = Array.from({ length: 5000 }, (_, i) => `own-x${i},Herb number ${i},addition,0.2,90,0,0,0,20`).join("\n");
const file = `id,name,kind,density_g_ml,water_pct,fat_pct,sugar_pct,salt_pct,kcal_100g\n${lines}\n`;
const bring = async (take) => {
  const from = performance.now();
  await (
    await fetch(`${server.address}/api/larder/import?take=${take}`, {
      method: "POST",
      headers: { ...own, "content-type": "text/csv" },
      body: file,
    })
  ).json();
  return performance.now() - from;
};
row("larder file of 5000 lines previewed", ms(await bring(false)), "1000 ms");
await bring(true);
await page.goto(`${server.address}/#/larder`);
await page.reload();
await page.getByRole("searchbox").waitFor();
const searches = await page.evaluate(async () => {
  const field = document.querySelector("[data-find]");
  const list = document.querySelector("[data-testid=larder-list]").firstElementChild;
  const times = [];
  for (let i = 0; i < 60; i++) {
    const before = list.style.height;
    const from = performance.now();
    field.value = i % 2 ? "" : `number ${10 + i}`;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    await new Promise((resolve) => {
      const seen = () => list.style.height !== before && resolve(observer.disconnect());
      const observer = new MutationObserver(seen);
      observer.observe(list, { attributes: true, childList: true, subtree: true });
      seen();
    });
    times.push(performance.now() - from);
  }
  return times;
});
row("search in 5000 lines, p50 / p95", `${ms(quantile(searches, 0.5))} / ${ms(quantile(searches, 0.95))}`, "30 ms");
await browser.close();
await server.stop();
server.clear();

// The script the first page needs before it shows anything, and everything it may need later.
const assets = join(root, "src/Web/wwwroot/assets");
const gzip = (file) => gzipSync(readFileSync(join(assets, file)), { level: 9 }).length / 1000;
const scripts = readdirSync(assets).filter((f) => f.endsWith(".js"));
const index = readFileSync(join(root, "src/Web/wwwroot/index.html"), "utf8");
const first = scripts.filter((f) => index.includes(f));
row("first JS, gzip", `${first.reduce((sum, f) => sum + gzip(f), 0).toFixed(1)} kB`, "90 kB");
row("all JS, gzip", `${scripts.reduce((sum, f) => sum + gzip(f), 0).toFixed(1)} kB`, "330 kB");

// The two starts of ./ystrata demo: from a fresh clone of HEAD, and again with nothing changed.
if (process.argv.includes("--clone")) {
  const clone = `${server.data}-clone`;
  execFileSync("git", ["clone", "-q", root, clone]);
  const { spawn } = await import("node:child_process");
  const serve = () =>
    new Promise((resolve, reject) => {
      const from = performance.now();
      const demo = spawn("./ystrata", ["demo", "--port", "5199"], { cwd: clone, stdio: ["ignore", "pipe", "ignore"] });
      demo.once("exit", (code) => reject(new Error(`demo ended with ${code}`)));
      demo.stdout.once("data", () => {
        const took = performance.now() - from;
        demo.removeAllListeners("exit");
        demo.once("exit", () => resolve(took));
        demo.kill("SIGTERM");
      });
    });
  row("fresh clone to a serving demo", `${((await serve()) / 1000).toFixed(1)} s`, "240 s");
  row("second start, nothing changed", `${((await serve()) / 1000).toFixed(2)} s`, "3 s");
  execFileSync("rm", ["-rf", clone]);
}
