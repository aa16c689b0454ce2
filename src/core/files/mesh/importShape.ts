import type { Manifold, ManifoldToplevel } from "manifold-3d";
import type { TriangleMesh } from "../../solids/meshRegion";
import { readStl } from "./readStl";
import { readThreeMf } from "./readThreeMf";
import { LARGEST_MESH_BYTES, type MeshUnit, MM_PER, type Soup } from "./soup";

/** A kept shape has so many triangles at most: finer ones are simplified. */
export const MOST_TRIANGLES = 12_000;
/** Shapes larger than this do not belong on a knife, mm. */
export const LARGEST_SHAPE_MM = 400;

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
  | { readonly ok: false; readonly code: "not-a-mesh" | "damaged" | "not-finite" | "empty" }
  | { readonly ok: false; readonly code: "open"; readonly edges: number }
  | { readonly ok: false; readonly code: "size"; readonly mm: number; readonly limit: number }
  | { readonly ok: false; readonly code: "too-fine"; readonly triangles: number; readonly limit: number };

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
 * Reads an STL or a 3MF file as one closed shape in mm, mended where that is safe, and says what was done. Refuses
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
  let solid = solidFrom(kernel, mesh);
  if (!solid) {
    // Corners that nearly meet are joined by the kernel, within its own tolerance.
    const built = new kernel.Mesh({ numProp: 3, vertProperties: mesh.vertices, triVerts: mesh.triangles });
    built.merge();
    try {
      solid = new kernel.Manifold(built);
      repairs.push({ code: "joined" });
    } catch {
      return { ok: false, code: "open", edges: openEdges(mesh) };
    }
  }
  if (solid.isEmpty()) return { ok: false, code: "empty" };
  if (solid.volume() < 0) {
    const turned = mesh.triangles.slice();
    for (let i = 0; i < turned.length; i += 3) [turned[i], turned[i + 1]] = [turned[i + 1], turned[i]];
    const again = solidFrom(kernel, { vertices: mesh.vertices, triangles: turned });
    if (!again) return { ok: false, code: "open", edges: openEdges(mesh) };
    solid = again;
    repairs.push({ code: "turned-inside-out" });
  }
  const whole = solid.volume();
  const from = solid.numTri();
  for (let tolerance = 0.005; solid.numTri() > MOST_TRIANGLES && tolerance < 0.7; tolerance *= 2)
    solid = solid.simplify(tolerance);
  if (solid.numTri() > MOST_TRIANGLES)
    return { ok: false, code: "too-fine", triangles: solid.numTri(), limit: MOST_TRIANGLES };
  if (solid.numTri() < from) {
    const volumeShare = Math.abs(solid.volume() / whole - 1);
    if (from > MOST_TRIANGLES) repairs.push({ code: "simplified", from, to: solid.numTri(), volumeShare });
  }
  const { vertProperties, triVerts, numProp } = solid.getMesh();
  const vertices = new Float32Array((vertProperties.length / numProp) * 3);
  for (let i = 0; i < vertices.length / 3; i++)
    for (let k = 0; k < 3; k++) vertices[3 * i + k] = vertProperties[numProp * i + k];
  const volumeMm3 = solid.volume();
  solid.delete();
  if (!(volumeMm3 > 0)) return { ok: false, code: "empty" };
  return {
    ok: true,
    mesh: { vertices, triangles: Uint32Array.from(triVerts) },
    volumeMm3,
    sizeMm: sizeOf(vertices),
    repairs,
  };
}

function solidFrom(kernel: ManifoldToplevel, mesh: TriangleMesh): Manifold | null {
  try {
    return new kernel.Manifold(
      new kernel.Mesh({ numProp: 3, vertProperties: mesh.vertices, triVerts: mesh.triangles }),
    );
  } catch {
    return null;
  }
}

/** Joins corners of one place, and drops triangles that lose their area by it. */
function welded(corners: Float32Array, factor: number): { mesh: TriangleMesh; slivers: number } {
  const known = new Map<string, number>();
  const vertices: number[] = [];
  const triangles: number[] = [];
  let slivers = 0;
  for (let i = 0; i < corners.length; i += 9) {
    const three = [0, 3, 6].map((k) => {
      const p = [0, 1, 2].map((d) => Math.fround(corners[i + k + d] * factor));
      const key = p.join(" ");
      let at = known.get(key);
      if (at === undefined) {
        at = vertices.length / 3;
        known.set(key, at);
        vertices.push(...p);
      }
      return at;
    });
    if (three[0] === three[1] || three[1] === three[2] || three[2] === three[0]) slivers++;
    else triangles.push(...three);
  }
  return { mesh: { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) }, slivers };
}

/** Edges that do not lie between exactly two triangles, run once each way. */
export function openEdges({ triangles: t }: TriangleMesh): number {
  const runs = new Map<string, number>();
  for (let i = 0; i < t.length; i += 3) {
    for (let k = 0; k < 3; k++) {
      const [a, b] = [t[i + k], t[i + ((k + 1) % 3)]];
      const [key, way] = a < b ? [`${a} ${b}`, 1] : [`${b} ${a}`, -1];
      runs.set(key, (runs.get(key) ?? 0) + way);
    }
  }
  return [...runs.values()].filter((n) => n !== 0).length;
}

function sizeOf(points: Float32Array): [number, number, number] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < points.length; i++) {
    low[i % 3] = Math.min(low[i % 3], points[i]);
    high[i % 3] = Math.max(high[i % 3], points[i]);
  }
  return [0, 1, 2].map((k) => Math.max(0, high[k] - low[k])) as [number, number, number];
}
