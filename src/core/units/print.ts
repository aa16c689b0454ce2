import { MM_PER_INCH } from "./length";

/** Grams in an avoirdupois ounce, exact by definition. */
export const GRAMS_PER_OUNCE = 28.349523125;

/** What a maker reads in: millimetres and grams, or inches (decimal, or to the nearest 1/64) and ounces. */
export type UnitSystem = "metric" | "inch" | "inch-fraction";

/** A true minus sign, so that columns of figures align and read well. */
function signed(text: string): string {
  return text.startsWith("-") ? `−${text.slice(1)}` : text;
}

/** Fixed digits without a negative zero. */
function fixed(value: number, digits: number): string {
  const text = value.toFixed(digits);
  return signed(Number(text) === 0 ? text.replace("-", "") : text);
}

/**
 * A length for reading, with its unit: `4.76 mm`, `0.187 in`, `3/16 in`. `digits` counts decimals in mm
 * (inches get one or two more). A value that is not finite prints as a dash.
 */
export function printLength(mm: number, system: UnitSystem, digits = 1): string {
  if (!Number.isFinite(mm)) return "–";
  return `${printLengthBare(mm, system, digits)} ${lengthUnitName(system)}`;
}

/** The same without the unit, as it stands in a field that shows its unit beside it. */
export function printLengthBare(mm: number, system: UnitSystem, digits = 1): string {
  if (!Number.isFinite(mm)) return "–";
  if (system === "metric") return fixed(mm, digits);
  const inches = mm / MM_PER_INCH;
  if (system === "inch") return fixed(inches, digits + (digits > 1 ? 1 : 2));
  // What is finer than a 64th is said in thousandths: a clearance of 0.1 mm is not none.
  if (Math.abs(inches) >= 1 / 64) return printFraction(inches);
  return Math.abs(inches) < 0.0005 ? "0" : fixed(inches, 3);
}

/** The bare length without needless zeros: `4.7` for 4.70, `26` for 26.00; fractions stand as they are. */
export function printLengthShort(mm: number, system: UnitSystem, digits = 2): string {
  const text = printLengthBare(mm, system, digits);
  return text.includes(".") ? text.replace(/\.?0+$/, "") : text;
}

export function lengthUnitName(system: UnitSystem): "mm" | "in" {
  return system === "metric" ? "mm" : "in";
}

/** Inches to the nearest 1/64, reduced: `1 1/4`, `3/16`, `0`. */
export function printFraction(inches: number): string {
  const sixtyFourths = Math.round(Math.abs(inches) * 64);
  if (sixtyFourths === 0) return "0";
  const sign = inches < 0 ? "−" : "";
  const whole = Math.floor(sixtyFourths / 64);
  let over = sixtyFourths % 64;
  if (over === 0) return `${sign}${whole}`;
  let under = 64;
  while (over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  return `${sign}${whole > 0 ? `${whole} ` : ""}${over}/${under}`;
}

/** Ounces are told to this part of one where fractions are read: half of it is under 2 g. */
const EIGHTHS = 8;

/**
 * A mass for reading, with its unit: `182.4 g`, `6.43 oz`, `6 3/8 oz`; small parts, under an ounce, in grams in every
 * system. A value that is not finite prints as a dash.
 */
export function printMass(massG: number, system: UnitSystem, digits = 1): string {
  if (!Number.isFinite(massG)) return "–";
  const ounces = massG / GRAMS_PER_OUNCE;
  if (system === "metric" || Math.abs(ounces) < 1) return `${fixed(massG, digits)} g`;
  if (system === "inch") return `${fixed(ounces, digits + 1)} oz`;
  return `${printFraction(Math.round(ounces * EIGHTHS) / EIGHTHS)} oz`;
}
