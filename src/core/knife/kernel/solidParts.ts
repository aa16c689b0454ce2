import type { Manifold, ManifoldToplevel } from "manifold-3d";
import { FAR_MM, type MeshFineness, meshRegion } from "../../geometry/solids/meshRegion";
import type { Cylinder, HalfSpace, Region } from "../../geometry/solids/region";
import type { TriangleMesh } from "../../geometry/solids/triangleMesh";
import type { Assembly } from "../parts/types";
import { inKernelScope, type KernelScope } from "./kernelScope";

/** Volume in mm³ and centroid in mm of a closed mesh. */
export interface SolidMeasure {
  readonly volumeMm3: number;
  readonly centreMm: readonly [number, number, number];
}

/**
 * The second reading of an assembly: every part as a solid of the boolean kernel, by the same precedence as the
 * integrator's. Null where a part is empty. The caller deletes the solids.
 */
export function solidParts(
  kernel: ManifoldToplevel,
  assembly: Assembly,
  fineness: MeshFineness,
): (Manifold | null)[] {
  return inKernelScope((scope) => {
    const left = leftOf(kernel, scope, assembly, fineness);
    return left.map((solid) => scope.handOver(solid));
  });
}

/** What each part is left of its space by the parts before it. */
function leftOf(
  kernel: ManifoldToplevel,
  scope: KernelScope,
  { regions, parts }: Assembly,
  fineness: MeshFineness,
): (Manifold | null)[] {
  const solids = regions.map((region) => solidOf(kernel, scope, region, fineness));
  const made = new Map<string, Manifold | null>();
  const commonOf = (of: readonly number[]): Manifold | null => {
    const key = of.join(" ");
    let known = made.get(key);
    if (known === undefined) {
      known = common(
        kernel,
        scope,
        of.map((r) => regions[r]),
        of.map((r) => solids[r]),
      );
      made.set(key, known);
    }
    return known;
  };
  const wholes = parts.map((p) => commonOf(p.regions));
  return parts.map((part, i): Manifold | null => {
    let solid = wholes[i];
    const inWay: Manifold[] = [];
    for (let k = 0; k < i && solid; k++) {
      const earlier = wholes[k];
      if (!earlier || !boxesMeet(earlier, solid)) continue;
      // What both lie in need not be cut again: it would only leave slivers along their common surface.
      const own = parts[k].regions.filter((r) => !part.regions.includes(r));
      const planes = planesOnly(own.map((r) => regions[r]));
      if (own.length === 0) solid = null;
      else if (planes?.length === 1) solid = scope.hold(trimmed(solid, planes[0], "far"));
      else {
        const taken = commonOf(own);
        if (taken) inWay.push(taken);
      }
    }
    if (!solid || solid.isEmpty()) return null;
    const rest = scope.hold(
      inWay.length > 0 ? kernel.Manifold.difference([solid, ...inWay]) : solid.translate([0, 0, 0]),
    );
    return rest.isEmpty() ? null : rest;
  });
}

/** What regions have in common; sides of planes cut the rest. Null where one of them is empty. */
function common(
  kernel: ManifoldToplevel,
  scope: KernelScope,
  of: readonly Region[],
  solids: readonly (Manifold | null)[],
): Manifold | null {
  const bodies = solids.filter((_, i) => of[i].kind !== "half-spaces");
  if (bodies.some((m) => m === null)) return null;
  // Planes alone cut a block that is larger than any knife.
  const [first, ...rest] =
    bodies.length > 0
      ? (bodies as Manifold[])
      : [scope.hold(kernel.Manifold.cube([2 * FAR_MM, 2 * FAR_MM, 2 * FAR_MM], true))];
  let whole = first;
  // Planes first: what they take away is never intersected.
  for (const plane of of.flatMap(planesOf)) whole = scope.hold(trimmed(whole, plane, "near"));
  return rest.length > 0 ? scope.hold(kernel.Manifold.intersection([whole, ...rest])) : whole;
}

