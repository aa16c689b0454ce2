// Bundles the bench as the application would be, without a development transform's overhead, and runs it.
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { ensureBuild, ensurePackages, ROOT, run } from "./lib/setUp.mjs";

ensurePackages();
ensureBuild();
const { build } = await import("esbuild");
mkdirSync(join(ROOT, ".euaxis"), { recursive: true });
const outfile = join(ROOT, ".euaxis", "bench.mjs");
await build({
  entryPoints: [join(ROOT, "bench", "main.ts")],
  bundle: true,
  platform: "node",
  format: "esm",
  packages: "external",
  alias: { "@": join(ROOT, "src") },
  outfile,
  logLevel: "error",
});
run(process.execPath, [outfile]);
