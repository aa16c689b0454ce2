import { describe, expect, it } from "vitest";
import { cubicX, cubicY } from "../../geometry/curve/bezier";
import { enclosedArea, polyline, selfCrossing } from "../../geometry/curve/crossing";
import { bladeRegion } from "../../geometry/solids/bladeRegion";
import { faceLines } from "../../geometry/solids/faceLines";
import { spineThickness } from "../../geometry/solids/groundBlade";
import { lineAt } from "../../geometry/solids/line";
import { newDesign, outlineFrom, tipFrom } from "../design/create";
import { newGuard } from "../design/guards";
import { type Blade, TIP_STYLES } from "../design/schema";
import { barHalf, barTangOutline, roomRegion } from "../shapes/bar";
import { handleCurve, handleOutline } from "../shapes/handleOutline";
import { withTang } from "../starts/constructions";
import { bladeHeights, bladeOutline } from "./bladeOutline";
import { groundBlade } from "./groundBlade";
import { guardOutline } from "./guard";

const sound = newDesign("Sedge");
const blade = (change: Partial<Blade>): Blade => ({ ...sound.blade, ...change });

describe("the blade's outline", () => {
  it.each(TIP_STYLES)(
    "%s: closed, free of crossings, as long and as high as drawn, its tip in place",
    (style) => {
      const b = blade({ tip: tipFrom(style, 105) });
      const { cubics, xRange } = bladeOutline(b);
      expect(xRange).toEqual([0, 105]);
      cubics.forEach((c, i) => {
        const next = cubics[(i + 1) % cubics.length];
        expect(Math.hypot(c.d.x - next.a.x, c.d.y - next.a.y)).toBeLessThan(1e-9);
      });
      expect(selfCrossing(cubics)).toBeNull();
      const heights = bladeHeights(b);
      const points = polyline(cubics, 40);
      expect(Math.min(...points.map((p) => p.y))).toBeCloseTo(heights.edge, 9);
      expect(points.some((p) => Math.hypot(p.x - 105, p.y - heights.tip) < 1e-9)).toBe(true);
    },
  );

  it("runs from the straight into its curves without a corner", () => {
    const { cubics } = bladeOutline(blade({ tip: tipFrom("drop-point", 105) }));
    const [spine, drop] = cubics;
    const [e1, e2] = [cubicY(spine, 1) - cubicY(spine, 0.999), cubicY(drop, 0.001) - cubicY(drop, 0)];
    expect(e1).toBeCloseTo(0, 12);
    expect(Math.abs(e2 / (cubicX(drop, 0.001) - cubicX(drop, 0)))).toBeLessThan(1e-3);
  });

  it("a straight back with no belly is a rectangle; lengths beyond the blade are held within it", () => {
    const tip = { style: "straight-back", heightShare: 1, dropMm: 0, bellyMm: 0 } as const;
    const flat = bladeOutline(blade({ tip, ricassoMm: 0, ricassoHeightMm: 28 }));
    expect(enclosedArea(polyline(flat.cubics, 8))).toBeCloseTo(105 * 28, 6);
    const long = bladeOutline(blade({ tip: { ...tip, dropMm: 900, bellyMm: 900 } }));
    expect(long.xRange).toEqual([0, 105]);
  });

  it("steps down at the choil where the ricasso is lower than the heel", () => {
    const outline = bladeOutline(blade({ ricassoMm: 10, ricassoHeightMm: 20 }));
    const height = (x: number) => {
      const ys = outline.cut(x);
      return ys[ys.length - 1] - ys[0];
    };
    expect(height(9.99)).toBeCloseTo(20, 9);
    expect(height(10.01)).toBeCloseTo(28, 9);
  });
});

