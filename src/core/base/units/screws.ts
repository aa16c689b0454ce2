import { roundTo } from "../number";
import { own } from "../own";
import { MM_PER_INCH } from "./length";
import { THREADS, type Thread } from "./threads";

/** A socket head cap screw's head and key, and the hexagonal nut of its thread, mm. */
export interface ScrewSizes {
  readonly headMm: number;
  readonly headLengthMm: number;
  readonly keyMm: number;
  /** Name of the key. */
  readonly key: string;
  readonly nutAcrossMm: number;
  readonly nutLengthMm: number;
  readonly standard: string;
}

const METRIC_STANDARD = "head and key ISO 4762, nut ISO 4032, from memory";
const INCH_STANDARD = "head and key ASME B18.3, nut ASME B18.2.2 and B18.6.3, from memory";

const metric = (dk: number, k: number, s: number, across: number, m: number): ScrewSizes => ({
  headMm: dk,
  headLengthMm: k,
  keyMm: s,
  key: `${s} mm`,
  nutAcrossMm: across,
  nutLengthMm: m,
  standard: METRIC_STANDARD,
});
const inch = (dk: number, k: number, key: string, across: number, m: number): ScrewSizes => {
  const [over, under] = key.split("/").map(Number);
  return {
    headMm: dk * MM_PER_INCH,
    headLengthMm: k * MM_PER_INCH,
    keyMm: (over / under) * MM_PER_INCH,
    key: `${key} in`,
    nutAcrossMm: across * MM_PER_INCH,
    nutLengthMm: m * MM_PER_INCH,
    standard: INCH_STANDARD,
  };
};

/** By the thread's name without its pitch. */
const SIZES: Readonly<Record<string, ScrewSizes>> = {
  M2: metric(3.8, 2, 1.5, 4, 1.6),
  "M2.5": metric(4.5, 2.5, 2, 5, 2),
  M3: metric(5.5, 3, 2.5, 5.5, 2.4),
  M4: metric(7, 4, 3, 7, 3.2),
  M5: metric(8.5, 5, 4, 8, 4.7),
  M6: metric(10, 6, 5, 10, 5.2),
  M8: metric(13, 8, 6, 13, 6.8),
  M10: metric(16, 10, 8, 16, 8.4),
  "No. 2": inch(0.14, 0.086, "5/64", 3 / 16, 1 / 16),
  "No. 4": inch(0.183, 0.112, "3/32", 1 / 4, 3 / 32),
  "No. 6": inch(0.226, 0.138, "7/64", 5 / 16, 7 / 64),
  "No. 8": inch(0.27, 0.164, "9/64", 11 / 32, 1 / 8),
  "No. 10": inch(0.312, 0.19, "5/32", 3 / 8, 1 / 8),
  "1/4": inch(0.375, 0.25, "3/16", 7 / 16, 7 / 32),
  "5/16": inch(0.469, 0.3125, "1/4", 1 / 2, 17 / 64),
  "3/8": inch(0.562, 0.375, "5/16", 9 / 16, 21 / 64),
};

/** Head, key and nut of a thread, or null where the tables have none. */
export function screwSizes(thread: Thread): ScrewSizes | null {
  return own(SIZES, thread.name.replace(/-\d+$/, "")) ?? null;
}

/** The thread of that nominal diameter and pitch, or of the diameter alone where the pitch is not known. */
export function threadOf(diameterMm: number, pitchMm?: number): Thread | null {
  const same = THREADS.filter((t) => Math.abs(t.diameterMm - diameterMm) < 0.03);
  return same.find((t) => pitchMm === undefined || Math.abs(t.pitchMm - pitchMm) < 0.01) ?? null;
}

/** The pitch of that diameter in the tables, or of the diameter that is nearest, in proportion, mm. */
export function usualPitchMm(diameterMm: number): number {
  const off = (t: Thread) => Math.abs(t.diameterMm - diameterMm);
  const near = THREADS.reduce((best, t) => (off(t) < off(best) ? t : best));
  return off(near) < 0.03 ? near.pitchMm : roundTo((near.pitchMm * diameterMm) / near.diameterMm, 2);
}

/** Share of a full thread's height that a tap is left to cut. */
const UNIFIED_SHARE = 0.75;

/**
 * Diameter to drill before tapping, mm: metric d − P; unified for 75 % of the full thread, d − 0.75 · 1.299 P.
 * @see ISO 68-1 for the profile (height of the cut 5/8 H, H = 0.866 P); the rest is common practice.
 */
export function tapDrillMm({ name, diameterMm, pitchMm }: Thread): number {
  return name.startsWith("M") ? diameterMm - pitchMm : diameterMm - UNIFIED_SHARE * 1.299038 * pitchMm;
}

/** Height of a standard nut, in diameters of its thread: as strong as its bolt. @see ISO 4032, from memory. */
const NUT_DIAMETERS = 0.8;

/**
 * Thread that must be engaged, in diameters, by what the thread is cut into: general machine-design practice. A nut of
 * standard height does with less.
 */
export function engagementOf(materialId: string, nut = false): number {
  const share = nut ? NUT_DIAMETERS : 1;
  if (materialId.startsWith("aluminium")) return 2 * share;
  if (/^(brass|bronze|copper|nickel-silver|silver)/.test(materialId)) return 1.5 * share;
  return share;
}
