import { joined } from "../contours/clip";
import type { Point } from "../curve/bezier";
import { signChanges } from "../curve/roots";
import type { LeaningJoint } from "../layout/meetings";
import { radians } from "../number";
import type { Region } from "../solids/region";
import type { Slice } from "../solids/slice";
import { commonStretches } from "../views/silhouette";

/** Heights that a section is read at, and stations along a part. */
const ROWS = 360;
const STATIONS = 9;
/** Sheets reach no farther from the axis, mm. */
const REACH_MM = 150;
/** How far inside its ends a part is read, as a share of its length. */
const INSET = 1e-6;

/**
 * What a part covers seen along the knife, from the front: x is to the right of a holder (z of the frame), y up. What is
 * widest anywhere along it counts; of a sheet along a leaning joint, its face. Within 0.01 mm where its section changes evenly along it, as pieces of a handle do.
 */
export function frontOutline(
  stretches: readonly (readonly Region[])[],
  joint: LeaningJoint | null = null,
): Point[][] {
  return joined(stretches.flatMap((regions) => (joint ? alongJoint(regions, joint) : sections(regions))));
}

/** What a sheet covers that lies along a leaning joint, seen square to it: heights are measured along the sheet. */
function alongJoint(of: readonly Region[], { xMm, tiltDeg }: LeaningJoint): Point[][] {
  // The joint's own planes, and those of others beside it, do not limit the face.
  const regions = of.filter(
    (r) => r.kind !== "half-spaces" || r.planes.length > 1 || r.planes[0].normal[2] !== 0,
  );
  const [lean, longer] = [Math.tan(radians(tiltDeg)), 1 / Math.cos(radians(tiltDeg))];
  const pieces: Point[][] = [];
  let [left, right]: Point[][] = [[], []];
  const close = () => {
    if (left.length > 1) pieces.push([...right, ...left.reverse()]);
    [left, right] = [[], []];
  };
  const at = (y: number): readonly [number, number] | null => {
    const cuts = regions.map((r) => r.sliceAt(xMm + y * lean));
    if (cuts.some((c) => c === null)) return null;
    const ys = commonStretches(cuts.map((c) => c!.ys));
    const inside = ys.some((y0, k) => k % 2 === 0 && y >= y0 && y <= ys[k + 1]);
    const [low, high] = [Math.max(...cuts.map((c) => c!.low(y))), Math.min(...cuts.map((c) => c!.high(y)))];
    return inside && high > low && Number.isFinite(high - low) ? [low, high] : null;
  };
  const ends = signChanges((y) => (at(y) ? 1 : -1), -REACH_MM, REACH_MM, 2 * REACH_MM);
  for (let k = 0; k + 1 < ends.length; k += 2) {
    const [middle, half] = [(ends[k] + ends[k + 1]) / 2, (ends[k + 1] - ends[k]) / 2];
    for (let i = 0; i <= ROWS; i++) {
      const y = middle - half * (1 - 1e-9) * Math.cos((Math.PI * i) / ROWS);
      const z = at(y);
      if (!z) continue;
      left.push({ x: z[0], y: y * longer });
      right.push({ x: z[1], y: y * longer });
    }
    close();
  }
  return pieces;
}

function sections(regions: readonly Region[]): Point[][] {
  const plate = regions.length === 1 && regions[0].kind === "plate" ? regions[0].turned() : null;
  if (plate) return [plateFace(plate)];
  const x0 = Math.max(...regions.map((r) => r.xRange[0]));
  const x1 = Math.min(...regions.map((r) => r.xRange[1]));
  if (!(x1 > x0)) return [];
  return Array.from({ length: STATIONS }, (_, i) => {
    const share = INSET + ((1 - 2 * INSET) * i) / (STATIONS - 1);
    const cuts = regions.map((r) => r.sliceAt(x0 + (x1 - x0) * share));
    return cuts.some((c) => c === null) ? [] : sectionOf(cuts as Slice[]);
  }).flat();
}

/** A plate as wide as it is at each height, whatever its arms do along the knife. */
function plateFace(turned: Region): Point[] {
  const [low, high] = turned.xRange;
  const halfAt = (y: number) => Math.max(0, turned.sliceAt(y)?.high(0) ?? 0);
  const rows = Array.from({ length: ROWS + 1 }, (_, i) => {
    const share = (1 - Math.cos((Math.PI * i) / ROWS)) / 2;
    const y = low + (high - low) * share;
    const inside = low + (high - low) * Math.min(1 - INSET, Math.max(INSET, share));
    return { y, half: halfAt(inside) };
  });
  return [
    ...rows.map(({ y, half }) => ({ x: half, y })),
    ...rows.reverse().map(({ y, half }) => ({ x: -half, y })),
  ];
}

/** The pieces of one section. */
function sectionOf(cuts: readonly Slice[]): Point[][] {
  const ys = commonStretches(cuts.map((c) => c.ys));
  const pieces: Point[][] = [];
  for (let k = 0; k + 1 < ys.length; k += 2) {
    const [middle, half] = [(ys[k] + ys[k + 1]) / 2, (ys[k + 1] - ys[k]) / 2];
    let [left, right]: Point[][] = [[], []];
    const close = () => {
      if (left.length > 1) pieces.push([...right, ...left.reverse()]);
      [left, right] = [[], []];
    };
    for (let i = 0; i <= ROWS; i++) {
      const y = middle - half * (1 - 1e-9) * Math.cos((Math.PI * i) / ROWS);
      const [low, high] = [Math.max(...cuts.map((c) => c.low(y))), Math.min(...cuts.map((c) => c.high(y)))];
      if (!(high >= low) || !Number.isFinite(high - low)) close();
      else {
        left.push({ x: low, y });
        right.push({ x: high, y });
      }
    }
    close();
  }
  return pieces;
}
