// A real disk that is full, in every way there is to write: ./ystrata bench full (as root, which alone may mount a small disk in memory)
import { execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { startServer, own } from "../tests/ui/server.mjs";

const data = mkdtempSync(join(tmpdir(), "ystrata-full-"));
execFileSync("mount", ["-t", "tmpfs", "-o", "size=120m", "tmpfs", data]);
const server = await startServer({ data });
const ballast = join(data, "ballast");
const failed = [];
const check = (what, good, seen) => {
  console.log(`${good ? "good" : "BAD "} ${what}: ${seen}`);
  if (!good) failed.push(what);
};
const health = async () => {
  const answer = await fetch(`${server.address}/healthz`);
  return `${answer.status} ${(await answer.text()).replaceAll("\n", ", ")}`;
};
const json = { "content-type": "application/json", "if-match": "*" };
const { plain } = await (await fetch(`${server.address}/api/larder`)).json();
const [bread] = await (await fetch(`${server.address}/api/breads`)).json();
const file = await (await fetch(`${server.address}/api/files/kitchen`)).text();
const kept = JSON.stringify({ name: "Radish rounds", about: "", spec: plain });
const writes = {
  "a new bread": ["POST", "/api/breads", kept],
  "a changed bread": ["PUT", `/api/breads/${bread.id}`, JSON.stringify({ name: "Changed", about: "x".repeat(300), spec: plain })],
  "a deleted bread": ["DELETE", `/api/breads/${bread.id}`],
  "a backup": ["POST", "/api/keeping/backups"],
  "a file": ["POST", "/api/files", file],
};
const send = ([method, path, body]) => fetch(server.address + path, { method, headers: { ...own, ...json }, body });

try {
  check("health with room", (await health()).startsWith("200"), await health());
  try {
    for (const part of [1e6, 1e5, 1e4, 1e3, 1]) for (let i = 0; i < 200; i++) writeFileSync(ballast, Buffer.alloc(part), { flag: "a" });
  } catch {
    // Full to the last byte.
  }
  try {
    for (;;) writeFileSync(ballast, "x", { flag: "a" });
  } catch {
    // Now it is.
  }
  for (const [what, write] of Object.entries(writes)) {
    const answer = await send(write);
    const text = await answer.text();
    check(
      `${what} on a full disk`,
      answer.status === 507 && text.includes("urn:ystrata:problem:no-room"),
      `${answer.status} ${text.slice(0, 90)}`,
    );
  }
  check("health on a full disk", (await health()).startsWith("503"), await health());
  const left = readdirSync(join(data, "ystrata-work"));
  check("left behind", left.length === 0, `${left.length} things`);
  check("still read", (await fetch(`${server.address}/api/breads`)).ok, "the shelf");

  rmSync(ballast);
  for (const [what, write] of Object.entries(writes)) {
    const answer = await send(write);
    await answer.text();
    check(`${what} with room again`, answer.ok, answer.status);
  }
  check("health with room again", (await health()).startsWith("200"), await health());
} finally {
  await server.stop();
  execFileSync("umount", [data]);
  server.clear();
}
process.exit(failed.length === 0 ? 0 : 1);
