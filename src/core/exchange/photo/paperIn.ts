import { contours } from "d3-contour";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";
import { type GreyImage, otsuThreshold } from "./image";
import { EDGE_REACH_SHARE } from "./picture";
import { inOrder } from "./planeScale";
import { foundCorners } from "./sheetEdges";

/** The picture is looked at this small for where a sheet lies, pixels along its longer side. */
const SMALL_PX = 500;
/** A sheet takes so much of the picture at least, and fills its four corners to between these shares. */
const LEAST_SHARE = 0.12;
const FILLED_SHARE = [0.9, 1.08] as const;

/** The corners of the largest light sheet in a photo, in its own pixels; null where there is none to see. */
export function paperIn(image: GreyImage): Point[] | null {
  const by = Math.max(1, Math.ceil(Math.max(image.width, image.height) / SMALL_PX));
  const small = shrunk(image, by);
  const [found] = contours()
    .size([small.width, small.height])
    .smooth(true)
    .thresholds([otsuThreshold(small)])(Array.from(small.data));
  const rings = (found?.coordinates ?? []).map(([outer]) =>
    outer.map(([x, y]): Point => ({ x: x * by, y: y * by })),
  );
  const largest = rings.reduce<Point[] | null>(
    (best, ring) => (best && enclosedArea(best) >= enclosedArea(ring) ? best : ring),
    null,
  );
  if (!largest || enclosedArea(largest) < LEAST_SHARE * image.width * image.height) return null;
  const most = (of: (p: Point) => number) => largest.reduce((best, p) => (of(p) > of(best) ? p : best));
  const rough = inOrder([
    most((p) => -p.x - p.y),
    most((p) => p.x - p.y),
    most((p) => p.x + p.y),
    most((p) => p.y - p.x),
  ]);
  const filled = rough ? enclosedArea(largest) / enclosedArea(rough) : 0;
  if (!rough || filled < FILLED_SHARE[0] || filled > FILLED_SHARE[1]) return null;
  const onRim = rough.filter(
    (p) => p.x < 2 * by || p.y < 2 * by || p.x > image.width - 2 * by || p.y > image.height - 2 * by,
  );
  // What runs out of the picture is no sheet with four corners in it.
  if (onRim.length > 0) return null;
  return foundCorners(image, rough, EDGE_REACH_SHARE * Math.max(image.width, image.height));
}

/** The picture with each square of so many pixels as one. */
function shrunk({ width, height, data }: GreyImage, by: number): GreyImage {
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const small = new Float32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (let v = 0; v < by; v++)
        for (let u = 0; u < by; u++) sum += data[(y * by + v) * width + x * by + u];
      small[y * w + x] = sum / (by * by);
    }
  return { width: w, height: h, data: small };
}
