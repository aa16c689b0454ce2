import type { FitUp } from "./schema";

/**
 * How a knife is fitted up before its maker says otherwise: pins that slide in with epoxy, loads of hard use. Common
 * practice, no source; every figure can be changed.
 */
export function plainFitUp(): FitUp {
  return {
    pinFit: "slide",
    pinProudShare: 0.75,
    slotClearanceMm: 0.05,
    filingMm: 0.2,
    grinding: { softEdgeMm: 1, flatsMm: 0.05 },
    screwedToo: false,
    stock: { have: [] },
    thrust: false,
    loads: { sideN: 150, edgeN: 300, atMm: 60, yieldMPa: 1000 },
    climate: { low: 30, high: 70 },
    limits: {},
    accepted: [],
  };
}
