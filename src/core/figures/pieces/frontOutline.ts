import { joined } from "../../geometry/contours/clip";
import type { Point } from "../../geometry/curve/bezier";
import { sideRangeOf } from "../../geometry/solids/extent";
import type { Region } from "../../geometry/solids/region";
import { holds, type Slice } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";
import type { StationsAt } from "../../knife/parts/workpiece";
import { Taken } from "../weigh/taken";
import { swept } from "./swept";

/** Cuts that are kept at hand. */
const KEPT = 128;

/**
 * What parts of an assembly cover seen along the knife, from the front: x is to the right of a holder (z of the frame), y
 * up, `longer` times as high as in the knife. What is widest at any of the stations counts; chords lie within 0.002 mm.
 */
export function frontOutline(
  assembly: Assembly,
  ids: readonly string[],
  stationsAt: StationsAt,
  longer = 1,
): Point[][] {
  const heights = heightsOf(assembly, ids);
  if (heights.length < 2) return [];
  const rays = new Rays(assembly, ids);
  const [strips] = swept(heights, 1, (y) => [merged(stationsAt(y).flatMap((x) => rays.filledAt(x, y)))]);
  return joined(strips.map((s) => s.map(({ x: y, y: z }) => ({ x: z, y: y * longer }))));
}

/** The section of what regions have in common, at one station. */
export function sectionOutline(regions: readonly Region[], x: number): Point[][] {
  const part = {
    key: { kind: "frame" },
    id: "section",
    group: "handle",
    materials: [{ materialId: "", share: 1 }],
    regions: regions.map((_, i) => i),
  } as const;
  return frontOutline({ regions, parts: [part] }, [part.id], () => [x]);
}

/** Lowest and highest places of parts, stretch by stretch. */
function heightsOf({ regions, parts }: Assembly, ids: readonly string[]): number[] {
  return parts
    .filter((p) => ids.includes(p.id))
    .flatMap((p) => sideRangeOf(p.regions.map((r) => regions[r]))?.[1] ?? []);
}

/** Stretches along z, from and to in turn, as few as they make together. */
function merged(ends: readonly number[]): number[] {
  const pairs: [number, number][] = [];
  for (let i = 0; i + 1 < ends.length; i += 2) pairs.push([ends[i], ends[i + 1]]);
  pairs.sort((a, b) => a[0] - b[0]);
  const found: number[] = [];
  for (const [from, to] of pairs) {
    const last = found.length - 1;
    if (last > 0 && from <= found[last] + SAME_MM) found[last] = Math.max(found[last], to);
    else found.push(from, to);
  }
  return found;
}

/** Faces nearer than this are one, mm. */
const SAME_MM = 1e-6;

/** Rays along z through an assembly: what some of its parts fill of each, by precedence. */
class Rays {
  private readonly taken = new Taken();
  /** Slices by station, of each region as soon as it is asked for. */
  private readonly cuts = new Map<number, Map<number, Slice | null>>();
  private readonly wanted: readonly boolean[];
  /** Nothing behind the last part that is wanted takes space from it. */
  private readonly count: number;

  constructor(
    private readonly assembly: Assembly,
    ids: readonly string[],
  ) {
    this.wanted = assembly.parts.map((p) => ids.includes(p.id));
    this.count = this.wanted.lastIndexOf(true) + 1;
  }

  filledAt(x: number, y: number): number[] {
    const { taken, wanted } = this;
    const found: number[] = [];
    if (!wanted.some((w, i) => w && this.heightsAt(i, x, y))) return found;
    taken.clear();
    for (let i = 0; i < this.count; i++) {
      const heights = this.heightsAt(i, x, y);
      if (!heights) continue;
      taken.claim(i, heights[0], heights[1], 0, 0, (_, from, to) => {
        if (wanted[i] && to - from > SAME_MM) found.push(from, to);
      });
    }
    return found;
  }

  /** From where to where along the ray the regions of a part have something in common; null where they do not. */
  private heightsAt(part: number, x: number, y: number): readonly [number, number] | null {
    let [low, high] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (const r of this.assembly.parts[part].regions) {
      const s = this.sliceAt(r, x);
      if (!s || !holds(s.ys, y)) return null;
      low = Math.max(low, s.low(y));
      high = Math.min(high, s.high(y));
    }
    return high > low ? [low, high] : null;
  }

  private sliceAt(region: number, x: number): Slice | null {
    const { xRange } = this.assembly.regions[region];
    if (!(x > xRange[0] && x < xRange[1])) return null;
    let slices = this.cuts.get(x);
    if (!slices) {
      if (this.cuts.size >= KEPT) this.cuts.clear();
      slices = new Map();
      this.cuts.set(x, slices);
    }
    let slice = slices.get(region);
    if (slice === undefined) {
      slice = this.assembly.regions[region].sliceAt(x);
      slices.set(region, slice);
    }
    return slice;
  }
}
