import { FLAT_ROUNDNESS } from "../tolerances";

/**
 * The shape of a handle's cross-section on one side, from its crown (u = 0, height 1) to its edge (|u| = 1,
 * height 0): a superellipse |u|ⁿ + sⁿ = 1.
 */
export interface SectionShape {
  /** Height share s at u in [−1, 1]. */
  height(u: number): number;
  /** The u in [0, 1] where the height is s, or null for a flat-sided section, which has no such place. */
  reach(s: number): number | null;
  /** |du/ds| at s in (0, 1), where `reach` is u. */
  stretch(s: number, u: number): number;
  /** From here to |u| = 1 the height falls off steeply: integrate over s there. Null: it never falls. */
  readonly closesFrom: number | null;
  /** Whether the crown (u = 0) is a weak kink: |u|ⁿ is smooth there only for even n. */
  readonly kinkAtCrown: boolean;
  /** Points beyond the usual that its bends ask for; grows with the exponent. */
  readonly extraPoints: number;
}

const FLAT: SectionShape = {
  height: () => 1,
  reach: () => null,
  stretch: () => 0,
  closesFrom: null,
  kinkAtCrown: false,
  extraPoints: 0,
};

/** Superellipse exponent for a roundness: 2 (an ellipse) at 1, growing without limit toward 0 (flat sides). */
export function exponentOf(roundness: number): number {
  return 2 / roundness;
}

/** The section of a roundness from 0 (flat) to 1 (elliptical). Outside that it is held at the nearer end. */
export function sectionOf(roundness: number): SectionShape {
  if (!(roundness > FLAT_ROUNDNESS)) return FLAT;
  const n = exponentOf(Math.min(1, roundness));
  if (n === 2) return ELLIPSE;
  // Powers by exp and log: half the time of **, and as exact as the integral needs (1e-15).
  let lastV = Number.NaN;
  let lastPower = 0;
  const other = (v: number): number => {
    if (v >= 1) return 0;
    if (v <= 0) return 1;
    lastV = v;
    lastPower = Math.exp(n * Math.log(v));
    return Math.exp(Math.log(1 - lastPower) / n);
  };
  return {
    height: (u) => other(u < 0 ? -u : u),
    reach: other,
    // From uⁿ + sⁿ = 1: du/ds = −(s/u)ⁿ⁻¹ = −(u/s)·sⁿ/(1 − sⁿ).
    stretch: (s, u) => {
      if (!(s > 0)) return 0;
      const power = s === lastV ? lastPower : s ** n;
      return (u * power) / (s * (1 - power));
    },
    closesFrom: 2 ** (-1 / n),
    kinkAtCrown: n % 2 !== 0,
    extraPoints: Math.ceil((n - 2) * 0.7),
  };
}

function circle(v: number): number {
  return v >= 1 || v <= -1 ? 0 : Math.sqrt(1 - v * v);
}

const ELLIPSE: SectionShape = {
  height: circle,
  reach: circle,
  stretch: (s, u) => (s > 0 ? s / u : 0),
  closesFrom: Math.SQRT1_2,
  kinkAtCrown: false,
  extraPoints: 0,
};
