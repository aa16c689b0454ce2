import type * as z from "zod/mini";
import { radians } from "../../base/number";
import { meshLayers } from "../../geometry/solids/meshLayers";
import type { Region } from "../../geometry/solids/region";
import type { TriangleMesh } from "../../geometry/solids/triangleMesh";
import type { meshPlace } from "../design/record/fields";
import type { StoredMesh } from "../design/schema";
import { decodeMesh } from "../design/storedMesh";

export type MeshPlace = z.infer<typeof meshPlace>;

/** A shape's own axes as the knife's: columns are where its x, y and z go, before the roll. */
const TURNS: Record<MeshPlace["forward"], readonly (readonly [number, number, number])[]> = {
  x: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  "-x": [
    [-1, 0, 0],
    [0, 1, 0],
    [0, 0, -1],
  ],
  y: [
    [0, -1, 0],
    [1, 0, 0],
    [0, 0, 1],
  ],
  "-y": [
    [0, 1, 0],
    [-1, 0, 0],
    [0, 0, 1],
  ],
  z: [
    [0, 0, -1],
    [0, 1, 0],
    [1, 0, 0],
  ],
  "-z": [
    [0, 0, 1],
    [0, 1, 0],
    [-1, 0, 0],
  ],
};

/** An imported shape turned to the knife's axes, its front on `frontX`, its middle at its height and on the centre plane. */
export function placedMesh(mesh: TriangleMesh, place: MeshPlace, frontX: number): TriangleMesh {
  const [ex, ey, ez] = TURNS[place.forward];
  const [c, s] = [Math.cos(radians(place.rollDeg)), Math.sin(radians(place.rollDeg))];
  const out = new Float32Array(mesh.vertices.length);
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < out.length; i += 3) {
    const [a, b, d] = [mesh.vertices[i], mesh.vertices[i + 1], mesh.vertices[i + 2]];
    const p = [0, 1, 2].map((k) => a * ex[k] + b * ey[k] + d * ez[k]);
    const turned = [p[0], p[1] * c - p[2] * s, p[1] * s + p[2] * c];
    for (let k = 0; k < 3; k++) {
      out[i + k] = turned[k];
      low[k] = Math.min(low[k], turned[k]);
      high[k] = Math.max(high[k], turned[k]);
    }
  }
  const shift = [frontX - high[0], place.yMm - (low[1] + high[1]) / 2, -(low[2] + high[2]) / 2];
  for (let i = 0; i < out.length; i++) out[i] += shift[i % 3];
  return { vertices: out, triangles: mesh.triangles };
}

/** What identifies a stored shape: a worker is given another object with every question. */
export const shapeKey = (stored: Pick<StoredMesh, "vertices" | "triangles">): string =>
  `${stored.vertices}|${stored.triangles}`;

const decoded = new Map<string, TriangleMesh | null>();
const layered = new Map<string, Region[]>();

/** The regions of a placed shape, one list for each; none where the design has no such shape or it is damaged. */
export function importedRegions(meshes: readonly StoredMesh[], place: MeshPlace, frontX: number): Region[][] {
  const stored = meshes.find((m) => m.id === place.meshId);
  if (!stored) return [];
  const key = shapeKey(stored);
  const mesh = rememberedByKey(decoded, key, () => decodeMesh(stored));
  if (!mesh) return [];
  const at = `${place.forward} ${place.rollDeg} ${place.yMm} ${frontX} ${key}`;
  return rememberedByKey(layered, at, () => meshLayers(placedMesh(mesh, place, frontX))).map((r) => [r]);
}

/** Reads from the memory, or works out and keeps; forgets the oldest past a few. */
export function rememberedByKey<T>(memory: Map<string, T>, key: string, work: () => T): T {
  const known = memory.get(key);
  if (known !== undefined) return known;
  const made = work();
  memory.set(key, made);
  if (memory.size > 8) memory.delete(memory.keys().next().value as string);
  return made;
}
