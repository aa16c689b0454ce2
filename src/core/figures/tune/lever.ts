import { roundTo } from "../../base/number";
import type { Design } from "../../knife/design/schema";

/** What a change costs besides grams: work in metal, or a different look. */
export type LeverNature = "metal" | "look" | "plain";

/** One change that could be made to a knife. Amounts are counted in its own unit from the knife as it is. */
export interface Lever {
  readonly id: string;
  readonly unit: "mm" | "holes" | "choice";
  /** A sensible step. */
  readonly step: number;
  /** How far it can go, down and up. A choice is 0 or 1. */
  readonly low: number;
  readonly high: number;
  readonly nature: LeverNature;
  /** Of a choice, the material that it changes to. */
  readonly material: string | null;
  /** The knife with the change, or null where it has no meaning. */
  readonly apply: (design: Design, amount: number) => Design | null;
}

export const rounded = (mm: number) => roundTo(mm, 4);

/** A change of one length of the design by its amount. */
export function lengthLever(
  id: string,
  step: number,
  reach: readonly [number, number],
  nature: LeverNature,
  apply: Lever["apply"],
): Lever {
  return {
    id,
    unit: "mm",
    step,
    low: Math.min(0, reach[0]),
    high: Math.max(0, reach[1]),
    nature,
    material: null,
    apply,
  };
}
