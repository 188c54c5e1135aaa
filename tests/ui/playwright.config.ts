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
    // What a page asks is seen and held back by the tests; a worker that keeps pages would stand between (offline.spec has it).
    serviceWorkers: "block",
    launchOptions: { executablePath: chromiumPath, args: chromiumFlags },
  },
});
