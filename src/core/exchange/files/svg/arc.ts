import { radians } from "../../../base/number";
import type { Point } from "../../../geometry/curve/bezier";

/**
 * Places along an elliptical arc of a path, without its beginning: radii, turn of the ellipse in degrees, the large and
 * the sweep flag, and the end. Radii that are too small are enlarged, of none it is straight.
 * @see SVG 2, appendix B.2.4, from endpoints to centre (from memory).
 */
export function ellipticalArc(from: Point, n: readonly number[], wholeChords: number): Point[] {
  const [, , deg, large, sweep, x, y] = n;
  const to = { x, y };
  let [rx, ry] = [Math.abs(n[0]), Math.abs(n[1])];
  if (!(rx > 0 && ry > 0) || (from.x === x && from.y === y)) return [to];
  const [c, s] = [Math.cos(radians(deg)), Math.sin(radians(deg))];
  const [dx, dy] = [(from.x - x) / 2, (from.y - y) / 2];
  const [u, v] = [c * dx + s * dy, c * dy - s * dx];
  const spread = (u / rx) ** 2 + (v / ry) ** 2;
  if (spread > 1) [rx, ry] = [rx * Math.sqrt(spread), ry * Math.sqrt(spread)];
  const left = Math.max(0, (rx * ry) ** 2 - (rx * v) ** 2 - (ry * u) ** 2);
  const k = (large === sweep ? -1 : 1) * Math.sqrt(left / ((rx * v) ** 2 + (ry * u) ** 2));
  const [cu, cv] = [(k * rx * v) / ry, (-k * ry * u) / rx];
  const centre = { x: c * cu - s * cv + (from.x + x) / 2, y: s * cu + c * cv + (from.y + y) / 2 };
  const begin = Math.atan2((v - cv) / ry, (u - cu) / rx);
  const end = Math.atan2((-v - cv) / ry, (-u - cu) / rx);
  const full = 2 * Math.PI;
  const turn = (((end - begin) % full) + full) % full;
  const angle = sweep ? turn : turn - full;
  const chords = Math.max(2, Math.ceil((Math.abs(angle) / full) * wholeChords));
  const along = Array.from({ length: chords - 1 }, (_, i) => {
    const t = begin + (angle * (i + 1)) / chords;
    const [p, q] = [rx * Math.cos(t), ry * Math.sin(t)];
    return { x: centre.x + c * p - s * q, y: centre.y + s * p + c * q };
  });
  return [...along, to];
}
