// Serves Euaxis: installs what is missing, builds what changed, prints the address.
import { spawn } from "node:child_process";
import { createServer } from "node:net";
import { hostname, networkInterfaces } from "node:os";
import { ensureBuild, ensurePackages, fail, ROOT } from "./lib/setUp.mjs";

ensurePackages();
ensureBuild();
const wanted = Number(process.env.PORT || 3000);
if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65535)
  fail(`PORT must be a port number, not "${process.env.PORT}".`);
// This machine alone, unless HOST says otherwise: HOST=0.0.0.0 serves the whole network.
const host = process.env.HOST || "127.0.0.1";
const port = process.env.PORT ? wanted : await firstFree(wanted);

const server = spawn(
  process.execPath,
  ["node_modules/next/dist/bin/next", "start", "-H", host, "-p", String(port)],
  {
    cwd: ROOT,
    stdio: ["ignore", "pipe", "inherit"],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", EUAXIS_HOSTS: hostNames() },
  },
);
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));
let announced = false;
server.stdout.on("data", (chunk) => {
  if (announced || !/ready/i.test(String(chunk))) return;
  announced = true;
  console.log(`Euaxis is at http://${host === "127.0.0.1" ? "localhost" : host}:${port} (Ctrl+C ends it)`);
});

/** The names that the server answers to beside this machine's own: HOST's, or all of its addresses where it serves them all. */
function hostNames() {
  const named = process.env.EUAXIS_HOSTS ? [process.env.EUAXIS_HOSTS] : [];
  const all = ["0.0.0.0", "::"].includes(host);
  const addresses = Object.values(networkInterfaces()).flatMap((list) => (list ?? []).map((a) => a.address));
  const names = all ? [hostname(), ...addresses] : [host];
  return [...named, ...names.map((n) => (n.includes(":") ? `[${n}]` : n))].join(",");
}

/** The first port from `from` on which nothing listens. */
async function firstFree(from) {
  for (let port = from; port < from + 50; port++) {
    const free = await new Promise((answer) => {
      const probe = createServer();
      probe.once("error", () => answer(false));
      probe.listen(port, host, () => probe.close(() => answer(true)));
    });
    if (free) return port;
  }
  return fail(`No free port from ${from} to ${from + 49}.`);
}
