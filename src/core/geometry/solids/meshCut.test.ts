import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { boxesMesh, rodMesh } from "../../knife/design/limits.fixtures";
import { cutter } from "./meshCut";
import type { TriangleMesh } from "./triangleMesh";

/** A ball of rings, as closed as its corners are. */
function ballMesh(around: number, along: number, radiusMm: number): TriangleMesh {
  const vertices = [radiusMm, 0, 0];
  for (let j = 1; j < along; j++)
    for (let i = 0; i < around; i++) {
      const [p, a] = [(Math.PI * j) / along, (2 * Math.PI * i) / around];
      vertices.push(
        radiusMm * Math.cos(p),
        radiusMm * Math.sin(p) * Math.cos(a),
        radiusMm * Math.sin(p) * Math.sin(a),
      );
    }
  vertices.push(-radiusMm, 0, 0);
  const last = vertices.length / 3 - 1;
  const at = (j: number, i: number) =>
    j === 0 ? 0 : j === along ? last : 1 + (j - 1) * around + (i % around);
  const triangles: number[] = [];
  for (let j = 0; j < along; j++)
    for (let i = 0; i < around; i++) {
      const [a, b, c, d] = [at(j, i), at(j, i + 1), at(j + 1, i + 1), at(j + 1, i)];
      if (j > 0) triangles.push(a, b, c);
      if (j < along - 1) triangles.push(a, c, d);
    }
  return { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) };
}

/** Where a line along z meets a mesh at (x, y), by looking at every triangle: another way to the same heights. */
function everyHeight({ vertices: v, triangles: t }: TriangleMesh, x: number, y: number): number[] {
  const zs: number[] = [];
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => [0, 1, 2].map((d) => v[3 * t[i + k] + d]));
    const det = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
    if (det === 0) continue;
    const p = ((x - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (y - a[1])) / det;
    const q = ((b[0] - a[0]) * (y - a[1]) - (x - a[0]) * (b[1] - a[1])) / det;
    if (p >= 0 && q >= 0 && p + q <= 1) zs.push(a[2] + p * (b[2] - a[2]) + q * (c[2] - a[2]));
  }
  return zs.sort((s, u) => s - u);
}

const meshes: [string, TriangleMesh, number][] = [
  ["a rod", rodMesh(40), 30],
  ["a ball", ballMesh(24, 16, 14), 28],
  [
    "two boxes one over the other",
    boxesMesh(
      [
        [0, -8, -8],
        [20, 8, -2],
      ] as const,
      [
        [0, -6, 2],
        [20, 6, 8],
      ] as const,
    ),
    20,
  ],
];

describe("a mesh cut across", () => {
  it.each(meshes)("%s: has the heights that looking at every triangle finds", (_, mesh, lengthMm) => {
    const cutAt = cutter(mesh).at;
    const from = Math.min(...mesh.vertices.filter((_, i) => i % 3 === 0));
    const inside = fc.double({ min: 0.013, max: 0.987, noNaN: true });
    fc.assert(
      fc.property(inside, inside, (s, u) => {
        const cut = cutAt(from + s * lengthMm);
        if (!cut) throw new Error("no cut");
        const [low, high] = [cut.ys[0], cut.ys[cut.ys.length - 1]];
        const y = low + u * (high - low);
        // Beside a corner the two may take different sides of it.
        fc.pre(cut.ys.every((corner) => Math.abs(corner - y) > 1e-4));
        const [mine, all] = [[...cut.heightsAt(y)], everyHeight(mesh, from + s * lengthMm, y)];
        expect(mine).toHaveLength(all.length);
        for (const [i, z] of mine.entries()) expect(z).toBeCloseTo(all[i], 3);
      }),
      { numRuns: 200, seed: 20261127 },
    );
  });

  it("answers rays in any order alike", () => {
    const cut = cutter(ballMesh(48, 32, 14)).at(3.3);
    if (!cut) throw new Error("no cut");
    const ys = Array.from({ length: 60 }, (_, i) => -13 + i * 0.43);
    const upward = ys.map((y) => [...cut.heightsAt(y)]);
    const downward = [...ys].reverse().map((y) => [...cut.heightsAt(y)]);
    expect(downward.reverse()).toEqual(upward);
  });

  it.each([0.3, 5, 12.9])("of a ball has the area of its polygon at x = %d, both ways of measuring", (x) => {
    const cut = cutter(ballMesh(400, 400, 14)).at(x);
    const { evenOdd, around } = cut?.areas() ?? { evenOdd: 0, around: 0 };
    // π(r² − x²), its polygon of 400 sides short by (2π/400)²/6; the ball's own facets take as much again.
    const circle = Math.PI * (14 ** 2 - x ** 2);
    expect(Math.abs(evenOdd / circle - 1)).toBeLessThan(1e-3);
    expect(Math.abs(Math.abs(around) / evenOdd - 1)).toBeLessThan(1e-9);
  });

  it("is null outside, and the same object when asked for again", () => {
    const cutAt = cutter(rodMesh(12)).at;
    expect(cutAt(-1)).toBeNull();
    expect(cutAt(31)).toBeNull();
    expect(cutAt(10)).toBe(cutAt(10));
  });

  it("is broken at every corner, or of many at every so many, the last always among them", () => {
    for (const [sides, every] of [
      [100, 1],
      [1100, 3],
      [3000, 6],
    ]) {
      const cut = cutter(rodMesh(sides)).at(15);
      if (!cut) throw new Error("no cut");
      expect(cut.creases.length).toBeLessThanOrEqual(Math.ceil(cut.ys.length / every) + 1);
      expect(cut.creases.length).toBeLessThanOrEqual(514);
      expect([cut.creases[0], cut.creases[cut.creases.length - 1]]).toEqual([
        cut.ys[0],
        cut.ys[cut.ys.length - 1],
      ]);
    }
  });
});
