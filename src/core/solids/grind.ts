/** How a blade's faces are ground. Heights over the edge and radii in mm. */
export type Grind =
  | { readonly kind: "full-flat" }
  | { readonly kind: "partial-flat"; readonly heightMm: number }
  | { readonly kind: "hollow"; readonly heightMm: number; readonly wheelRadiusMm: number }
  /** bulge 0 is flat, 1 a parabola that leaves the flat of the blade without a corner. */
  | { readonly kind: "convex"; readonly heightMm: number; readonly bulge: number }
  | { readonly kind: "single-bevel"; readonly heightMm: number; readonly side: "right" | "left" };

/** The cut of a ground blade at one station: all mm. */
export interface GrindCut {
  /** Thickness at the spine there. */
  readonly spineMm: number;
  /** Thickness at the edge. */
  readonly edgeMm: number;
  /** Height of the ground face above the edge. */
  readonly faceMm: number;
}

/** Height of the ground face where the blade is `bladeHeightMm` high. */
export function faceHeight(grind: Grind, bladeHeightMm: number): number {
  return grind.kind === "full-flat" ? bladeHeightMm : Math.min(grind.heightMm, bladeHeightMm);
}

/**
 * The full thickness `aboveEdgeMm` over the edge. Flat and single-bevel faces fall in a straight line, convex ones
 * bulge over it, hollow ones are the arc of the wheel through both ends of the face (a wheel too small for the face
 * is taken at half the face's length, and thickness never falls below zero; the review names both).
 */
export function groundThickness(grind: Grind, cut: GrindCut, aboveEdgeMm: number): number {
  const { spineMm, edgeMm, faceMm } = cut;
  if (!(aboveEdgeMm < faceMm)) return spineMm;
  const q = Math.max(0, aboveEdgeMm) / faceMm;
  const gain = spineMm - edgeMm;
  if (grind.kind === "convex") return edgeMm + gain * (q + grind.bulge * q * (1 - q));
  if (grind.kind === "hollow") return Math.max(0, 2 * hollowHalf(cut, grind.wheelRadiusMm, q * faceMm));
  return edgeMm + gain * q;
}

/** Half thickness in a hollow: the wheel's circle stands outside the face, through (0, edge/2) and (face, spine/2). */
function hollowHalf({ spineMm, edgeMm, faceMm }: GrindCut, radiusMm: number, v: number): number {
  const rise = (spineMm - edgeMm) / 2;
  const chord = Math.hypot(faceMm, rise);
  const radius = Math.max(radiusMm, chord / 2);
  const out = Math.sqrt(Math.max(0, radius * radius - (chord * chord) / 4)) / chord;
  const centreV = faceMm / 2 - rise * out;
  const centreZ = (spineMm + edgeMm) / 4 + faceMm * out;
  return centreZ - Math.sqrt(Math.max(0, radius * radius - (v - centreV) * (v - centreV)));
}