describe("the ground blade", () => {
  it("keeps the stock to the taper's start and falls straight to the tip", () => {
    const g = groundBlade(blade({ taperFromMm: 30, spineMm: 4, tipThicknessMm: 2 }));
    expect(spineThickness(g, 29)).toBe(4);
    expect(spineThickness(g, 67.5)).toBeCloseTo(3, 9);
    expect(spineThickness(g, 105)).toBeCloseTo(2, 9);
    expect(groundBlade(blade({ taperFromMm: 0, ricassoMm: 12 })).taperFromMm).toBe(12);
  });

  it("is flat in the ricasso and ground ahead of it", () => {
    const region = bladeRegion(groundBlade(sound.blade));
    const { edge } = bladeHeights(sound.blade);
    const ricasso = region.sliceAt(5)!;
    expect(ricasso.flat).toBe(true);
    expect(ricasso.high(0)).toBe(2);
    const ground = region.sliceAt(20)!;
    expect(ground.high(edge)).toBeCloseTo(0.2, 9);
    expect(ground.low(edge)).toBeCloseTo(-0.2, 9);
    expect(ground.creases[0]).toBeCloseTo(edge + 18, 9);
  });

  it("a single bevel keeps its flat face where the stock's was, on either side", () => {
    for (const side of ["right", "left"] as const) {
      const grind: Blade["grind"] = { kind: "single-bevel", heightMm: 14, along: [], angleDeg: null, side };
      const cut = bladeRegion(groundBlade(blade({ grind }))).sliceAt(20)!;
      const { edge } = bladeHeights(sound.blade);
      expect(side === "right" ? cut.low(edge) : -cut.high(edge)).toBe(-2);
      expect(cut.high(edge) - cut.low(edge)).toBeCloseTo(0.4, 9);
    }
  });

  it("shows where the ground face ends on partial grinds, on a full flat only the plunge", () => {
    const { edge } = bladeHeights(sound.blade);
    const lines = faceLines(groundBlade(sound.blade), "right");
    const face = lines.find((l) => l.of === "face")!.points;
    expect(face.length).toBeGreaterThan(20);
    expect(face[0].y).toBeCloseTo(edge + 18, 4);
    expect(face[0].x).toBeCloseTo(10, 1);
    const full = faceLines(groundBlade(blade({ grind: { kind: "full-flat" } })), "right");
    expect(full.map((l) => l.of)).toEqual(["plunge"]);
  });
});

describe("the handle's outline", () => {
  it("passes through every node, and is closed by its front", () => {
    const nodes = sound.handle.outline;
    const run = handleCurve(nodes);
    nodes.forEach((n, i) => {
      const p = i < run.length ? run[i].a : run[i - 1].d;
      expect([p.x, p.y]).toEqual([n.xMm, n.yMm]);
    });
    expect(handleOutline(sound.handle).cut(-0.001)).toHaveLength(2);
  });

  it("has the measures it was made from", () => {
    const outline = outlineFrom({
      lengthMm: 120,
      frontMm: 26,
      grooveMm: 22,
      swellMm: 30,
      buttMm: 28,
      dropMm: 8,
    });
    expect(outline[0].yMm - outline[7].yMm).toBeCloseTo(26, 9);
    const cut = handleOutline({ ...sound.handle, outline }).cut(-66);
    expect(cut[1] - cut[0]).toBeGreaterThan(28);
    expect(cut[1] - cut[0]).toBeLessThan(32);
  });
});

describe("guards and hidden tangs from the side", () => {
  it("a guard is its rectangle", () => {
    const guard = { ...newGuard(sound), aboveMm: 15, belowMm: 20 };
    const outline = guardOutline(guard);
    expect(outline.xRange).toEqual([-6, 0]);
    expect(outline.cut(-3)).toEqual([-20, 15]);
  });

  it("a hole goes round its tang by the clearance, and deeper by what is asked", () => {
    const { tang } = withTang(sound, "hidden");
    if (tang.kind !== "hidden") throw new Error("no hidden tang");
    const hole = roomRegion(tang, 0.5, 4, -6);
    expect(hole.xRange[0]).toBeCloseTo(-tang.lengthMm - 4, 9);
    expect(hole.xRange[1]).toBe(-6);
    for (const x of [-10, -40, -70]) {
      const [low, high] = barTangOutline(tang).cut(x);
      const [holeLow, holeHigh] = hole.sliceAt(x)!.ys!;
      expect(low - holeLow).toBeCloseTo(0.5, 9);
      expect(holeHigh - high).toBeCloseTo(0.5, 9);
    }
    expect(hole.sliceAt(-20)!.high(0) - lineAt(barHalf(tang), -20)).toBeCloseTo(0.5, 12);
  });
});
