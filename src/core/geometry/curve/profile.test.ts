import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cubicX, cubicY, parameterAtX, quadraticRoots, turnsInX } from "./bezier";
import { contourOf } from "./contour";
import { profileThrough } from "./profile";
import { signChanges } from "./roots";

describe("profiles", () => {
  it("pass through their points, in any order, and stay level beyond them", () => {
    const p = profileThrough([
      { x: 0, v: 8 },
      { x: -100, v: 9 },
      { x: -40, v: 11 },
    ]);
    for (const [x, v] of [
      [0, 8],
      [-100, 9],
      [-40, 11],
      [50, 8],
      [-500, 9],
    ])
      expect(p.at(x)).toBeCloseTo(v, 12);
    expect(profileThrough([]).at(3)).toBe(0);
    expect(profileThrough([{ x: 1, v: 4 }]).at(-9)).toBe(4);
  });

  it("never bulge past the points between them", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 20, noNaN: true }), { minLength: 2, maxLength: 8 }),
        (vs) => {
          const p = profileThrough(vs.map((v, i) => ({ x: -10 * i, v })));
          for (let i = 0; i + 1 < vs.length; i++) {
            for (const t of [0.1, 0.4, 0.7, 0.95]) {
              const v = p.at(-10 * (i + t));
              if (v < Math.min(vs[i], vs[i + 1]) - 1e-9 || v > Math.max(vs[i], vs[i + 1]) + 1e-9)
                return false;
            }
          }
          return true;
        },
      ),
      { seed: 5 },
    );
  });
});

describe("cubics", () => {
  const c = { a: { x: 0, y: 1 }, b: { x: -9, y: 4 }, c: { x: -12, y: -3 }, d: { x: -4, y: -6 } };

  it("finds the parameter of a station on either side of the turn", () => {
    const [turn] = turnsInX(c);
    expect(turnsInX(c)).toHaveLength(1);
    for (const [t0, t1, t] of [
      [0, turn, 0.3 * turn],
      [turn, 1, turn + 0.6 * (1 - turn)],
    ]) {
      expect(parameterAtX(c, t0, t1, cubicX(c, t))).toBeCloseTo(t, 9);
    }
  });

  it("cuts a closed outline in ascending pairs, nothing outside", () => {
    const outline = contourOf([c, { a: c.d, b: { x: -2, y: -6 }, c: { x: -1, y: -2 }, d: c.a }]);
    const [low] = outline.xRange;
    expect(outline.cut(low - 0.01)).toEqual([]);
    const ys = outline.cut(-5);
    expect(ys).toHaveLength(2);
    expect(ys[0]).toBeLessThan(ys[1]);
    const [turn] = turnsInX(c);
    expect(outline.breaks.some((b) => Math.abs(b.x - cubicX(c, turn)) < 1e-12 && b.above)).toBe(true);
    expect(cubicY(c, 1)).toBe(-6);
  });

  it("solves quadratics without losing the small root", () => {
    const [small, large] = quadraticRoots(1, -1e8, 1);
    expect(small).toBeCloseTo(1e-8, 20);
    expect(large).toBeCloseTo(1e8, 0);
    expect(quadraticRoots(0, 0, 0)).toEqual([]);
    expect(quadraticRoots(0, 2, -1)).toEqual([0.5]);
    expect(quadraticRoots(1, 0, 1)).toEqual([]);
  });

  it("finds sign changes to rounding", () => {
    expect(signChanges((x) => x * x - 2, 0, 2, 6)[0]).toBeCloseTo(Math.SQRT2, 11);
    expect(signChanges(() => 1, 0, 1, 4)).toEqual([]);
    expect(signChanges((x) => x, 1, 1, 4)).toEqual([]);
  });
});
