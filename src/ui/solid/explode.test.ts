import { describe, expect, it } from "vitest";
import type { PartMesh } from "@/core/knife/kernel/partMeshes";
import { offsets } from "./explode";

const part = (id: string, group: string, middleMm: [number, number, number]): PartMesh => ({
  id,
  key: { kind: "slot", id },
  group,
  materialId: "epoxy",
  middleMm,
  mesh: { vertices: new Float32Array(), triangles: new Uint32Array() },
});

describe("a knife drawn apart", () => {
  const parts = [
    part("blade", "blade", [60, 0, 0]),
    part("pin", "fasteners", [-20, 0, 0]),
    part("liner", "handle", [-50, 0, 2.4]),
    part("right", "handle", [-50, 0, 7]),
    part("left", "handle", [-50, 0, -7]),
    part("guard", "guard", [-3, 0, 0]),
    part("block", "handle", [-60, 0, 0]),
  ];

  it("is in place at nothing, and keeps its order outward and backward", () => {
    for (const [x, y, z] of offsets(parts, 0).values()) expect([x + 0, y, z + 0]).toEqual([0, 0, 0]);
    const at = offsets(parts, 1);
    expect(at.get("blade")).toEqual([0, 0, 0]);
    expect(at.get("left")![2]).toBe(-at.get("right")![2]);
    expect(at.get("right")![2]).toBeGreaterThan(at.get("liner")![2]);
    expect(at.get("pin")![2]).toBeGreaterThan(at.get("right")![2]);
    expect(at.get("block")![0]).toBeLessThan(at.get("guard")![0]);
  });
});
