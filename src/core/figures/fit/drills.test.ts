import { execFileSync } from "node:child_process";
import { describe, expect, it } from "vitest";
import { engagementOf, screwSizes, tapDrillMm } from "../../base/units/screws";
import { THREADS } from "../../base/units/threads";
import { DRILLS, drillsIn, ownedDrills } from "./drillSets";
import { nearestDrill, pickDrill } from "./pickDrill";

const inch = drillsIn(["fraction", "number", "letter"]);

describe("drills", () => {
  it("a 1/4 in pin slides in F, and is pressed or snug in 1/4 in: common practice", () => {
    expect(pickDrill(6.35, "slide", inch)?.drill).toMatchObject({ name: "F", inch: 0.257 });
    expect(pickDrill(6.35, "slide", inch)?.drill.mm).toBeCloseTo(6.53, 2);
    for (const fit of ["press", "snug"] as const)
      expect(pickDrill(6.35, fit, inch)?.drill.name).toBe("1/4 in");
  });

  it("a common sleeve bolt's barrel takes a No. 13, 0.185 in: common practice", () => {
    expect(pickDrill(4.7, "snug", inch)?.drill).toMatchObject({ name: "#13", inch: 0.185 });
  });

  it("clearances have their signs: never tight to slide, never loose to press", () => {
    for (let d = 1; d <= 10; d += 0.137) {
      const slide = pickDrill(d, "slide", DRILLS);
      const press = pickDrill(d, "press", DRILLS);
      expect(slide!.clearanceMm).toBeGreaterThan(0.0299);
      expect(slide!.clearanceMm).toBeLessThan(0.2);
      expect(press!.clearanceMm).toBeLessThanOrEqual(0.012);
    }
    expect(pickDrill(Number.NaN, "slide", DRILLS)).toBeNull();
    expect(pickDrill(40, "slide", DRILLS)).toBeNull();
  });

  it("are those that are there, or all of the sets", () => {
    expect(ownedDrills({ sets: ["letter"], own: [] })).toHaveLength(26);
    const own = ownedDrills({ sets: ["letter"], own: ["F", "1/4 in"] });
    expect(own.map((d) => d.name)).toEqual(["1/4 in", "F"]);
    expect(nearestDrill(6.4, own)?.name).toBe("1/4 in");
    expect(nearestDrill(6.4, [])).toBeNull();
  });

  /** Source: Debian's units, `drillgauge(n)` and `drillA`. */
  it("have the sizes that units gives them", () => {
    for (const name of ["#1", "#13", "#40", "#60"]) {
      const told = execFileSync("units", ["-t", `drillgauge(${name.slice(1)})`, "mm"], { encoding: "utf8" });
      expect(DRILLS.find((d) => d.name === name)!.mm).toBeCloseTo(Number(told), 3);
    }
    const told = execFileSync("units", ["-t", "drillF", "mm"], { encoding: "utf8" });
    expect(DRILLS.find((d) => d.name === "F")!.mm).toBeCloseTo(Number(told), 3);
  });
});

describe("threads", () => {
  /** ISO 2306 gives these tapping drills, mm; from memory. */
  it.each([
    ["M3", 2.5],
    ["M4", 3.3],
    ["M5", 4.2],
    ["M6", 5],
    ["M8", 6.8],
  ])("%s is tapped in a hole of %s mm", (name, mm) => {
    expect(tapDrillMm(THREADS.find((t) => t.name === name)!)).toBeCloseTo(mm, 1);
  });

  /** Tap charts for 75 % of the thread: 8-32 #29 (0.136), 10-32 #21 (0.159), 1/4-20 #7 (0.201); from memory. */
  it.each([
    ["No. 8-32", "#29"],
    ["No. 10-32", "#21"],
    ["No. 10-24", "#25"],
    ["1/4-20", "#7"],
  ])("%s is tapped in a %s hole", (name, drill) => {
    const thread = THREADS.find((t) => t.name === name)!;
    const charted = DRILLS.find((d) => d.name === drill)!;
    expect(Math.abs(tapDrillMm(thread) - charted.mm)).toBeLessThan(0.08);
  });

  it("have head, key and nut, the head wider than the thread and the key smaller", () => {
    for (const t of THREADS) {
      const sizes = screwSizes(t)!;
      expect(sizes.headMm).toBeGreaterThan(t.diameterMm * 1.3);
      expect(sizes.keyMm).toBeLessThan(t.diameterMm);
      expect(sizes.nutAcrossMm).toBeGreaterThan(t.diameterMm);
    }
    expect(["steel-1084", "brass-360", "aluminium-6061"].map((m) => engagementOf(m))).toEqual([1, 1.5, 2]);
  });
});
