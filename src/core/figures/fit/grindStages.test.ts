import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import type { Design } from "../../knife/design/schema";
import { checkDesign } from "../../knife/validity/checkDesign";
import { grindingAids, grindStages, hollowTools, thicknessTable } from "./grinding";

const heath = DEMO_KNIVES.find(([name]) => name === "heath-field-knife.json")![1];

/** A blade of one thickness, ground at one angle that is kept. */
function kept(angleDeg: number, more: Partial<Design["blade"]> = {}): Design {
  const { blade, fitUp } = heath;
  return {
    ...heath,
    blade: {
      ...blade,
      taper: [],
      tipThicknessMm: blade.spineMm,
      edgeMm: 0.4,
      grind: { kind: "partial-flat", heightMm: 9, along: [], angleDeg },
      ...more,
    },
    fitUp: { ...fitUp, grinding: { ...fitUp.grinding, softEdgeMm: 1, flatsMm: 0.05 } },
  };
}

describe("the grind line before hardening and after", () => {
  it("stands (e1 − e2)/(2·tan α) lower, and s/tan α lower once the flats are ground", () => {
    for (const s of grindStages(kept(4)).filter((o) => o.xMm < 60)) {
      expect(s.angleDeg).toBeCloseTo(4, 6);
      // By hand, common practice: 4°, edge 1.0 → 0.4 mm: 4.3 mm; 0.05 mm off each flat: 0.7 mm.
      expect(s.finishedMm - s.softMm).toBeCloseTo(4.29, 2);
      expect(s.finishedMm - s.flattedMm).toBeCloseTo(0.715, 3);
    }
  });

  it("of a blade that is ground on one side alone has all of the edge on that side", () => {
    const single = kept(8, {
      grind: { kind: "single-bevel", heightMm: 9, along: [], angleDeg: 8, side: "right" },
    });
    const stages = grindStages(single).filter((o) => o.xMm < 60);
    expect(new Set(stages.map((s) => s.side))).toEqual(new Set(["right"]));
    for (const s of stages) {
      // The whole fall: (4 − 0.4)/tan 8°.
      expect(s.finishedMm).toBeCloseTo(3.6 / Math.tan((8 * Math.PI) / 180), 6);
      expect(s.finishedMm - s.softMm).toBeCloseTo(0.6 / Math.tan((8 * Math.PI) / 180), 6);
    }
  });

  it("is nowhere below the edge, whatever is left there", () => {
    const thick = kept(4);
    const grinding = { ...thick.fitUp.grinding, softEdgeMm: 5, flatsMm: 2 };
    for (const s of grindStages({ ...thick, fitUp: { ...thick.fitUp, grinding } }))
      for (const mm of [s.softMm, s.finishedMm, s.flattedMm]) expect(mm).toBeGreaterThanOrEqual(0);
  });

  it("an angle that is kept is told at every station, and one too flat for the blade is a warning", () => {
    for (const s of grindingAids(kept(5)).stations.filter((o) => o.xMm < 60))
      expect(s.right!.angleDeg).toBeCloseTo(5, 6);
    const rules = (d: Design) => checkDesign(d).map((f) => f.rule);
    expect(rules(kept(5))).not.toContain("grind-higher-than-blade");
    expect(rules(kept(1))).toContain("grind-higher-than-blade");
  });
});

describe("thicknesses to measure", () => {
  it("are the face's own: the edge, and 2·v·tan α more at a height v, no thicker than the spine", () => {
    for (const { xMm, at } of thicknessTable(kept(4)).filter((t) => t.xMm < 60))
      for (const { heightMm, softMm, finishedMm } of at) {
        const face = 0.4 + 2 * heightMm * Math.tan((4 * Math.PI) / 180);
        expect(finishedMm, `${xMm} ${heightMm}`).toBeCloseTo(Math.min(4, face), 6);
        expect(softMm).toBeCloseTo(Math.min(4, face + 0.6), 6);
      }
  });

  it("are finite and never thinner before hardening than after, of every construction", () => {
    for (const [name, design] of Object.entries(CONSTRUCTIONS))
      for (const { at } of thicknessTable(design))
        for (const { softMm, finishedMm } of at) {
          expect(Number.isFinite(softMm + finishedMm), name).toBe(true);
          expect(softMm, name).toBeGreaterThanOrEqual(finishedMm - 1e-9);
        }
  });
});

describe("the tool for a hollow", () => {
  const withTools = (design: Design, wheelsMm: number[], filesMm: number[]): Design => ({
    ...design,
    workshop: { ...design.workshop, grinders: { wheelsMm, filesMm } },
  });

  it("is the largest that is there and no larger than the hollow, or none", () => {
    for (const [name, design] of [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)]) {
      const owned = withTools(design, [20, 50, 200], [6, 10]);
      for (const { radiusMm, tool } of hollowTools(owned)) {
        const fits = [20, 50, 200, 6, 10].filter((d) => d / 2 <= radiusMm + 1e-9);
        expect(tool?.diameterMm ?? null, name).toBe(fits.length > 0 ? Math.max(...fits) : null);
      }
      expect(hollowTools(withTools(design, [], [])).every((h) => h.tool === null)).toBe(true);
    }
  });

  it("a waist, grooves, notches and fullers are among them, and a belly that bends inward", () => {
    const of = (name: string) => hollowTools(CONSTRUCTIONS[name]).map((h) => h.of);
    expect(of("waist by a wheel")).toContain("waist");
    expect(of("side grooves")).toContain("groove");
    expect(of("blade: notches")).toContain("notch");
    expect(of("blade: dagger with a fuller")).toContain("fuller");
    expect(
      hollowTools(CONSTRUCTIONS["finger grooves"]).filter((h) => h.of === "outline").length,
    ).toBeGreaterThan(2);
  });
});
