import { type GreyImage, shadeAt } from "./image";

/** Shade inside and outside an edge is read so far from it, mm; an edge is moved by no more, and only where they differ. */
const BESIDE_MM = 0.9;
const MOST_MOVE_MM = 0.5;
const LEAST_STEP = 25;

/**
 * A border moved to where the shade is half way between what lies beside it: where light falls off over a photo, one
 * threshold for all of it lies too far in or out.
 */
export function onLocalEdge(image: GreyImage, border: readonly number[][], perMm: number): number[][] {
  const n = border.length;
  if (n < 8) return [...border];
  return border.map(([x, y], i) => {
    const [a, b] = [border[(i - 2 + n) % n], border[(i + 2) % n]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (!(length > 0)) return [x, y];
    const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
    // Contours run through pixels' corners: shades are sampled at their middles.
    const shade = (s: number) => shadeAt(image, x - 0.5 + nx * s, y - 0.5 + ny * s);
    const far = BESIDE_MM * perMm;
    const [low, high] = [shade(-far), shade(far)];
    if (low === null || high === null || Math.abs(high - low) < LEAST_STEP) return [x, y];
    const half = (low + high) / 2;
    const most = MOST_MOVE_MM * perMm;
    let best: number | null = null;
    let before = shade(-most);
    for (let s = -most + 0.5; s <= most; s += 0.5) {
      const here = shade(s);
      if (before !== null && here !== null && before > half !== here > half) {
        const met = s - 0.5 + (0.5 * (half - before)) / (here - before);
        if (best === null || Math.abs(met) < Math.abs(best)) best = met;
      }
      before = here;
    }
    return best === null ? [x, y] : [x + nx * best, y + ny * best];
  });
}
