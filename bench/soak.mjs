// A kitchen of 50 screens on the network for as long as is said: ./ystrata bench soak [minutes]
// Five of them change batches, one tends the stove, all listen; others begin to listen and are gone at once; the scale is laid on, a backup is made
// every minute. Fails where memory grows, a stream falls silent or breaks, an answer is none, anything that was answered is not there at the end, or a
// screen that is gone keeps its place.
import { readFileSync } from "node:fs";
import { startServer } from "../tests/ui/server.mjs";
import { machine as ask, newCode, screen } from "./screen.mjs";

const MINUTES = Number(process.argv[2] ?? 120);
const [SCREENS, EDITORS] = [50, 5];
const [SILENT_MS, GROWN] = [20_000, 1.15];
const later = (ms) => new Promise((done) => setTimeout(done, ms));

const server = await startServer({ more: ["--lan", "true", "--lan-port", "0", "--bind", "127.0.0.1"] });
const machine = (method, path, body) => ask(server, method, path, body);
await machine("PUT", "/api/screens/passphrase", { passphrase: "a soak of two hours" });
const there = await server.network();
const { plain } = await machine("GET", "/api/larder");
const wrong = [];
const fail = (what) => wrong.length < 20 && wrong.push(what);

// The stove: many small pieces, so that there is always something to press.
const batch = await machine("POST", "/api/batches", {
  breadId: null,
  name: "The soak's service",
  madeFor: new Date(Date.now() + 3_600_000).toISOString(),
  spec: { ...plain, start: { ...plain.start, by: "pieces", pieces: 12 } },
});
const service = await machine("POST", "/api/services", { batchId: batch.id });

const screens = [];
for (let i = 0; i < SCREENS; i++) {
  const one = screen(there, `127.0.${1 + Math.floor(i / 200)}.${1 + (i % 200)}`);
  await one.comeIn(await newCode(server), `Screen ${i}`);
  const state = { one, last: Date.now(), words: 0 };
  state.stop = await one.listen(
    `/api/live?service=${service.id}`,
    () => ((state.last = Date.now()), state.words++),
    () => state.stopped || fail(`the stream of screen ${i} broke`),
  );
  screens.push(state);
}

const until = Date.now() + MINUTES * 60_000;
const going = () => Date.now() < until && wrong.length === 0;
const count = { kept: 0, plans: 0, presses: 0, looks: 0, backups: 0, weights: 0, passersBy: 0 };
const ms = [];
const timed = async (work) => {
  const from = performance.now();
  const answer = await work();
  ms.push(performance.now() - from);
  if (answer.status >= 400) fail(`${answer.status}: ${JSON.stringify(answer.body).slice(0, 200)}`);
  return answer;
};

async function edit({ one }, i) {
  const made = await timed(() =>
    one.send("POST", "/api/batches", { breadId: null, name: `Editor ${i}`, madeFor: new Date().toISOString(), spec: plain }),
  );
  let version = made.etag;
  for (let n = 1; going(); n++) {
    const spec = { ...plain, start: { ...plain.start, by: "pieces", pieces: 4 + (n % 90) } };
    await timed(() => one.send("POST", "/api/plan", spec));
    count.plans++;
    const kept = await timed(() =>
      one.send(
        "PUT",
        `/api/batches/${made.body.id}`,
        { breadId: null, name: `Editor ${i}, ${n}`, madeFor: made.body.madeFor, spec },
        { more: { "if-match": version } },
      ),
    );
    version = kept.etag;
    count.kept++;
    await later(700 + ((i * 131) % 300));
    const back = await timed(() => one.send("GET", `/api/batches/${made.body.id}`));
    if (back.body.name !== `Editor ${i}, ${n}`) fail(`what editor ${i} kept is gone: ${back.body.name}`);
  }
}

async function tend({ one }) {
  const counted = [];
  while (going()) {
    const { body: view } = await timed(() => one.send("GET", `/api/services/${service.id}`));
    // Hands up and down again: a press that always counts, however the service stands.
    const id = crypto.randomUUID();
    const value = (view.sheet.people % 2) + 1;
    const pressed = await timed(() => one.send("POST", `/api/services/${service.id}/events`, { id, act: "hands", value }));
    if (pressed.body.counted) counted.push(id);
    count.presses = counted.length;
    await later(5000);
  }
  return counted;
}

