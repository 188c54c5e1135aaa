// Retakes docs/screenshots/ from a fresh demo kitchen: ./ystrata shots
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import { chromiumFlags, chromiumPath, startServer, own } from "../tests/ui/server.mjs";

const folder = process.argv[2] ?? join(import.meta.dirname, "screenshots");
const only = process.argv.slice(3);
mkdirSync(folder, { recursive: true });

const server = await startServer();
const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumFlags });
const wide = { width: 1280, height: 800 };
const narrow = { width: 390, height: 844 };

/** Opens a bread from the shelf at one of its stages. */
const stage = (bread, name) => async (page) => {
  await page.getByRole("button", { name: bread, exact: true }).click();
  await page.getByRole("tab", { name }).click();
  await page.locator(`[data-stage="clock"] [data-figures]`).getByText("oldest").waitFor();
};

/** A bread on the clock, for tomorrow's evening table. */
const clock = (bread) => async (page) => {
  await stage(bread, "Clock")(page);
  await page.getByTestId("lanes").waitFor();
  const day = new Date(Date.now() + 24 * 3600_000).toISOString().slice(0, 10).split("-").toReversed().join("");
  const field = page.getByRole("group", { name: "On the table at" }).first();
  await field.getByRole("spinbutton", { name: /^day/ }).click();
  await page.keyboard.type(day);
  await field.getByRole("spinbutton", { name: /^hour/ }).click();
  await page.keyboard.type("1830");
  await page.keyboard.press("Enter");
  await page.getByTestId("table-hour").getByText("18:30").or(page.getByText("table 18:30")).first().waitFor();
  await page.getByTestId("what-ifs").getByRole("listitem").nth(5).waitFor();
};

const call = async (path, body) =>
  (
    await fetch(server.address + path, {
      method: body ? "POST" : "GET",
      headers: { ...own, "content-type": "application/json" },
      body: body && JSON.stringify(body),
    })
  ).json();

/** A service played by its own plan until eleven pieces are done, the first six at the table, one pan too hot. */
async function served() {
  const bread = (await call("/api/breads")).find((b) => b.name === "Night-crew squares");
  const spec = { ...bread.spec, pan: { ...bread.spec.pan, finish: "clap" }, clock: { people: 2, pans: 2, rollAhead: 3, by: "soonest" } };
  const batch = await call("/api/batches", { breadId: bread.id, name: bread.name, spec, madeFor: new Date().toISOString() });
  let service = await call("/api/services", { batchId: batch.id });
  const press = async (body) => {
    const { service: after } = await call(`/api/services/${service.id}/events`, { id: crypto.randomUUID(), ...body });
    service = after ?? service;
  };
  const act = { lay: "laid", turn: "turned", lift: "lifted" };
  for (let now = 0; service.sheet.breads[0].done < 11;) {
    const when = (t) => (t.pan == null ? t.until : t.at);
    const [task] = service.sheet.tasks.toSorted((a, b) => when(a) - when(b));
    now = Math.max(when(task), now);
    server.ahead(now - (Date.now() - Date.parse(service.openedAt)) / 1000);
    const piece = { bread: task.bread, number: task.number };
    await press(
      task.pan == null ? { act: "done", ...piece, work: task.work } : { act: act[task.work], pan: task.pan, place: task.place, ...piece },
    );
    if (service.sheet.breads[0].done === 6) await press({ act: "served" });
  }
  await press({ act: "heat", pan: 0, value: 209 });
  await press({ act: "heat", pan: 1, value: 244 });
  return service.id;
}
/** A batch that a tablet changed before it fell asleep, and the laptop since: the bread was folded otherwise on both, and is for more people. */
async function elsewhere(page) {
  const bread = (await call("/api/breads")).find((b) => b.name === "First-ferry squares");
  const body = { breadId: bread.id, name: bread.name, spec: bread.spec, madeFor: new Date().toISOString() };
  const { id, version } = await call("/api/batches", body);
  const made = (change) => {
    const spec = structuredClone(bread.spec);
    change(spec);
    return { ...body, spec };
  };
  const theirs = made((s) => ((s.fold.steps[1] = { kind: "half" }), (s.start.pieces = 24)));
  await fetch(`${server.address}/api/batches/${id}`, {
    method: "PUT",
    headers: { ...own, "content-type": "application/json", "If-Match": `"${version}"` },
    body: JSON.stringify(theirs),
  });
  const mine = made(
    (s) => (s.fold.steps.splice(1, 0, { kind: "brush", fat: "ghee", mass: 2 }), (s.start.pieces = 30), (s.pan.fatPerSide = 3.5)),
  );
  const left = { id, known: true, from: { version, figures: body }, ...mine };
  await page.evaluate(([key, text]) => localStorage.setItem(key, text), [`ystrata.unkept.1.${id}`, JSON.stringify(left)]);
  await page.goto(`${server.address}/#/batch/${id}`);
  await page.getByTestId("elsewhere").getByRole("img").nth(1).waitFor();
}

let service;
const stove = async (page) => {
  service ??= await served();
  await page.goto(`${server.address}/#/stove/${service}`);
  await page.getByTestId("belt").waitFor();
};

