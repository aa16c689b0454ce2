import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

export const ROOT = fileURLToPath(new URL("../..", import.meta.url));
const STAMPS = join(ROOT, ".euaxis");

/** Runs a command in the project with its output shown; ends this process when it fails. */
export function run(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: "inherit", env: { ...process.env, ...env } });
  if (done.error) fail(`${command} could not be started: ${done.error.message}`);
  if (done.status !== 0) process.exit(done.status ?? 1);
}

export function fail(message) {
  console.error(message);
  process.exit(1);
}

/** Installs the packages of the lock file when they are not there, or not those. */
export function ensurePackages() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Node 20.19 or newer is needed; this is ${process.versions.node}.`);
  const wanted = hashOf(["package-lock.json"]);
  if (existsSync(join(ROOT, "node_modules")) && stamp("packages") === wanted) return;
  console.log("Installing packages …");
  // Not `npm ci`: it refuses a lock file that lacks other systems' optional binaries, as a registry may lack them.
  run("npm", ["install", "--no-save", "--no-audit", "--no-fund", "--loglevel=error"]);
  setStamp("packages", wanted);
}

/** Builds the application when its sources changed since the last build. */
export function ensureBuild() {
  const wanted = hashOf(["src", "demo", "package-lock.json", "next.config.ts", "tsconfig.json"]);
  if (existsSync(join(ROOT, ".next", "BUILD_ID")) && stamp("build") === wanted) return;
  console.log("Building …");
  run("npx", ["next", "build"], { NEXT_TELEMETRY_DISABLED: "1" });
  setStamp("build", wanted);
}

/** Installs a Debian package when `present` says it is missing and this process may install it. */
export function ensureDebian(name, present) {
  if (present()) return;
  const ask = `"${name}" is missing. Install it (Debian: apt-get install ${name}; elsewhere see CONTRIBUTING.md) and run this again.`;
  if (process.platform !== "linux" || process.getuid?.() !== 0) fail(ask);
  console.log(`"${name}" is missing: installing the Debian package by apt-get …`);
  const quiet = {
    stdio: ["ignore", "ignore", "inherit"],
    env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
  };
  const install = () => spawnSync("apt-get", ["install", "-y", "--no-install-recommends", name], quiet);
  if (install().status !== 0) {
    spawnSync("apt-get", ["update"], quiet);
    install();
  }
  if (!present()) fail(ask);
}

/** Bundles a program as the application would be, without a development transform's overhead; gives its file. */
export async function bundled(entry, name) {
  const { build } = await import("esbuild");
  const outfile = join(STAMPS, name);
  mkdirSync(STAMPS, { recursive: true });
  await build({
    entryPoints: [join(ROOT, entry)],
    bundle: true,
    platform: "node",
    format: "esm",
    packages: "external",
    alias: { "@": join(ROOT, "src") },
    outfile,
    logLevel: "error",
  });
  return outfile;
}

function stamp(name) {
  const file = join(STAMPS, name);
  return existsSync(file) ? readFileSync(file, "utf8") : null;
}

function setStamp(name, value) {
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(join(STAMPS, name), value);
}

function hashOf(paths) {
  const hash = createHash("sha256");
  const add = (path) => {
    const full = join(ROOT, path);
    if (!statSync(full).isDirectory()) hash.update(path).update(readFileSync(full));
    else for (const name of readdirSync(full).sort()) add(join(path, name));
  };
  for (const path of paths) add(path);
  return hash.digest("hex");
}
