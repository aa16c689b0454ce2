import { isDouble } from "../../geometry/solids/grind";
import { grooveHalf } from "../../geometry/solids/groundBlade";
import { round } from "./create";
import type { Blade, BladeNotch, Fuller, Grind, IntegralBolster, Ramp, SideGrind, Swedge } from "./schema";

/** The kinds that a side can be ground in by itself. */
export const SIDE_GRINDS = [
  "full-flat",
  "partial-flat",
  "hollow",
  "convex",
  "none",
  "diamond",
  "lens",
  "double-hollow",
] as const satisfies readonly SideGrind["kind"][];

/** The grind that a kind begins with, keeping heights, wheel and ridge from the one before. */
export function newSideGrind(kind: SideGrind["kind"], before: Grind, heelMm: number): SideGrind {
  const heights =
    "heightMm" in before
      ? { heightMm: before.heightMm, along: before.along, angleDeg: before.angleDeg }
      : { heightMm: Math.max(1, Math.round(heelMm * 0.65)), along: [], angleDeg: null };
  const ridgeShare = "ridgeShare" in before ? before.ridgeShare : 0.5;
  const wheelRadiusMm = "wheelRadiusMm" in before ? before.wheelRadiusMm : 101.6;
  switch (kind) {
    case "none":
    case "full-flat":
      return { kind };
    case "partial-flat":
      return { kind, ...heights };
    case "hollow":
      return { kind, ...heights, wheelRadiusMm };
    case "convex":
      return { kind, ...heights, bulge: 0.5 };
    case "diamond":
    case "lens":
      return { kind, ridgeShare };
    case "double-hollow":
      return { kind, ridgeShare, wheelRadiusMm };
  }
}

/** The same of both sides, a single bevel among them. */
export function newGrind(kind: Grind["kind"], before: Grind, heelMm: number): Grind {
  if (kind !== "single-bevel") return newSideGrind(kind, before, heelMm);
  const like = newSideGrind("partial-flat", before, heelMm);
  return like.kind === "partial-flat" ? { ...like, kind, side: "right" } : before;
}

/** A false edge along the front third, that leaves a quarter of the spine. */
export function newSwedge({ lengthMm, heelHeightMm, spineMm }: Blade): Swedge {
  return {
    lengthMm: round(lengthMm / 3),
    runOutMm: round(lengthMm / 20),
    heightMm: round(Math.max(0.5, heelHeightMm / 5)),
    leavesMm: round(spineMm / 4),
    sides: "both",
  };
}

/** A groove on both sides: along the ridge of a double edge, under the spine otherwise, clear of grooves that are there. */
export function newFuller(blade: Blade, id: string): Fuller {
  const { lengthMm, ricassoMm, heelHeightMm, spineMm, fullers } = blade;
  const double = isDouble(blade.grind);
  const radiusMm = round(Math.max(1, heelHeightMm / 10));
  const depthMm = round(Math.max(0.05, Math.min(spineMm / 5, radiusMm)));
  const half = grooveHalf(radiusMm, depthMm);
  const lowest = fullers.reduce((low, f) => {
    const reach = grooveHalf(f.radiusMm, f.depthMm);
    return Math.max(low, f.downMm + reach + WEB_MM);
  }, 0);
  return {
    id,
    sides: "both",
    fromMm: round(Math.min(ricassoMm + 4, lengthMm / 4)),
    toMm: round(lengthMm * 0.6),
    from: double ? "middle" : "spine",
    downMm: round(
      double ? (fullers.length > 0 ? lowest + half : 0) : Math.max(lowest, heelHeightMm / 12 + 1) + half,
    ),
    radiusMm,
    depthMm,
    tool: { kind: "ball" },
  };
}

/** Left between two grooves at first: the least of common practice is 1.5 mm, from memory. */
const WEB_MM = 2;

/** A notch where the edge begins, or for a finger ahead of the handle. */
export function newNotch({ ricassoMm }: Blade, id: string, purpose: BladeNotch["purpose"]): BladeNotch {
  return purpose === "sharpening"
    ? { id, purpose, xMm: round(ricassoMm + 1.5), radiusMm: 2, depthMm: 2.5 }
    : { id, purpose, xMm: round(Math.max(10, ricassoMm / 2)), radiusMm: 10, depthMm: 8 };
}

/** A thumb ramp just ahead of the handle. */
export function newRamp({ lengthMm }: Blade): Ramp {
  return { fromMm: 1, lengthMm: round(Math.min(20, lengthMm / 4)), riseMm: 2.5 };
}

/** A bolster somewhat larger than the handle's front. */
export function newIntegralBolster(blade: Blade): IntegralBolster {
  const { spineOverAxisMm, ricassoHeightMm, spineMm, lengthMm } = blade;
  return {
    lengthMm: round(Math.min(15, lengthMm / 3)),
    aboveMm: round(Math.max(1, spineOverAxisMm + 1)),
    belowMm: round(Math.max(1, ricassoHeightMm - spineOverAxisMm + 1)),
    widthMm: round(Math.max(16, 3 * spineMm)),
    frontWidthMm: round(spineMm),
    roundness: 0.7,
  };
}
