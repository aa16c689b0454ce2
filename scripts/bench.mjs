// Bundles the bench and runs it.
import { bundled, ensureBuild, ensurePackages, run } from "./lib/setUp.mjs";

ensurePackages();
ensureBuild();
run(process.execPath, [await bundled("bench/main.ts", "bench.mjs")]);
