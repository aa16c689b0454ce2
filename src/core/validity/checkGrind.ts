import type { Design, Grind, SideGrind } from "../design/schema";
import { bladeEdges } from "../layout/bladeParts";
import { groundBlade } from "../layout/groundBlade";
import { plungeX } from "../solids/bladeFace";
import { type GrindCut, groundThickness, isDouble } from "../solids/grind";
import { faceHeightAt } from "../solids/groundBlade";
import { INSIDE_MM, ROUNDING } from "../tolerances";
import type { Report } from "./types";

/** How both sides are ground, and where the ground faces begin. */
export function checkGrind(design: Design, report: Report): void {
  const { blade } = design;
  const [edge, spine] = bladeEdges(blade, blade.ricassoMm + INSIDE_MM);
  for (const grind of [blade.grind, ...(blade.leftGrind ? [blade.leftGrind] : [])])
    checkFace(design, grind, [edge, spine], report);
  if (blade.grind.kind === "single-bevel" && blade.leftGrind)
    report("warning", "left-grind-unused", { at: { x: blade.ricassoMm, y: (edge + spine) / 2 } });
  const stations = [edge, spine].map((y) => plungeX(groundBlade(blade), edge, y));
  const off = stations.find((x) => x < 0 || x > blade.lengthMm);
  if (off !== undefined && blade.plunge.sweepDeg !== 0)
    report("warning", "plunge-off-blade", {
      at: { x: blade.ricassoMm, y: spine },
      measured: off,
      limit: off < 0 ? 0 : blade.lengthMm,
    });
}

/** One side's face, at the heel, where it is highest. */
function checkFace(
  { blade }: Design,
  grind: Grind | SideGrind,
  [edge, spine]: readonly [number, number],
  report: Report,
): void {
  const high = blade.outline ? spine - edge : blade.heelHeightMm;
  const x = blade.ricassoMm;
  const heel = { x, y: edge };
  if ("heightMm" in grind) {
    const heights = grind.along.length > 0 ? grind.along.map((p) => p.heightMm) : [grind.heightMm];
    const most = Math.max(...heights);
    if (most > Math.max(high, blade.heelHeightMm) + ROUNDING)
      report("warning", "grind-higher-than-blade", { at: heel, measured: most, limit: high });
  }
  if (grind.kind !== "hollow" && grind.kind !== "double-hollow") return;
  const share = isDouble(grind) ? Math.max(grind.ridgeShare, 1 - grind.ridgeShare) : 1;
  const faceMm = isDouble(grind) ? share * high : faceHeightAt(grind, x, high);
  const cut: GrindCut = { spineMm: blade.spineMm, edgeMm: blade.edgeMm, faceMm };
  const chord = Math.hypot(faceMm, (blade.spineMm - blade.edgeMm) / 2);
  const at = { x, y: edge + faceMm / 2 };
  if (2 * grind.wheelRadiusMm <= chord) {
    report("error", "hollow-wheel-too-small", { at, measured: grind.wheelRadiusMm, limit: chord / 2 });
    return;
  }
  // The thinnest spot of a hollow lies low on the face; a dozen places find it to a few per cent.
  const thin = Math.min(
    ...Array.from({ length: 24 }, (_, i) => groundThickness(grind, cut, (faceMm * i) / 24)),
  );
  if (!(thin > 0)) report("error", "hollow-cuts-through", { at, measured: 0, limit: blade.edgeMm });
}
