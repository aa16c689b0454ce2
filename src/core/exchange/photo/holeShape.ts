import { areaMoments } from "../../geometry/contours/areaMoments";
import type { Point } from "../../geometry/curve/bezier";

/** A hole was meant to be round that is no longer than this over its width, and no longer than so, mm. */
const MEANT_ROUND = 1.6;
const LARGEST_MM = 25;
/** Of an ellipse's points none lies farther off it than this share of its middle radius. */
const ELLIPTIC_SHARE = 0.2;

/** How long and how wide something is. */
export interface Oblong {
  readonly longMm: number;
  readonly shortMm: number;
}

/**
 * How long and how wide a hole is that was meant to be round and does not show so; null of a slot or an opening of another
 * form. By the axes of an area's second moments: of an ellipse of half axes a and b they are a²/4 and b²/4.
 */
export function almostRound(hole: readonly Point[]): Oblong | null {
  const moments = areaMoments(hole);
  if (!moments) return null;
  const { centre, xx, yy, xy } = moments;
  const [mean, apart] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  const [a, b] = [2 * Math.sqrt(mean + apart), 2 * Math.sqrt(Math.max(0, mean - apart))];
  if (!(b > 0) || a / b > MEANT_ROUND || 2 * a > LARGEST_MM) return null;
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const offs = hole.map((p) => {
    const [u, v] = [
      c * (p.x - centre.x) + s * (p.y - centre.y),
      -s * (p.x - centre.x) + c * (p.y - centre.y),
    ];
    return Math.abs(Math.hypot(u / a, v / b) - 1);
  });
  return Math.max(...offs) <= ELLIPTIC_SHARE ? { longMm: 2 * a, shortMm: 2 * b } : null;
}
