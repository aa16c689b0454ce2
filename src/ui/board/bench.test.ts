import { describe, expect, it } from "vitest";
import { freeId, openSpot } from "@/core/figures/fit/openSpot";
import { newDesign } from "@/core/knife/design/create";
import { newGuard } from "@/core/knife/design/guards";
import { checkDesign } from "@/core/knife/validity/checkDesign";
import { knifeExtent } from "../drawing/extent";
import { chordPath, cubicPath, toMm, toPx } from "../drawing/path";

const scale = { pxPerMm: 3, originX: 400, originY: 120 };

describe("the drawing's scale", () => {
  it("puts +x to the right and +y up, there and back", () => {
    expect(toPx(scale, 10, 5)).toEqual([430, 105]);
    const back = toMm(scale, ...toPx(scale, -37.25, 11.5));
    expect(back.x).toBeCloseTo(-37.25, 12);
    expect(back.y).toBeCloseTo(11.5, 12);
  });

  it("writes paths that begin where they should, and nothing for nothing", () => {
    expect(cubicPath([], scale)).toBe("");
    expect(chordPath([], scale)).toBe("");
    expect(
      chordPath(
        [
          { x: 0, y: 0 },
          { x: 1, y: 0 },
        ],
        scale,
        false,
      ),
    ).toBe("M400.00 120.00L403.00 120.00");
  });

  it("holds the whole knife, guard and all", () => {
    const design = newDesign("Sedge");
    const bare = knifeExtent(design);
    expect(bare.xHigh).toBe(105);
    expect(bare.xLow).toBeLessThan(-111.9);
    const guarded = knifeExtent({ ...design, guard: { ...newGuard(design), belowMm: 40, aboveMm: 30 } });
    expect([guarded.yLow, guarded.yHigh]).toEqual([-40, 30]);
  });
});

describe("places for new holes", () => {
  it("clear the edges and each other, however many are asked for", () => {
    let design = newDesign("Sedge");
    for (let i = 0; i < 4; i++) {
      const id = freeId("pin", design.fasteners);
      const pin = { id, kind: "pin" as const, ...openSpot(design, 6), diameterMm: 6, material: "brass-360" };
      design = { ...design, fasteners: [...design.fasteners, pin] };
      expect(checkDesign(design)).toEqual([]);
    }
    expect(design.fasteners.map((f) => f.id)).toEqual(["pin-1", "pin-2", "pin-3", "pin-4", "pin-5", "pin-6"]);
  });
});
