import { describe, expect, it } from "vitest";
import { straight } from "../../geometry/curve/bezier";
import { contourOf } from "../../geometry/curve/contour";
import { slabRegion } from "../../geometry/solids/slab";
import { newDesign } from "../../knife/design/create";
import type { Assembly } from "../../knife/parts/types";
import type { Material } from "../../materials/types";
import { integrate } from "./integrate";
import { massReport } from "./report";
import { weigh } from "./weigh";

function bar(x0: number, x1: number, y0: number, y1: number, thickness: number) {
  const at = (x: number, y: number) => ({ x, y });
  const p = [at(x0, y0), at(x1, y0), at(x1, y1), at(x0, y1)];
  const outline = contourOf(p.map((a, i) => straight(a, p[(i + 1) % 4])));
  return slabRegion(outline, { at0: thickness / 2, slope: 0 }, [-1e3, 1e3]);
}

const stuff = (id: string, typical: number, low = typical, high = typical): Material => ({
  id,
  name: id,
  class: "metal",
  densityGcc: { typical, low, high },
  hazards: [],
  source: "made up for this test",
  tint: "#000",
});

function report(
  regions: Assembly["regions"],
  made: readonly (readonly [string, number][])[],
  materials: Material[],
) {
  const parts = made.map((m, i) => ({
    id: `p${i}`,
    key: { kind: "slot" as const, id: `p${i}` },
    group: "handle" as const,
    materials: m.map(([materialId, share]) => ({ materialId, share })),
    regions: [i],
  }));
  const assembly = { regions, parts };
  return massReport(assembly, integrate(assembly), (id) => materials.find((m) => m.id === id));
}

describe("mass report", () => {
  it("gives a far bar the inertia of the textbook: m(a² + b²)/12 about its own centre", () => {
    const { massG, inertiaGmm2, centreMm } = report(
      [bar(900, 1000, -5, 5, 4)],
      [[["x", 1]]],
      [stuff("x", 8)],
    );
    expect(massG).toBeCloseTo((100 * 10 * 4 * 8) / 1000, 9);
    expect(centreMm[0]).toBeCloseTo(950, 9);
    expect(inertiaGmm2.xx).toBeCloseTo((massG * (100 + 16)) / 12, 6);
    expect(inertiaGmm2.yy).toBeCloseTo((massG * (10_000 + 16)) / 12, 6);
    expect(inertiaGmm2.zz).toBeCloseTo((massG * (10_000 + 100)) / 12, 6);
  });

  it("takes products of inertia with the tensor's sign: mass up front and high makes xy negative", () => {
    const { inertiaGmm2 } = report(
      [bar(10, 20, 10, 20, 2), bar(-20, -10, -20, -10, 2)],
      [[["x", 1]], [["x", 1]]],
      [stuff("x", 1)],
    );
    // Two equal masses of 0.2 g at ±(15, 15): −∫xy dm = −2 · 0.2 · 225.
    expect(inertiaGmm2.xy).toBeCloseTo(-90, 6);
    expect(inertiaGmm2.xz).toBeCloseTo(0, 9);
  });

  it("balances two unequal blocks by the law of the lever", () => {
    const { balanceMm } = report(
      [bar(0, 10, 0, 10, 2), bar(-40, -20, 0, 10, 2)],
      [[["heavy", 1]], [["light", 1]]],
      [stuff("heavy", 8), stuff("light", 1)],
    );
    expect(balanceMm).toBeCloseTo((1.6 * 5 + 0.4 * -30) / 2, 9);
  });

  it("adds spreads of different materials as root of squares, and of one material straight", () => {
    const two = [bar(0, 10, 0, 10, 10), bar(20, 30, 0, 10, 10)];
    const apart = report(two, [[["a", 1]], [["b", 1]]], [stuff("a", 1, 0.9, 1.2), stuff("b", 1, 0.9, 1.2)]);
    expect(apart.massIntervalG[0]).toBeCloseTo(2 - Math.hypot(0.1, 0.1), 9);
    expect(apart.massIntervalG[1]).toBeCloseTo(2 + Math.hypot(0.2, 0.2), 9);
    const same = report(two, [[["a", 1]], [["a", 1]]], [stuff("a", 1, 0.9, 1.2)]);
    expect(same.massIntervalG).toEqual([expect.closeTo(1.8, 9), expect.closeTo(2.4, 9)]);
    // One material throughout: its density moves the weight, never the balance.
    expect(same.balanceIntervalMm[0]).toBeCloseTo(same.balanceMm, 9);
    expect(same.balanceIntervalMm[1]).toBeCloseTo(same.balanceMm, 9);
  });

  it("weighs a composite by its shares of volume", () => {
    const { massG, parts } = report(
      [bar(0, 10, 0, 10, 10)],
      [
        [
          ["a", 0.25],
          ["b", 0.75],
        ],
      ],
      [stuff("a", 8), stuff("b", 1)],
    );
    expect(massG).toBeCloseTo(0.25 * 8 + 0.75, 9);
    expect(parts[0].material).toBe("b+a");
  });
});

describe("weigh", () => {
  it("refuses an impossible design with findings that say what and where, and weighs all others", () => {
    const sound = newDesign("Sedge");
    expect(weigh(sound).ok).toBe(true);
    const blade = { ...sound.blade, steel: "unobtainium" };
    expect(weigh({ ...sound, blade })).toMatchObject({
      ok: false,
      findings: [{ rule: "unknown-material", subject: "unobtainium" }],
    });
  });

  it("a heavier pin at the butt moves the balance back by the lever's amount", () => {
    const sound = newDesign("Sedge");
    const swap = (material: string) => {
      const fasteners = sound.fasteners.map((f) => (f.id === "pin-2" ? { ...f, material } : f));
      const weighing = weigh({ ...sound, fasteners } as typeof sound);
      if (!weighing.ok) throw new Error("not weighed");
      return weighing.report;
    };
    const [light, heavy] = [swap("aluminium-6061"), swap("silver-925")];
    const pin = heavy.parts.find((p) => p.id === "fastener:pin-2")!;
    const more = heavy.massG - light.massG;
    expect(more).toBeCloseTo((pin.volumeMm3 * (10.36 - 2.7)) / 1000, 9);
    expect(heavy.balanceMm).toBeCloseTo(
      (light.massG * light.balanceMm + more * pin.centreMm[0]) / heavy.massG,
      9,
    );
  });
});
