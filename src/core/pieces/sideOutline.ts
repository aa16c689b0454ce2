import { joined } from "../contours/clip";
import type { Point } from "../curve/bezier";
import { clamp } from "../number";
import { rangeOf } from "../solids/extent";
import { halfSpaceRegion } from "../solids/halfSpace";
import type { Region } from "../solids/region";
import { throughSlice } from "../solids/slice";
import { commonStretches } from "../views/silhouette";

/** How far inside its ends a stretch is read, as a share of it: at the very end the cut may be empty. */
const INSET = 1e-9;
/** Stretches between two breaks shorter than this hold nothing, mm. */
const LEAST_MM = 1e-5;
/** How far a strip reaches into its neighbours, mm: two steps of the grid that they are joined on. */
const OVERLAP_MM = 2e-4;
/** Stations a millimetre between two breaks, and how few and how many there are at least and most. */
const PER_MM = 3;
const FEWEST = 24;
const MOST = 400;

/**
 * What stretches of a part cover, seen from the side: closed chord lines, outer ones counter-clockwise and holes the
 * other way. Each stretch is what its regions have in common. Chords lie within some 0.001 mm of the outline: stations
 * crowd toward every place where a surface begins, ends or turns.
 */
export function sideOutline(
  stretches: readonly (readonly Region[])[],
  without: readonly (readonly Point[])[] = [],
): Point[][] {
  return joined(stretches.flatMap(strips), without);
}

/** The pieces between one break and the next, each with an upper and a lower edge. */
function strips(of: readonly Region[]): Point[][] {
  const depth = of.some(isUndercut) ? (rangeOf(of)?.[2] ?? null) : null;
  const regions = depth ? of.map((r) => (isUndercut(r) ? footprint(r, depth) : r)) : of;
  const x0 = Math.max(...regions.map((r) => r.xRange[0]));
  const x1 = Math.min(...regions.map((r) => r.xRange[1]));
  if (!(x1 - x0 > LEAST_MM)) return [];
  const breaks = regions.flatMap((r) => r.breaks.map((b) => b.x)).filter((x) => x > x0 && x < x1);
  const ends = [x0, ...breaks, x1]
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - all[i - 1] > LEAST_MM);
  return ends.slice(1).flatMap((to, i) => between(regions, ends[i], to));
}

type Undercut = Region & { readonly kind: "half-spaces" };

/** Whether a region is limited by planes that lean across the knife as well as along it. */
const isUndercut = (r: Region): r is Undercut =>
  r.kind === "half-spaces" && r.planes.some(({ normal: [nx, ny, nz] }) => nz !== 0 && (nx !== 0 || ny !== 0));

/** What such planes leave at whichever height over the centre plane they leave most, between two heights. */
function footprint(region: Undercut, [low, high]: readonly [number, number]): Region {
  const sides = region.planes.map(({ normal: [nx, ny, nz], offsetMm }) =>
    halfSpaceRegion(
      { normal: [nx, ny, 0], offsetMm: offsetMm - Math.min(nz * low, nz * high) },
      region.xRange,
    ),
  );
  return {
    ...region,
    sliceAt: (x) => {
      const cuts = sides.map((s) => s.sliceAt(x));
      if (cuts.some((c) => c === null)) return null;
      const ys = cuts.every((c) => c!.ys === null) ? null : commonStretches(cuts.map((c) => c!.ys));
      return throughSlice(ys);
    },
  };
}

function between(regions: readonly Region[], from: number, to: number): Point[][] {
  const steps = clamp(Math.ceil((to - from) * PER_MM), FEWEST, MOST);
  const loops: { upper: Point[]; lower: Point[] }[] = [];
  let open: typeof loops = [];
  for (let i = 0; i <= steps; i++) {
    const share = (1 - Math.cos((Math.PI * i) / steps)) / 2;
    const x = from + (to - from) * clamp(share, INSET, 1 - INSET);
    const cuts = regions.map((r) => r.sliceAt(x));
    const ys = cuts.some((c) => c === null) ? [] : commonStretches(cuts.map((c) => c!.ys));
    if (ys.length / 2 !== open.length) {
      open = Array.from({ length: ys.length / 2 }, () => ({ upper: [], lower: [] }));
      loops.push(...open);
    }
    // Strips reach a hair beyond their ends: neighbours whose ends are unlike overlap there, and join.
    const beyond = i === 0 ? -OVERLAP_MM : i === steps ? OVERLAP_MM : 0;
    const at = from + (to - from) * share + beyond;
    open.forEach((loop, k) => {
      loop.lower.push({ x: at, y: ys[2 * k] });
      loop.upper.push({ x: at, y: ys[2 * k + 1] });
    });
  }
  return loops.filter((l) => l.upper.length > 1).map((l) => [...l.lower, ...l.upper.reverse()]);
}
