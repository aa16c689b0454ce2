import { length } from "../../base/record/fields";
import { ROUNDING } from "../../base/tolerances";
import { rodRegion } from "../../geometry/solids/turned";
import { fittingKind } from "./kind";

/** A round bite out of the lower end for the index finger, a void. */
export const notch = fittingKind({
  kind: "notch",
  fields: { radiusMm: length(1, 60), depthMm: length(0.5, 60) },
  start: () => ({ radiusMm: 9, depthMm: 6 }),
  precedence: "first",
  shapesGuard: true,
  seen: "void",
  build: ({ radiusMm, depthMm }, site) => {
    const y = -site.guard.belowMm + depthMm - radiusMm;
    const [x0, x1] = site.guardRange;
    const bite = site.put(rodRegion(x0 - 1, x1 + 1, y, radiusMm));
    for (const of of site.plates) site.add(null, bite, ...of);
  },
  faults: ({ radiusMm, depthMm }, { guard, bar, span, frontLowY }) => {
    const measured = -guard.belowMm + depthMm;
    const limit = bar?.low ?? frontLowY;
    const at = { x: span[1], y: measured };
    return [
      ...(measured > limit ? [{ rule: "notch-into-tang" as const, at, measured, limit }] : []),
      // Deeper than it is wide it is a hole, not open at the end.
      ...(depthMm > 2 * radiusMm + ROUNDING
        ? [{ rule: "notch-not-open" as const, at, measured: depthMm, limit: 2 * radiusMm }]
        : []),
    ];
  },
  points: ({ depthMm }, { guard, guardRange }) => [
    {
      at: { x: (guardRange[0] + guardRange[1]) / 2, y: -guard.belowMm + depthMm },
      y: { field: "depthMm", zero: -guard.belowMm, per: 1 },
    },
  ],
});
