import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: {
    alias: {
      "@": fileURLToPath(new URL("./src", import.meta.url)),
      "@demo": fileURLToPath(new URL("./demo", import.meta.url)),
    },
  },
  test: {
    include: ["src/**/*.test.{ts,tsx}", "demo/**/*.test.ts", "faults/**/*.test.ts"],
    // For what hangs: how long a test takes depends on what else the machine does.
    testTimeout: 120_000,
    // Every core: one is kept free otherwise, and here that is half of them.
    maxWorkers: "100%",
  },
});
