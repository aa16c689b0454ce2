import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { measureSolid, solidParts } from "../../knife/kernel/solidParts";
import { straight } from "../curve/bezier";
import { contourOf } from "../curve/contour";
import { cylinderRegion } from "./cylinder";
import { groundThickness } from "./grind";
import { layerRegion } from "./layer";
import { lineAt, shifted } from "./line";
import { loftRegion } from "./loft";
import { meshRegion } from "./meshRegion";
import { sectionOf } from "./section";

const cut = { spineMm: 4, edgeMm: 0.4, faceMm: 20 };

describe("grinds", () => {
  it("are as thick as the edge at the edge and as the spine above the face", () => {
    const grinds = [
      { kind: "full-flat" },
      { kind: "partial-flat", heightMm: 20, along: [], angleDeg: null },
      { kind: "convex", heightMm: 20, along: [], angleDeg: null, bulge: 0.7 },
      { kind: "hollow", heightMm: 20, along: [], angleDeg: null, wheelRadiusMm: 100 },
      { kind: "single-bevel", heightMm: 20, along: [], angleDeg: null, side: "right" },
    ] as const;
    for (const grind of grinds) {
      expect(groundThickness(grind, cut, 0), grind.kind).toBeCloseTo(0.4, 9);
      expect(groundThickness(grind, cut, 20), grind.kind).toBe(4);
      expect(groundThickness(grind, cut, 19.999999), grind.kind).toBeCloseTo(4, 5);
      expect(groundThickness(grind, cut, 25), grind.kind).toBe(4);
    }
  });

  it("hollow to the depth of common practice: R − √(R² − c²/4) under the chord, at its middle", () => {
    const level = { spineMm: 4, edgeMm: 4, faceMm: 30 };
    const wheel = { kind: "hollow", heightMm: 30, along: [], angleDeg: null, wheelRadiusMm: 101.6 } as const;
    const depth = 101.6 - Math.sqrt(101.6 ** 2 - 30 ** 2 / 4);
    expect((4 - groundThickness(wheel, level, 15)) / 2).toBeCloseTo(depth, 9);
    // A wheel too small for the face is held at half the face, 15 mm: far past the centre plane, on both sides.
    expect(groundThickness({ ...wheel, wheelRadiusMm: 2 }, level, 15)).toBeCloseTo(4 - 2 * 15, 9);
  });

  it("convex stands over flat, and runs out level at full bulge", () => {
    const flat = groundThickness({ kind: "partial-flat", heightMm: 20, along: [], angleDeg: null }, cut, 10);
    const full = { kind: "convex", heightMm: 20, along: [], angleDeg: null, bulge: 1 } as const;
    expect(groundThickness(full, cut, 10)).toBeGreaterThan(flat);
    expect((4 - groundThickness(full, cut, 19.9)) / 0.1).toBeLessThan(0.02);
  });
});

describe("sections", () => {
  it.each([1, 0.8, 0.5, 0.2])("roundness %f: reach undoes height, and stretch is its slope", (roundness) => {
    const s = sectionOf(roundness);
    for (const u of [0.2, 0.5, 0.8, 0.95]) {
      const h = s.height(u);
      expect(s.height(-u)).toBe(h);
      // Near the crown of a nearly flat section the height is 1 to rounding, and the way back is lost.
      if (h < 0.999) expect(s.reach(h)).toBeCloseTo(u, 6);
    }
    for (const h of [0.3, 0.6]) {
      const slope = (s.reach(h - 1e-6)! - s.reach(h + 1e-6)!) / 2e-6;
      expect(s.closing!.law.jacobianAt(h, s.reach(h)!)).toBeCloseTo(slope, 5);
    }
    expect(s.height(0)).toBe(1);
    expect(s.height(1)).toBe(0);
  });

  it("flat sides stand full height and reach nowhere", () => {
    expect(sectionOf(0).height(0.99)).toBe(1);
    expect(sectionOf(0).reach(0.5)).toBeNull();
    expect(sectionOf(Number.NaN).height(0.5)).toBe(1);
    expect(sectionOf(7)).toBe(sectionOf(1));
  });
});

