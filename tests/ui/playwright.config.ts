import { defineConfig } from "@playwright/test";
import { chromiumFlags, chromiumPath } from "./server.mjs";

export default defineConfig({
  testDir: ".",
  outputDir: "results",
  workers: 3,
  fullyParallel: true,
  forbidOnly: !!process.env.CI,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [[process.env.CI ? "dot" : "line"], ["json"]],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: "UTC",
    locale: "en-GB",
    // What moves for a sixth of a second takes a processor as long each time; it moves in steady.spec and presses.spec.
    contextOptions: { reducedMotion: "reduce" },
    // What a page asks is seen and held back by the tests; a worker that keeps pages would stand between (offline.spec has it).
    serviceWorkers: "block",
    launchOptions: { executablePath: chromiumPath, args: chromiumFlags },
  },
});
