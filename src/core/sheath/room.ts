/** A point of a knife's cross-section: height y, and distance z from the middle plane, mm. */
export interface SectionPoint {
  readonly y: number;
  readonly z: number;
}

/** The outer line over points between two heights, from the higher to the lower end: what leather drawn over them follows. */
export function drawnOver(
  points: readonly SectionPoint[],
  high: SectionPoint,
  low: SectionPoint,
): readonly SectionPoint[] {
  const within = points.filter((p) => p.y <= high.y && p.y >= low.y);
  const sorted = [high, ...within, low].sort((a, b) => b.y - a.y || a.z - b.z);
  const chain: SectionPoint[] = [];
  for (const p of sorted) {
    while (chain.length > 1 && turnsIn(chain[chain.length - 2], chain[chain.length - 1], p)) chain.pop();
    chain.push(p);
  }
  // Over the lower end nothing stands out: the line ends there.
  return chain;
}

/** Whether the middle of three points, by falling height, lies on or inside of the line of the others. */
const turnsIn = (a: SectionPoint, b: SectionPoint, c: SectionPoint): boolean =>
  (a.y - b.y) * (c.z - b.z) - (b.y - c.y) * (b.z - a.z) >= -1e-12;

const along = (a: SectionPoint, b: SectionPoint) => Math.hypot(a.y - b.y, a.z - b.z);

/** Length of a line of points, mm. */
export const lengthOf = (line: readonly SectionPoint[]): number =>
  line.slice(1).reduce((sum, p, i) => sum + along(line[i], p), 0);

/** Room that a panel needs from a fold down to the welt's inner edge, flat, mm: half the spine, the flank, and the welt. */
export const fromFold = (
  points: readonly SectionPoint[],
  foldY: number,
  weltY: number,
  weltThickMm: number,
): number => lengthOf(drawnOver(points, { y: foldY, z: 0 }, { y: weltY, z: weltThickMm / 2 }));

/**
 * Room that one of two panels needs from one welt's inner edge to the other's, flat, mm: over and under the height at which
 * the section is thickest, where the leather lies flat on it.
 */
export function betweenWelts(
  points: readonly SectionPoint[],
  highY: number,
  lowY: number,
  weltThickMm: number,
): { readonly atY: number; readonly overMm: number; readonly underMm: number } {
  const half = weltThickMm / 2;
  const line = drawnOver(points, { y: highY, z: half }, { y: lowY, z: half });
  const thickest = Math.max(...line.map((p) => p.z));
  const flat = line.filter((p) => p.z > thickest - 1e-9).map((p) => p.y);
  const atY = (Math.max(...flat) + Math.min(...flat)) / 2;
  const at = { y: atY, z: thickest };
  return {
    atY,
    overMm: lengthOf([...line.filter((p) => p.y > atY), at]),
    underMm: lengthOf([at, ...line.filter((p) => p.y < atY)]),
  };
}