describe("layers and drills", () => {
  it("slope with their line, on either side", () => {
    const line = { at0: 2, slope: 0.01 };
    expect(lineAt(shifted(line, 1), -100)).toBeCloseTo(2, 12);
    expect(lineAt(shifted(line, 1, true), -100)).toBeCloseTo(-2, 12);
    const slice = layerRegion(line, null, [-50, 0]).sliceAt(-10)!;
    expect(slice.low(3)).toBeCloseTo(1.9, 12);
    expect(slice.high(3)).toBe(Number.POSITIVE_INFINITY);
    expect(layerRegion(line, null, [-50, 0]).sliceAt(-60)).toBeNull();
  });

  it("a drill's chord is that of its circle", () => {
    const region = cylinderRegion({ xMm: -10, yMm: 2, radiusMm: 5 });
    expect(region.sliceAt(-7)!.ys).toEqual([-2, 6]);
    expect(region.sliceAt(-4.9)).toBeNull();
  });
});

describe("lofts", () => {
  const box = [
    { x: 0, y: 10 },
    { x: -80, y: 10 },
    { x: -80, y: -10 },
    { x: 0, y: -10 },
  ];
  const outline = contourOf(box.map((p, i) => straight(p, box[(i + 1) % 4])));
  const side = (cap: number) => ({ crown: { knots: [], at: () => 8 }, land: () => 2, cap: () => cap });
  const region = loftRegion({
    outline,
    xRange: [-80, 0],
    right: side(6),
    left: side(99),
    sectionAt: () => sectionOf(1),
    stations: [],
  });

  it("rise from the land at the edge to the crown, and are cut off at the cap", () => {
    const slice = region.sliceAt(-40)!;
    expect(slice.low(0)).toBeCloseTo(-8, 12);
    expect(slice.high(0)).toBe(6);
    expect(slice.low(9.999999)).toBeCloseTo(-2, 1);
    expect(slice.low(6)).toBeCloseTo(-(2 + 6 * 0.8), 12);
  });

  it("tell where a plane meets their surface, and nowhere under the land or over the cap", () => {
    const slice = region.sliceAt(-40)!;
    const at = slice.crossings!(-(2 + 6 * 0.8));
    expect(at[0]).toBeCloseTo(-6, 12);
    expect(at[1]).toBeCloseTo(6, 12);
    expect(slice.crossings!(1)).toEqual([]);
    expect(slice.crossings!(7)).toEqual([]);
    expect(slice.crossings!(-9)).toEqual([]);
  });

  it("give zones whose variable runs back and forth", () => {
    for (const zone of region.sliceAt(-40)!.zones) {
      const y = (zone.y0 + zone.y1) / 2;
      expect(zone.yAt(zone.toParameter(y))).toBeCloseTo(y, 9);
      expect(zone.toParameter(zone.outerY)).toBeCloseTo(0, 6);
    }
  });
});

describe("the mesh kernel's solids", () => {
  let kernel: ManifoldToplevel;
  beforeAll(async () => {
    kernel = await Module();
    kernel.setup();
  });

  it("meshes are closed and turned outward: a tube in a block, to the polygon's true area", () => {
    const regions = [
      cylinderRegion({ xMm: 5, yMm: -3, radiusMm: 2 }),
      cylinderRegion({ xMm: 5, yMm: -3, radiusMm: 4 }),
      layerRegion({ at0: -6, slope: 0 }, { at0: 4, slope: 0 }, [-20, 20]),
    ];
    const part = (id: string, of: number[]) => ({
      id,
      key: { kind: "slot" as const, id },
      group: "handle" as const,
      materials: [],
      regions: of,
    });
    const parts = [part("bore", [0, 2]), part("tube", [1, 2])];
    const solids = solidParts(kernel, { regions, parts }, { stations: 4, rows: 24 });
    const tube = measureSolid(solids[1]!);
    expect(solids.every((s) => s?.status() === "NoError")).toBe(true);
    expect(tube.volumeMm3 / (Math.PI * 12 * 10)).toBeCloseTo(1, 5);
    expect(tube.centreMm[0]).toBeCloseTo(5, 4);
    expect(tube.centreMm[2]).toBeCloseTo(-1, 4);
    for (const s of solids) s?.delete();
  });

  it("a region without extent has no mesh", () => {
    expect(meshRegion(cylinderRegion({ xMm: 0, yMm: 0, radiusMm: 0 }), { stations: 4, rows: 8 })).toEqual([]);
  });
});
