import type { ManifoldToplevel } from "manifold-3d";
import type { MeshFineness } from "../../geometry/solids/meshRegion";
import { inKernelScope } from "../../knife/kernel/kernelScope";
import { measureSolid, solidParts } from "../../knife/kernel/solidParts";
import type { Assembly } from "../../knife/parts/types";
import { integrate } from "./integrate";
import { sumOfMoments } from "./moments";

/** Volume and centroid x of one part by both readings; parts of one id are one. */
export interface PartAgreement {
  readonly id: string;
  readonly volumeMm3: number;
  readonly meshVolumeMm3: number;
  readonly xMm: number;
  readonly meshXMm: number;
}

/** Steps that the mesh reading is extrapolated from: these and their halves. */
export const USUAL_STEPS: MeshFineness = { stations: 8, rows: 20 };
/** For parts that bend much within little room: balls, domes, thin shells. */
export const FINE_STEPS: MeshFineness = { stations: 16, rows: 40 };

/**
 * Weighs every part a second time, by the mesh kernel at two step sizes, their error falling with the square of the
 * step: (4·fine − coarse)/3. Voids are left out; a part that is empty in the kernel has volume 0 there.
 * @see Richardson, Phil. Trans. R. Soc. A 210 (1911), for the extrapolation.
 */
export function meshAgreement(
  kernel: ManifoldToplevel,
  assembly: Assembly,
  steps: MeshFineness = USUAL_STEPS,
): PartAgreement[] {
  const half = { stations: 2 * steps.stations, rows: 2 * steps.rows };
  const [coarse, fine] = [steps, half].map((step) => meshSums(kernel, assembly, step));
  const moments = integrate(assembly);
  const ids = [...new Set(assembly.parts.filter((p) => p.materials.length > 0).map((p) => p.id))];
  return ids.map((id) => {
    const m = sumOfMoments(moments.filter((_, i) => assembly.parts[i].id === id));
    const [c, f] = [coarse.get(id) ?? [0, 0], fine.get(id) ?? [0, 0]];
    const meshVolume = (4 * f[0] - c[0]) / 3;
    return {
      id,
      volumeMm3: m.v,
      meshVolumeMm3: meshVolume,
      xMm: m.v > 0 ? m.originX + m.x / m.v : 0,
      meshXMm: meshVolume > 0 ? (4 * f[1] - c[1]) / 3 / meshVolume : 0,
    };
  });
}

/** Volume and first moment in x of each part id. */
function meshSums(kernel: ManifoldToplevel, assembly: Assembly, step: MeshFineness) {
  const sums = new Map<string, [number, number]>();
  return inKernelScope((scope) => {
    const solids = solidParts(kernel, assembly, step).map((solid) => scope.hold(solid));
    solids.forEach((solid, i) => {
      if (!solid) return;
      const { volumeMm3, centreMm } = measureSolid(solid);
      const sum = sums.get(assembly.parts[i].id) ?? [0, 0];
      sums.set(assembly.parts[i].id, [sum[0] + volumeMm3, sum[1] + volumeMm3 * centreMm[0]]);
    });
    return sums;
  });
}
