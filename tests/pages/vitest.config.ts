import { svelte } from "@sveltejs/vite-plugin-svelte";
import { defineConfig } from "vitest/config";

// What the pages know and say, without a browser: the program's own modules, asked by a small stand-in for one, against the real server.
export default defineConfig({
  plugins: [svelte()],
  resolve: { conditions: ["browser"] },
  test: {
    environment: "happy-dom",
    globalSetup: "./kitchen.ts",
    setupFiles: "./begin.ts",
    include: ["*.test.ts"],
    // The catalogue is read once for all.
    isolate: false,
    fileParallelism: false,
    reporters: ["dot", ["json", { outputFile: "../../.build/results/pages/run.json" }]],
  },
});
