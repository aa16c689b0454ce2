import { radians } from "../../base/number";
import { ROUNDING } from "../../base/tolerances";
import { lineAt } from "../../geometry/solids/line";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { linersThickness } from "../../knife/shapes/scales";

/** The handle's section at one station. */
export interface Girth {
  readonly behindMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
  /** All the way round, mm. */
  readonly girthMm: number;
  /** Height to thickness. */
  readonly ratio: number;
}

/** Stations at which the section is measured, as shares of the handle's length. */
const SHARES = [0.08, 0.25, 0.42, 0.58, 0.75, 0.9];

/** Sections along the handle, front first. Girth is measured on 120 chords. */
export function girths(design: Design): Girth[] {
  const { body, buttX: butt, frontX: front } = layoutOf(design);
  return SHARES.flatMap((share): Girth[] => {
    const x = front - share * (front - butt);
    const slice = body.sliceAt(x);
    if (!slice?.ys || slice.ys.length < 2) return [];
    const [low, high] = [slice.ys[0], slice.ys[slice.ys.length - 1]];
    let [thick, round] = [0, 0];
    let before: [number, number, number] | null = null;
    for (let i = 0; i <= 60; i++) {
      const y = (low + high) / 2 - ((high - low) / 2 - ROUNDING) * Math.cos((Math.PI * i) / 60);
      const at: [number, number, number] = [y, slice.low(y), slice.high(y)];
      thick = Math.max(thick, at[2] - at[1]);
      if (before)
        round += Math.hypot(y - before[0], at[1] - before[1]) + Math.hypot(y - before[0], at[2] - before[2]);
      else round += at[2] - at[1];
      before = at;
    }
    if (before) round += before[2] - before[1];
    return [
      {
        behindMm: -x,
        heightMm: high - low,
        thicknessMm: thick,
        girthMm: round,
        ratio: thick > 0 ? (high - low) / thick : 0,
      },
    ];
  });
}

/** Length that the fingers have: from the guard, or the front, to the butt. */
export function gripLength(design: Design): number {
  const { buttX, frontX } = layoutOf(design);
  return frontX - buttX;
}

/** What the handle should measure at least for a hand: its breadth and 10 mm. Common practice, no source. */
export function wantedGrip(breadthMm: number): number {
  return breadthMm + 10;
}

/**
 * What is left of a front bevel once the handle is contoured: the bevel as it is cut on the stock less what the face
 * loses in thickness over tan(angle). Null without one. Common practice, geometry.
 */
export function bevelLeft(design: Design): { cutMm: number; lostMm: number; leftMm: number } | null {
  const { handle } = design;
  if (handle.kind !== "scales" || !handle.frontBevel) return null;
  const { frontX, tangFace, crowns } = layoutOf(design);
  const bevel = handle.frontBevel;
  const x = frontX - bevel.lengthMm;
  const thinner = Math.min(handle.right.thicknessMm, handle.left.thicknessMm);
  const stock = lineAt(tangFace, x) + linersThickness(handle) + thinner;
  const removed = Math.max(0, stock - Math.min(crowns.right.at(x), crowns.left.at(x)));
  const lost = removed / Math.tan(radians(bevel.angleDeg));
  return { cutMm: bevel.lengthMm + lost, lostMm: lost, leftMm: bevel.lengthMm };
}
