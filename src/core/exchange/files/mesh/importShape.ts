import type { Manifold, ManifoldToplevel } from "manifold-3d";
import {
  crossesItself,
  LARGEST_SHAPE_MM,
  MOST_TRIANGLES,
  mostAtCorner,
  openEdges,
  sizeOf,
} from "../../../geometry/solids/meshFaults";
import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";
import { inKernelScope, type KernelScope } from "../../../knife/kernel/kernelScope";
import { readStl } from "./readStl";
import { readThreeMf } from "./readThreeMf";
import { LARGEST_MESH_BYTES, type MeshUnit, MM_PER, type Soup } from "./soup";

/** The kernel's work grows with the square of how many triangles meet at a corner. */
const MOST_AT_CORNER = 4000;

/** What was done to a shape on its way in. */
export type Repair =
  | { readonly code: "scaled"; readonly unit: MeshUnit; readonly stated: boolean }
  | { readonly code: "joined" }
  | { readonly code: "turned-inside-out" }
  | { readonly code: "slivers-dropped"; readonly count: number }
  | {
      readonly code: "simplified";
      readonly from: number;
      readonly to: number;
      /** Share of the volume that this changed. */
      readonly volumeShare: number;
    };

export type ShapeFailure =
  | { readonly ok: false; readonly code: "too-large"; readonly bytes: number; readonly limit: number }
  | {
      readonly ok: false;
      readonly code: "not-a-mesh" | "damaged" | "not-finite" | "empty" | "crosses-itself";
    }
  | { readonly ok: false; readonly code: "open"; readonly edges: number }
  | { readonly ok: false; readonly code: "size"; readonly mm: number; readonly limit: number }
  | {
      readonly ok: false;
      readonly code: "too-fine" | "crowded";
      readonly triangles: number;
      readonly limit: number;
    };

export type ShapeReading =
  | {
      readonly ok: true;
      readonly mesh: TriangleMesh;
      readonly volumeMm3: number;
      readonly sizeMm: readonly [number, number, number];
      readonly repairs: readonly Repair[];
    }
  | ShapeFailure;

/**
 * Reads an STL or a 3MF file as one closed shape in mm, repaired where that is safe, and says what was done. Refuses
 * what is oversized, no mesh, open, or beyond the size of a knife. `unit` overrides the file's and the guess.
 */
export function importShape(
  kernel: ManifoldToplevel,
  bytes: Uint8Array,
  unit: MeshUnit | null = null,
): ShapeReading {
  if (bytes.byteLength > LARGEST_MESH_BYTES)
    return { ok: false, code: "too-large", bytes: bytes.byteLength, limit: LARGEST_MESH_BYTES };
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const reading = zipped ? readThreeMf(bytes) : readStl(bytes);
  if (!reading.ok) return reading;
  const { soup } = reading;
  if (!soup.corners.every(Number.isFinite)) return { ok: false, code: "not-finite" };
  const size = Math.max(...sizeOf(soup.corners));
  if (!(size > 0)) return { ok: false, code: "empty" };
  const repairs: Repair[] = [];
  const chosen = unit ?? soup.unit ?? guessUnit(size);
  const factor = MM_PER[chosen];
  if (factor !== 1)
    repairs.push({ code: "scaled", unit: chosen, stated: unit !== null || soup.unit !== null });
  if (!(size * factor <= LARGEST_SHAPE_MM))
    return { ok: false, code: "size", mm: size * factor, limit: LARGEST_SHAPE_MM };
  return closedShape(kernel, soup, factor, repairs);
}

/** The unit in which a part of a knife would have that size. A file of STL does not say. */
export function guessUnit(size: number): MeshUnit {
  if (size < 0.4) return "meter";
  if (size < 6) return "inch";
  return "millimeter";
}

function closedShape(kernel: ManifoldToplevel, soup: Soup, factor: number, repairs: Repair[]): ShapeReading {
  const { mesh, slivers } = welded(soup.corners, factor);
  if (slivers > 0) repairs.push({ code: "slivers-dropped", count: slivers });
  const fan = mostAtCorner(mesh);
  if (fan > MOST_AT_CORNER) return { ok: false, code: "crowded", triangles: fan, limit: MOST_AT_CORNER };
  return inKernelScope((scope) => {
    const solid = solidFrom(kernel, scope, mesh, repairs);
    if (!solid) return { ok: false, code: "open", edges: openEdges(mesh) };
    if (solid.isEmpty()) return { ok: false, code: "empty" };
    return keptShape(scope, solid, repairs);
  });
}

