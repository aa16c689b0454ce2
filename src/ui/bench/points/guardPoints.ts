import type { Design, Guard } from "@/core/design/schema";
import { guardFaceAt, guardThickness } from "@/core/layout/guard";
import { layoutOf } from "@/core/layout/layout";
import { type BenchPoint, held } from "./types";

/** What of the guard can be dragged on the side view. */
export function guardPoints(design: Design): BenchPoint[] {
  const { guard } = design;
  if (!guard) return [];
  const points = [...platePoints(guard), ...fittedPoints(design, guard)];
  return guard.mesh ? points : [...points, ...endPoints(guard)];
}

/** The ends over and under the axis, with their sweep. */
function endPoints(guard: Guard): BenchPoint[] {
  const middle = guardThickness(guard) * guard.endShare;
  const points: BenchPoint[] = [
    {
      id: "guard-top",
      title: "Guard's upper end",
      at: { x: guardFaceAt(guard, 0, guard.aboveMm), y: guard.aboveMm },
      move: (d, to) => {
        if (!d.guard) return;
        d.guard.aboveMm = held(to.y, 1, 150);
        if (guard.aboveMm > guard.bossMm) d.guard.sweepAboveMm = held(to.x, -80, 80);
      },
      fields: [
        { label: "Above the axis", path: "guard.aboveMm", min: 1, max: 150 },
        { label: "Leans forward", path: "guard.sweepAboveMm", min: -80, max: 80 },
      ],
    },
    {
      id: "guard-bottom",
      title: "Guard's lower end",
      at: { x: guardFaceAt(guard, 0, -guard.belowMm), y: -guard.belowMm },
      move: (d, to) => {
        if (!d.guard) return;
        d.guard.belowMm = held(-to.y, 1, 150);
        if (guard.belowMm > guard.bossMm) d.guard.sweepBelowMm = held(to.x, -80, 80);
      },
      fields: [
        { label: "Below the axis", path: "guard.belowMm", min: 1, max: 150 },
        { label: "Leans forward", path: "guard.sweepBelowMm", min: -80, max: 80 },
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
        if (d.guard) d.guard.bossMm = held(Math.abs(to.y), 1, 150);
      },
      fields: [{ label: "Half height of the middle", path: "guard.bossMm", min: 1, max: 150 }],
    });
  if (guard.notch) {
    const { depthMm } = guard.notch;
    points.push({
      id: "guard-notch",
      title: "Finger notch",
      at: { x: -middle / 2, y: -guard.belowMm + depthMm },
      move: (d, to) => {
        if (d.guard?.notch) d.guard.notch.depthMm = held(to.y + guard.belowMm, 0.5, 60);
      },
      fields: [
        { label: "Notch depth", path: "guard.notch.depthMm", min: 0.5, max: 60 },
        { label: "Notch radius", path: "guard.notch.radiusMm", min: 1, max: 60 },
      ],
    });
  }
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
        if (d.guard) d.guard.plates[i].thicknessMm = held(-to.x - front, 0.3, 60);
      },
      fields: [{ label: "Thickness", path: `guard.plates.${i}.thicknessMm`, min: 0.3, max: 60 }],
    };
  });
}

function fittedPoints(design: Design, { collar, dowels }: Guard): BenchPoint[] {
  const { frontX: front } = layoutOf(design);
  const middle = design.tang.kind === "full" ? 0 : design.tang.yMm;
  const points: BenchPoint[] = [];
  if (collar)
    points.push({
      id: "collar",
      title: "Collar's rear",
      at: { x: front - collar.lengthMm, y: -6 },
      move: (d, to) => {
        if (d.guard?.collar) d.guard.collar.lengthMm = held(front - to.x, 0.5, 60);
      },
      fields: [
        { label: "Collar length", path: "guard.collar.lengthMm", min: 0.5, max: 60 },
        { label: "Collar wall", path: "guard.collar.wallMm", min: 0.2, max: 20 },
      ],
    });
  if (dowels)
    points.push({
      id: "dowels",
      title: "Dowels",
      at: { x: front - dowels.lengthMm / 2, y: middle + dowels.spreadMm / 2 },
      move: (d, to) => {
        if (!d.guard?.dowels) return;
        d.guard.dowels.lengthMm = held(2 * (front - to.x), 1, 60);
        d.guard.dowels.spreadMm = held(2 * Math.abs(to.y - middle), 1, 150);
      },
      fields: [
        { label: "Apart", path: "guard.dowels.spreadMm", min: 1, max: 150 },
        { label: "Dowel length", path: "guard.dowels.lengthMm", min: 1, max: 60 },
      ],
    });
  return points;
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
        if (d.guard) d.guard.widthMm = held(2 * to.y, 1, 120);
      },
      fields: [{ label: "Width", path: "guard.widthMm", min: 1, max: 120 }],
    },
  ];
}
