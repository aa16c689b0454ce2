import { FLAT_ROUNDNESS, ROUNDING } from "../../base/tolerances";
import type { ClosingLaw } from "./closingZone";

/**
 * The shape of a handle's cross-section on one side, from its crown (u = 0, height 1) to its edge (|u| = 1,
 * height 0): a superellipse |u|ⁿ + sⁿ = 1.
 */
export interface SectionShape {
  /** Height share s at u in [−1, 1]. */
  height(u: number): number;
  /** The u in [0, 1] where the height is s, or null for a flat-sided section, which has no such place. */
  reach(s: number): number | null;
  /** From this |u| to 1 the height falls off steeply: integrate by this law over s there. Null: it never falls. */
  readonly closing: { readonly from: number; readonly law: ClosingLaw } | null;
  /** The |u| at which the surface has a corner, or, at the crown, |u|ⁿ is not smooth. */
  readonly kinks: readonly number[];
  /** Whether it stands at full height over some breadth. */
  readonly flatCrown: boolean;
  /** Points beyond the usual that its bends ask for; grows with the exponent. */
  readonly extraPoints: number;
  /** Its curve from the crown to the edge: a superellipse, or corners with flats between and an upright end. */
  readonly curve:
    | { readonly kind: "superellipse"; readonly exponent: number }
    | { readonly kind: "polygon"; readonly corners: readonly { readonly u: number; readonly s: number }[] };
  /** What tells it from every other section, as plain data. */
  readonly from: readonly unknown[];
}

const FLAT: SectionShape = {
  height: () => 1,
  reach: () => null,
  closing: null,
  kinks: [],
  flatCrown: true,
  extraPoints: 0,
  curve: { kind: "polygon", corners: [{ u: 1, s: 1 }] },
  from: ["flat"],
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
    closing: {
      from: 2 ** (-1 / n),
      law: {
        parameterAt: (u) => other(u < 0 ? -u : u),
        uAt: other,
        // From uⁿ + sⁿ = 1: du/ds = −(s/u)ⁿ⁻¹ = −(u/s)·sⁿ/(1 − sⁿ).
        jacobianAt: (s, u) => {
          if (!(s > 0)) return 0;
          const power = s === lastV ? lastPower : s ** n;
          return (u * power) / (s * (1 - power));
        },
      },
    },
    kinks: n % 2 !== 0 ? [0] : [],
    flatCrown: false,
    extraPoints: Math.ceil((n - 2) * 0.7),
    curve: { kind: "superellipse", exponent: n },
    from: ["superellipse", n],
  };
}

function circle(v: number): number {
  return v >= 1 || v <= -1 ? 0 : Math.sqrt(1 - v * v);
}

const ELLIPSE: SectionShape = {
  height: circle,
  reach: circle,
  closing: {
    from: Math.SQRT1_2,
    law: { parameterAt: circle, uAt: circle, jacobianAt: (s, u) => (s > 0 ? s / u : 0) },
  },
  kinks: [],
  flatCrown: false,
  extraPoints: 1,
  curve: { kind: "superellipse", exponent: 2 },
  from: ["superellipse", 2],
};

/** Numbers of flats all round that are made. */
export const FACET_COUNTS = [6, 8, 12, 16] as const;

const faceted = new Map<number, SectionShape>();

/**
 * The section of a regular polygon with so many flats all round, one of them the crown's: stretched to the handle's
 * height and thickness. `flats` is even and at least 6.
 */
export function facetedSection(flats: number): SectionShape {
  const known = faceted.get(flats);
  if (known) return known;
  const corners: { u: number; s: number }[] = [];
  for (let k = 0; k < flats / 4; k++) {
    const angle = Math.PI / flats + (k * 2 * Math.PI) / flats;
    corners.push({ u: Math.sin(angle), s: Math.cos(angle) });
  }
  const [uMost, sMost] = [corners[corners.length - 1].u, corners[0].s];
  const at = corners.map((c) => ({ u: c.u / uMost, s: Math.max(0, c.s / sMost) }));
  const last = at[at.length - 1];
  const made: SectionShape = {
    height: (v) => {
      const u = Math.abs(v);
      if (u <= at[0].u) return 1;
      for (let k = 1; k < at.length; k++) {
        const [a, b] = [at[k - 1], at[k]];
        if (u <= b.u) return a.s + ((b.s - a.s) * (u - a.u)) / (b.u - a.u);
      }
      return last.s;
    },
    reach: (s) => {
      if (s >= 1) return at[0].u;
      for (let k = 1; k < at.length; k++) {
        const [a, b] = [at[k - 1], at[k]];
        if (s >= b.s) return a.u + ((b.u - a.u) * (a.s - s)) / (a.s - b.s);
      }
      return 1;
    },
    closing: null,
    kinks: at.map((c) => c.u).filter((u) => u < 1 - ROUNDING),
    flatCrown: true,
    extraPoints: 0,
    curve: { kind: "polygon", corners: at },
    from: ["faceted", flats],
  };
  faceted.set(flats, made);
  return made;
}
