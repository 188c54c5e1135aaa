// Asks every endpoint of the program's own description for what nobody means: ./ystrata bench fuzz [requests] [seed]
// Bounded, seeded, on a kitchen and a port of its own. Fails on any answer of 500 or of more than two seconds, and on a server that is gone.
import { startServer, own } from "../tests/ui/server.mjs";

const REQUESTS = Number(process.argv[2] ?? 30_000);
const SEED = Number(process.argv[3] ?? 20261128);
const HANDS = 4;
const SLOW_MS = 2000;
const DEEPEST = 7;

// mulberry32: the same requests for the same seed.
let state = SEED >>> 0;
function random() {
  state = (state + 0x6d2b79f5) >>> 0;
  let t = Math.imul(state ^ (state >>> 15), state | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const int = (n) => Math.floor(random() * n);
const pick = (list) => list[int(list.length)];
const chance = (p) => random() < p;

// What JSON.stringify cannot write stands for itself.
const raw = (text) => `@@${text}@@`;
const written = (body) => JSON.stringify(body).replaceAll(/"@@(.*?)@@"/g, "$1");

const NUMBERS = [
  0,
  -1,
  1,
  0.5,
  3,
  80,
  1e6,
  -1e6,
  1e15,
  1e308,
  -1e308,
  5e-324,
  1e-310,
  2147483648,
  raw("9007199254740993"),
  raw("1e400"),
  raw("-0"),
  raw("00"),
  raw("1."),
];
const STRINGS = [
  "",
  " ",
  "\0",
  "ghee",
  "flour-white",
  "१०० g",
  "١٠٠",
  "½ cup",
  "½",
  "a".repeat(5000),
  "'; drop table bread; --",
  "%_\\",
  "<script>",
  "🫓🫓",
  "\ud800",
  "../..",
  "0001-01-01T00:00:00Z",
  "9999-12-31T23:59:59.9999999Z",
  "2026-11-28T06:00:00+14:00",
  "00000000-0000-0000-0000-000000000000",
  "null",
  "NaN",
  "1e400",
  "=1+1",
];
const ODD = () => pick([null, true, [], {}, [null], [[[]]], pick(NUMBERS), pick(STRINGS), { kind: "letter" }, { kind: "nothing" }]);

const server = await startServer();
const json = async (path) => (await fetch(server.address + path)).json();
const openapi = await json("/openapi/v1.json");
const { plain } = await json("/api/larder");
const breads = await json("/api/breads");
const batches = await json("/api/batches");
const log = (await json("/api/log")).lines;
const backup = (await (await fetch(`${server.address}/api/keeping/backups`, { method: "POST", headers: own })).json()).name;
const kitchenFile = await (await fetch(`${server.address}/api/files/kitchen`)).text();
const larderFile = await (await fetch(`${server.address}/api/larder/export`)).text();
const backupFile = new Uint8Array(await (await fetch(`${server.address}/api/keeping/backups/${backup}`)).arrayBuffer());
// One grey dot.
const picture = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNoAAAAggCBd81ytgAAAABJRU5ErkJggg==", "base64");
const logFile = await (await fetch(`${server.address}/api/log/export`)).text();
const service = await (
  await fetch(`${server.address}/api/services`, {
    method: "POST",
    headers: { ...own, "content-type": "application/json" },
    body: JSON.stringify({ batchId: batches[0].id }),
  })
).json();
const vessel = await (
  await fetch(`${server.address}/api/vessels`, {
    method: "POST",
    headers: { ...own, "content-type": "application/json" },
    body: JSON.stringify({ name: "Ferry glass", item: "water", fill: "level", mass: 210 }),
  })
).json();
const idsOf = {
  "/api/larder/items": ["ghee", "flour-white", "leek", "no-such-thing"],
  "/api/vessels": [vessel.id ?? "cup"],
  "/api/log": log.map((l) => l.id),
  "/api/batches": batches.map((b) => b.id),
  "/api/breads": breads.map((b) => b.id),
  "/api/services": [service.id],
  "/api/keeping/backups": [backup],
  "/api/photos": [],
  "/api/files/breads": breads.map((b) => b.id),
  "/api/files/recipes": breads.map((b) => b.id),
  // Files that were read and may be taken in come and go.
  "/api/files": [],
};
const ids = Object.values(idsOf).flat();

const resolve = (schema) => (schema?.$ref ? resolve(openapi.components.schemas[schema.$ref.split("/").at(-1)]) : schema);

// What the kitchen itself says of each kind of thing, so that most of what is spoilt afterwards is still understood.
const known = new Map();
function harvest(schema, value, deep = 0) {
  if (value === null || value === undefined || deep > 12) return;
  if (schema?.$ref) {
    const name = schema.$ref.split("/").at(-1);
    const seen = known.get(name) ?? known.set(name, []).get(name);
    if (seen.length < 40) seen.push(value);
  }
  const s = resolve(schema) ?? {};
  for (const one of s.oneOf ?? s.anyOf ?? []) {
    const kinds = resolve(one)?.properties?.kind?.enum;
    if (!kinds || kinds.includes(value.kind)) harvest(one, value, deep + 1);
  }
  if (Array.isArray(value)) value.slice(0, 20).forEach((v) => harvest(s.items, v, deep + 1));
  else if (typeof value === "object") for (const [key, v] of Object.entries(value)) harvest(s.properties?.[key], v, deep + 1);
}
const gets = [
  "/api/larder",
  "/api/breads",
  "/api/batches",
  "/api/log",
  "/api/learned",
  "/api/hands",
  "/api/services",
  `/api/services/${service.id}`,
  ...log.map((l) => `/api/log/${l.id}`),
];
for (const path of gets) {
  const template = Object.keys(openapi.paths).find((t) => new RegExp(`^${t.replaceAll(/\{\w+\}/g, "[^/]+")}$`).test(path));
  harvest(openapi.paths[template].get.responses["200"].content["application/json"].schema, await json(path));
}
known.set("BatchSpec", [plain, ...breads.map((b) => b.spec)]);

// Something that could be meant, by its schema.
function meant(schema, name = "", deep = 0) {
  const seen = schema?.$ref && known.get(schema.$ref.split("/").at(-1));
  if (seen && chance(0.9)) return structuredClone(pick(seen));
  const s = resolve(schema) ?? {};
  if (deep > DEEPEST) return null;
  const one = s.oneOf ?? s.anyOf;
  if (one) return meant(pick(one), name, deep + 1);
  if (s.enum) return pick(s.enum);
  const type = Array.isArray(s.type) ? pick(s.type) : s.type;
  if (type === "array") return Array.from({ length: 1 + int(3) }, () => meant(s.items, name, deep + 1));
  if (type === "object" || s.properties) {
    const body = {};
    for (const [key, value] of Object.entries(s.properties ?? {}))
      if ((s.required ?? []).includes(key) || chance(0.6)) body[key] = meant(value, key, deep + 1);
    return body;
  }
  if (type === "integer") return chance(0.7) ? int(12) : pick(NUMBERS);
  if (type === "number") return chance(0.7) ? Math.round(random() * 3000) / 10 : pick(NUMBERS);
  if (type === "boolean") return chance(0.5);
  if (type === "string") {
    if (s.format === "uuid") {
      if (name === "id" && chance(0.5)) return crypto.randomUUID();
      return chance(0.8) ? pick(idsOf[`/api/${name.replace(/Id$/, "")}${name === "batchId" ? "es" : "s"}`] ?? ids) : crypto.randomUUID();
    }
    if (s.format === "date-time") return new Date(1_795_000_000_000 + int(1e9)).toISOString();
    if (name === "file")
      return pick([larderFile, "{}", "<html></html>", '{"@type":"Recipe","name":"Leek","recipeIngredient":["200 g atta","१ cup water"]}']);
    return chance(0.6) ? pick(["ghee", "flour-white", "water", "salt-fine", "leek", "Noon rounds", "g"]) : pick(STRINGS);
  }
  return null;
}

// One place of it, and then another, becomes something else.
function spoil(body) {
  for (let n = int(3); n > 0; n--) {
    const places = [];
    (function walk(value) {
      if (value === null || typeof value !== "object" || places.length > 2000) return;
      for (const key of Object.keys(value)) {
        places.push([value, key]);
        walk(value[key]);
      }
    })(body);
    if (places.length === 0) return ODD();
    const [of, key] = pick(places);
    const was = of[key];
    if (chance(0.2) && !Array.isArray(of)) delete of[key];
    else if (Array.isArray(was) && chance(0.3)) of[key] = Array.from({ length: int(40) }, () => structuredClone(was[0] ?? null));
    else if (typeof was === "number" && chance(0.7)) of[key] = pick(NUMBERS);
    else if (typeof was === "string" && chance(0.7)) of[key] = pick(STRINGS);
    else of[key] = ODD();
  }
  return body;
}

const spoilText = (text) => {
  const at = int(text.length);
  return pick([
    text,
    text.slice(0, at),
    text.slice(0, at) + pick(["", "\0", "\ufffd", ",,,", '"', "{", "१", "1e400"]) + text.slice(at + int(3)),
    text + text,
    "",
  ]);
};

const FILES = {
  "text/csv": () => spoilText(pick([larderFile, logFile, "number;weighed_g\n1;81\n2;79,5\n"])),
  "application/json": () => spoilText(kitchenFile),
  "application/octet-stream": () => (chance(0.5) ? backupFile : spoilText("SQLite format 3\0" + "x".repeat(4096))),
  "image/png": () => (chance(0.5) ? picture : spoilText("\x89PNG\r\n\x1a\n" + "x".repeat(200))),
};

// The longest of those it begins with.
const idsAt = (path) =>
  Object.keys(idsOf)
    .filter((prefix) => path.startsWith(`${prefix}/`))
    .toSorted((a, b) => b.length - a.length)[0];
// The one backup there surely is, is not deleted but by a slip.
const pathId = (path, method) => {
  const known = idsOf[idsAt(path)] ?? ids;
  return known.length === 0 || (method === "delete" && path.includes("backups") && chance(0.98)) ? crypto.randomUUID() : pick(known);
};

function request([path, method, operation]) {
  const query = [];
  let at = path;
  const headers = {};
  for (const parameter of operation.parameters ?? []) {
    const value = chance(0.85) ? meant(parameter.schema, parameter.name) : ODD();
    const text =
      typeof value === "string" ? value.replace(/^@@|@@$/g, "") : typeof value === "object" ? written(value ?? null) : String(value);
    if (parameter.in === "path")
      at = at.replace(`{${parameter.name}}`, encodeURIComponent(chance(0.85) ? pathId(path, method) : toWellFormed(text)));
    else if (parameter.in === "query" && chance(0.6)) {
      for (const one of Array.isArray(value) && parameter.schema?.type === "array" ? value : [text])
        query.push(`${parameter.name}=${encodeURIComponent(toWellFormed(String(one)))}`);
    }
  }
  if (chance(0.7)) headers["if-match"] = pick(["*", '"x"', 'W/"x"', "x", '"a", "b"', ""]);
  let body;
  const contents = operation.requestBody?.content;
  if (contents) {
    const type = pick(Object.keys(contents));
    headers["content-type"] = chance(0.95)
      ? type
      : pick(["text/plain", "application/json; charset=nope", "application/json; charset=utf-16", "", "image/png"]);
    const schema = contents[type].schema;
    const file =
      path.startsWith("/api/files") && type === "application/json" && !path.includes("recipes")
        ? true
        : schema?.format === "byte" || schema?.format === "binary" || type.startsWith("image/");
    body = file
      ? (FILES[type] ?? (() => spoilText("\x89PNG\r\n\x1a\n" + "x".repeat(200))))()
      : chance(0.97)
        ? written(spoil(meant(schema)))
        : spoilText(written(meant(schema)));
  }
  return { path: at + (query.length ? `?${query.join("&")}` : ""), method: method.toUpperCase(), headers, body };
}

const toWellFormed = (text) => text.replaceAll(/[\ud800-\udfff]/g, "\ufffd");

const operations = Object.entries(openapi.paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, operation]) => [path, method, operation]),
);
const statuses = new Map();
const understood = new Set();
const slowest = new Map();
const failed = [];
let sent = 0;

