import { describe, expect, it } from "vitest";
import { gaussRule } from "../../geometry/curve/gauss";
import { addCut, addFlat, addRay, noMoments, noSums } from "./moments";
import { forPoints, overRule } from "./panels";
import { Taken } from "./taken";

describe("Gauss rules", () => {
  it.each([1, 2, 3, 5, 8, 16, 40])("%i points integrate every polynomial to degree 2n − 1", (n) => {
    const { nodes, weights } = gaussRule(n);
    for (let degree = 0; degree <= Math.min(2 * n - 1, 20); degree++) {
      const sum = nodes.reduce((s, x, i) => s + weights[i] * x ** degree, 0);
      expect(sum).toBeCloseTo(degree % 2 === 0 ? 2 / (degree + 1) : 0, 12);
    }
  });

  it("has the tabled nodes of three points", () => {
    // Abramowitz and Stegun, table 25.4: ±0.774596669241483 and 0; weights 5/9 and 8/9.
    const { nodes, weights } = gaussRule(3);
    expect(Math.abs(nodes[0])).toBeCloseTo(0.774596669241483, 14);
    expect(nodes[1]).toBe(0);
    expect(weights[0]).toBeCloseTo(5 / 9, 14);
    expect(weights[1]).toBeCloseTo(8 / 9, 14);
  });
});

describe("panels", () => {
  const integral = (
    panel: Parameters<typeof forPoints>[0],
    f: (x: number) => number,
    n: number,
    split = 1,
  ) => {
    let sum = 0;
    forPoints(panel, n, split, (x, w) => {
      sum += w * f(x);
    });
    return sum;
  };

  it("beside a root, its square root is summed exactly by few points", () => {
    const low = { a: 2, b: 5, rootLow: 2, rootHigh: null };
    expect(integral(low, (x) => Math.sqrt(x - 2), 3)).toBeCloseTo((2 / 3) * 3 ** 1.5, 12);
    const high = { a: 2, b: 5, rootLow: null, rootHigh: 5 };
    expect(integral(high, (x) => Math.sqrt(5 - x), 3)).toBeCloseTo((2 / 3) * 3 ** 1.5, 12);
    const near = { a: 2.5, b: 5, rootLow: 2, rootHigh: null };
    expect(integral(near, (x) => Math.sqrt(x - 2), 3)).toBeCloseTo((2 / 3) * (3 ** 1.5 - 0.5 ** 1.5), 12);
  });

  it("between two roots, a half circle has its area", () => {
    const panel = { a: -1, b: 1, rootLow: -1, rootHigh: 1 };
    expect(integral(panel, (x) => Math.sqrt(1 - x * x), 8)).toBeCloseTo(Math.PI / 2, 9);
    expect(integral(panel, (x) => Math.sqrt(1 - x * x), 6, 2)).toBeCloseTo(Math.PI / 2, 9);
  });

  it("splits a stretch without losing or doubling any of it", () => {
    let sum = 0;
    overRule(2, 7, -3, 4, (_, w) => {
      sum += w;
    });
    expect(sum).toBeCloseTo(7, 12);
  });
});

describe("sharing out a ray", () => {
  const pieces = (claims: [number, number][]) => {
    const taken = new Taken();
    const got: [number, number, number][] = [];
    claims.forEach(([a, b], i) => {
      taken.claim(i, a, b, 2 * i, 2 * i + 1, (part, z0, z1) => got.push([part, z0, z1]));
    });
    return got;
  };

  it("gives the earlier its whole stretch and the later what is left on both sides", () => {
    expect(
      pieces([
        [2, 4],
        [0, 10],
      ]),
    ).toEqual([
      [0, 2, 4],
      [1, 0, 2],
      [1, 4, 10],
    ]);
    expect(
      pieces([
        [0, 10],
        [2, 4],
      ]),
    ).toEqual([[0, 0, 10]]);
    expect(
      pieces([
        [0, 2],
        [4, 6],
        [8, 9],
        [1, 8.5],
      ]),
    ).toEqual([
      [0, 0, 2],
      [1, 4, 6],
      [2, 8, 9],
      [3, 2, 4],
      [3, 6, 8],
    ]);
    expect(
      pieces([
        [0, 1],
        [1, 2],
        [0, 3],
      ]),
    ).toEqual([
      [0, 0, 1],
      [1, 1, 2],
      [2, 2, 3],
    ]);
  });

  it("fills any heap of stretches once: pieces add up to their union", () => {
    let seed = 12345;
    const random = () => {
      seed = (seed * 16807) % 2147483647;
      return seed / 2147483647;
    };
    for (let round = 0; round < 200; round++) {
      const claims = Array.from({ length: 8 }, (): [number, number] => {
        const a = random() * 10;
        return [a, a + random() * 4];
      });
      const total = pieces(claims).reduce((s, [, a, b]) => s + (b - a), 0);
      // The union by brute force, on the sorted ends.
      const ends = claims.flat().sort((a, b) => a - b);
      let union = 0;
      for (let k = 0; k + 1 < ends.length; k++) {
        const mid = (ends[k] + ends[k + 1]) / 2;
        if (claims.some(([a, b]) => a < mid && mid < b)) union += ends[k + 1] - ends[k];
      }
      expect(total, `round ${round} of seed 12345`).toBeCloseTo(union, 9);
    }
  });
});

describe("moments", () => {
  it("of a rectangle are the same in closed form and by rays", () => {
    const [flat, rays] = [noSums(), noSums()];
    addFlat(flat, -2, 5, 1, 4);
    overRule(3, 1, -2, 5, (y, w) => addRay(rays, w, y, 1, 4));
    for (const k of ["a", "y", "z", "yy", "zz", "yz"] as const) expect(rays[k]).toBeCloseTo(flat[k], 10);
  });

  it("of a block about an origin of its own", () => {
    const m = noMoments(50);
    const cut = noSums();
    overRule(2, 1, 40, 60, (x, w) => {
      addFlat(cut, 0, 2, 0, 3);
      addCut(m, cut, x, w);
    });
    expect(cut.a).toBe(0);
    expect(m.v).toBeCloseTo(120, 10);
    expect(m.x).toBeCloseTo(0, 9);
    expect(m.xx).toBeCloseTo((120 * 400) / 12, 8);
    expect(m.yz).toBeCloseTo(120 * 1 * 1.5, 9);
  });
});