const shots = {
  shelf: [wide, async () => {}],
  "batch-dough": [wide, stage("Beet quarters", "Dough")],
  "batch-rest": [wide, stage("Fenugreek triangles", "Rest")],
  card: [
    { width: 820, height: 1160 },
    async (page) => {
      await stage("Fenugreek triangles", "Dough")(page);
      await page.getByRole("button", { name: "Card, log and recipe" }).click();
      await page.getByRole("menuitem", { name: "Card" }).click();
    },
  ],
  larder: [
    wide,
    async (page) => {
      await page.goto(`${server.address}/#/larder`);
      await page.getByRole("searchbox", { name: "Find in the larder" }).fill("atta");
      await page.getByRole("button", { name: /Stone-ground/ }).click();
    },
  ],
  "batch-balls": [
    wide,
    async (page) => {
      await stage("Nigella coils", "Balls")(page);
      await page.getByRole("tab", { name: "Divide" }).click();
      const field = page.getByRole("textbox", { name: "Weight by hand" });
      for (const mass of ["101", "99", "107", "98", "100", "95", "102"]) {
        await field.fill(mass);
        await page.getByRole("button", { name: "Put on the tray" }).click();
      }
      await page.getByText("5 of 12").waitFor();
    },
  ],
  "batch-sheet": [wide, stage("Night-crew squares", "Sheet")],
  "batch-fold": [
    wide,
    async (page) => {
      await stage("First-ferry squares", "Fold")(page);
      await page.locator('[data-step="1"]').click();
    },
  ],
  "batch-filling": [
    wide,
    async (page) => {
      await stage("Quay radish rounds", "Filling")(page);
      await page.locator('[data-step="0-2"]').click();
    },
  ],
  labels: [
    wide,
    async (page) => {
      await stage("Night-crew squares", "Dough")(page);
      await page.goto(`${server.address}/#/labels`);
      await page.getByRole("group", { name: "Made on" }).first().getByRole("spinbutton", { name: /^day/ }).click();
      await page.keyboard.type("26112026");
      await page.keyboard.press("Enter");
      await page.getByTestId("labels").getByText("26 Nov 2026").first().waitFor();
    },
  ],
  "batch-roll": [wide, stage("Nigella coils", "Roll")],
  "batch-pan": [wide, stage("Night-crew squares", "Pan")],
  "pan-practice": [
    wide,
    async (page) => {
      // The same lot in every picture, and its clock pushed on.
      await page.addInitScript(() => (crypto.getRandomValues = (a) => ((a[0] = 10), a)));
      await page.reload();
      await page.clock.install();
      await stage("Night-crew squares", "Pan")(page);
      await page.getByRole("tab", { name: "Practice" }).click();
      await page.getByRole("button", { name: "Lay it on the pan" }).click();
      for (const name of ["Turn", "Turn", "Lift"]) {
        for (let i = 0; i < (name === "Lift" ? 55 : 70); i++) await page.clock.runFor(1000);
        await page.getByRole("button", { name, exact: true }).click();
        await page.getByRole("button", { name, exact: true }).and(page.locator(":enabled")).or(page.getByTestId("score")).waitFor();
      }
      await page.getByTestId("score").waitFor();
    },
  ],
  clock: [wide, clock("Night-crew squares")],
  log: [
    wide,
    async (page) => {
      const [ferry] = (await call("/api/log?find=only%20one%20ghee")).lines;
      await page.goto(`${server.address}/#/log/${ferry.id}`);
      await page.locator("[data-cause]").first().waitFor();
    },
  ],
  elsewhere: [wide, elsewhere],
  day: [
    wide,
    async (page) => {
      // The demo's day; other pictures have made batches for today.
      const tomorrow = new Date(Date.now() + 24 * 3600_000).toISOString().slice(0, 10);
      await page.goto(`${server.address}/#/day/${tomorrow}`);
      await page.getByTestId("clashes").waitFor();
    },
  ],
  // Last: the service pushes the server's clock on.
  stove: [wide, stove],
  "narrow-stove": [narrow, stove],
};

try {
  for (const [name, [viewport, go]] of Object.entries(shots)) {
    if (only.length && !only.includes(name)) continue;
    const context = await browser.newContext({
      viewport,
      reducedMotion: "reduce",
      timezoneId: "UTC",
      locale: "en-GB",
      permissions: ["screen-wake-lock"],
    });
    await context.addInitScript(() => location.protocol.startsWith("http") && localStorage.setItem("ystrata.looked-round", "1"));
    const page = await context.newPage();
    // That a version is another one by now is what is shown.
    page.on("console", (m) => m.type() === "error" && !m.text().includes("412") && console.error(`${name}: ${m.text()}`));
    page.on("pageerror", (e) => console.error(`${name}: ${e.message}`));
    await page.goto(`${server.address}/#/`);
    await page.getByTestId("shelf").getByRole("listitem").first().waitFor();
    await go(page);
    // A bench that listens to the scale never falls silent, so the last answers are waited for by the clock.
    await page.waitForTimeout(500);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await context.close();
  }
} finally {
  // A picture that fails leaves no server behind.
  await browser.close();
  await server.stop();
  server.clear();
}
