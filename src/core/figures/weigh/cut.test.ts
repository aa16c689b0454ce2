import { describe, expect, it } from "vitest";
import { boxContour } from "../../geometry/curve/shapes";
import type { Region } from "../../geometry/solids/region";
import { slabRegion } from "../../geometry/solids/slab";
import { curvedSlice } from "../../geometry/solids/slice";
import type { Assembly, Part } from "../../knife/parts/types";
import { Cut } from "./cut";
import { DEFAULT_FINENESS, integrate } from "./integrate";
import { noSums } from "./moments";
import { StructureKey } from "./structureKey";

const part = (id: string, ...regions: number[]): Part => ({
  key: { kind: "blade" },
  id,
  group: "blade",
  materials: [{ materialId: "x", share: 1 }],
  regions,
});

/** A bar from x = 0 to 10, y = −10 to 10, z = −2 to 2. */
const bar = slabRegion(boxContour(0, 10, -10, 10), { at0: 2, slope: 0 }, [0, 10]);

/** All space over a surface that says nothing of where it meets others. */
const over = (height: (x: number, y: number) => number): Region => ({
  kind: "loft",
  xRange: [0, 10],
  breaks: [],
  sliceAt: (x) =>
    curvedSlice({ ys: [-10, 10], low: (y) => height(x, y), high: () => Number.POSITIVE_INFINITY }),
});

const shared = (surface: Region): Assembly => ({
  regions: [bar, surface],
  parts: [part("over", 0, 1), part("rest", 0)],
});

/** Areas of both parts in the cut at x. */
function areas(assembly: Assembly, x: number): number[] {
  const cut = new Cut(assembly, DEFAULT_FINENESS);
  cut.turnTo(x, [0, 1]);
  const sums = assembly.parts.map(noSums);
  cut.addTo(sums);
  return sums.map((s) => s.a);
}

describe("a cut through surfaces that declare nothing", () => {
  it("is parted where a leaning surface passes a flat one, on both sides", () => {
    // Under the bar up to y = −4, over it from y = 4: a rectangle of 6 × 4 and a triangle of 8 × 4.
    const [above, rest] = areas(shared(over((_, y) => y / 2)), 5);
    expect(above).toBeCloseTo(24 + 16, 4);
    expect(rest).toBeCloseTo(80 - 40, 4);
  });

  it("finds a surface that comes up and goes down again within one panel", () => {
    // Two curved surfaces that cross twice; z = 1.5 − y²/8 stands over z = 0.5 from −√8 to √8.
    const hill: Region = {
      ...bar,
      kind: "loft",
      outline: undefined,
      sliceAt: () =>
        curvedSlice({ ys: [-10, 10], low: () => -2, high: (y) => Math.max(-2, 1.5 - (y * y) / 8) }),
    };
    const [above] = areas({ regions: [hill, over(() => 0.5)], parts: [part("over", 0, 1)] }, 5);
    expect(above).toBeCloseTo((4 / 3) * Math.sqrt(8), 4);
  });

  it("has one number as long as the same parts lie between the same surfaces, and another where they do not", () => {
    // The surface leaves the bar by its top at y = 10 − x: from x = 4 on both its ends are in the bar's height.
    const cut = new Cut(shared(over((x, y) => (y + x - 8) / 2)), DEFAULT_FINENESS);
    const key = (x: number) => cut.turnTo(x, [0, 1]);
    expect(key(1)).toBe(key(1.9));
    expect(key(2.1)).toBe(key(9));
    expect(key(1.9)).not.toBe(key(2.1));
  });

  it("is integrated to the last of its corners along the bar", () => {
    const assembly = shared(over((x, y) => (y + x - 8) / 2));
    // Over z = (y + x − 8)/2: a wedge whose corners run along the bar, summed by hand from its cuts.
    const steps = 20_000;
    let volume = 0;
    for (let i = 0; i < steps; i++) {
      const x = (10 * (i + 0.5)) / steps;
      // Full up to y = 4 − x, then falling to nothing at y = 12 − x, or cut off at y = 10.
      const [full, end] = [4 - x, Math.min(10, 12 - x)];
      const at = (y: number) => 2 - (y + x - 8) / 2;
      volume += (4 * (full + 10) + ((4 + at(end)) / 2) * (end - full)) * (10 / steps);
    }
    expect(integrate(assembly)[0].v / volume).toBeCloseTo(1, 6);
  });
});

describe("the number of a structure", () => {
  const of = (...marks: [number, number][]) => {
    const key = new StructureKey();
    key.clear();
    for (const [mark, border] of marks) key.add(mark, border);
    return key.value;
  };

  it("overlooks borders between panels that are alike, and sees order, number and borders of those that are not", () => {
    expect(of([5, 1], [5, 9], [6, 2])).toBe(of([5, 1], [6, 2]));
    expect(of([5, 1], [6, 2])).not.toBe(of([6, 1], [5, 2]));
    expect(of([5, 1], [6, 2])).not.toBe(of([5, 1], [6, 3]));
    expect(of([5, 1], [0, 4], [5, 1])).not.toBe(of([5, 1]));
    expect(of()).toBe(of([0, 7]));
  });
});
