import type { Design, Guard } from "@/core/design/schema";
import { followed } from "@/core/guardFittings/kind";
import { fittingsOn } from "@/core/guardFittings/registry";
import { fittingPlace } from "@/core/layout/fittingPlace";
import { guardFaceAt, guardThickness } from "@/core/layout/guard";
import { layoutOf } from "@/core/layout/layout";
import { own } from "@/core/own";
import { limitsIn } from "@/core/record/fields";
import { FITTING_WORDS } from "@/words/fittings";
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
      title: "Guard's upper end",
      at: { x: guardFaceAt(guard, 0, guard.aboveMm), y: guard.aboveMm },
      move: (d, to) => {
        if (!d.guard) return;
        setHeld(d, "guard.aboveMm", to.y);
        if (guard.aboveMm > guard.bossMm) setHeld(d, "guard.sweepAboveMm", to.x);
      },
      fields: [
        { label: "Above the axis", path: "guard.aboveMm" },
        { label: "Leans forward", path: "guard.sweepAboveMm" },
      ],
    },
    {
      id: "guard-bottom",
      title: "Guard's lower end",
      at: { x: guardFaceAt(guard, 0, -guard.belowMm), y: -guard.belowMm },
      move: (d, to) => {
        if (!d.guard) return;
        setHeld(d, "guard.belowMm", -to.y);
        if (guard.belowMm > guard.bossMm) setHeld(d, "guard.sweepBelowMm", to.x);
      },
      fields: [
        { label: "Below the axis", path: "guard.belowMm" },
        { label: "Leans forward", path: "guard.sweepBelowMm" },
      ],
    },
  ];
  if (guard.aboveMm > guard.bossMm || guard.belowMm > guard.bossMm)
    points.push({
      id: "guard-boss",
      title: "End of the guard's middle",
      at: { x: 0, y: guard.bossMm },
      corner: true,
      move: (d, to) => {
        if (d.guard) setHeld(d, "guard.bossMm", Math.abs(to.y));
      },
      fields: [{ label: "Flat centre, half height", path: "guard.bossMm" }],
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
      title: guard.plates.length > 1 ? `Rear of plate ${i + 1}` : "Guard's rear face",
      at: { x: -from, y: 0 },
      move: (d, to) => {
        if (d.guard) setHeld(d, `guard.plates.${i}.thicknessMm`, -to.x - front);
      },
      fields: [{ label: "Thickness", path: `guard.plates.${i}.thicknessMm` }],
    };
  });
}

/** What is fitted to the guard, by the points that its kinds give. */
function fittingPoints(design: Design, guard: Guard): BenchPoint[] {
  const place = fittingPlace(layoutOf(design));
  if (!place) return [];
  return fittingsOn(guard).flatMap(({ kind: { kind, fields, points }, fitting }) => {
    const { point, fields: called } = FITTING_WORDS[kind];
    const path = `guard.fittings.${guard.fittings.indexOf(fitting)}`;
    return points(fitting, place).map(
      ({ at, x, y }, i): BenchPoint => ({
        id: i === 0 ? `fitting-${kind}` : `fitting-${kind}-${i + 1}`,
        title: point,
        at,
        move: (d, to) => {
          if (x) setHeld(d, `${path}.${x.field}`, followed(x, to.x));
          if (y) setHeld(d, `${path}.${y.field}`, followed(y, to.y));
        },
        fields: Object.keys(fields)
          .filter((key) => limitsIn(fields, key))
          .map((key) => ({ label: own(called, key) ?? key, path: `${path}.${key}` })),
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
      title: "Guard's width",
      at: { x: -guardThickness(guard) / 2, y: guard.widthMm / 2 },
      move: (d, to) => {
        if (d.guard) setHeld(d, "guard.widthMm", 2 * to.y);
      },
      fields: [{ label: "Width", path: "guard.widthMm" }],
    },
  ];
}
