import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const CORE = "src/core/**/*.test.ts";

export default defineConfig({
  resolve: {
    alias: {
      "@": fileURLToPath(new URL("./src", import.meta.url)),
      "@demo": fileURLToPath(new URL("./demo", import.meta.url)),
    },
  },
  test: {
    // For what hangs: how long a test takes depends on what else the machine does.
    testTimeout: 120_000,
    // Every core: one is kept free otherwise, and here that is half of them.
    maxWorkers: "100%",
    projects: [
      {
        extends: true,
        // The core keeps no state but what it remembers of immutable records: its files share their modules, compiled once.
        test: { name: "core", include: [CORE], isolate: false },
      },
      {
        extends: true,
        test: {
          name: "application",
          include: ["src/**/*.test.{ts,tsx}", "demo/**/*.test.ts", "faults/**/*.test.ts"],
          exclude: [CORE, "node_modules/**"],
          setupFiles: "src/patience.setup.ts",
        },
      },
    ],
  },
});
