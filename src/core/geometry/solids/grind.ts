/** A height of the ground face at a station. */
export interface HeightAt {
  readonly xMm: number;
  readonly heightMm: number;
}

interface FaceHeight {
  readonly heightMm: number;
  /** Heights along the blade; with any of them the one height does not count. */
  readonly along: readonly HeightAt[];
  /** One angle to the middle plane, kept along the whole bevel, from which the heights follow; null where these are kept. */
  readonly angleDeg: number | null;
}

/** How a side of a blade is ground between its edge and its spine. Heights over the edge and radii in mm. */
export type SideGrind =
  | { readonly kind: "none" }
  | { readonly kind: "full-flat" }
  | (FaceHeight & { readonly kind: "partial-flat" })
  | (FaceHeight & { readonly kind: "hollow"; readonly wheelRadiusMm: number })
  /** bulge 0 is flat, 1 a parabola that leaves the flat of the blade without a corner. */
  | (FaceHeight & { readonly kind: "convex"; readonly bulge: number })
  /** Two edges: faces that meet in a ridge, whose height is a share of the blade's. */
  | { readonly kind: "diamond" | "lens"; readonly ridgeShare: number }
  | { readonly kind: "double-hollow"; readonly ridgeShare: number; readonly wheelRadiusMm: number };

/** How a blade's faces are ground. */
export type Grind =
  | SideGrind
  | (FaceHeight & { readonly kind: "single-bevel"; readonly side: "right" | "left" });

/** The cut of a ground face at one station: all mm. */
export interface GrindCut {
  /** Thickness at the spine there, or at the ridge. */
  readonly spineMm: number;
  /** Thickness at the edge. */
  readonly edgeMm: number;
  /** Height of the ground face above the edge. */
  readonly faceMm: number;
}

/** Whether a grind has an edge along the spine too. */
export function isDouble(grind: Grind): grind is Extract<Grind, { readonly ridgeShare: number }> {
  return "ridgeShare" in grind;
}

/**
 * The full thickness `aboveEdgeMm` over the edge of a blade that is ground alike on both sides. Flat and single-bevel faces fall in a straight line, convex
 * ones bulge over it, hollow ones are the arc of the wheel through both ends of the face (a wheel too small for the face
 * is taken at half the face's length, and below zero it has gone past the centre plane; the review names both); those of a lens are
 * arcs that leave the ridge level, and rise no more than the face is high.
 */
export function groundThickness(grind: Grind, cut: GrindCut, aboveEdgeMm: number): number {
  const { spineMm, edgeMm, faceMm } = cut;
  if (grind.kind === "none" || !(aboveEdgeMm < faceMm)) return spineMm;
  const q = Math.max(0, aboveEdgeMm) / faceMm;
  const gain = spineMm - edgeMm;
  switch (grind.kind) {
    case "convex":
      return edgeMm + gain * (q + grind.bulge * q * (1 - q));
    case "hollow":
    case "double-hollow":
      return 2 * hollowHalf(cut, grind.wheelRadiusMm, q * faceMm);
    case "lens":
      return spineMm - 2 * lensFall(gain / 2, faceMm, faceMm * (1 - q));
    case "full-flat":
    case "partial-flat":
    case "single-bevel":
    case "diamond":
      return edgeMm + gain * q;
  }
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

/** How far a lens has fallen `w` from its ridge, on the arc that leaves the ridge level and falls `rise` over the face. */
function lensFall(rise: number, faceMm: number, w: number): number {
  const fall = Math.min(rise, faceMm);
  if (!(fall > 0)) return 0;
  const radius = (faceMm * faceMm + fall * fall) / (2 * fall);
  return (w * w) / (radius + Math.sqrt(Math.max(0, radius * radius - w * w)));
}
