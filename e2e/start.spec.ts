import { spawn } from "node:child_process";
import { once } from "node:events";
import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";

const PORT = 4390;

/** Addresses that something listens at on a port of this machine, as the system lists them. */
function listening(port: number): string[] {
  const wanted = port.toString(16).toUpperCase().padStart(4, "0");
  return ["/proc/net/tcp", "/proc/net/tcp6"].flatMap((file) =>
    readFileSync(file, "utf8")
      .split("\n")
      .map((line) => line.trim().split(/\s+/))
      .filter(([, local, , state]) => local?.endsWith(`:${wanted}`) && state === "0A")
      .map(([, local]) => local.split(":")[0]),
  );
}

/** 127.0.0.1, its bytes the other way round. */
const LOOPBACK = "0100007F";

test("npm start prints its address, and serves this machine alone", async () => {
  const server = spawn(process.execPath, ["scripts/start.mjs"], {
    env: { ...process.env, PORT: String(PORT), HOST: "" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  try {
    let said = "";
    server.stdout.on("data", (chunk) => {
      said += chunk;
    });
    await expect.poll(() => said, { timeout: 60_000 }).toContain(`Euaxis is at http://localhost:${PORT}`);
    expect(listening(PORT)).toEqual([LOOPBACK]);
    const answer = await fetch(`http://127.0.0.1:${PORT}/`);
    expect(answer.status).toBe(200);
    expect(await answer.text()).toContain("<title>Euaxis</title>");
  } finally {
    const gone = once(server, "exit");
    server.kill("SIGTERM");
    await gone;
  }
});

test("npm start refuses a port that is none", async () => {
  const server = spawn(process.execPath, ["scripts/start.mjs"], {
    env: { ...process.env, PORT: "harbour" },
    stdio: ["ignore", "ignore", "pipe"],
  });
  let said = "";
  server.stderr.on("data", (chunk) => {
    said += chunk;
  });
  const [code] = await once(server, "exit");
  expect(code).toBe(1);
  expect(said).toContain('PORT must be a port number, not "harbour"');
});
