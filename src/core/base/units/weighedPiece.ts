import { own } from "../own";
import { MM_PER_INCH } from "./length";

/** A reading as it was written down: its value, and half of its last digit, by which it may be off. */
export interface WrittenReading {
  readonly value: number;
  readonly off: number;
}

const MASS = /^(\d+(?:\.\d+)?)\s*(g|kg|oz|lb)$/;
const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 };
const SIDE = /^(\d+(?:\.\d+)?)\s*(mm|cm|in|")?$/;
const MM: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: MM_PER_INCH, '"': MM_PER_INCH };

function read(text: string, perUnit: number): WrittenReading {
  const digits = text.split(".")[1]?.length ?? 0;
  return { value: Number(text) * perUnit, off: (perUnit * 10 ** -digits) / 2 };
}

/** "41.2g", in g, kg, oz or lb, in grams; null of what is no weight. */
export function parseWeight(text: string): WrittenReading | null {
  const found = MASS.exec(text.trim());
  return found ? read(found[1], own(GRAMS, found[2]) ?? Number.NaN) : null;
}

/** "120x40x10mm", in mm, cm or inches, each side in mm; a unit holds for the sides before it. Null of what is no box. */
export function parseBox(text: string): readonly WrittenReading[] | null {
  const sides = text
    .trim()
    .split(/[x×*]/)
    .map((t) => SIDE.exec(t.trim()));
  if (sides.length !== 3) return null;
  let unit = "mm";
  const read3: WrittenReading[] = [];
  for (const side of sides.reverse()) {
    if (!side) return null;
    unit = side[2] ?? unit;
    read3.unshift(read(side[1], own(MM, unit) ?? Number.NaN));
  }
  return read3;
}

export interface MeasuredDensity {
  readonly densityGcc: number;
  /** How far it may be off, g/cm³: the readings' errors together. */
  readonly plusMinus: number;
}

/**
 * Density of a box-shaped piece from its weight and its sides. Independent errors of a product or a quotient add by the
 * squares of their shares (JCGM 100, from memory). Null where anything measured is not above zero.
 */
export function densityOf(massG: WrittenReading, sidesMm: readonly WrittenReading[]): MeasuredDensity | null {
  const all = [massG, ...sidesMm];
  if (all.some(({ value }) => !(value > 0))) return null;
  const mm3 = sidesMm.reduce((product, { value }) => product * value, 1);
  const densityGcc = (massG.value / mm3) * 1000;
  return { densityGcc, plusMinus: densityGcc * Math.hypot(...all.map(({ value, off }) => off / value)) };
}
