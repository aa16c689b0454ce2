import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Module from "manifold-3d";
import { damagedFile } from "./files";

/** How a damaged file of a format is given to the shell. */
const COMMANDS: readonly [what: string, ending: string, args: (file: string, out: string) => string[]][] = [
  ["knife files", "json", (file) => ["weigh", file]],
  ["price files", "json", (file) => ["cost", "demo/reed-take-down-hunter.json", "--prices", file]],
  [
    "DXF drawings",
    "dxf",
    (file, out) => ["trace", file, "--onto", "demo/heath-field-knife.json", "--as", "blank", "--out", out],
  ],
  [
    "SVG drawings",
    "svg",
    (file, out) => ["trace", file, "--onto", "demo/heath-field-knife.json", "--as", "blank", "--out", out],
  ],
  [
    "photos",
    "jpg",
    (file, out) => [
      "trace",
      file,
      "--scale",
      "10,85,230,85,220",
      "--onto",
      "demo/heath-field-knife.json",
      "--as",
      "blank",
      "--out",
      out,
    ],
  ],
];
/** A shell's start is part of it, ms. */
const TOO_LONG_MS = 4000;

/** `node faults-shell.mjs CLI COUNT SEED OUT`: damaged files through the shell; each ends with 0, or 2 and one line. */
const [cli, count, seed, out] = [
  process.argv[2],
  Number(process.argv[3]),
  Number(process.argv[4]),
  process.argv[5],
];
const kernel = await Module();
kernel.setup();
const folder = mkdtempSync(join(tmpdir(), "euaxis-shell-"));
const tallies = [];
for (const [what, ending, argsOf] of COMMANDS) {
  const tally = {
    what: `${what} through the shell`,
    tried: 0,
    crashed: 0,
    hung: 0,
    slowestMs: 0,
    first: null as string | null,
  };
  for (let i = 0; i < count; i++) {
    const file = join(folder, `damaged.${ending}`);
    writeFileSync(file, await damagedFile(kernel, what, seed + i));
    const begun = performance.now();
    const { status, stderr } = spawnSync(process.execPath, [cli, ...argsOf(file, join(folder, "out.json"))], {
      encoding: "utf8",
      timeout: 60_000,
    });
    const ms = performance.now() - begun;
    const lines = stderr.split("\n").filter((line) => line !== "");
    const sound =
      status === 0 || (status === 2 && lines.length === 1 && !lines[0].startsWith("Euaxis failed"));
    tally.tried++;
    tally.slowestMs = Math.max(tally.slowestMs, ms);
    if (!sound) tally.crashed++;
    if (ms > TOO_LONG_MS) tally.hung++;
    if (!sound || ms > TOO_LONG_MS)
      tally.first ??= `seed ${seed + i}: ${Math.round(ms)} ms, ${status}: ${lines.slice(0, 2).join(" ")}`;
  }
  tallies.push(tally);
}
rmSync(folder, { recursive: true, force: true });
writeFileSync(out, JSON.stringify(tallies));
