import { MM_PER_INCH } from "./length";

/** Grams in an avoirdupois ounce, exact by definition. */
export const GRAMS_PER_OUNCE = 28.349523125;

/** What a maker reads in: millimetres and grams, or inches (decimal, or to the nearest 1/64) and ounces. */
export type UnitSystem = "metric" | "inch" | "inch-fraction";

/** A true minus sign, so that columns of figures align and read well. */
function signed(text: string): string {
  return text.startsWith("-") ? `−${text.slice(1)}` : text;
}

/** Keeps a half a half, where it is rounded. */
const HALF = 1e-9;

/** Fixed digits without a negative zero. */
function fixed(value: number, digits: number): string {
  // What is a half in decimals is a little less in binary: 3.175 mm, an eighth of an inch, reads 3.18.
  const text = (value + Math.sign(value) * HALF).toFixed(digits);
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
  if (!text.includes(".")) return text;
  let end = text.length;
  while (text[end - 1] === "0") end--;
  return text.slice(0, text[end - 1] === "." ? end - 1 : end);
}

/** The same with its unit: `3 mm`, `1/8 in`. */
export function printLengthPlain(mm: number, system: UnitSystem, digits = 2): string {
  return `${printLengthShort(mm, system, digits)} ${lengthUnitName(system)}`;
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

/** Ounces are given to this part of one where fractions are read: half of it is under 2 g. */
const EIGHTHS = 8;

/**
 * A mass for reading, with its unit: `182.4 g`, `6.43 oz`, `6 3/8 oz`; under an ounce in hundredths of one, as an eighth is
 * too much of a small part. A value that is not finite prints as a dash.
 */
export function printMass(massG: number, system: UnitSystem, digits = 1): string {
  if (!Number.isFinite(massG)) return "–";
  const ounces = massG / GRAMS_PER_OUNCE;
  if (system === "metric") return `${fixed(massG, digits)} g`;
  if (system === "inch" || Math.abs(ounces) < 1) return `${fixed(ounces, digits + 1)} oz`;
  return `${printFraction(Math.round(ounces * EIGHTHS) / EIGHTHS)} oz`;
}

/** Of the metric unit that other quantities are kept in: N in a pound-force, MPa in a thousand pounds a square inch. @see NIST SP 811. */
export const NEWTONS_PER_POUND = 4.4482216152605;
export const MPA_PER_KSI = 6.894757293168;
const NMM_PER_OUNCE_INCH = (NEWTONS_PER_POUND / 16) * MM_PER_INCH;
const GMM2_PER_OUNCE_INCH2 = GRAMS_PER_OUNCE * MM_PER_INCH ** 2;

/** A quantity that is kept in a metric unit: its unit's name as a maker reads it, how much of the kept unit that is, decimals. */
interface Measure {
  readonly name: string;
  readonly per: number;
  readonly digits: number;
}

const MEASURES = {
  /** Kept in N·mm; an ounce is a force here. */
  moment: {
    metric: { name: "N·mm", per: 1, digits: 0 },
    inch: { name: "oz·in", per: NMM_PER_OUNCE_INCH, digits: 1 },
  },
  /** Kept in g·mm². */
  inertia: {
    metric: { name: "kg·mm²", per: 1000, digits: 0 },
    inch: { name: "oz·in²", per: GMM2_PER_OUNCE_INCH2, digits: 0 },
  },
  /** Kept in N. */
  force: {
    metric: { name: "N", per: 1, digits: 0 },
    inch: { name: "lbf", per: NEWTONS_PER_POUND, digits: 0 },
  },
  /** Kept in MPa. */
  stress: {
    metric: { name: "MPa", per: 1, digits: 0 },
    inch: { name: "ksi", per: MPA_PER_KSI, digits: 1 },
  },
} as const satisfies Record<string, Record<"metric" | "inch", Measure>>;

export type MeasureKind = keyof typeof MEASURES;

/** How a maker reads a quantity. */
export function measureOf(kind: MeasureKind, system: UnitSystem): Measure {
  return MEASURES[kind][system === "metric" ? "metric" : "inch"];
}

/** A moment, an inertia, a force or a stress for reading, with its unit; from the unit that it is kept in. */
export function printMeasure(kind: MeasureKind, value: number, system: UnitSystem): string {
  return Number.isFinite(value)
    ? `${printMeasureBare(kind, value, system)} ${measureOf(kind, system).name}`
    : "–";
}

/** The same without its unit. */
export function printMeasureBare(kind: MeasureKind, value: number, system: UnitSystem): string {
  const { per, digits } = measureOf(kind, system);
  return Number.isFinite(value) ? fixed(value / per, digits) : "–";
}
