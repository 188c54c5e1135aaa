import { createHash } from "node:crypto";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { build, type Plugin } from "vite";

const KEPT = /\.(html|js|css|svg|png|woff2|wav|webmanifest)$/;

/** Builds the worker that keeps the pages, once they are all there, with the list of them and what each of them is. */
export function offline(outDir: string): Plugin {
  return {
    name: "offline",
    apply: "build",
    async closeBundle() {
      const out = resolve(outDir);
      const files = readdirSync(out, { recursive: true, encoding: "utf8" })
        .filter((file) => KEPT.test(file) && file !== "sw.js")
        .toSorted()
        .map((file) => ({
          url: `/${file}`,
          revision: createHash("sha256")
            .update(readFileSync(join(out, file)))
            .digest("hex")
            .slice(0, 16),
        }));
      await build({
        configFile: false,
        logLevel: "warn",
        publicDir: false,
        define: { "process.env.NODE_ENV": '"production"' },
        build: {
          outDir: out,
          emptyOutDir: false,
          lib: { entry: resolve("src/offline/sw.ts"), formats: ["iife"], name: "sw", fileName: () => "sw.js" },
        },
      });
      const worker = join(out, "sw.js");
      writeFileSync(worker, `self.__FILES=${JSON.stringify(files)};\n${readFileSync(worker, "utf8")}`);
    },
  };
}
