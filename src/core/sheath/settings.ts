/** How a sheath is made. Lengths in mm. */
export interface SheathSettings {
  readonly style: SheathStyle;
  readonly leatherMm: number;
  /** Of the strip between the panels that keeps the edge off the stitches: how wide, and how thick. */
  readonly weltMm: number;
  readonly weltThickMm: number;
  /** Room between the knife and the welt. */
  readonly clearanceMm: number;
  /** From the finished edge to the stitches. */
  readonly marginMm: number;
  readonly pitchMm: number;
  /** Where leather keeps its length at a fold, as a share of its thickness from the inner face. */
  readonly neutral: number;
  /** How far it covers the handle; null proposes it: up to the guard, or to the handle's swell. */
  readonly depthMm: number | null;
  /** Belt that the loop takes; null of a sheath without one. */
  readonly beltMm: number | null;
  readonly loopMm: number;
}

export const SHEATH_STYLES = ["fold-over", "two-panel"] as const;
export type SheathStyle = (typeof SHEATH_STYLES)[number];

export const SHEATH_LIMITS = {
  leatherMm: { min: 0.8, max: 8 },
  weltMm: { min: 4, max: 30 },
  clearanceMm: { min: 0, max: 10 },
  marginMm: { min: 2, max: 15 },
  pitchMm: { min: 1.5, max: 12 },
  depthMm: { min: 0, max: 300 },
  beltMm: { min: 10, max: 120 },
} as const;

/** What sheaths are made of. */
export const LEATHER = "leather-veg";

/** An ounce of leather is a 64th of an inch. */
export const OUNCE_MM = 25.4 / 64;

/** Leather of 8 oz, the welt of the same; the rest from the handbook's middle values. */
export const USUAL_SHEATH: SheathSettings = {
  style: "fold-over",
  leatherMm: 8 * OUNCE_MM,
  weltMm: 10,
  weltThickMm: 8 * OUNCE_MM,
  clearanceMm: 2,
  marginMm: 4,
  pitchMm: 4,
  neutral: 0.5,
  depthMm: null,
  beltMm: 40,
  loopMm: 30,
};
