import type { Measured } from "./schema";

/** What is in the hand, once it has been weighed. */
export type Weighed = Measured & { readonly massG: number };

/** What is in the hand as it was weighed; null while it was not. */
export const weighed = (measured: Measured | null): Weighed | null =>
  measured && measured.massG !== null ? (measured as Weighed) : null;

/**
 * Balance of a blade from the datum, mm; null while it was not found. On two supports the scale under one bears R of the
 * weight m, so it balances R·L/m from the other. Common practice; moments about the resting support.
 */
export function measuredBalanceMm({ balance, massG }: Pick<Measured, "balance" | "massG">): number | null {
  if (balance.kind === "direct") return balance.xMm;
  const { restAtMm, scaleAtMm, readingG } = balance;
  if (massG === null || readingG === null) return null;
  return restAtMm + (readingG * (scaleAtMm - restAtMm)) / massG;
}
