// Everything that must hold: types, lint, units, and the real interface in headless Chromium.
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { CHROMIUM, CHROMIUM_PACKAGE } from "./lib/chromium.mjs";
import { ensureBuild, ensureDebian, ensurePackages, ROOT, run } from "./lib/setUp.mjs";

ensurePackages();
ensureDebian("units", () => existsSync("/usr/share/units/definitions.units"));
ensureDebian("admesh", () => existsSync("/usr/bin/admesh"));
ensureDebian("poppler-utils", () => existsSync("/usr/bin/pdftoppm"));
ensureDebian(CHROMIUM_PACKAGE, () => existsSync(CHROMIUM));
const results = join(ROOT, "test-results");
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const unitFile = join(results, "unit.json");
const e2eFile = join(results, "e2e.json");

run("npx", ["next", "typegen"]);
run("npx", ["tsc", "--noEmit"]);
run("npx", ["biome", "check", "."]);
run("npx", ["depcruise", "src"]);
run("npx", ["vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unitFile}`]);
ensureBuild();
run("npx", ["playwright", "test"], { PLAYWRIGHT_JSON_OUTPUT_NAME: e2eFile });

const unit = JSON.parse(readFileSync(unitFile, "utf8"));
const { stats } = JSON.parse(readFileSync(e2eFile, "utf8"));
const passed = unit.numPassedTests + stats.expected + stats.flaky;
const failed = unit.numFailedTests + stats.unexpected;
const skipped = unit.numPendingTests + stats.skipped;
console.log(`\n${passed} passed, ${failed} failed, ${skipped} skipped`);
