import type { Measured } from "./schema";

/**
 * Balance of a blade from the datum, mm. On two supports the scale under one bears R of the weight m, so it balances
 * R·L/m from the other. Common practice; moments about the resting support.
 */
export function measuredBalanceMm({ balance, massG }: Measured): number {
  if (balance.kind === "direct") return balance.xMm;
  return balance.restAtMm + (balance.readingG * (balance.scaleAtMm - balance.restAtMm)) / massG;
}
