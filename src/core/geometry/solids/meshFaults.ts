import { cutter } from "./meshCut";
import type { TriangleMesh } from "./triangleMesh";

/** A shape that is weighed has so many triangles at most: finer ones are simplified when they are brought in. */
export const MOST_TRIANGLES = 12_000;
/** Shapes larger than this do not belong on a knife, mm. */
export const LARGEST_SHAPE_MM = 400;

/** What makes a mesh no solid that can be weighed. */
export type MeshFault =
  | { readonly code: "not-finite" | "empty" }
  | { readonly code: "too-fine"; readonly triangles: number; readonly limit: number }
  | { readonly code: "size"; readonly mm: number; readonly limit: number }
  | { readonly code: "open"; readonly edges: number };

/** Stations at which the border is looked at for crossings of itself, and by how much two areas may differ. */
const STATIONS = 24;
const SAME_AREA = 1e-3;

/** The most triangles that meet at one corner. */
export function mostAtCorner({ triangles, vertices }: TriangleMesh): number {
  const at = new Uint32Array(vertices.length / 3);
  let most = 0;
  for (const k of triangles) most = Math.max(most, ++at[k]);
  return most;
}

/** The first fault of a mesh, or null of one that is closed, finite, of a knife's size, and encloses something. */
export function meshFault(mesh: TriangleMesh): MeshFault | null {
  const triangles = mesh.triangles.length / 3;
  if (triangles > MOST_TRIANGLES) return { code: "too-fine", triangles, limit: MOST_TRIANGLES };
  for (const v of mesh.vertices) if (!Number.isFinite(v)) return { code: "not-finite" };
  const size = Math.max(...sizeOf(mesh.vertices));
  if (size > LARGEST_SHAPE_MM) return { code: "size", mm: size, limit: LARGEST_SHAPE_MM };
  const edges = openEdges(mesh);
  if (edges > 0) return { code: "open", edges };
  return volumeOf(mesh) > 0 ? null : { code: "empty" };
}

/** Edges that are not run as often one way as the other: of a closed surface there are none. */
export function openEdges({ triangles: t, vertices }: TriangleMesh): number {
  const count = vertices.length / 3;
  // Each run as one number: the edge, and in its last place which way it is run.
  const runs = new Float64Array(t.length);
  for (let i = 0; i < t.length; i++) {
    const a = t[i];
    const b = t[i % 3 === 2 ? i - 2 : i + 1];
    runs[i] = a === b ? -1 : a < b ? 2 * (a * count + b) : 2 * (b * count + a) + 1;
  }
  runs.sort();
  let open = 0;
  for (let i = 0; i < runs.length; ) {
    const edge = Math.floor(runs[i] / 2);
    let sum = 0;
    for (; i < runs.length && Math.floor(runs[i] / 2) === edge; i++) sum += runs[i] % 2 === 0 ? 1 : -1;
    if (edge >= 0 && sum !== 0) open++;
  }
  return open;
}

/** How far points, x, y, z …, reach along each axis. */
export function sizeOf(points: Float32Array): [number, number, number] {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < points.length; i++) {
    low[i % 3] = Math.min(low[i % 3], points[i]);
    high[i % 3] = Math.max(high[i % 3], points[i]);
  }
  return [0, 1, 2].map((k) => Math.max(0, high[k] - low[k])) as [number, number, number];
}

/** Volume of a closed mesh in mm³ by the divergence theorem, about its first corner; negative of one inside out. */
export function volumeOf({ vertices: v, triangles: t }: TriangleMesh): number {
  let six = 0;
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [3 * t[i], 3 * t[i + 1], 3 * t[i + 2]];
    const [ax, ay, az] = [v[a] - v[0], v[a + 1] - v[1], v[a + 2] - v[2]];
    const [bx, by, bz] = [v[b] - v[0], v[b + 1] - v[1], v[b + 2] - v[2]];
    const [cx, cy, cz] = [v[c] - v[0], v[c + 1] - v[1], v[c + 2] - v[2]];
    six += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return six / 6;
}

/**
 * Whether a closed mesh crosses itself somewhere on 24 cuts along x: there the area that its border runs round, by
 * Green's theorem, is not the area inside it by the even-odd rule, which is what is weighed. Crossings between the
 * cuts that change their areas by less than a thousandth are not seen, and hardly weigh.
 */
export function crossesItself(mesh: TriangleMesh): boolean {
  const cutAt = cutter(mesh).at;
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < mesh.vertices.length; i += 3) {
    low = Math.min(low, mesh.vertices[i]);
    high = Math.max(high, mesh.vertices[i]);
  }
  for (let k = 0; k < STATIONS; k++) {
    const cut = cutAt(low + ((high - low) * (k + 0.4142)) / STATIONS);
    if (!cut) continue;
    const { evenOdd, around } = cut.areas();
    if (Math.abs(evenOdd - Math.abs(around)) > SAME_AREA * Math.max(evenOdd, Math.abs(around))) return true;
  }
  return false;
}