/** A closed mesh as a solid, turned where it is inside out, its corners joined where they nearly meet; null of an open one. */
function solidFrom(
  kernel: ManifoldToplevel,
  scope: KernelScope,
  mesh: TriangleMesh,
  repairs: Repair[],
): Manifold | null {
  const build = (triVerts: Uint32Array, merge: boolean) => {
    const built = new kernel.Mesh({ numProp: 3, vertProperties: mesh.vertices, triVerts });
    // Corners that nearly meet are joined by the kernel, within its own tolerance.
    if (merge) built.merge();
    try {
      return scope.hold(new kernel.Manifold(built));
    } catch {
      return null;
    }
  };
  let solid = build(mesh.triangles, false);
  if (!solid) {
    solid = build(mesh.triangles, true);
    if (solid) repairs.push({ code: "joined" });
  }
  if (!solid || solid.volume() >= 0) return solid;
  const turned = mesh.triangles.slice();
  for (let i = 0; i < turned.length; i += 3) [turned[i], turned[i + 1]] = [turned[i + 1], turned[i]];
  const again = build(turned, false) ?? build(turned, true);
  if (again) repairs.push({ code: "turned-inside-out" });
  return again;
}

/** The shape as it is kept: simplified where it is too fine, and held against what is refused. */
function keptShape(scope: KernelScope, whole: Manifold, repairs: Repair[]): ShapeReading {
  const from = whole.numTri();
  let solid = whole;
  for (let tolerance = 0.005; solid.numTri() > MOST_TRIANGLES && tolerance < 0.7; tolerance *= 2)
    solid = scope.hold(solid.simplify(tolerance));
  if (solid.numTri() > MOST_TRIANGLES)
    return { ok: false, code: "too-fine", triangles: solid.numTri(), limit: MOST_TRIANGLES };
  const volumeMm3 = solid.volume();
  if (from > MOST_TRIANGLES) {
    const volumeShare = Math.abs(volumeMm3 / whole.volume() - 1);
    repairs.push({ code: "simplified", from, to: solid.numTri(), volumeShare });
  }
  const { vertProperties, triVerts, numProp } = solid.getMesh();
  const vertices = new Float32Array((vertProperties.length / numProp) * 3);
  for (let i = 0; i < vertices.length / 3; i++)
    for (let k = 0; k < 3; k++) vertices[3 * i + k] = vertProperties[numProp * i + k];
  if (!(volumeMm3 > 0)) return { ok: false, code: "empty" };
  const mesh = { vertices, triangles: Uint32Array.from(triVerts) };
  if (crossesItself(mesh)) return { ok: false, code: "crosses-itself" };
  return { ok: true, mesh, volumeMm3, sizeMm: sizeOf(vertices), repairs };
}

/** Joins corners of one place, and drops triangles that lose their area by it. */
function welded(corners: Float32Array, factor: number): { mesh: TriangleMesh; slivers: number } {
  const count = corners.length / 3;
  // An open-addressed table of the corners known so far: a map of texts would take ten times the room.
  const bits = 32 - Math.clz32(Math.max(16, 2 * count));
  const table = new Int32Array(1 << bits).fill(-1);
  const vertices = new Float32Array(corners.length);
  const words = new Uint32Array(vertices.buffer);
  let known = 0;
  const placeOf = (at: number): number => {
    for (let d = 0; d < 3; d++) vertices[3 * known + d] = corners[at + d] * factor + 0;
    const [x, y, z] = [words[3 * known], words[3 * known + 1], words[3 * known + 2]];
    let slot = (Math.imul(x, 0x9e3779b1) ^ Math.imul(y, 0x85ebca6b) ^ Math.imul(z, 0xc2b2ae35)) >>> 0;
    slot = (slot ^ (slot >>> 15)) & (table.length - 1);
    for (; table[slot] >= 0; slot = (slot + 1) & (table.length - 1)) {
      const k = 3 * table[slot];
      if (words[k] === x && words[k + 1] === y && words[k + 2] === z) return table[slot];
    }
    table[slot] = known;
    return known++;
  };
  const triangles = new Uint32Array(count);
  let kept = 0;
  let slivers = 0;
  for (let i = 0; i < corners.length; i += 9) {
    const a = placeOf(i);
    const b = placeOf(i + 3);
    const c = placeOf(i + 6);
    if (a === b || b === c || c === a) slivers++;
    else {
      triangles[kept++] = a;
      triangles[kept++] = b;
      triangles[kept++] = c;
    }
  }
  return { mesh: { vertices: vertices.slice(0, 3 * known), triangles: triangles.slice(0, kept) }, slivers };
}
