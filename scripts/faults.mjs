// Damages files, kills browsers, fills disks and stops workers, and prints what was lost, crashed or hung.
// FAULT_FILES damaged files a format of text (20,000), FAULT_BINARIES of bytes (3,000), FAULT_SHELL of each through the shell
// (60), FAULT_KILLS kills of the browser (100), FAULT_SEED what is damaged (1), FAULT_ONLY which formats (those whose name holds it; all).
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { CHROMIUM, CHROMIUM_PACKAGE } from "./lib/chromium.mjs";
import { bundled, ensureBuild, ensureDebian, ensurePackages, fail, ROOT, run } from "./lib/setUp.mjs";

const files = wholeNumber("FAULT_FILES", 20_000);
const binaries = wholeNumber("FAULT_BINARIES", 3_000);
const shell = wholeNumber("FAULT_SHELL", 60);
const kills = wholeNumber("FAULT_KILLS", 100);
const seed = wholeNumber("FAULT_SEED", 1);
ensurePackages();
ensureDebian(CHROMIUM_PACKAGE, () => existsSync(CHROMIUM));
ensureBuild();

const folder = join(ROOT, ".euaxis");
const program = await bundled("faults/main.ts", "faults.mjs");
const tallies = join(folder, "faults.json");
console.log(`${files} damaged files a format of text, ${binaries} of bytes, seed ${seed} …`);
run(process.execPath, [
  program,
  String(files),
  String(binaries),
  String(seed),
  tallies,
  process.env.FAULT_ONLY ?? "",
]);

const cli = await bundled("src/cli/main.ts", "faults-cli.mjs");
const shellProgram = await bundled("faults/shell.ts", "faults-shell.mjs");
const shellTallies = join(folder, "faults-shell.json");
console.log(`${shell} damaged files of each through the shell …`);
run(process.execPath, [shellProgram, cli, String(shell), String(seed), shellTallies]);

const rowFile = join(folder, "fault-rows.jsonl");
rmSync(rowFile, { force: true });
console.log(`${kills} kills, and every other fault of the browser …`);
const browser = spawnSync(
  "npx",
  [
    "playwright",
    "test",
    "/faults.spec.ts",
    "kills.spec.ts",
    "largeBackup.spec.ts",
    "--retries=0",
    "--workers=1",
  ],
  {
    cwd: ROOT,
    stdio: ["ignore", "ignore", "inherit"],
    env: {
      ...process.env,
      EUAXIS_KILLS: String(kills),
      EUAXIS_LARGE_KNIVES: "1000",
      EUAXIS_LARGE_PHOTOS: "300",
      EUAXIS_FAULT_ROWS: rowFile,
      PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, "faults-e2e.json"),
    },
  },
);

const table = [
  ...JSON.parse(readFileSync(tallies, "utf8")).map((t) => ({ ...t, what: `damaged ${t.what}`, lost: 0 })),
  ...JSON.parse(readFileSync(shellTallies, "utf8")).map((t) => ({
    ...t,
    what: `damaged ${t.what}`,
    lost: 0,
  })),
  ...rowsOf(existsSync(rowFile) ? readFileSync(rowFile, "utf8") : ""),
];
console.log(`\n${"what".padEnd(48)} tried   lost  crashed  hung over 2 s  slowest ms  peak MB`);
for (const { what, tried, lost, crashed, hung, slowestMs, peakMb } of table) {
  const slowest = slowestMs === undefined ? "" : String(Math.round(slowestMs));
  console.log(
    `${what.padEnd(48)} ${String(tried).padStart(5)} ${String(lost).padStart(6)} ${String(crashed).padStart(8)} ${String(hung).padStart(14)} ${slowest.padStart(11)} ${(peakMb === undefined ? "" : String(Math.round(peakMb))).padStart(8)}`,
  );
}
for (const { what, first } of table) if (first) console.log(`${what}: ${first}`);
const bad = table.some((t) => t.lost + t.crashed + t.hung > 0);
if (browser.status !== 0) fail("A fault of the browser was not withstood: see the report above.");
if (bad) fail("Something was lost, crashed or hung.");
console.log("\nNothing was lost, crashed or hung.");

function rowsOf(lines) {
  return lines.split("\n").flatMap((line) => (line ? [JSON.parse(line)] : []));
}

function wholeNumber(name, plain) {
  const value = process.env[name] === undefined ? plain : Number(process.env[name]);
  if (!Number.isInteger(value) || value < 1)
    fail(`${name} must be a whole number from 1, not "${process.env[name]}".`);
  return value;
}