/** What lies on the near side of a plane, where n · p is up to its offset, or on the far one. */
function trimmed(solid: Manifold, { normal, offsetMm }: HalfSpace, keep: "near" | "far"): Manifold {
  const [x, y, z] = normal;
  // The kernel keeps the side that its normal points to, by a unit normal.
  const size = (keep === "near" ? -1 : 1) * Math.hypot(x, y, z);
  return solid.trimByPlane([x / size, y / size, z / size], offsetMm / size);
}

/** One region as a solid; null where it is empty, or part of another (sides of planes, further layers of a mesh). */
function solidOf(
  kernel: ManifoldToplevel,
  scope: KernelScope,
  region: Region,
  fineness: MeshFineness,
): Manifold | null {
  switch (region.kind) {
    case "cylinder":
      return cylinder(kernel, scope, region.cylinder, fineness.rows * 2);
    case "half-spaces":
      return null;
    case "mesh-layer":
      return region.layer === 0 ? scope.hold(manifoldOf(kernel, region.mesh)) : null;
    default: {
      const tubes = meshRegion(region, fineness).map((mesh) => scope.hold(manifoldOf(kernel, mesh)));
      return tubes.length < 2 ? (tubes[0] ?? null) : scope.hold(kernel.Manifold.union(tubes));
    }
  }
}

/** The planes of a region that is nothing but sides of planes. */
function planesOf(region: Region): readonly HalfSpace[] {
  return region.kind === "half-spaces" ? region.planes : [];
}

/** All planes of regions that are nothing but sides of planes; null where one is more. */
function planesOnly(of: readonly Region[]): readonly HalfSpace[] | null {
  return of.every((r) => r.kind === "half-spaces") ? of.flatMap(planesOf) : null;
}

/** A closed mesh as a solid, the caller's to delete; throws the kernel's error where it is not closed. */
export function manifoldOf(kernel: ManifoldToplevel, mesh: TriangleMesh): Manifold {
  const built = new kernel.Mesh({ numProp: 3, vertProperties: mesh.vertices, triVerts: mesh.triangles });
  return new kernel.Manifold(built);
}

/** A round bar along z, its polygon as large in area as the circle. */
function cylinder(
  kernel: ManifoldToplevel,
  scope: KernelScope,
  { xMm, yMm, radiusMm }: Cylinder,
  sides: number,
): Manifold | null {
  if (!(radiusMm > 0)) return null;
  const angle = (2 * Math.PI) / sides;
  const radius = radiusMm * Math.sqrt(angle / Math.sin(angle));
  const upright = scope.hold(kernel.Manifold.cylinder(2 * FAR_MM, radius, radius, sides, true));
  return scope.hold(upright.translate([xMm, yMm, 0]));
}

function boxesMeet(a: Manifold, b: Manifold): boolean {
  const p = a.boundingBox();
  const q = b.boundingBox();
  return [0, 1, 2].every((k) => p.min[k] <= q.max[k] && q.min[k] <= p.max[k]);
}

/** Volume and centroid of a solid, summed over tetrahedra about a corner of its own. */
export function measureSolid(solid: Manifold): SolidMeasure {
  const { vertProperties: v, triVerts: t, numProp } = solid.getMesh();
  if (t.length === 0) return { volumeMm3: 0, centreMm: [0, 0, 0] };
  const o = [v[0], v[1], v[2]];
  let six = 0;
  const sum = [0, 0, 0];
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [t[i], t[i + 1], t[i + 2]].map((k) => [0, 1, 2].map((d) => v[k * numProp + d] - o[d]));
    const det =
      a[0] * (b[1] * c[2] - b[2] * c[1]) -
      a[1] * (b[0] * c[2] - b[2] * c[0]) +
      a[2] * (b[0] * c[1] - b[1] * c[0]);
    six += det;
    for (let d = 0; d < 3; d++) sum[d] += det * (a[d] + b[d] + c[d]);
  }
  const centre = sum.map((s, d) => o[d] + s / (4 * six)) as [number, number, number];
  return { volumeMm3: six / 6, centreMm: centre };
}
