import { ROUNDING } from "./tolerances";

/** A size that is not below the one that it goes into: larger, or just as large. */
export interface Misfit {
  readonly small: number;
  readonly large: number;
  /** Larger: it cannot be. What is just as large can, with nothing left between the two. */
  readonly isOver: boolean;
}

/** The first of several sizes, each with what it goes into, that is larger; else the first that is just as large; or null. */
export function misfitOf(pairs: readonly (readonly [small: number, large: number])[]): Misfit | null {
  const over = pairs.find(([small, large]) => !(small <= large + ROUNDING));
  const [small, large] = over ?? pairs.find(([s, l]) => !(s < l - ROUNDING)) ?? [];
  return small === undefined || large === undefined ? null : { small, large, isOver: over !== undefined };
}
