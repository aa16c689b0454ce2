import type { FitUp } from "./schema";

/**
 * How a knife is fitted up before its maker says otherwise: an inch shop's drills, pins that slide in with epoxy, a
 * slow epoxy at room temperature, loads of hard use. Common practice, no source; every figure can be changed.
 */
export function plainFitUp(): FitUp {
  return {
    drills: { sets: ["fraction", "number", "letter"], own: [] },
    pinFit: "slide",
    pinProudShare: 0.75,
    slotClearanceMm: 0.05,
    filingMm: 0.2,
    grinding: {
      softEdgeMm: 1,
      flatsMm: 0.05,
      wheelsMm: [19, 25, 50, 100, 150, 200, 250],
      filesMm: [4, 6, 8, 10, 12],
    },
    cuttersMm: [1.5, 2, 2.5, 3, 4, 5, 6, 8, 10],
    glue: {
      ratio: 1,
      densityA: 1.16,
      densityB: 1.0,
      lineMm: 0.1,
      wasteShare: 0.5,
      potLifeMin: 60,
      cureH: 24,
      atC: 22,
      shopC: 20,
      minutesAPart: 3,
      screwedToo: false,
    },
    stock: { kerfMm: 1.5, allowanceMm: 1.5, have: [] },
    hand: { breadthMm: 85, thrust: false },
    loads: { sideN: 150, edgeN: 300, atMm: 60, yieldMPa: 1000 },
    climate: { low: 30, high: 70 },
    limits: {},
    accepted: [],
  };
}
