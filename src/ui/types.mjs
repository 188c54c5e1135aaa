// Asks a built server for its description and makes the types from it: node types.mjs PATH_TO_Ystrata.Web.dll
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const here = import.meta.dirname;
const data = mkdtempSync(join(tmpdir(), "ystrata-types-"));
const server = spawn("dotnet", [process.argv[2], "--port", "0", "--data", data], {
  stdio: ["ignore", "pipe", "inherit"],
});
for await (const line of server.stdout) {
  const address = /http:\S+/.exec(String(line))?.[0];
  if (address) {
    const description = await (await fetch(`${address}/openapi/v1.json`)).json();
    writeFileSync(join(here, "src/api/openapi.json"), JSON.stringify(description, null, 2) + "\n");
    server.kill();
  }
}
const made = spawnSync("npm", ["run", "types"], { cwd: here, stdio: "inherit" });
process.exit(made.status ?? 1);
