import { describe, expect, it } from "vitest";
import { newDesign } from "../design/create";
import { guardOfForm } from "../design/guards";
import type { Design } from "../design/schema";
import { layerRegion } from "../solids/layer";
import { ballRegion } from "../solids/turned";
import { materialById } from "../stock/materials";
import { weigh } from "../weigh/weigh";
import { printedShare } from "./printed";

const box = [layerRegion(null, null, [-10, 10])];
const ball = [ballRegion({ x: -20, y: 0 }, 10)];

describe("the share of a printed part that is material", () => {
  it("is all of it where it is not printed, or filled, or all wall", () => {
    expect(printedShare(null, ball)).toBe(1);
    expect(printedShare({ infillShare: 1, wallMm: 0 }, ball)).toBe(1);
    expect(printedShare({ infillShare: 0, wallMm: 10 }, ball)).toBe(1);
    expect(printedShare({ infillShare: 0.2, wallMm: 99 }, ball)).toBe(1);
    expect(printedShare({ infillShare: 0.2, wallMm: 1 }, [])).toBe(1);
  });

  it("is the infill where there is no wall", () => {
    expect(printedShare({ infillShare: 0.35, wallMm: 0 }, ball)).toBeCloseTo(0.35, 12);
  });

  /** A ball of radius R with a wall w: the hollow is ((R − w)/R)³ of it. */
  it("of a hollow ball is what a smaller ball leaves", () => {
    const share = printedShare({ infillShare: 0, wallMm: 2 }, ball);
    expect(share).toBeCloseTo(1 - ((10 - 2) / 10) ** 3, 6);
    expect(printedShare({ infillShare: 0.25, wallMm: 2 }, ball)).toBeCloseTo(1 - 0.75 * 0.8 ** 3, 6);
  });

  it("grows with the wall and with the infill", () => {
    let last = -1;
    for (const wallMm of [0, 0.4, 0.8, 1.2, 2, 4]) {
      const share = printedShare({ infillShare: 0.15, wallMm }, ball);
      expect(share).toBeGreaterThan(last);
      last = share;
    }
    expect(printedShare({ infillShare: 0.3, wallMm: 1 }, ball)).toBeGreaterThan(
      printedShare({ infillShare: 0.2, wallMm: 1 }, ball),
    );
  });

  it("leaves a part without bounds whole", () => {
    expect(printedShare({ infillShare: 0.2, wallMm: 1 }, box)).toBeGreaterThan(0);
  });

  it("scales the weight of the part, and not its volume", () => {
    const guard = guardOfForm("straight", newDesign("Sedge"));
    const of = (printed: { infillShare: number; wallMm: number } | null): Design => ({
      ...newDesign("Sedge"),
      guard: { ...guard, plates: [{ material: "pla", thicknessMm: 6, printed }] },
    });
    const part = (design: Design) => {
      const weighing = weigh(design);
      const found = weighing.ok ? weighing.report.parts.find((p) => p.id === "guard") : null;
      if (!found) throw new Error("no guard");
      return found;
    };
    const [solid, open] = [part(of(null)), part(of({ infillShare: 0.4, wallMm: 0 }))];
    expect(open.volumeMm3).toBeCloseTo(solid.volumeMm3, 9);
    expect(open.massG / solid.massG).toBeCloseTo(0.4, 9);
    expect(solid.massG).toBeCloseTo(
      (solid.volumeMm3 / 1000) * (materialById("pla")?.densityGcc.typical ?? Number.NaN),
      9,
    );
  });
});
