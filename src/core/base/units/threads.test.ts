import { execFileSync } from "node:child_process";
import { describe, expect, it } from "vitest";
import { threadRadius } from "../../kinds/fasteners/thread";
import { THREADS } from "./threads";

/** Source: Debian's units, `screwgauge(n)` in inches. */
describe("unified screw numbers", () => {
  it.each(THREADS.filter((t) => t.name.startsWith("No.")))("$name", ({ name, diameterMm }) => {
    const number = /No\. (\d+)-/.exec(name)?.[1];
    const told = execFileSync("units", ["-t", `screwgauge(${number})`, "mm"], { encoding: "utf8" });
    expect(diameterMm).toBeCloseTo(Number(told), 4);
  });
});

describe("a threaded rod", () => {
  it("is as heavy as a plain one of its pitch diameter, between core and crest", () => {
    // ISO 724, M6 × 1: pitch diameter 5.350 mm, minor diameter 4.917 mm (from memory).
    expect(2 * threadRadius({ diameterMm: 6, pitchMm: 1 })).toBeCloseTo(5.35, 2);
    for (const t of THREADS) {
      expect(2 * threadRadius(t)).toBeLessThan(t.diameterMm);
      expect(2 * threadRadius(t)).toBeGreaterThan(t.diameterMm - 1.0825 * t.pitchMm);
    }
  });

  it("has a name of its own", () => {
    expect(new Set(THREADS.map((t) => t.name)).size).toBe(THREADS.length);
  });
});
