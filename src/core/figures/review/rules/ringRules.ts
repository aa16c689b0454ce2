import { upToTenth } from "../../../base/number";
import { ROUNDING } from "../../../base/tolerances";
import { fingerMm, fingerSpacingMm, LEAST_ROOM_MM } from "../../../knife/design/fingerRings";
import { ringsOf } from "../../../knife/design/handleParts";
import type { Found } from "../types";
import { found, PRACTICE, type Rule } from "./context";

/** A ring that the hand's finger goes into. */
const narrow: Rule = {
  code: "ring-narrow",
  limit: LEAST_ROOM_MM,
  unit: "mm",
  source: `${PRACTICE}: the finger's breadth and 2 mm`,
  check: (c) => {
    const { handle, workshop } = c.design;
    const limit = c.limit("ring-narrow");
    const finger = fingerMm(workshop.handMm);
    return ringsOf(handle).flatMap((r, i): Found[] => {
      const room = r.boreMm - finger;
      if (room >= limit - ROUNDING) return [];
      const boreMm = upToTenth(finger + limit);
      return [
        found("ring-narrow", "warning", {
          at: { x: r.xMm, y: r.yMm },
          subject: r.id,
          measured: room,
          limit,
          // It grows downward: what it stands under stays.
          fix: {
            kind: "set",
            changes: [
              { path: `handle.rings.${i}.boreMm`, value: boreMm },
              { path: `handle.rings.${i}.yMm`, value: r.yMm - (boreMm - r.boreMm) / 2 },
            ],
          },
        }),
      ];
    });
  },
};

/** How far a finger is spread beside its neighbour without strain, mm. */
const SPREAD_MM = 8;

/** Rings that stand as the hand's fingers do. */
const spacing: Rule = {
  code: "ring-spacing",
  limit: SPREAD_MM,
  unit: "mm",
  source: `${PRACTICE}: fingers stand a quarter of the hand's breadth apart`,
  check: (c) => {
    const { handle, workshop } = c.design;
    const limit = c.limit("ring-spacing");
    const wanted = fingerSpacingMm(workshop.handMm);
    const rings = ringsOf(handle)
      .map((ring, i) => ({ ring, i }))
      .sort((a, b) => b.ring.xMm - a.ring.xMm);
    return rings.slice(1).flatMap(({ ring }, k): Found[] => {
      const before = rings[k].ring;
      const apart = Math.hypot(ring.xMm - before.xMm, ring.yMm - before.yMm);
      const off = apart - wanted;
      if (Math.abs(off) <= limit + ROUNDING) return [];
      // All behind it move with it. To a tenth on the near side of what is allowed.
      const by = Math.sign(off) * upToTenth(Math.abs(off) - limit);
      return [
        found("ring-spacing", "warning", {
          at: { x: ring.xMm, y: ring.yMm },
          subject: ring.id,
          measured: Math.abs(off),
          limit,
          fix: {
            kind: "set",
            changes: rings
              .slice(k + 1)
              .map((r) => ({ path: `handle.rings.${r.i}.xMm`, value: r.ring.xMm + by })),
          },
        }),
      ];
    });
  },
};

export const RING_RULES: readonly Rule[] = [narrow, spacing];
