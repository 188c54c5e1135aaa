// Starts the built server with a kitchen of its own, and stops it. Used by the interface tests, the bench and the pictures.
import { spawn } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
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

export const chromiumPath = "/usr/bin/chromium";

/** A server over a data folder; by default over a new demo kitchen on any free port. */
export async function startServer({ data = mkdtempSync(join(tmpdir(), "ystrata-")), demo = true, port = 0 } = {}) {
  const server = spawn(
    "dotnet",
    ["Ystrata.Web.dll", "--urls", `http://127.0.0.1:${port}`, "--data", data, "--demo", String(demo), "--shift", join(data, "shift")],
    {
      cwd: app,
      stdio: ["ignore", "pipe", "inherit"],
    },
  );
  const ended = new Promise((resolve) => server.once("exit", resolve));
  const address = await new Promise((resolve, reject) => {
    ended.then((code) => reject(new Error(`the server ended with ${code}`)));
    server.stdout.on("data", (text) => {
      const found = /http:\S+/.exec(String(text))?.[0];
      if (found) resolve(found);
    });
  });
  return {
    address,
    data,
    pid: server.pid,
    /** @param {NodeJS.Signals} signal SIGTERM asks, SIGKILL does not. */
    async stop(signal = "SIGTERM") {
      server.kill(signal);
      return await ended;
    },
    /** Puts the server's clock so many seconds ahead of the machine's. */
    ahead: (seconds) => writeFileSync(join(data, "shift"), String(seconds)),
    clear: () => rmSync(data, { recursive: true, force: true }),
  };
}
