import type { Point } from "../geometry/curve/bezier";
import { signedDistance } from "../geometry/curve/crossing";
import type { LotHole, LotShape } from "./lot";

/** What becomes of a hole that a lot has already. */
export interface OldHole {
  readonly hole: LotHole;
  readonly becomes: "reused" | "reamed" | "filled" | "outside";
}

/** How an outline lies in a lot: turned end for end, mirrored, and shifted by so much; what misses most, and where. */
export interface Laid {
  readonly turned: boolean;
  readonly mirrored: boolean;
  readonly dxMm: number;
  readonly dyMm: number;
  /** How far the outline with its allowance reaches outside at most, mm; 0 or less where it lies inside. */
  readonly missesMm: number;
  /** Where it does, in the piece's own frame; null where it lies inside. */
  readonly at: Point | null;
  readonly holes: readonly OldHole[];
}

export interface OutlineNeed {
  readonly outline: readonly Point[];
  readonly allowanceMm: number;
  /** Holes that the piece has, in its own frame: an old one of the same place is used again. */
  readonly holes: readonly LotHole[];
}

const boxOf = (points: readonly Point[]) => ({
  x0: points.reduce((m, p) => Math.min(m, p.x), Number.POSITIVE_INFINITY),
  x1: points.reduce((m, p) => Math.max(m, p.x), Number.NEGATIVE_INFINITY),
  y0: points.reduce((m, p) => Math.min(m, p.y), Number.POSITIVE_INFINITY),
  y1: points.reduce((m, p) => Math.max(m, p.y), Number.NEGATIVE_INFINITY),
});

/** Places a piece's points in the lot's frame. */
const placed = (
  { turned, mirrored, dxMm, dyMm }: Pick<Laid, "turned" | "mirrored" | "dxMm" | "dyMm">,
  p: Point,
): Point => ({
  x: (turned ? -p.x : p.x) + dxMm,
  // Turned end for end in its plane both signs change; mirrored it lies on its other face.
  y: (turned !== mirrored ? -p.y : p.y) + dyMm,
});

/** Holes nearer than this, and sizes, are the same, mm. */
const SAME_HOLE_MM = 0.3;
const STEPS = 8;
const ROUNDS = 5;

/**
 * How far an outline, with its allowance, reaches outside of a lot as it lies there, and the number of the point where; null as
 * soon as a point reaches `limit`. The point `first` is tried first: what missed a moment ago misses again, more likely than not.
 */
function misses(
  need: OutlineNeed,
  loop: readonly Point[],
  lie: Pick<Laid, "turned" | "mirrored" | "dxMm" | "dyMm">,
  limit: number,
  first: number,
): { readonly most: number; readonly at: number } | { readonly most: null; readonly at: number } {
  const { outline, allowanceMm } = need;
  let [most, at] = [Number.NEGATIVE_INFINITY, first];
  for (let i = 0; i < outline.length; i++) {
    const k = (first + i) % outline.length;
    const by = allowanceMm + signedDistance(loop, placed(lie, outline[k]));
    if (by >= limit) return { most: null, at: k };
    if (by > most) [most, at] = [by, k];
  }
  return { most, at };
}

/**
 * The best way to lay an outline into a lot that is no box: as it is, turned end for end, and with its faces changed where
 * that is allowed. Outlines are tried over the room that their boxes leave, ever closer about the best. mm.
 */
export function layInto(
  need: OutlineNeed,
  { outline, holes }: LotShape<"piece">,
  mayMirror = true,
): Laid | null {
  if (!outline || need.outline.length < 3) return null;
  const room = boxOf(outline);
  let best: (Pick<Laid, "turned" | "mirrored" | "dxMm" | "dyMm"> & { most: number; at: number }) | null =
    null;
  let worst = 0;
  for (const turned of [false, true])
    for (const mirrored of mayMirror ? [false, true] : [false]) {
      const box = boxOf(need.outline.map((p) => placed({ turned, mirrored, dxMm: 0, dyMm: 0 }, p)));
      let [x, y] = [(room.x0 + room.x1 - box.x0 - box.x1) / 2, (room.y0 + room.y1 - box.y0 - box.y1) / 2];
      // Room either way, and a little more where there is none: what does not fit is laid where it misses least.
      let [sx, sy] = [
        Math.max(2, Math.abs(room.x1 - room.x0 - (box.x1 - box.x0)) / 2),
        Math.max(2, Math.abs(room.y1 - room.y0 - (box.y1 - box.y0)) / 2),
      ];
      for (let round = 0; round < ROUNDS; round++) {
        const about = { x, y };
        for (let i = -STEPS; i <= STEPS; i++)
          for (let k = -STEPS; k <= STEPS; k++) {
            const lie = {
              turned,
              mirrored,
              dxMm: about.x + (i / STEPS) * sx,
              dyMm: about.y + (k / STEPS) * sy,
            };
            const found = misses(need, outline, lie, best?.most ?? Number.POSITIVE_INFINITY, worst);
            worst = found.at;
            if (found.most === null) continue;
            best = { ...lie, most: found.most, at: found.at };
            [x, y] = [lie.dxMm, lie.dyMm];
          }
        [sx, sy] = [(sx * 1.5) / STEPS, (sy * 1.5) / STEPS];
      }
    }
  if (!best) return null;
  const { most, at, ...lie } = best;
  const loop = need.outline.map((p) => placed(lie, p));
  const wanted = need.holes.map((h) => ({
    ...placed(lie, { x: h.xMm, y: h.yMm }),
    diameterMm: h.diameterMm,
  }));
  const becomes = (h: LotHole): OldHole["becomes"] => {
    const same = wanted.find((w) => Math.hypot(w.x - h.xMm, w.y - h.yMm) < SAME_HOLE_MM);
    if (same && Math.abs(same.diameterMm - h.diameterMm) < SAME_HOLE_MM / 3) return "reused";
    if (same && same.diameterMm > h.diameterMm) return "reamed";
    return signedDistance(loop, { x: h.xMm, y: h.yMm }) < h.diameterMm / 2 ? "filled" : "outside";
  };
  return {
    ...lie,
    missesMm: Math.max(0, most),
    at: most > 0 ? need.outline[at] : null,
    holes: holes.map((hole) => ({ hole, becomes: becomes(hole) })),
  };
}
