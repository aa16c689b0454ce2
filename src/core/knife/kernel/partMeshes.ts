import type { Manifold, ManifoldToplevel } from "manifold-3d";
import type { MeshFineness } from "../../geometry/solids/meshRegion";
import type { TriangleMesh } from "../../geometry/solids/triangleMesh";
import type { PartKey } from "../parts/partKey";
import type { Assembly } from "../parts/types";
import { inKernelScope } from "./kernelScope";
import { solidParts } from "./solidParts";

/** A part as a closed mesh. */
export interface PartMesh {
  readonly key: PartKey;
  readonly id: string;
  /** The material with the largest share. */
  readonly materialId: string;
  readonly group: string;
  /** Middle of the whole part's box, mm, however the mesh is cut. */
  readonly middleMm: readonly [number, number, number];
  readonly mesh: TriangleMesh;
}

/** Fine enough to look at, and quick to build. */
export const SHOWN: MeshFineness = { stations: 8, rows: 24 };
/** What is looked at may be off by so much, mm: far below a pixel, and enough to be without slivers. */
export const SEEN_MM = 0.005;
/** Fine enough to print from: facets under about a tenth of a millimetre. */
const PRINTED: MeshFineness = { stations: 20, rows: 60 };
/** A printed part's volume may be off by this share; where it is off by more, steps are halved, so often at most. */
const MOST_OFF_SHARE = 0.0009;
const MOST_HALVINGS = 2;

/** A part as a solid of the kernel; whoever asked for it deletes it. */
export interface PartSolid extends Omit<PartMesh, "mesh"> {
  readonly solid: Manifold;
}

/** A plane that cuts the knife open: what lies ahead of a station (x), or to the right of one (z), is taken away. */
export interface CutOpen {
  readonly axis: "x" | "z";
  readonly atMm: number;
}

/**
 * Every part of an assembly as a solid, places of one id joined; voids and empty parts are left out. The caller deletes
 * the solids.
 */
export function partSolids(
  kernel: ManifoldToplevel,
  assembly: Assembly,
  fineness: MeshFineness = SHOWN,
): PartSolid[] {
  return inKernelScope((scope) => {
    const byId = new Map<string, { at: number; solids: Manifold[] }>();
    solidParts(kernel, assembly, fineness).forEach((solid, at) => {
      if (!scope.hold(solid)) return;
      const { id, materials } = assembly.parts[at];
      if (materials.length === 0) return;
      const known = byId.get(id);
      if (known) known.solids.push(solid!);
      else byId.set(id, { at, solids: [solid!] });
    });
    const parts = [...byId].map(([id, { at, solids }]) => {
      const { key, materials, group } = assembly.parts[at];
      const solid = solids.length > 1 ? scope.hold(kernel.Manifold.union(solids)) : solids[0];
      const [most] = [...materials].sort((a, b) => b.share - a.share);
      const { min, max } = solid.boundingBox();
      const middleMm = [0, 1, 2].map((k) => (min[k] + max[k]) / 2) as [number, number, number];
      return { key, id, group, materialId: most.materialId, middleMm, solid };
    });
    for (const { solid } of parts) scope.handOver(solid);
    return parts;
  });
}

/**
 * Solids as closed meshes, cut open by a plane where one is given; what it takes away whole is left out. Their surfaces may
 * be off by `offMm`, by which slivers are taken out.
 */
export function meshesOf(parts: readonly PartSolid[], cut: CutOpen | null = null, offMm = 0): PartMesh[] {
  return parts.flatMap(({ solid, ...part }) => {
    const normal: [number, number, number] = cut?.axis === "z" ? [0, 0, -1] : [-1, 0, 0];
    const mesh = inKernelScope((scope) => {
      const whole = cut ? scope.hold(solid.trimByPlane(normal, -cut.atMm)) : solid;
      const shown = offMm > 0 ? scope.hold(whole.simplify(offMm)) : whole;
      const { vertProperties, triVerts } = shown.getMesh();
      return { vertices: Float32Array.from(vertProperties), triangles: Uint32Array.from(triVerts) };
    });
    return mesh.triangles.length > 0 ? [{ ...part, mesh }] : [];
  });
}

/**
 * The parts of an assembly that are wanted, as closed meshes whose volumes are those of `volumeMm3`, by their ids, within
 * 0.1 %: balls and domes take finer steps than others.
 */
export function partMeshes(
  kernel: ManifoldToplevel,
  assembly: Assembly,
  volumeMm3: ReadonlyMap<string, number>,
  wanted: (id: string) => boolean = () => true,
): PartMesh[] {
  const found = new Map<string, PartMesh>();
  const near = (id: string, solid: Manifold) =>
    Math.abs(solid.volume() - (volumeMm3.get(id) ?? 0)) <= MOST_OFF_SHARE * (volumeMm3.get(id) ?? 0);
  for (let halvings = 0; halvings <= MOST_HALVINGS; halvings++) {
    const by = 2 ** halvings;
    const fineness = { stations: PRINTED.stations * by, rows: PRINTED.rows * by };
    const solids = partSolids(kernel, assembly, fineness);
    try {
      const open = solids.filter(({ id }) => wanted(id) && !found.has(id));
      const last = halvings === MOST_HALVINGS;
      for (const mesh of meshesOf(open.filter(({ id, solid }) => last || near(id, solid))))
        found.set(mesh.id, mesh);
      if (open.every(({ id }) => found.has(id))) return solids.flatMap(({ id }) => found.get(id) ?? []);
    } finally {
      for (const { solid } of solids) solid.delete();
    }
  }
  return [...found.values()];
}
