import { describe, expect, it } from "vitest";
import { enclosedArea } from "../curve/crossing";
import { grown } from "./clip";
import { fitArcs } from "./fitArcs";
import { arcOf, boxOf, circleLoop, flattened, mapped, reversed, signedArea, straightLoop } from "./loop";

const square = straightLoop([
  { x: 0, y: 0 },
  { x: 20, y: 0 },
  { x: 20, y: 10 },
  { x: 0, y: 10 },
]);

describe("a closed run of lines and arcs", () => {
  it("has the area and the box of its circle, πr² and 2r", () => {
    const circle = circleLoop(5, -3, 4);
    expect(signedArea(circle)).toBeCloseTo(Math.PI * 16, 9);
    const { x0, x1, y0, y1 } = boxOf([circle])!;
    [1, 9, -7, 1].forEach((v, i) => {
      expect([x0, x1, y0, y1][i]).toBeCloseTo(v, 9);
    });
    expect(boxOf([])).toBeNull();
  });

  it("is turned round by running the other way, and by a mirror", () => {
    expect(signedArea(square)).toBeCloseTo(200, 9);
    expect(signedArea(reversed(square))).toBeCloseTo(-200, 9);
    for (const loop of [square, circleLoop(1, 2, 3)]) {
      const mirrored = mapped(loop, ({ x, y }) => ({ x: -x, y }), true);
      expect(Math.abs(signedArea(mirrored))).toBeCloseTo(Math.abs(signedArea(loop)), 9);
    }
  });

  it("is flattened no farther from its arcs than asked", () => {
    for (const sagitta of [0.1, 0.01, 0.001]) {
      const points = flattened(circleLoop(0, 0, 10), sagitta);
      points.forEach((p, i) => {
        const q = points[(i + 1) % points.length];
        expect(Math.hypot((p.x + q.x) / 2, (p.y + q.y) / 2)).toBeGreaterThan(10 - sagitta - 1e-9);
      });
    }
  });
});

describe("arcs through points", () => {
  it("follow an ellipse within what is asked, by far fewer of them than points", () => {
    const points = Array.from({ length: 720 }, (_, i) => {
      const a = (2 * Math.PI * i) / 720;
      return { x: 60 * Math.cos(a), y: 15 * Math.sin(a) };
    });
    for (const within of [0.05, 0.01]) {
      const loop = fitArcs(points, within);
      expect(loop.length).toBeLessThan(120);
      expect(Math.abs(signedArea(loop)) / (Math.PI * 60 * 15)).toBeCloseTo(1, 3);
      for (const p of flattened(loop, 1e-3)) {
        // Distance to the ellipse by its first order: (F − 1)/|∇F|.
        const f = (p.x / 60) ** 2 + (p.y / 15) ** 2 - 1;
        const slope = Math.hypot((2 * p.x) / 3600, (2 * p.y) / 225);
        expect(Math.abs(f) / slope).toBeLessThan(within + 5e-3);
      }
    }
  });

  it("find the one circle that points lie on", () => {
    const points = flattened(circleLoop(3, 4, 25), 0.002);
    for (const [i, bend] of fitArcs(points, 0.01).entries()) {
      const loop = fitArcs(points, 0.01);
      const arc = arcOf(bend, loop[(i + 1) % loop.length]);
      if (arc) expect(arc.radius).toBeCloseTo(25, 1);
    }
  });
});

describe("an outline that is grown", () => {
  it("by r has the area of the old one, its way round times r, and a circle of r: A + Pr + πr²", () => {
    const [out] = grown([flattened(square, 0.01)], 2);
    // Steiner's formula for convex shapes. Rounded corners are chords, so that a little is missing.
    expect(enclosedArea(out) / (200 + 60 * 2 + Math.PI * 4)).toBeCloseTo(1, 2);
  });

  it("by less than nothing shrinks, and is gone where nothing is left", () => {
    const [out] = grown([flattened(square, 0.01)], -2);
    expect(enclosedArea(out)).toBeCloseTo(16 * 6, 2);
    expect(grown([flattened(square, 0.01)], -6)).toEqual([]);
  });
});
