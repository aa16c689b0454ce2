import type { TriangleMesh } from "@/core/geometry/solids/triangleMesh";

/** How a mesh is drawn: three corners a triangle with their normals, and the ends of each edge that shows. */
export interface Shaded {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly edges: Float32Array;
}

/** A triangle lower than this is a sliver, mm: its own direction tells nothing. */
const SLIVER_MM = 0.02;
/** Corners nearer to each other than this are one, mm. */
const SAME_MM = 1e-4;

/**
 * Shades a mesh: faces that meet flatter than `crease` (radians) are one surface; those that meet steeper than `line` show an
 * edge. Faces count by their area, and slivers, which cutting solids leaves behind, take their direction from their neighbours and show no edge.
 */
export function shaded({ vertices, triangles }: TriangleMesh, crease: number, line = crease): Shaded {
  const n = triangles.length / 3;
  const corner = welded(vertices);
  const faces = Array.from({ length: n }, (_, f) => faceOf(vertices, triangles, f));
  const at = new Map<number, number[]>();
  for (let f = 0; f < n; f++)
    for (let k = 0; k < 3; k++) {
      const v = corner[triangles[3 * f + k]];
      const list = at.get(v);
      if (list) list.push(f);
      else at.set(v, [f]);
    }
  const positions = new Float32Array(9 * n);
  const normals = new Float32Array(9 * n);
  const least = Math.cos(crease);
  for (let f = 0; f < n; f++) {
    const mine = faces[f];
    for (let k = 0; k < 3; k++) {
      const v = triangles[3 * f + k];
      positions.set(vertices.subarray(3 * v, 3 * v + 3), 9 * f + 3 * k);
      let [x, y, z] = [0, 0, 0];
      // A sliver's own corner may touch nothing else: it is lit as all round it is.
      const round = mine.sliver ? [0, 1, 2].map((j) => triangles[3 * f + j]) : [v];
      for (const g of round.flatMap((c) => at.get(corner[c]) ?? [])) {
        const other = faces[g];
        if (g !== f && other.sliver && !mine.sliver) continue;
        if (g !== f && !mine.sliver && dot(mine.unit, other.unit) < least) continue;
        x += other.unit[0] * other.area;
        y += other.unit[1] * other.area;
        z += other.unit[2] * other.area;
      }
      const size = Math.hypot(x, y, z);
      normals.set(size > 0 ? [x / size, y / size, z / size] : mine.unit, 9 * f + 3 * k);
    }
  }
  return { positions, normals, edges: edgesOf(vertices, triangles, corner, faces, Math.cos(line)) };
}

interface Face {
  readonly unit: readonly [number, number, number];
  readonly area: number;
  readonly sliver: boolean;
}

const dot = (a: Face["unit"], b: Face["unit"]): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

function faceOf(vertices: Float32Array, triangles: Uint32Array, f: number): Face {
  const p = [0, 1, 2].map((k) => {
    const v = 3 * triangles[3 * f + k];
    return [vertices[v], vertices[v + 1], vertices[v + 2]];
  });
  const side = (a: number, b: number) => p[b].map((c, i) => c - p[a][i]);
  const [u, v, w] = [side(0, 1), side(0, 2), side(1, 2)];
  const cross = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const area = Math.hypot(...cross);
  const longest = Math.max(Math.hypot(...u), Math.hypot(...v), Math.hypot(...w));
  const unit = (area > 0 ? cross.map((c) => c / area) : [0, 0, 1]) as [number, number, number];
  return { unit, area, sliver: area < SLIVER_MM * longest };
}

/** The first of the corners that lie in the same place, for each corner. */
function welded(vertices: Float32Array): Uint32Array {
  const first = new Map<string, number>();
  const corner = new Uint32Array(vertices.length / 3);
  for (let v = 0; v < corner.length; v++) {
    const key = [0, 1, 2].map((k) => Math.round(vertices[3 * v + k] / SAME_MM)).join(" ");
    const known = first.get(key);
    if (known === undefined) first.set(key, v);
    corner[v] = known ?? v;
  }
  return corner;
}

/** Ends of the edges between two faces that meet steeper than the crease. */
function edgesOf(
  vertices: Float32Array,
  triangles: Uint32Array,
  corner: Uint32Array,
  faces: readonly Face[],
  least: number,
): Float32Array {
  const open = new Map<string, number>();
  const ends: number[] = [];
  for (let f = 0; f < faces.length; f++) {
    for (let k = 0; k < 3; k++) {
      const [a, b] = [corner[triangles[3 * f + k]], corner[triangles[3 * f + ((k + 1) % 3)]]];
      const key = a < b ? `${a} ${b}` : `${b} ${a}`;
      const g = open.get(key);
      if (g === undefined) {
        open.set(key, f);
        continue;
      }
      open.delete(key);
      if (faces[f].sliver || faces[g].sliver || dot(faces[f].unit, faces[g].unit) >= least) continue;
      for (const v of [a, b]) ends.push(vertices[3 * v], vertices[3 * v + 1], vertices[3 * v + 2]);
    }
  }
  return Float32Array.from(ends);
}
