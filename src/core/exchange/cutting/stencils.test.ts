import { describe, expect, it } from "vitest";
import { signedArea } from "../../geometry/contours/loop";
import { signedDistance } from "../../geometry/curve/crossing";
import { MARK } from "../../knife/design/blades.fixtures";
import { newDesign } from "../../knife/design/create";
import type { BladeMark, Design } from "../../knife/design/schema";
import { markAreaMm2, placedMark } from "../../knife/layout/bladeMarks";
import { cuttables } from "./cutJob";
import { blank } from "./cutParts";
import { AS_DRAWN } from "./cutSettings";
import { looseIslands } from "./film";
import { stencilCuttables, stencils } from "./stencils";

const marked = (...marks: Partial<BladeMark>[]): Design => {
  const design = newDesign("Sedge");
  return {
    ...design,
    blade: { ...design.blade, marks: marks.map((m, i) => ({ ...MARK, id: `m-${i}`, ...m })) },
  };
};
const boxOf = (points: readonly { x: number; y: number }[]) => [
  Math.min(...points.map((p) => p.x)),
  Math.min(...points.map((p) => p.y)),
  Math.max(...points.map((p) => p.x)),
  Math.max(...points.map((p) => p.y)),
];

describe("a mark on the blade", () => {
  it("lies where it is said to: its middle below the spine, read toward the tip on the right side", () => {
    const { blade } = marked({ turnedDeg: 90, heightMm: 4, xMm: 30, downMm: 6 });
    // Three by two in heights of 4 mm, turned: 4 mm along and 6 mm up.
    const [x0, y0, x1, y1] = boxOf(placedMark(blade, blade.marks[0]).flat());
    const spine = blade.spineOverAxisMm;
    [28, spine - 6 - 3, 32, spine - 6 + 3].forEach((v, i) => {
      expect([x0, y0, x1, y1][i]).toBeCloseTo(v, 9);
    });
  });

  it("is the mirror image in the frame on the left side", () => {
    const art = "M-1 -0.5L1 -0.5L-1 0.5Z";
    const { blade } = marked({ art, side: "right" }, { art, side: "left" });
    const [right, left] = blade.marks.map((m) => placedMark(blade, m)[0]);
    right.forEach((p, i) => {
      expect(left[i].x - 30).toBeCloseTo(30 - p.x, 9);
      expect(left[i].y).toBeCloseTo(p.y, 9);
    });
  });

  it("fills what its frame and bar fill: (3·2 − 2.4·1.4 + 1.6·0.4)/4 of its height squared", () => {
    const [mark] = marked({ heightMm: 10 }).blade.marks;
    expect(markAreaMm2(mark)).toBeCloseTo(((1.5 * 1 - 1.2 * 0.7 + 0.8 * 0.2) * 100) as number, 6);
  });
});

describe("films for marks", () => {
  it("are none without a mark, and a stencil and a mask with one", () => {
    expect(stencils(marked())).toEqual([]);
    const [first, back] = stencils(marked({ side: "left" }));
    expect([first.side, first.marks.length, back.side, back.openings.length]).toEqual([
      "left",
      1,
      "right",
      0,
    ]);
    expect(first.film).toEqual(back.film);
    expect(first.crosses).toEqual(back.crosses);
  });

  it("open what the mark fills, and tell the islands that come loose", () => {
    const design = marked({ heightMm: 6 });
    const [film] = stencils(design);
    const open = film.openings.reduce((sum, l) => sum + signedArea(l.map((p) => ({ ...p, bulge: 0 }))), 0);
    expect(open).toBeCloseTo(markAreaMm2(design.blade.marks[0]), 2);
    // The frame's inside hangs on nothing; the bar in it is an opening of its own.
    expect(looseIslands(film)).toBe(1);
  });

  it("open both of two marks that lie over each other", () => {
    const square = "M-0.5 -0.5L0.5 -0.5L0.5 0.5L-0.5 0.5Z";
    const [film] = stencils(marked({ art: square, heightMm: 4 }, { art: square, heightMm: 4, xMm: 32 }));
    const open = film.openings.reduce((sum, l) => sum + signedArea(l.map((p) => ({ ...p, bulge: 0 }))), 0);
    // Two squares of 16 mm², half of each on the other.
    expect(open).toBeCloseTo(24, 3);
    expect(looseIslands(film)).toBe(0);
  });

  it("have crosses off the steel, inside the film", () => {
    const design = marked({});
    const [outline] = blank(design).outlines;
    for (const { crosses, film } of stencils(design)) {
      const [x0, y0, x1, y1] = boxOf(film);
      for (const c of crosses) {
        expect(c.x > x0 && c.x < x1 && c.y > y0 && c.y < y1).toBe(true);
        expect(signedDistance(outline, c)).toBeGreaterThan(4);
      }
    }
  });

  it("are cut as they are seen from their side, openings as much smaller as the kerf", () => {
    const design = marked({ side: "right", xMm: 40, heightMm: 6 }, { side: "left", xMm: 40, heightMm: 6 });
    const [right, left] = stencilCuttables(design, AS_DRAWN);
    expect([right.name, left.name]).toEqual(["stencil-right", "stencil-left"]);
    const area = (c: typeof right) => c.layer.loops.reduce((sum, l) => sum + signedArea(l), 0);
    expect(area(left)).toBeCloseTo(area(right), 2);
    // From the left x runs the other way.
    expect(boxOf(left.layer.loops.flat())[0]).toBeCloseTo(-boxOf(right.layer.loops.flat())[2], 2);
    const [kerfed] = stencilCuttables(design, { ...AS_DRAWN, kerfMm: 0.2, allowanceMm: 5 });
    const openings = (c: typeof right) => c.layer.loops.filter((l) => signedArea(l) < 0);
    const [before, after] = [openings(right), openings(kerfed)].map((o) => boxOf(o.flat()));
    expect(after[0] - before[0]).toBeCloseTo(0.1, 2);
    const [film, larger] = [right, kerfed].map((c) => boxOf(c.layer.loops.flat()));
    expect(larger[2] - film[2]).toBeCloseTo(0.1, 2);
    expect(cuttables(design, AS_DRAWN).map((c) => c.name)).toEqual(
      expect.arrayContaining(["stencil-right", "stencil-left"]),
    );
  });
});