async function look({ one }, i) {
  const paths = ["/api/breads", "/api/larder", `/api/services/${service.id}`, "/api/log", "/api/batches"];
  for (let n = i; going(); n++) {
    await timed(() => one.send("GET", paths[n % paths.length]));
    count.looks++;
    await later(3000 + ((i * 97) % 4000));
  }
}

async function backUp() {
  while (going()) {
    await machine("POST", "/api/keeping/backups");
    count.backups++;
    await later(60_000);
  }
}

async function weigh() {
  for (let n = 0; going(); n++) {
    await machine("POST", "/api/scale/stand-in", { load: n % 2 ? 0 : 80 });
    count.weights++;
    await later(2000);
  }
}

const room = async () => (await machine("GET", "/api/live/room")).open;
async function passBy() {
  while (going()) {
    // Both go over one connection, as a browser's do.
    await room();
    const gone = new AbortController();
    const answer = fetch(`${server.address}/api/live`, { signal: gone.signal }).catch(() => {});
    await later(Math.random() * 20);
    gone.abort();
    await answer;
    count.passersBy++;
    await later(100);
  }
}

const memory = [];
async function watch() {
  const status = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, "utf8"))[1]) / 1024;
  const every = Math.min(60_000, (MINUTES * 60_000) / 30);
  while (going()) {
    memory.push(status());
    screens.forEach((s, i) => Date.now() - s.last > SILENT_MS && fail(`screen ${i} heard nothing for ${SILENT_MS / 1000} s`));
    await later(every);
  }
}

const [counted] = await Promise.all([
  tend(screens[0]),
  ...screens.slice(1, 1 + EDITORS).map(edit),
  ...screens.map(look),
  backUp(),
  weigh(),
  passBy(),
  watch(),
]);
const { sheet } = await machine("GET", `/api/services/${service.id}`);
const kept = new Set(sheet.past.map((p) => p.event.id));
// The service tells its last presses; each of those that were counted lately is one of them.
for (const id of counted.slice(-Math.min(counted.length, sheet.past.length)))
  if (!kept.has(id)) fail(`a press that was counted is gone: ${id}`);
for (const s of screens) {
  s.stopped = true;
  s.stop();
  s.one.close();
}
for (let tries = 0; (await room()) > 0 && tries < 50; tries++) await later(200);
if ((await room()) > 0) fail(`${await room()} screens that are gone keep their places`);

const third = Math.floor(memory.length / 3);
const mean = (list) => list.reduce((a, b) => a + b, 0) / Math.max(list.length, 1);
const [second, last] = [mean(memory.slice(third, 2 * third)), mean(memory.slice(2 * third))];
if (last > second * GROWN) fail(`memory grows: ${second.toFixed(0)} MB in the middle third, ${last.toFixed(0)} MB in the last`);
ms.sort((a, b) => a - b);
const at = (share) => ms[Math.floor(ms.length * share)]?.toFixed(1);
console.log(
  `${MINUTES} min, ${SCREENS} screens over TLS: ${count.kept} changes kept, ${count.plans} plans, ${count.presses} presses, ${count.looks} looks, ${count.backups} backups, ${count.weights} weighings, ${count.passersBy} passed by`,
);
console.log(
  `answers: median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${ms.at(-1)?.toFixed(0)} ms; words heard by each screen ${Math.min(...screens.map((s) => s.words))} to ${Math.max(...screens.map((s) => s.words))}`,
);
console.log(`memory: ${memory[0]?.toFixed(0)} MB at first, ${second.toFixed(0)} MB in the middle third, ${last.toFixed(0)} MB in the last`);
await server.stop();
server.clear();
for (const what of wrong) console.log(`FAILED: ${what}`);
console.log(wrong.length ? "not well" : "nothing lost, memory level");
process.exit(wrong.length ? 1 : 0);
