import { describe, expect, it } from "vitest";
import type { Point } from "../../geometry/curve/bezier";
import { fittingOf } from "../../kinds/guardFittings/registry";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { layoutOf } from "../../knife/layout/layout";
import { handleOutline } from "../../knife/shapes/handleOutline";
import { integrate } from "../weigh/integrate";
import { faceCells } from "./cells";
import { planShapes } from "./plan";
import { extraShapes } from "./protrusions";
import { sectionShapes } from "./section";
import { commonStretches } from "./silhouette";

const area = (loop: readonly (readonly [number, number])[]) =>
  Math.abs(
    loop.reduce((s, [x, y], i) => {
      const [u, v] = loop[(i + 1) % loop.length];
      return s + x * v - u * y;
    }, 0) / 2,
  );
const pairs = (loop: readonly Point[]) => loop.map((p) => [p.x, p.y] as const);

describe("wraps over each other", () => {
  it("are drawn the innermost first, so that the last one is seen", () => {
    const design = CONSTRUCTIONS["scales in a strip and cord over it"];
    const drawn = extraShapes(design, assemble(design)).filter((s) => s.id.startsWith("wrap:"));
    // The cord lies in two stretches: over the strip, and behind it.
    expect(drawn.map((s) => s.id)).toEqual(["wrap:1", "wrap:2", "wrap:2"]);
  });
});

describe("stretches that several cuts have in common", () => {
  it("are where all of them have something; what limits nothing is passed over", () => {
    expect(commonStretches([[0, 10], null, [2, 4, 6, 12]])).toEqual([2, 4, 6, 10]);
    expect(
      commonStretches([
        [0, 1],
        [2, 3],
      ]),
    ).toEqual([]);
    expect(commonStretches([null])).toEqual([]);
  });
});

describe.each(Object.entries(CONSTRUCTIONS))("%s, drawn", (_, design) => {
  const assembly = assemble(design);

  it("has a handle's face without a gap from front to butt", () => {
    const cells = faceCells(design);
    if (cells.length === 0) return;
    const shaped = design.handle.kind === "stack" && design.handle.pieces.some((p) => p.shape);
    if (!shaped) expect(cells[0].front.xMm).toBeCloseTo(layoutOf(design).frontX, 9);
    cells.slice(1).forEach((cell, i) => {
      expect(cell.front).toEqual(cells[i].rear);
    });
    const butt = handleOutline(design.handle).xRange[0];
    if (!shaped) expect(cells[cells.length - 1].rear.xMm).toBeCloseTo(butt, 9);
    expect(cells.every((c) => c.front.xMm >= c.rear.xMm)).toBe(true);
  });

  it("has a section whose outermost shapes are as large as what the integrator finds there", () => {
    const x = -43.21;
    // A slice a hundredth thick, cut out of every region.
    const regions = assembly.regions.map((r) => ({
      ...r,
      breaks: [],
      xRange: [Math.max(r.xRange[0], x - 0.005), Math.min(r.xRange[1], x + 0.005)] as const,
    }));
    const thin = integrate({ ...assembly, regions }).reduce((s, m) => s + Math.max(0, m.v), 0) / 0.01;
    // The body is the last region named by the handle's parts; all else there lies within it.
    const body = { ...assembly.parts[0], id: "body", regions: [0] };
    const shapes = sectionShapes({ ...assembly, parts: [body] }, x);
    const drawn = shapes.reduce((s, shape) => s + area(shape.points), 0);
    const ringed = design.handle.kind === "stack" && design.handle.rings.length > 0;
    const outside =
      ringed || design.handle.wraps.length > 0 || fittingOf(design.guard, "knuckleBow") !== null;
    if (!outside) expect(drawn / thin).toBeCloseTo(1, 2);
    expect(
      shapes
        .flatMap((s) => s.points)
        .flat()
        .every(Number.isFinite),
    ).toBe(true);
  });

  it("is drawn from above and beside in finite closed shapes", () => {
    for (const shape of [...planShapes(assembly, () => false), ...extraShapes(design, assembly)]) {
      for (const loop of shape.loops) {
        expect(loop.length).toBeGreaterThan(2);
        expect(loop.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y))).toBe(true);
      }
    }
  });
});

describe("shapes beside the outline", () => {
  it("a ball is a circle, a finger ring a circle in a circle", () => {
    const ball = CONSTRUCTIONS["ball pommel"];
    const [shape] = extraShapes(ball, assemble(ball)).filter((s) => s.id === "piece:p-2");
    // 26 mm across, its front cut flat 2 mm from its pole: π r² less that cap.
    const cap = 13 * 13 * Math.acos(11 / 13) - 11 * Math.sqrt(13 * 13 - 11 * 11);
    expect(area(pairs(shape.loops[0])) / (Math.PI * 13 * 13 - cap)).toBeCloseTo(1, 2);
    const ringed = CONSTRUCTIONS["metal grip with finger rings"];
    const [ring] = extraShapes(ringed, assemble(ringed)).filter((s) => s.id === "r-1");
    expect(area(pairs(ring.loops[0]))).toBeCloseTo(Math.PI * 15 * 15, -1);
    expect(area(pairs(ring.loops[1]))).toBeCloseTo(Math.PI * 12 * 12, -1);
  });
});
