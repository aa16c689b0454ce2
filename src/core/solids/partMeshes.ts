import type { Manifold, ManifoldToplevel } from "manifold-3d";
import type { Assembly } from "../assembly/types";
import { solidParts } from "./kernel";
import type { MeshFineness, TriangleMesh } from "./meshRegion";

/** A part as a closed mesh. */
export interface PartMesh {
  readonly id: string;
  readonly name: string;
  /** The material with the largest share. */
  readonly materialId: string;
  readonly group: string;
  readonly mesh: TriangleMesh;
}

/** Fine enough to look at and to print: facets under about a tenth of a millimetre. */
export const SHOWN: MeshFineness = { stations: 16, rows: 48 };

/** Every part of an assembly as a closed mesh, places of one id joined; voids and empty parts are left out. */
export function partMeshes(
  kernel: ManifoldToplevel,
  assembly: Assembly,
  fineness: MeshFineness = SHOWN,
): PartMesh[] {
  const byId = new Map<string, { at: number; solids: Manifold[] }>();
  solidParts(kernel, assembly, fineness).forEach((solid, at) => {
    if (!solid) return;
    const { id, made } = assembly.parts[at];
    if (made.length === 0) {
      solid.delete();
      return;
    }
    const known = byId.get(id);
    if (known) known.solids.push(solid);
    else byId.set(id, { at, solids: [solid] });
  });
  return [...byId].map(([id, { at, solids }]) => {
    const { name, made, group } = assembly.parts[at];
    const whole = solids.length > 1 ? kernel.Manifold.union(solids) : solids[0];
    const { vertProperties, triVerts } = whole.getMesh();
    const mesh = { vertices: Float32Array.from(vertProperties), triangles: Uint32Array.from(triVerts) };
    for (const s of new Set([...solids, whole])) s.delete();
    const [most] = [...made].sort((a, b) => b.share - a.share);
    return { id, name, group, materialId: most.materialId, mesh };
  });
}
