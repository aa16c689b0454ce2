/**
 * Takes specks out of a field of values before its contours are followed: connected patches on either side of `threshold`
 * with fewer cells than `fewest` are put on the other side. What is left is few, however noisy the picture was. Changes
 * `values`; in time that goes with their number.
 */
export function withoutSpecks(
  values: number[],
  width: number,
  height: number,
  threshold: number,
  fewest: number,
): void {
  const seen = new Uint8Array(width * height);
  const patch: number[] = [];
  for (let start = 0; start < values.length; start++) {
    if (seen[start]) continue;
    const above = values[start] >= threshold;
    patch.length = 0;
    patch.push(start);
    seen[start] = 1;
    for (let i = 0; i < patch.length; i++) {
      const at = patch[i];
      const x = at % width;
      if (x > 0) visit(at - 1);
      if (x < width - 1) visit(at + 1);
      if (at >= width) visit(at - width);
      if (at < width * (height - 1)) visit(at + width);
    }
    if (patch.length >= fewest) continue;
    for (const at of patch) values[at] = above ? threshold - LEAST_STEP : threshold;

    function visit(at: number): void {
      if (seen[at] || values[at] >= threshold !== above) return;
      seen[at] = 1;
      patch.push(at);
    }
  }
}

/** A value below the threshold by next to nothing: the contour of what lies beside it stays where it was. */
const LEAST_STEP = 1e-6;
