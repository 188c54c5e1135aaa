// Starts the built server with a kitchen of its own, and stops it. Used by the interface tests, the bench and the pictures.
import { spawn } from "node:child_process";
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const app = join(import.meta.dirname, "../../.build/app");

export const chromiumFlags = [
  "--headless",
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** What every write carries, so that no page of another site can make one. */
export const own = { "x-ystrata": "here" };

/** Debian's Chromium without a window of its own, which takes half the work of the whole one; that one where it is the only one there. */
export const chromiumPath = ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"].find((path) => existsSync(path)) ?? "chromium";

/**
 * A server over a data folder; by default over a new demo kitchen on any free port.
 * @param {{ data?: string, from?: string, demo?: boolean, port?: number, more?: string[], through?: string[] }} [how] with from: a kitchen that
 * was remembered, to begin with; more: what else it is told on its command line; and through: the command that starts it, elsewhere than on this
 * machine
 */
export async function startServer({
  data = mkdtempSync(join(tmpdir(), "ystrata-")),
  from,
  demo = true,
  port = 0,
  more = [],
  through = [],
} = {}) {
  if (from) copyFileSync(from, join(data, "ystrata.db"));
  const [command, ...before] = [...through, "dotnet"];
  const server = spawn(
    command,
    [
      ...before,
      "Ystrata.Web.dll",
      "--port",
      String(port),
      "--environment",
      "Testing",
      "--data",
      data,
      "--demo",
      String(demo),
      "--shift",
      join(data, "shift"),
      ...more,
    ],
    {
      cwd: app,
      stdio: ["ignore", "pipe", "inherit"],
    },
  );
  const ended = new Promise((resolve) => server.once("exit", resolve));
  let said = "";
  const saying = (what) =>
    new Promise((resolve, reject) => {
      ended.then((code) => reject(new Error(`the server ended with ${code}`)));
      const look = () => {
        const found = what.exec(said)?.[1];
        if (found) resolve(found);
      };
      server.stdout.on("data", (text) => {
        said += text;
        look();
      });
      look();
    });
  const address = await saying(/^Ystrata is at (\S+)\n/m);
  const ahead = (seconds) => writeFileSync(join(data, "shift"), String(seconds));
  const send = async (path, body) => {
    const answer = await fetch(address + path, {
      method: "POST",
      headers: { ...own, "content-type": "application/json" },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
    return answer.status === 204 ? null : answer.json();
  };
  const backups = join(data, "backups");
  const clean = join(data, "clean.db");
  return {
    address,
    /** Where the network asks, of one that was told to listen to it. */
    network: () => saying(/^On the network it is at (\S+)\n/m),
    networkPort: async () => Number(await saying(/^Listens to the network on port (\d+)\n/m)),
    data,
    pid: server.pid,
    /** What `remember` keeps. */
    clean,
    /** @param {NodeJS.Signals} signal SIGTERM asks, SIGKILL does not. */
    async stop(signal = "SIGTERM") {
      server.kill(signal);
      return await ended;
    },
    /** Puts the server's clock so many seconds ahead of the machine's. */
    ahead,
    /** Remembers the kitchen as it is, for `reset`. */
    async remember() {
      // With the pictures of the shelf, which are kept once they were drawn.
      await (await fetch(`${address}/api/breads`)).text();
      const { name } = await send("/api/keeping/backups");
      renameSync(join(backups, name), clean);
      rmSync(backups, { recursive: true });
    },
    /** Makes everything what it was: the kitchen by the program's own restore, the stand-ins and the clock beside it. */
    async reset() {
      ahead(0);
      const name = "ystrata-2026-01-01-000000000.db";
      rmSync(backups, { recursive: true, force: true });
      mkdirSync(backups);
      copyFileSync(clean, join(backups, name));
      await send(`/api/keeping/backups/${name}/restore`);
      rmSync(backups, { recursive: true });
      await send("/api/scale/stand-in", { anew: true });
      await send("/api/probe/stand-in", { anew: true });
    },
    clear: () => rmSync(data, { recursive: true, force: true }),
  };
}
