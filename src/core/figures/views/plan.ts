import { clamp } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import type { Slice } from "../../geometry/solids/slice";
import type { PartKey } from "../../knife/parts/partKey";
import type { Assembly } from "../../knife/parts/types";
import { commonStretches } from "./silhouette";

/** Stations that the view from above is drawn at. */
const STATIONS = 90;

/** A part from above. */
export interface PlanShape {
  readonly key: PartKey;
  readonly id: string;
  readonly material: string;
  /** x, and height over the centre plane to the left: +z, to the right, is downward. */
  readonly loops: readonly (readonly Point[])[];
}

/**
 * The parts from above, spine toward the eye: the widest reach of each at each station, the ones nearer the middle
 * last. Parts for which `skip` holds are left out, voids too.
 */
export function planShapes({ regions, parts }: Assembly, skip: (part: Assembly["parts"][number]) => boolean) {
  const shapes: PlanShape[] = [];
  for (const part of [...parts].reverse()) {
    if (part.materials.length === 0 || skip(part)) continue;
    const of = part.regions.map((r) => regions[r]);
    const a = Math.max(...of.map((r) => r.xRange[0]));
    const b = Math.min(...of.map((r) => r.xRange[1]));
    if (!(b > a)) continue;
    const loops: Point[][] = [];
    let [upper, lower]: Point[][] = [[], []];
    const close = () => {
      if (upper.length > 1) loops.push([...upper, ...lower.reverse()]);
      [upper, lower] = [[], []];
    };
    const steps = clamp(Math.ceil((b - a) / 1.2), 6, STATIONS);
    for (let i = 0; i <= steps; i++) {
      const x = a + INSIDE_MM + ((b - a - 2 * INSIDE_MM) * i) / steps;
      const reach = reachAt(of.map((r) => r.sliceAt(x)));
      if (!reach) close();
      else {
        upper.push({ x, y: -reach[0] });
        lower.push({ x, y: -reach[1] });
      }
    }
    close();
    if (loops.length > 0)
      shapes.push({ key: part.key, id: part.id, material: part.materials[0].materialId, loops });
  }
  return shapes;
}

/** Lowest and highest z at one station, read at five heights of each stretch. */
function reachAt(cuts: readonly (Slice | null)[]): [number, number] | null {
  if (cuts.some((c) => c === null)) return null;
  const ys = commonStretches(cuts.map((c) => c!.ys));
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let k = 0; k + 1 < ys.length; k += 2) {
    for (const t of [0.1, 0.3, 0.5, 0.7, 0.9]) {
      const y = ys[k] + (ys[k + 1] - ys[k]) * t;
      const [z0, z1] = [Math.max(...cuts.map((c) => c!.low(y))), Math.min(...cuts.map((c) => c!.high(y)))];
      if (!(z1 > z0)) continue;
      low = Math.min(low, z0);
      high = Math.max(high, z1);
    }
  }
  return Number.isFinite(high - low) && high > low ? [low, high] : null;
}
