import { type Cubic, cubicDx, cubicX, cubicY, parameterAtX } from "./bezier";
import { gaussRule } from "./gauss";

/** What the area beside one stretch may be off, mm²: about a millionth of a handle's from the side. */
const MOST_OFF_MM2 = 0.02;
const MOST_HALVINGS = 6;
/** dx/dt below this share of its mean over the stretch is a turning point there. */
const TURNING = 1e-6;

/**
 * Parameters that cut a stretch of a segment that is monotone in x until the area beside each piece comes out of few points
 * along x: where an outline stands nearly upright, y runs nearly like a root in x, though it turns nowhere. A turning
 * point at an end is substituted by its root, as an integration over x does.
 */
export function steepPlaces(cubic: Cubic, t0: number, t1: number, halvings = MOST_HALVINGS): number[] {
  if (halvings === 0 || Math.abs(offAlongX(cubic, t0, t1)) < MOST_OFF_MM2) return [];
  const at = (t0 + t1) / 2;
  return [...steepPlaces(cubic, t0, at, halvings - 1), at, ...steepPlaces(cubic, at, t1, halvings - 1)];
}

/** By how much the area between a stretch and its lower end comes out wrong along x, mm². */
function offAlongX(cubic: Cubic, t0: number, t1: number): number {
  const [x0, x1] = [cubicX(cubic, t0), cubicX(cubic, t1)];
  const length = Math.abs(x1 - x0);
  if (!(length > 0)) return 0;
  // y·dx/dt is of the fifth degree: three points are exact.
  const exact = overUnit(
    3,
    (s) => cubicY(cubic, t0 + (t1 - t0) * s) * cubicDx(cubic, t0 + (t1 - t0) * s) * (t1 - t0),
  );
  const turning = (t: number) => Math.abs(cubicDx(cubic, t)) * (t1 - t0) < TURNING * length;
  const [root0, root1] = [turning(t0), turning(t1)];
  const y = (share: number) => cubicY(cubic, parameterAtX(cubic, t0, t1, x0 + (x1 - x0) * share));
  const points = Math.ceil(2 + length / 10) + (root0 && root1 ? 4 : root0 || root1 ? 1 : 0);
  const along = overUnit(points, (s) => {
    if (root0 && root1) return (y((1 - Math.cos(Math.PI * s)) / 2) * Math.PI * Math.sin(Math.PI * s)) / 2;
    if (root0) return y(s * s) * 2 * s;
    if (root1) return y(1 - s * s) * 2 * s;
    return y(s);
  });
  return along * (x1 - x0) - exact;
}

/** The integral over [0, 1] by n points. */
function overUnit(n: number, of: (s: number) => number): number {
  const { nodes, weights } = gaussRule(n);
  let sum = 0;
  for (let i = 0; i < n; i++) sum += (weights[i] / 2) * of((nodes[i] + 1) / 2);
  return sum;
}
