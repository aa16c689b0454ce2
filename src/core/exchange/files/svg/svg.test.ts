import { describe, expect, it } from "vitest";
import { SAME, through } from "../../../geometry/curve/affine";
import { ellipticalArc } from "./arc";
import { transformOf } from "./transform";
import { outermostOf } from "./viewport";

const at = (text: string, x: number, y: number) => through(transformOf(text), { x, y });
const near = (p: { x: number; y: number }, x: number, y: number) => {
  expect(p.x).toBeCloseTo(x, 9);
  expect(p.y).toBeCloseTo(y, 9);
};

/** @see Scalable Vector Graphics (SVG) 1.1, 7.6 and 7.10, F.6; CSS: 96 px are an inch. From memory. */
describe("an SVG's transforms", () => {
  it("are applied from the right, the last one first", () => {
    near(at("translate(10 20)", 1, 2), 11, 22);
    near(at("translate(10)", 1, 2), 11, 2);
    near(at("scale(2)", 1, 2), 2, 4);
    near(at("scale(2,3)", 1, 2), 2, 6);
    near(at("rotate(90)", 1, 0), 0, 1);
    near(at("rotate(90, 10, 0)", 11, 0), 10, 1);
    near(at("skewX(45)", 0, 1), 1, 1);
    near(at("skewY(45)", 1, 0), 1, 1);
    near(at("matrix(1 2 3 4 5 6)", 1, 1), 1 + 3 + 5, 2 + 4 + 6);
    near(at("translate(10 0) scale(2)", 1, 0), 12, 0);
    near(at("scale(2) translate(10 0)", 1, 0), 22, 0);
  });

  it("of none change nothing", () => {
    expect(transformOf(undefined)).toEqual(SAME);
  });
});

describe("an SVG's units", () => {
  const mm = (a: Record<string, string>) => outermostOf(a).mmPerUnit;

  it("are its size by its view box, whatever its size is told in", () => {
    expect(mm({ width: "200mm", height: "40mm", viewBox: "0 0 200 40" })).toBeCloseTo(1, 9);
    expect(mm({ width: "20cm", viewBox: "0 0 400 80" })).toBeCloseTo(0.5, 9);
    expect(mm({ width: "2in", viewBox: "0,0,50.8,10" })).toBeCloseTo(1, 9);
    expect(mm({ width: "72pt", viewBox: "0 0 254 10" })).toBeCloseTo(0.1, 9);
    expect(mm({ width: "6pc", viewBox: "0 0 25.4 10" })).toBeCloseTo(1, 9);
  });

  it("are not known where nothing tells them, nor of a view box that is none", () => {
    for (const a of [{}, { width: "100%" }, { viewBox: "0 0 200 40" }, { viewBox: "0 0 nothing 40" }])
      expect(mm(a as Record<string, string>)).toBeNull();
  });

  it("keep a drawing's shape: the smaller of two scales counts, unless it is to be stretched", () => {
    const a = { width: "200mm", height: "40mm", viewBox: "0 0 100 40" };
    expect(mm(a)).toBeCloseTo(1, 9);
    const stretched = outermostOf({ ...a, preserveAspectRatio: "none" });
    expect(stretched.mmPerUnit).toBeCloseTo(2, 9);
    expect(stretched.stretch).toBeCloseTo(0.5, 9);
  });
});

describe("an SVG's arc", () => {
  const arc = (...n: number[]) => ellipticalArc({ x: 0, y: 0 }, n, 256);

  it("lies on its ellipse and ends where it says, by each of its two flags", () => {
    for (const large of [0, 1])
      for (const sweep of [0, 1]) {
        const points = arc(10, 10, 0, large, sweep, 10, 10);
        const last = points[points.length - 1];
        near(last, 10, 10);
        // Two circles of radius 10 go through both ends: about (10, 0) and (0, 10).
        const centre = large === sweep ? { x: 10, y: 0 } : { x: 0, y: 10 };
        for (const p of points) expect(Math.hypot(p.x - centre.x, p.y - centre.y)).toBeCloseTo(10, 6);
      }
  });

  it("whose radii do not reach is made larger until they do", () => {
    // F.6.6: a half circle over the chord.
    for (const p of arc(1, 1, 0, 0, 1, 20, 0)) expect(Math.hypot(p.x - 10, p.y)).toBeCloseTo(10, 6);
  });

  it("of no radius is a straight line", () => {
    const points = arc(0, 5, 0, 0, 1, 20, 0);
    near(points[points.length - 1], 20, 0);
    for (const p of points) expect(p.y).toBeCloseTo(0, 9);
  });
});
