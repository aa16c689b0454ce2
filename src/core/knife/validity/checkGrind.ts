import { INSIDE_MM, ROUNDING } from "../../base/tolerances";
import { plungeX } from "../../geometry/solids/bladeFace";
import { bladeFacesAt } from "../../geometry/solids/bladeRegion";
import { isDouble } from "../../geometry/solids/grind";
import { faceHeightAt, isGround, spineThickness } from "../../geometry/solids/groundBlade";
import type { Blade, Design, Grind, SideGrind } from "../design/schema";
import { bladeEdges } from "../layout/bladeParts";
import { groundBlade } from "../layout/groundBlade";
import type { Report } from "../parts/faults";

/** How both sides are ground, and where the ground faces begin. */
export function checkGrind(design: Design, report: Report): void {
  const { blade } = design;
  const [edge, spine] = bladeEdges(blade, blade.ricassoMm + INSIDE_MM);
  for (const grind of [blade.grind, ...(blade.leftGrind ? [blade.leftGrind] : [])])
    checkFace(design, grind, [edge, spine], report);
  const hollow = [blade.grind, blade.leftGrind].some((g) => g && "wheelRadiusMm" in g);
  if ((hollow || blade.swedge) && blade.ricassoMm < blade.lengthMm) checkThrough(design, report);
  if (blade.grind.kind === "single-bevel" && blade.leftGrind)
    report("error", "left-grind-unused", { at: { x: blade.ricassoMm, y: (edge + spine) / 2 } });
  const stations = [edge, spine].map((y) => plungeX(groundBlade(blade), edge, y));
  const off = stations.find((x) => x < 0 || x > blade.lengthMm);
  if (off !== undefined && blade.plunge.sweepDeg !== 0)
    report("warning", "plunge-off-blade", {
      at: { x: blade.ricassoMm, y: spine },
      measured: off,
      limit: off < 0 ? 0 : blade.lengthMm,
    });
}

/** Stations along the ground length, and heights at each, at which a hollow is looked at. */
const STATIONS = 48;
const HEIGHTS = 24;

/** One side's face: no higher than the blade is at the heel, and of a hollow one, what its wheel makes of it all along. */
function checkFace(
  { blade }: Design,
  grind: Grind | SideGrind,
  [edge, spine]: readonly [number, number],
  report: Report,
): void {
  const high = blade.outline ? spine - edge : blade.heelHeightMm;
  if ("heightMm" in grind) {
    // Of one angle the height follows from the thickness where the face begins.
    const kept = faceHeightAt(groundBlade(blade), grind, blade.ricassoMm, Number.POSITIVE_INFINITY);
    const heights = grind.along.length > 0 ? grind.along.map((p) => p.heightMm) : [grind.heightMm];
    const most = grind.angleDeg === null ? Math.max(...heights) : kept;
    if (most > Math.max(high, blade.heelHeightMm) + ROUNDING)
      report("warning", "grind-higher-than-blade", {
        at: { x: blade.ricassoMm, y: edge },
        measured: most,
        limit: high,
      });
  }
  if (grind.kind === "hollow" || grind.kind === "double-hollow") checkWheel(blade, grind, report);
}

/** The wheel reaches from one end of the face to the other, at every station. */
function checkWheel(
  blade: Blade,
  grind: Extract<Grind, { readonly wheelRadiusMm: number }>,
  report: Report,
): void {
  const ground = groundBlade(blade);
  const groundSides = (["right", "left"] as const).filter((side) => isGround(ground, side)).length;
  const worst = { chord: 0, at: { x: blade.ricassoMm, y: 0 } };
  for (const { x, edgeY, spineY } of groundStations(blade)) {
    const height = spineY - edgeY;
    const faces = isDouble(grind)
      ? [grind.ridgeShare * height, (1 - grind.ridgeShare) * height]
      : [faceHeightAt(ground, grind, x, height)];
    const fall = Math.max(0, spineThickness(ground, x) - blade.edgeMm) / groundSides;
    const faceMm = Math.max(...faces);
    const chord = Math.hypot(faceMm, fall);
    if (chord > worst.chord) Object.assign(worst, { chord, at: { x, y: edgeY + faceMm / 2 } });
  }
  if (2 * grind.wheelRadiusMm <= worst.chord)
    report("error", "hollow-wheel-too-small", {
      at: worst.at,
      measured: grind.wheelRadiusMm,
      limit: worst.chord / 2,
    });
}

/** Nowhere do both faces meet, as they are ground and with the false edge: fullers are looked at by themselves. */
function checkThrough({ blade }: Design, report: Report): void {
  const ground = { ...groundBlade(blade), fullers: [], sharpenedDeg: null };
  const thinnest = { mm: Number.POSITIVE_INFINITY, at: { x: 0, y: 0 } };
  for (const { x } of groundStations(blade)) {
    const faces = bladeFacesAt(ground, x);
    if (!faces) continue;
    for (let i = 0; i < HEIGHTS; i++) {
      const y = faces.edgeY + ((faces.spineY - faces.edgeY) * (i + 0.5)) / HEIGHTS;
      const mm = faces.right.half(y) + faces.left.half(y);
      if (mm < thinnest.mm) Object.assign(thinnest, { mm, at: { x, y } });
    }
  }
  if (!(thinnest.mm > 0))
    report("error", "hollow-cuts-through", { at: thinnest.at, measured: thinnest.mm, limit: 0 });
}

function groundStations(blade: Blade) {
  const { ricassoMm, lengthMm } = blade;
  return Array.from({ length: STATIONS }, (_, i) => {
    const x = ricassoMm + ((lengthMm - ricassoMm) * (i + 0.5)) / STATIONS;
    const [edgeY, spineY] = bladeEdges(blade, x);
    return { x, edgeY, spineY };
  });
}
