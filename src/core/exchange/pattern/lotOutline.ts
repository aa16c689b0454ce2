import type { Point } from "../../geometry/curve/bezier";
import type { LotHole } from "../../shelf/lot";
import { type FoundShapes, likelyOutline } from "./found";

/** So many points an outline of a lot has at most: more are thinned out evenly. */
const MOST_POINTS = 400;
const MOST_HOLES = 60;

/** What a drawing says of a lot that is no box. */
export interface LotOutline {
  readonly outline: readonly Point[];
  readonly holes: readonly LotHole[];
}

/** The outline and the round holes of a lot in a drawing, from its lower left corner, mm; null where nothing closes. */
export function lotOutlineIn({ shapes }: FoundShapes): LotOutline | null {
  const found = likelyOutline(shapes);
  if (!found) return null;
  const step = Math.max(1, Math.ceil(found.points.length / MOST_POINTS));
  const kept = found.points.filter((_, i) => i % step === 0);
  const x0 = kept.reduce((least, p) => Math.min(least, p.x), Number.POSITIVE_INFINITY);
  const y0 = kept.reduce((least, p) => Math.min(least, p.y), Number.POSITIVE_INFINITY);
  const holes = shapes.flatMap((s) =>
    s.kind === "circle" ? [{ xMm: s.x - x0, yMm: s.y - y0, diameterMm: 2 * s.radiusMm }] : [],
  );
  return { outline: kept.map((p) => ({ x: p.x - x0, y: p.y - y0 })), holes: holes.slice(0, MOST_HOLES) };
}
