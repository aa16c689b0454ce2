import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { MATERIALS } from "@/core/stock/materials";

function euaxis(...args: string[]) {
  const done = spawnSync("npx", ["tsx", "src/cli/main.ts", ...args], { encoding: "utf8" });
  // npm's own warnings about this machine are not the program's.
  const errors = done.stderr.split("\n").filter((l) => l !== "" && !l.startsWith("npm warn"));
  return { code: done.status, out: done.stdout, errors };
}

describe("the command line", () => {
  it("weighs a knife as JSON", () => {
    const { code, out } = euaxis("weigh", "demo/heath-field-knife.json");
    expect(code).toBe(0);
    const answer = JSON.parse(out);
    expect(Object.keys(answer)).toEqual([
      "massG",
      "balanceMm",
      "centreMm",
      "inertiaGmm2",
      "massIntervalG",
      "balanceIntervalMm",
      "parts",
    ]);
    expect(Object.keys(answer.inertiaGmm2)).toEqual(["xx", "yy", "zz", "xy", "xz", "yz"]);
    expect(Object.keys(answer.parts[0])).toEqual([
      "id",
      "name",
      "material",
      "volumeMm3",
      "massG",
      "centreMm",
    ]);
    expect(answer.centreMm[0]).toBe(answer.balanceMm);
  });

  it("lists the materials as JSON", () => {
    const { code, out } = euaxis("materials");
    expect(code).toBe(0);
    const list = JSON.parse(out);
    expect(list).toHaveLength(MATERIALS.length);
    expect(list[0]).toMatchObject({
      id: expect.any(String),
      class: "steel",
      densityGcc: { typical: expect.any(Number) },
    });
  });

  it("answers bad input with code 2 and one line on standard error", () => {
    const folder = mkdtempSync(join(tmpdir(), "euaxis-"));
    const bad = join(folder, "bad.json");
    writeFileSync(bad, '{"format": "euaxis-knife", "version": 1, "knife": {}}');
    for (const args of [
      ["weigh", join(folder, "none.json")],
      ["weigh", folder],
      ["weigh", bad],
      ["weigh"],
      ["fly"],
      [],
    ]) {
      const { code, out, errors } = euaxis(...args);
      expect(code, args.join(" ")).toBe(2);
      expect(out).toBe("");
      expect(errors, args.join(" ")).toHaveLength(1);
    }
  });
});