async function hand() {
  while (sent < REQUESTS && failed.length < 20) {
    const operation = operations[sent++ % operations.length];
    const ask = request(operation);
    const from = performance.now();
    // A stream has no end: what it begins with is looked at.
    const streams = ask.path.startsWith("/api/live") && !ask.path.startsWith("/api/live/room");
    const stop = new AbortController();
    try {
      const answer = await fetch(server.address + ask.path, { ...ask, headers: { ...own, ...ask.headers }, signal: stop.signal });
      if (streams) stop.abort();
      else {
        const text = await answer.text();
        const staged = /"staged":\{"id":"([^"]+)"/.exec(text)?.[1];
        if (staged) idsOf["/api/files"] = [...idsOf["/api/files"].slice(-2), staged];
        if (ask.path.startsWith("/api/photos") && answer.ok && ask.method === "POST") idsOf["/api/photos"].push(JSON.parse(text).id);
      }
      const took = performance.now() - from;
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      const name = `${ask.method} ${operation[0]}`;
      if (answer.ok) understood.add(name);
      slowest.set(name, Math.max(slowest.get(name) ?? 0, took));
      if ((answer.status >= 500 && answer.status !== 503) || took > SLOW_MS) failed.push({ ...ask, status: answer.status, took });
    } catch (e) {
      failed.push({ ...ask, status: String(e.cause?.code ?? e) });
    }
  }
}

const began = performance.now();
await Promise.all(Array.from({ length: HANDS }, hand));
console.log(`${sent} requests to ${operations.length} endpoints in ${((performance.now() - began) / 1000).toFixed(0)} s, seed ${SEED}`);
console.log(
  [...statuses]
    .toSorted()
    .map(([status, count]) => `${status}: ${count}`)
    .join(", "),
);
const never = operations.map(([path, method]) => `${method.toUpperCase()} ${path}`).filter((name) => !understood.has(name));
console.log(`${understood.size} endpoints took some of it${never.length ? `, never ${never.join(", ")}` : ""}`);
for (const [name, took] of [...slowest].toSorted((a, b) => b[1] - a[1]).slice(0, 8))
  console.log(`${name.padEnd(48)}${took.toFixed(0).padStart(7)} ms`);
for (const { method, path, status, took, body } of failed)
  console.log(
    `${method} ${path.slice(0, 200)} -> ${status}${took ? `, ${took.toFixed(0)} ms` : ""}\n  ${String(body ?? "").slice(0, 1500)}`,
  );
await server.stop();
server.clear();
console.log(failed.length === 0 ? "none of 500, none over 2 s" : `${failed.length} failed`);
process.exit(failed.length === 0 ? 0 : 1);
