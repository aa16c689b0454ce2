import gamma from "@stdlib/math-base-special-gamma";
import { describe, expect, it } from "vitest";
import { type Point, straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { bladeRegion } from "../../geometry/solids/bladeRegion";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { layerRegion } from "../../geometry/solids/layer";
import { loftRegion } from "../../geometry/solids/loft";
import type { Region } from "../../geometry/solids/region";
import { exponentOf, sectionOf } from "../../geometry/solids/section";
import { slabRegion } from "../../geometry/solids/slab";
import type { Assembly, Part } from "../../knife/parts/types";
import { DEFAULT_FINENESS, integrate } from "./integrate";

/** The promise of the default setting: volume to 1e-5 of itself, centroid to 0.005 mm. */
const VOLUME = 1e-5;
const CENTROID_MM = 0.005;

function polygon(...points: [number, number][]): Contour {
  const p: Point[] = points.map(([x, y]) => ({ x, y }));
  return contourOf(p.map((a, i) => straight(a, p[(i + 1) % p.length])));
}

function part(id: string, regions: number[], solid = true): Part {
  return {
    id,
    key: { kind: "slot", id },
    group: "handle",
    materials: solid ? [{ materialId: "x", share: 1 }] : [],
    regions,
  };
}

function one(region: Region) {
  return integrate({ regions: [region], parts: [part("a", [0])] })[0];
}

function expectVolume(measured: number, exact: number) {
  expect(Math.abs(measured / exact - 1)).toBeLessThan(VOLUME);
}

const level = (half: number) => ({ at0: half, slope: 0 });
const everywhere: [number, number] = [-1e3, 1e3];

/** A blade alike on both sides without cuts of its own. */
const PLAIN = {
  leftGrind: null,
  taper: [],
  plunge: { sweepDeg: 0, radiusMm: 0 },
  swedge: null,
  fullers: [],
  sharpenedDeg: null,
};

describe("closed forms", () => {
  it("block: volume, centroid and second moments of a box", () => {
    const m = one(slabRegion(polygon([-30, -4], [10, -4], [10, 6], [-30, 6]), level(2.5), everywhere));
    expectVolume(m.v, 40 * 10 * 5);
    expect(m.originX + m.x / m.v).toBeCloseTo(-10, 9);
    expect(m.y / m.v).toBeCloseTo(1, 9);
    // ∫z² dV = V·t²/12, about the origin on the centre plane.
    expect(m.zz).toBeCloseTo((2000 * 25) / 12, 6);
    expect(m.yy).toBeCloseTo(2000 * (100 / 12 + 1), 6);
    expect(m.xx).toBeCloseTo((2000 * 1600) / 12, 5);
  });

  it("cylinder: πr²h, and its second moment mr²/4", () => {
    const regions = [
      cylinderRegion({ xMm: 7, yMm: -3, radiusMm: 3.2 }),
      layerRegion(level(-8), level(12), everywhere),
    ];
    const [m] = integrate({ regions, parts: [part("pin", [0, 1])] });
    expectVolume(m.v, Math.PI * 3.2 ** 2 * 20);
    expect(m.originX + m.x / m.v).toBeCloseTo(7, 6);
    expect(m.z / m.v).toBeCloseTo(2, 9);
    const aboutAxis = m.xx - m.x ** 2 / m.v + m.yy - m.y ** 2 / m.v;
    expect(Math.abs(aboutAxis / (m.v * 3.2 ** 2 * 0.5) - 1)).toBeLessThan(1e-4);
  });

  it("ellipsoid: 4/3·πabc and m(b² + c²)/5", () => {
    const [a, b, c] = [60, 15, 9];
    const rise = (x: number) => Math.sqrt(Math.max(0, 1 - (x / a) ** 2));
    const outline: Contour = {
      cubics: [],
      xRange: [-a, a],
      breaks: [
        { x: -a, below: false, above: true },
        { x: a, below: true, above: false },
      ],
      cut: (x) => [-b * rise(x), b * rise(x)],
    };
    const side = { crown: { knots: [], at: (x: number) => c * rise(x) }, land: () => 0, cap: () => 99 };
    const m = one(
      loftRegion({
        outline,
        xRange: [-a, a],
        right: side,
        left: side,
        sectionAt: () => sectionOf(1),
        stations: [],
      }),
    );
    expectVolume(m.v, (4 / 3) * Math.PI * a * b * c);
    expect(Math.abs(m.x / m.v)).toBeLessThan(CENTROID_MM);
    expect(Math.abs((m.yy + m.zz) / ((m.v * (b * b + c * c)) / 5) - 1)).toBeLessThan(1e-4);
    expect(Math.abs((m.xx + m.zz) / ((m.v * (a * a + c * c)) / 5) - 1)).toBeLessThan(1e-4);
  });

  it("wedge: a full flat grind to nothing is a triangular prism", () => {
    const outline = polygon([0, 0], [100, 0], [100, 30], [0, 30]);
    const grind = { kind: "full-flat" } as const;
    const flat = {
      outline,
      lengthMm: 100,
      ricassoMm: 0,
      grind,
      stockMm: 4,
      tipMm: 4,
      edgeMm: 0,
      taperFromMm: 0,
      ...PLAIN,
    };
    const m = one(bladeRegion(flat));
    expectVolume(m.v, (100 * 30 * 4) / 2);
    expect(m.y / m.v).toBeCloseTo(20, 9);
    expect(m.originX + m.x / m.v).toBeCloseTo(50, 9);
  });

  it("hollow grind: the wheel takes two circular segments out of the wedge", () => {
    const [height, radius, edge, spine] = [20, 100, 1, 4];
    const outline = polygon([0, 0], [50, 0], [50, height], [0, height]);
    const grind = {
      kind: "hollow",
      heightMm: height,
      along: [],
      angleDeg: null,
      wheelRadiusMm: radius,
    } as const;
    const ground = {
      outline,
      lengthMm: 50,
      ricassoMm: 0,
      grind,
      stockMm: spine,
      tipMm: spine,
      edgeMm: edge,
      taperFromMm: 0,
      ...PLAIN,
    };
    const chord = Math.hypot(height, (spine - edge) / 2);
    const angle = 2 * Math.asin(chord / 2 / radius);
    const segment = (radius ** 2 / 2) * (angle - Math.sin(angle));
    expectVolume(one(bladeRegion(ground)).v, 50 * ((height * (edge + spine)) / 2 - 2 * segment));
  });

  it("frustum: a slab that tapers in thickness", () => {
    const m = one(
      slabRegion(polygon([-90, -10], [0, -10], [0, 10], [-90, 10]), { at0: 3, slope: 1 / 60 }, everywhere),
    );
    // Trapezoid from 6 mm at the front to 3 mm at the butt; its centroid is L/3·(a + 2b)/(a + b) from the end a.
    expectVolume(m.v, (20 * 90 * (6 + 3)) / 2);
    expect(m.originX + m.x / m.v).toBeCloseTo(-(90 / 3) * ((6 + 2 * 3) / (6 + 3)), 9);
  });

  it("drilled block: the hole, the pin in it and the block add up", () => {
    const block = slabRegion(polygon([-20, -10], [20, -10], [20, 10], [-20, 10]), level(5), everywhere);
    const hole = cylinderRegion({ xMm: 4, yMm: 2, radiusMm: 3 });
    const tube = cylinderRegion({ xMm: 4, yMm: 2, radiusMm: 2 });
    const parts = [part("bore", [1, 0], false), part("tube", [2, 0]), part("block", [0])];
    const assembly: Assembly = { regions: [block, tube, hole], parts };
    const [bore, ring, rest] = integrate(assembly);
    expectVolume(bore.v, Math.PI * 4 * 10);
    expectVolume(ring.v, Math.PI * 5 * 10);
    expectVolume(rest.v, 40 * 20 * 10 - Math.PI * 9 * 10);
    expect(rest.x / rest.v + rest.originX).toBeCloseTo((-Math.PI * 9 * 10 * 4) / (8000 - Math.PI * 90), 4);
  });

  it.each([1, 0.8, 0.5, 0.35, 0.2, 0.1])("prism of superellipse section, roundness %f", (roundness) => {
    const [a, b, length] = [14, 9, 60];
    const outline = polygon([0, -a], [length, -a], [length, a], [0, a]);
    const side = { crown: { knots: [], at: () => b }, land: () => 0, cap: () => 99 };
    const section = sectionOf(roundness);
    const m = one(
      loftRegion({
        outline,
        xRange: [0, length],
        right: side,
        left: side,
        sectionAt: () => section,
        stations: [],
      }),
    );
    // Area 4ab·Γ(1 + 1/n)²/Γ(1 + 2/n). @see NIST DLMF 5.12.1 (the beta integral). Γ: npm @stdlib.
    const n = exponentOf(roundness);
    const exact = (4 * a * b * gamma(1 + 1 / n) ** 2 * length) / gamma(1 + 2 / n);
    // Exponents past 10 (roundness under 0.2) are promised a tenth of the accuracy.
    expect(Math.abs(m.v / exact - 1)).toBeLessThan(roundness < 0.2 ? 10 * VOLUME : VOLUME);
  });
});

describe("edges", () => {
  it("weighs nothing where parts have no common range, and never NaN", () => {
    const far = slabRegion(polygon([200, 0], [210, 0], [210, 5], [200, 5]), level(1), everywhere);
    const near = cylinderRegion({ xMm: 0, yMm: 0, radiusMm: 2 });
    const [m] = integrate({ regions: [far, near], parts: [part("none", [0, 1])] });
    expect(Object.values(m).every(Number.isFinite)).toBe(true);
    expect(m.v).toBe(0);
  });

  it("takes a drill of no radius for nothing", () => {
    const [m] = integrate({
      regions: [cylinderRegion({ xMm: 0, yMm: 0, radiusMm: Number.NaN })],
      parts: [part("a", [0])],
    });
    expect(m.v).toBe(0);
  });

  it("halving the panels moves a curved solid by less than the promise", () => {
    const outline = contourOf([
      { a: { x: 0, y: 12 }, b: { x: -40, y: 16 }, c: { x: -100, y: 18 }, d: { x: -110, y: -4 } },
      { a: { x: -110, y: -4 }, b: { x: -112, y: -30 }, c: { x: -50, y: -8 }, d: { x: 0, y: -13 } },
      straight({ x: 0, y: -13 }, { x: 0, y: 12 }),
    ]);
    const side = { crown: { knots: [], at: (x: number) => 8 - x / 40 }, land: () => 2, cap: () => 9.5 };
    const body = loftRegion({
      outline,
      xRange: [-200, 0],
      right: side,
      left: side,
      sectionAt: () => sectionOf(0.7),
      stations: [],
    });
    const assembly = {
      regions: [body, cylinderRegion({ xMm: -50, yMm: 0, radiusMm: 3 })],
      parts: [part("pin", [1, 0]), part("body", [0])],
    };
    const [coarse, fine] = [integrate(assembly), integrate(assembly, { ...DEFAULT_FINENESS, split: 2 })];
    coarse.forEach((m, i) => {
      expect(Math.abs(m.v / fine[i].v - 1)).toBeLessThan(VOLUME);
      expect(Math.abs(m.x / m.v - fine[i].x / fine[i].v)).toBeLessThan(CENTROID_MM);
    });
  });
});
