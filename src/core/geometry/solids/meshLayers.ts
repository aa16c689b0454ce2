import { type Cut, cutter } from "./meshCut";
import type { Region } from "./region";
import { curvedSlice, type Slice } from "./slice";
import type { TriangleMesh } from "./triangleMesh";

/** A ray may meet a shape in this many stretches at most; a shape that is folded further cannot be weighed. */
export const MOST_LAYERS = 6;

/** Stations that a shape of many corners is broken at. */
const FEW_BREAKS = 40;

/**
 * A closed mesh as regions: the first holds the first stretch in which each ray along z meets it, the second the
 * second, and so on. Together they are the whole. Exact for the mesh, between whose corners everything is straight;
 * cuts of more than 512 corners are integrated across the slight bends between every few of them.
 */
export function meshLayers(mesh: TriangleMesh): Region[] {
  const { at: cutAt, reachAt } = cutter(mesh);
  const xs = [...new Set(stationsOf(mesh))].sort((a, b) => a - b);
  const xRange: [number, number] = [xs[0], xs[xs.length - 1]];
  let most = 1;
  for (let i = 1; i < xs.length; i++) {
    for (const t of [0.25, 0.75]) {
      const cut = cutAt(xs[i - 1] + t * (xs[i] - xs[i - 1]));
      for (const n of cut?.counts ?? []) most = Math.max(most, n);
    }
  }
  const breaks = xs.map((x) => ({ x, below: false, above: false }));
  return Array.from({ length: Math.min(MOST_LAYERS, most) }, (_, layer) => ({
    kind: "mesh-layer",
    mesh,
    layer,
    of: most,
    xRange,
    breaks,
    sliceAt: (x: number) => {
      const cut = x > xRange[0] && x < xRange[1] ? cutAt(x) : null;
      return cut && layerSlice(cut, layer);
    },
    // The first stretches reach over the whole cut.
    ...(layer === 0 ? { reachAt } : {}),
  }));
}

/** A triangle whose corners lie so near to one station stands upright, mm. */
const UPRIGHT_MM = 1e-4;

/** Ends, faces that stand upright, and some stations between; of a simple shape every corner. */
function stationsOf({ vertices: v, triangles: t }: TriangleMesh): number[] {
  const xs = new Set<number>();
  for (let i = 0; i < v.length; i += 3) xs.add(v[i]);
  if (xs.size <= FEW_BREAKS) return [...xs];
  let [low, high] = [Infinity, -Infinity];
  for (const x of xs) {
    low = Math.min(low, x);
    high = Math.max(high, x);
  }
  const upright = new Map<number, number>();
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [3 * t[i], 3 * t[i + 1], 3 * t[i + 2]];
    if (Math.abs(v[a] - v[b]) > UPRIGHT_MM || Math.abs(v[a] - v[c]) > UPRIGHT_MM) continue;
    const area =
      Math.abs(
        (v[b + 1] - v[a + 1]) * (v[c + 2] - v[a + 2]) - (v[c + 1] - v[a + 1]) * (v[b + 2] - v[a + 2]),
      ) / 2;
    upright.set(v[a], (upright.get(v[a]) ?? 0) + area);
  }
  const faces = [...upright].sort((p, q) => q[1] - p[1]).slice(0, FEW_BREAKS / 2);
  const even = Array.from({ length: FEW_BREAKS + 1 }, (_, i) => low + ((high - low) * i) / FEW_BREAKS);
  return [...even, ...faces.map(([x]) => x)];
}

function layerSlice(cut: Cut, layer: number): Slice | null {
  const ys: number[] = [];
  for (let i = 0; i < cut.counts.length; i++) {
    if (cut.counts[i] <= layer) continue;
    if (ys.length > 0 && ys[ys.length - 1] === cut.ys[i]) ys[ys.length - 1] = cut.ys[i + 1];
    else ys.push(cut.ys[i], cut.ys[i + 1]);
  }
  if (ys.length === 0) return null;
  return curvedSlice({
    ys,
    creases: cut.creases,
    low: (y) => cut.heightsAt(y)[2 * layer] ?? 0,
    high: (y) => cut.heightsAt(y)[2 * layer + 1] ?? 0,
  });
}
