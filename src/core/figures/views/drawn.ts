import { remembered } from "../../base/record/remembered";
import type { TriangleMesh } from "../../geometry/solids/triangleMesh";
import { assemble } from "../../knife/assembly/assemble";
import type { Design, StoredMesh } from "../../knife/design/schema";
import { decodeMesh, encodeMesh } from "../../knife/design/storedMesh";
import type { Assembly } from "../../knife/parts/types";

/** A shape is drawn with so many triangles at most. */
const MOST_DRAWN = 600;
/** Corners of a shape that is drawn are brought together on a grid of this size first, mm, then of twice that … */
const FINEST_GRID_MM = 0.1;

/**
 * A design's parts for drawing only: as `assemble` gives them, but imported shapes of many triangles are coarsened, so
 * that a screen can be drawn within a frame or two. Never for figures.
 */
export const assembleDrawn = remembered((design: Design): Assembly => {
  if (design.meshes.length === 0) return assemble(design);
  return assemble({ ...design, meshes: design.meshes.map(drawnMesh) });
});

const drawn = new WeakMap<StoredMesh, StoredMesh>();

function drawnMesh(stored: StoredMesh): StoredMesh {
  const known = drawn.get(stored);
  if (known) return known;
  const mesh = decodeMesh(stored);
  const made =
    mesh && mesh.triangles.length / 3 > MOST_DRAWN ? { ...stored, ...encodeMesh(coarsened(mesh)) } : stored;
  drawn.set(stored, made);
  return made;
}

/**
 * A mesh with its corners moved to a grid, ever coarser until few triangles keep an area. Of a closed mesh the result
 * is closed too: joined corners only make triangles vanish in pairs or to nothing.
 */
export function coarsened(mesh: TriangleMesh, most = MOST_DRAWN): TriangleMesh {
  for (let grid = FINEST_GRID_MM; ; grid *= 2) {
    const made = onGrid(mesh, grid);
    if (made.triangles.length / 3 <= most) return made;
  }
}

function onGrid({ vertices: v, triangles: t }: TriangleMesh, grid: number): TriangleMesh {
  const places = new Map<string, number>();
  const vertices: number[] = [];
  const place = new Uint32Array(v.length / 3);
  for (let i = 0; i < place.length; i++) {
    const [x, y, z] = [
      Math.round(v[3 * i] / grid),
      Math.round(v[3 * i + 1] / grid),
      Math.round(v[3 * i + 2] / grid),
    ];
    const key = `${x} ${y} ${z}`;
    let at = places.get(key);
    if (at === undefined) {
      at = vertices.length / 3;
      places.set(key, at);
      // The first corner of a cell stands for all of it: ends and flat faces stay where they are.
      vertices.push(v[3 * i], v[3 * i + 1], v[3 * i + 2]);
    }
    place[i] = at;
  }
  const triangles: number[] = [];
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [place[t[i]], place[t[i + 1]], place[t[i + 2]]];
    if (a !== b && b !== c && c !== a) triangles.push(a, b, c);
  }
  return { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) };
}
