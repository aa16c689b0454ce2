import { limitsIn } from "../../base/record/fields";
import { followed } from "../../kinds/guardFittings/kind";
import { fittingsOn } from "../../kinds/guardFittings/registry";
import type { Design, Guard } from "../../knife/design/schema";
import { fittingPlace } from "../../knife/layout/fittingPlace";
import { guardFaceAt, guardThickness } from "../../knife/layout/guard";
import { layoutOf } from "../../knife/layout/layout";
import { type BenchPoint, setHeld } from "./types";

/** What of the guard can be dragged on the side view. */
export function guardPoints(design: Design): BenchPoint[] {
  const { guard } = design;
  if (!guard) return [];
  const points = [...platePoints(guard), ...fittingPoints(design, guard)];
  return guard.mesh ? points : [...points, ...endPoints(guard)];
}

/** The ends over and under the axis, with their sweep. */
function endPoints(guard: Guard): BenchPoint[] {
  const points: BenchPoint[] = [
    {
      id: "guard-top",
      name: { point: "guard-top" },
      at: { x: guardFaceAt(guard, 0, guard.aboveMm), y: guard.aboveMm },
      move: (d, to) => {
        if (!d.guard) return;
        setHeld(d, "guard.aboveMm", to.y);
        if (guard.aboveMm > guard.bossMm) setHeld(d, "guard.sweepAboveMm", to.x);
      },
      fields: [{ path: "guard.aboveMm" }, { path: "guard.sweepAboveMm" }],
    },
    {
      id: "guard-bottom",
      name: { point: "guard-bottom" },
      at: { x: guardFaceAt(guard, 0, -guard.belowMm), y: -guard.belowMm },
      move: (d, to) => {
        if (!d.guard) return;
        setHeld(d, "guard.belowMm", -to.y);
        if (guard.belowMm > guard.bossMm) setHeld(d, "guard.sweepBelowMm", to.x);
      },
      fields: [{ path: "guard.belowMm" }, { path: "guard.sweepBelowMm" }],
    },
  ];
  if (guard.aboveMm > guard.bossMm || guard.belowMm > guard.bossMm)
    points.push({
      id: "guard-boss",
      name: { point: "guard-middle" },
      at: { x: 0, y: guard.bossMm },
      corner: true,
      move: (d, to) => {
        if (d.guard) setHeld(d, "guard.bossMm", Math.abs(to.y));
      },
      fields: [{ path: "guard.bossMm" }],
    });
  return points;
}

/** The rear face of each plate. */
function platePoints(guard: Guard): BenchPoint[] {
  let from = 0;
  return guard.plates.map((plate, i) => {
    const front = from;
    from += plate.thicknessMm;
    return {
      id: `guard-plate-${i + 1}`,
      name: { point: "plate", number: guard.plates.length > 1 ? i + 1 : null },
      at: { x: -from, y: 0 },
      move: (d, to) => {
        if (d.guard) setHeld(d, `guard.plates.${i}.thicknessMm`, -to.x - front);
      },
      fields: [{ path: `guard.plates.${i}.thicknessMm` }],
    };
  });
}

/** What is fitted to the guard, by the points that its kinds give. */
function fittingPoints(design: Design, guard: Guard): BenchPoint[] {
  const place = fittingPlace(layoutOf(design));
  if (!place) return [];
  return fittingsOn(guard).flatMap(({ kind: { kind, fields, points }, fitting }) => {
    const path = `guard.fittings.${guard.fittings.indexOf(fitting)}`;
    return points(fitting, place).map(
      ({ at, x, y }, i): BenchPoint => ({
        id: i === 0 ? `fitting-${kind}` : `fitting-${kind}-${i + 1}`,
        name: { point: "fitting", fitting: kind },
        at,
        move: (d, to) => {
          if (x) setHeld(d, `${path}.${x.field}`, followed(x, to.x));
          if (y) setHeld(d, `${path}.${y.field}`, followed(y, to.y));
        },
        fields: Object.keys(fields)
          .filter((key) => limitsIn(fields, key))
          .map((key) => ({ path: `${path}.${key}` })),
      }),
    );
  });
}

/** The guard's width, on the view from above. */
export function guardPlanPoints({ guard }: Design): BenchPoint[] {
  if (!guard || guard.mesh) return [];
  return [
    {
      id: "guard-width",
      name: { point: "guard-width" },
      at: { x: -guardThickness(guard) / 2, y: guard.widthMm / 2 },
      move: (d, to) => {
        if (d.guard) setHeld(d, "guard.widthMm", 2 * to.y);
      },
      fields: [{ path: "guard.widthMm" }],
    },
  ];
}
