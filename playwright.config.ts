import { defineConfig } from "@playwright/test";
import { CHROMIUM } from "./scripts/lib/chromium.mjs";

const PORT = Number(process.env.E2E_PORT ?? 4317);

export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/seed.ts",
  outputDir: "test-results/e2e",
  // Two cores serve, render and test: slow is not wrong.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // A test that passes the second time is told as flaky, not hidden.
  retries: 1,
  // One core tests while the other serves and weighs.
  workers: 2,
  reporter: [["list"], ["json"]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Tracing every test makes all of them half as slow again.
    trace: "on-first-retry",
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
  webServer: {
    command: `npx next start -H 127.0.0.1 -p ${PORT}`,
    url: `http://localhost:${PORT}/settings`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
