import { clamp, roundTo } from "../../base/number";
import { boxOf, straightLoop } from "../../geometry/contours/loop";
import { through, turned } from "../../geometry/curve/affine";
import type { Point } from "../../geometry/curve/bezier";
import { enclosedArea } from "../../geometry/curve/crossing";
import type { Design } from "../../knife/design/schema";
import { guardWidthAt } from "../../knife/layout/guard";
import { layoutOf } from "../../knife/layout/layout";
import { aslantDeg, crossings, type Laid } from "./placing";

export type GuardApplied =
  | { readonly ok: true; readonly design: Design; readonly largestDeviationMm: number }
  /** The knife has no guard of plates to give an outline to. */
  | { readonly ok: false; readonly code: "no-guard" };

/** Heights that an outline is compared at. */
const ROWS = 60;

/**
 * The guard as it is drawn from the front, x to the side and y to the spine: its heights, its width, the roundness that
 * gives it its area, and room round the tang as its slot has it. One that a hand laid aslant is set upright. Where there is a slot, its middle is the tang's; without
 * one the outline's middle is.
 */
export function withGuardOutline(
  design: Design,
  seenOuter: readonly Point[],
  seenSlot: readonly Point[] | null,
  laid: Laid,
): GuardApplied {
  const { guard } = design;
  if (!guard || guard.mesh) return { ok: false, code: "no-guard" };
  const turn = turned(-aslantDeg(seenOuter, laid));
  const upright = (points: readonly Point[]) => points.map((p) => through(turn, p));
  const [outer, slot] = [upright(seenOuter), seenSlot && upright(seenSlot)];
  const seat = layoutOf(design).tangAt(0);
  const tangY = (seat.highY + seat.lowY) / 2;
  const box = boxOf([straightLoop(outer)])!;
  const slotBox = slot && boxOf([straightLoop(slot)]);
  const middle = slotBox ?? box;
  const [cx, cy] = [(middle.x0 + middle.x1) / 2, (middle.y0 + middle.y1) / 2];
  const mm = (value: number) => roundTo(value, 3);
  const clearance = slotBox
    ? (slotBox.y1 - slotBox.y0 - (seat.highY - seat.lowY) + slotBox.x1 - slotBox.x0 - 2 * seat.halfMm) / 4
    : null;
  const sized = {
    ...guard,
    aboveMm: clamp(mm(box.y1 - cy + tangY), 1, 150),
    belowMm: clamp(mm(cy - box.y0 - tangY), 1, 150),
    widthMm: clamp(mm(box.x1 - box.x0), 1, 120),
    armWidthMm: null,
    slot: {
      ...guard.slot,
      clearanceMm: clearance === null ? guard.slot.clearanceMm : clamp(mm(clearance), 0, 5),
    },
  };
  const areaMm2 = enclosedArea(outer);
  const shaped = { ...sized, roundness: roundnessFor(sized, areaMm2) };
  const rows = Array.from({ length: ROWS }, (_, i) => box.y0 + ((box.y1 - box.y0) * (i + 0.5)) / ROWS);
  const off = rows.map((y) => {
    const xs = crossings(
      outer.map((p) => ({ x: p.y, y: p.x })),
      y,
    );
    const half = guardWidthAt(shaped, y - cy + tangY) / 2;
    return xs.length > 1 ? Math.max(Math.abs(xs[xs.length - 1] - cx - half), Math.abs(cx - xs[0] - half)) : 0;
  });
  // Near its ends a width says little of how far the outlines are apart.
  const within = off.slice(ROWS / 10, -ROWS / 10);
  return { ok: true, design: { ...design, guard: shaped }, largestDeviationMm: Math.max(...within) };
}

/** The roundness that gives a plate an area, by halving: the area falls as it grows. */
function roundnessFor(guard: NonNullable<Design["guard"]>, areaMm2: number): number {
  const area = (roundness: number) => {
    const [low, high] = [-guard.belowMm, guard.aboveMm];
    const n = 400;
    // The middle of each strip, crowded toward the ends, where the width closes.
    return Array.from({ length: n }, (_, i) => {
      const [a, b] = [i, i + 1].map((k) => (1 - Math.cos((Math.PI * k) / n)) / 2);
      const y = low + ((high - low) * (a + b)) / 2;
      return guardWidthAt({ ...guard, roundness }, y) * (high - low) * (b - a);
    }).reduce((sum, s) => sum + s, 0);
  };
  let [least, most] = [0, 1];
  for (let i = 0; i < 30; i++) {
    const middle = (least + most) / 2;
    if (area(middle) > areaMm2) least = middle;
    else most = middle;
  }
  return roundTo((least + most) / 2, 4);
}
