import type { ManifoldToplevel } from "manifold-3d";
import { own } from "../../../base/own";
import { momentsOf } from "../../../figures/weigh/momentsOf";
import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";
import { type PartMesh, partMeshes } from "../../../knife/kernel/partMeshes";
import type { Assembly } from "../../../knife/parts/types";
import { withoutSlivers } from "./withoutSlivers";
import { writeStl } from "./writeStl";
import { writeThreeMf } from "./writeThreeMf";

/** Parts as meshes to print from: closed, within 0.1 % of the volume that is weighed, without slivers. */
export function printableParts(
  kernel: ManifoldToplevel,
  assembly: Assembly,
  wanted: (id: string) => boolean = () => true,
): PartMesh[] {
  const volumeMm3 = new Map<string, number>();
  momentsOf(assembly).forEach(({ v }, i) => {
    const { id } = assembly.parts[i];
    volumeMm3.set(id, (volumeMm3.get(id) ?? 0) + v);
  });
  return partMeshes(kernel, assembly, volumeMm3, wanted).map((p) => ({ ...p, mesh: withoutSlivers(p.mesh) }));
}

/** What is written as meshes: its parts, and what the whole is called. */
export interface Exported {
  readonly name: string;
  readonly assembly: Assembly;
}

/**
 * One part, or all of them, as STL or 3MF bytes in mm; null where no part has that id. `names` says what each
 * part is called in the file, by its id; one that is not there is called by its id.
 */
export function exportMesh(
  kernel: ManifoldToplevel,
  { name, assembly }: Exported,
  partId: string | null,
  format: "stl" | "3mf",
  names: Readonly<Record<string, string>> = {},
): Uint8Array<ArrayBuffer> | null {
  const parts = printableParts(kernel, assembly, (id) => partId === null || id === partId).map((p) => ({
    ...p,
    name: own(names, p.id) ?? p.id,
  }));
  if (parts.length === 0) return null;
  const title = partId === null ? name : `${name}, ${parts[0].name}`;
  return format === "3mf" ? writeThreeMf(parts, title) : writeStl(joined(parts), title);
}

/** All parts in one list of triangles, each closed by itself. */
function joined(parts: readonly PartMesh[]): TriangleMesh {
  const vertices = new Float32Array(parts.reduce((n, p) => n + p.mesh.vertices.length, 0));
  const triangles = new Uint32Array(parts.reduce((n, p) => n + p.mesh.triangles.length, 0));
  let [v, t] = [0, 0];
  for (const { mesh } of parts) {
    vertices.set(mesh.vertices, v);
    for (let i = 0; i < mesh.triangles.length; i++) triangles[t + i] = mesh.triangles[i] + v / 3;
    v += mesh.vertices.length;
    t += mesh.triangles.length;
  }
  return { vertices, triangles };
}
