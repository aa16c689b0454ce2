import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readFixed } from "../../exchange/files/knife/readFixed";
import { assemble } from "../../knife/assembly/assemble";
import { newDesign } from "../../knife/design/create";
import type { Design } from "../../knife/design/schema";
import type { PartGroup } from "../../knife/parts/types";
import { shippedMaterial } from "../../materials/materials";
import { integrate } from "./integrate";
import { groupPulls, partPulls, pullOf } from "./pulls";
import { type MassReport, massReport } from "./report";

function demo(name: string): Design {
  const reading = readFixed(readFileSync(`demo/${name}.json`));
  if (!reading.ok) throw new Error(reading.code);
  return reading.design;
}

/** The report with some parts left out of the sum, though they still take their space. */
function without(design: Design, wanted: (group: PartGroup, id: string) => boolean): MassReport {
  const assembly = assemble(design);
  const moments = integrate(assembly);
  const kept = assembly.parts.flatMap((p, i) => (wanted(p.group, p.id) ? [i] : []));
  return massReport(
    { regions: assembly.regions, parts: kept.map((i) => assembly.parts[i]) },
    kept.map((i) => moments[i]),
    shippedMaterial,
  );
}

describe("what each part does to the balance", () => {
  const design = demo("bracken-dagger");
  const report = without(design, () => true);

  it("is where the knife would balance without it, summed over the parts that are left", () => {
    for (const { part, addsMm } of partPulls(report)) {
      const rest = without(design, (_, id) => id !== part.id);
      expect(report.balanceMm - rest.balanceMm, part.id).toBeCloseTo(addsMm as number, 9);
    }
  });

  it("holds for a group as for a part", () => {
    const groups = groupPulls(report);
    expect(groups.map((g) => g.group)).toContain("pommel");
    for (const { group, addsMm } of groups) {
      const rest = without(design, (g) => g !== group);
      expect(report.balanceMm - rest.balanceMm, group).toBeCloseTo(addsMm as number, 9);
    }
  });

  /** The law of the lever: about its balance point a body at rest has no moment. */
  it("pulls as hard one way as the other", () => {
    for (const pulls of [partPulls(report), groupPulls(report)]) {
      const sizes = pulls.reduce((s, p) => s + Math.abs(p.momentGmm), 0);
      expect(Math.abs(pulls.reduce((s, p) => s + p.momentGmm, 0))).toBeLessThan(1e-9 * sizes);
    }
    expect(groupPulls(report).reduce((s, g) => s + g.massG, 0)).toBeCloseTo(report.massG, 9);
  });

  it("a rod of 100 g at 0 with 50 g hung 30 mm ahead: 10 mm from the mass, 20 mm from the rod", () => {
    const at = (id: string, massG: number, x: number) =>
      ({
        id,
        key: { kind: "slot", id },
        group: "blade",
        material: "",
        volumeMm3: 1,
        massG,
        centreMm: [x, 0, 0],
      }) as const;
    const parts = [at("rod", 100, 0), at("end", 50, 30)];
    const body = { ...report, massG: 150, balanceMm: 10, parts };
    const [rod, end] = partPulls(body);
    expect([rod.armMm, end.armMm]).toEqual([-10, 20]);
    expect([rod.addsMm, end.addsMm]).toEqual([-20, 10]);
  });

  it("is null for what is all there is, and nothing for what weighs nothing", () => {
    const lone = without(newDesign("Sedge"), (_, id) => id === "blade");
    expect(pullOf(lone, lone.parts).addsMm).toBeNull();
    expect(pullOf(lone, [])).toEqual({ massG: 0, atMm: 0, armMm: 0, momentGmm: 0, addsMm: 0 });
  });
});
