import { describe, expect, it } from "vitest";
import { radians } from "@/core/base/number";
import { shaded } from "./shading";

/** A roof of two square faces that meet along x at an angle, and a sliver on one of them. */
function roof(angleDeg: number, sliver = false) {
  const drop = Math.tan(radians(angleDeg)) * 10;
  const vertices = [0, 0, 0, 10, 0, 0, 10, 10, -drop, 0, 10, -drop, 0, -10, 0, 10, -10, 0];
  const triangles = [0, 1, 2, 0, 2, 3, 4, 5, 1, 4, 1, 0];
  if (sliver) {
    // Between the two corners of the ridge, a hair high and standing on end.
    vertices.push(5, 0, 0.001);
    triangles.push(0, 1, 6);
  }
  return { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) };
}

describe("shading", () => {
  it("shows an edge where faces meet steeper than the crease, and none where they are flatter", () => {
    const { edges } = shaded(roof(8), radians(5));
    expect(edges).toHaveLength(6);
    expect([edges[0], edges[3]].sort()).toEqual([0, 10]);
    expect(shaded(roof(8), radians(35)).edges).toHaveLength(0);
  });

  it("is smooth over what is flatter: the ridge's normals lie between those of both faces", () => {
    const { normals } = shaded(roof(8), radians(35));
    const tilt = Math.atan2(normals[1], normals[2]);
    expect(tilt).toBeGreaterThan(radians(1));
    expect(tilt).toBeLessThan(radians(7));
    const flat = shaded(roof(8), radians(5)).normals;
    expect(Math.atan2(flat[1], flat[2])).toBeCloseTo(radians(8), 5);
  });

  it("lets a sliver turn no surface and show no edge; itself it is lit as its neighbours are", () => {
    const plain = shaded(roof(0), radians(5));
    const { normals, edges } = shaded(roof(0, true), radians(5));
    expect(edges).toHaveLength(0);
    expect([...normals.slice(0, plain.normals.length)]).toEqual([...plain.normals]);
    expect(normals[normals.length - 1]).toBeCloseTo(1, 3);
  });
});
