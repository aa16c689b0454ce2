import { clamp } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import type { Design } from "../../knife/design/schema";
import { bladeHeights } from "../../knife/layout/bladeOutline";
import { layoutOf } from "../../knife/layout/layout";

/** Bending stress in the tang where it leaves the guard or the handle's front. */
export interface TangStress {
  readonly sideMPa: number;
  readonly edgeMPa: number;
  /** The larger of the two against the yield that the maker states. */
  readonly ratio: number;
  readonly sideFactor: number;
  readonly edgeFactor: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** Coefficients of 1, √(t/r) and t/r in C₁ to C₄, for t/r up to 2 and from 2 on. */
const SHALLOW = [
  [1.007, 1.0, -0.031],
  [-0.27, -2.404, 0.749],
  [0.677, 1.133, -0.904],
  [-0.414, 0.271, 0.186],
] as const;
const DEEP = [
  [1.042, 0.982, -0.036],
  [-3.599, 1.619, -0.431],
  [6.084, -5.607, 1.158],
  [-2.527, 3.006, -0.691],
] as const;

/**
 * Stress concentration of a stepped flat bar in bending, D the larger and d the smaller size across, r the radius:
 * K = C₁ + C₂·(2t/D) + C₃·(2t/D)² + C₄·(2t/D)³, t = (D − d)/2.
 * Fitted for 0.1 ≤ t/r ≤ 2 (first set) and 2 ≤ t/r ≤ 20 (second); r is held to where t/r is 20. 1 without a step.
 * @see Roark's Formulas for Stress and Strain, stepped flat bar in bending, after Peterson's charts (coefficients from
 * memory; the tests hold them against another published fit).
 */
export function stepFactor(D: number, d: number, r: number): number {
  const t = (D - d) / 2;
  if (!(t > 0) || !(d > 0)) return 1;
  const q = clamp(t / Math.max(r, t / 20), 0.1, 20);
  const s = Math.sqrt(q);
  const of = ([k0, k1, k2]: readonly [number, number, number]) => k0 + k1 * s + k2 * q;
  const [c1, c2, c3, c4] = (q <= 2 ? SHALLOW : DEEP).map(of);
  const u = (2 * t) / D;
  return Math.max(1, c1 + c2 * u + c3 * u * u + c4 * u * u * u);
}

/** Bending stress of a rectangle h high in the plane of bending and b wide: 6 M/(b h²), MPa of N·mm and mm. */
export function bendingMPa(momentNmm: number, widthMm: number, heightMm: number): number {
  return widthMm > 0 && heightMm > 0 ? (6 * momentNmm) / (widthMm * heightMm * heightMm) : 0;
}

/**
 * Stress of the tang under the loads that the maker states, at the front of its guard or handle: a cantilever's
 * moment there, times the factor of the step from blade to tang for the edgewise load (its sides are flush, so that
 * the side load meets no step). An estimate: it knows nothing of hardness, welds or scratches.
 */
export function tangStress(design: Design): TangStress {
  const { tang, blade, fitUp } = design;
  const { sideN, edgeN, atMm, yieldMPa } = fitUp.loads;
  const { spine, ricassoBottom } = bladeHeights(blade);
  const { frontX, outline } = layoutOf(design);
  const ys = outline.cut(Math.min(-INSIDE_MM, frontX));
  const full = tang.kind === "full";
  const heightMm = full ? ys[ys.length - 1] - ys[0] : tang.frontHeightMm;
  const thicknessMm = full ? (tang.taper?.frontMm ?? blade.spineMm) : tang.frontThicknessMm;
  const step = full
    ? 1
    : stepFactor(Math.max(spine - ricassoBottom, heightMm), heightMm, tang.shoulderRadiusMm);
  const side = stepFactor(
    Math.max(blade.spineMm, thicknessMm),
    thicknessMm,
    full ? 0.5 : tang.shoulderRadiusMm,
  );
  const sideMPa = side * bendingMPa(sideN * atMm, heightMm, thicknessMm);
  const edgeMPa = step * bendingMPa(edgeN * atMm, thicknessMm, heightMm);
  return {
    sideMPa,
    edgeMPa,
    ratio: Math.max(sideMPa, edgeMPa) / yieldMPa,
    sideFactor: side,
    edgeFactor: step,
    heightMm,
    thicknessMm,
  };
}
