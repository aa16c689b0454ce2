import { drillNamed } from "./drills";

/** Millimetres in an inch, exact since 1959. */
export const MM_PER_INCH = 25.4;

/** The unit that a bare decimal number is read in. */
export type LengthUnit = "mm" | "in";

/** How a length was written, so that an editor can say what it understood. */
export type LengthForm = "mm" | "inch" | "fraction" | "drill";

export type LengthFailure =
  | { readonly ok: false; readonly code: "empty" }
  | { readonly ok: false; readonly code: "not-a-length"; readonly text: string }
  | { readonly ok: false; readonly code: "no-such-drill"; readonly text: string }
  | { readonly ok: false; readonly code: "zero-denominator"; readonly text: string }
  | { readonly ok: false; readonly code: "too-large"; readonly text: string };

export type LengthReading =
  | { readonly ok: true; readonly mm: number; readonly form: LengthForm }
  | LengthFailure;

/** No length on a knife's bench reaches ten metres; more is a slip of the finger. */
const LARGEST_MM = 10_000;

const NUMBER = String.raw`(\d+(?:\.\d*)?|\.\d+)`;
const DECIMAL = new RegExp(String.raw`^${NUMBER}\s*(mm|cm|in|inch|inches|")?$`);
const FRACTION = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)\s*(?:in|inch|inches|")?$/;
const DRILL = /^(?:#\s*\d+|no\.?\s*\d+|[a-z])$/;

/**
 * Reads a length as makers write it: `3/16`, `1 1/4"`, `1-1/4 in`, `4.76mm`, `.257`, `#13`, `F`.
 *
 * A fraction is inches. A bare decimal is in `unit`, except one that begins with its point (`.257`), which is
 * inches everywhere: thousandths are written so. A comma is taken for a decimal point. A leading minus is kept.
 * @returns millimetres, or a failure that names what could not be read. Never NaN.
 */
export function parseLength(text: string, unit: LengthUnit): LengthReading {
  const clean = text
    .trim()
    .replace(/[−–]/g, "-")
    .replace(/[″”“]/g, '"')
    .replace(/(\d),(\d)/g, "$1.$2");
  if (clean === "") return { ok: false, code: "empty" };
  const negative = clean.startsWith("-");
  const body = (negative ? clean.slice(1) : clean).trim().toLowerCase();
  const sign = negative ? -1 : 1;

  const fraction = FRACTION.exec(body);
  if (fraction) {
    const [, whole = "0", over, under] = fraction;
    if (Number(under) === 0) return { ok: false, code: "zero-denominator", text };
    const inches = Number(whole) + Number(over) / Number(under);
    return bounded(sign * inches * MM_PER_INCH, "fraction", text);
  }
  const decimal = DECIMAL.exec(body);
  if (decimal) {
    const value = Number(decimal[1]);
    const suffix = decimal[2];
    if (suffix === "mm") return bounded(sign * value, "mm", text);
    if (suffix === "cm") return bounded(sign * value * 10, "mm", text);
    const inches = suffix !== undefined || unit === "in" || body.startsWith(".");
    return bounded(sign * value * (inches ? MM_PER_INCH : 1), inches ? "inch" : "mm", text);
  }
  if (DRILL.test(body)) {
    const drill = drillNamed(body.replace(/^no\.?\s*/, "#").replace(/\s+/g, ""));
    if (!drill || negative) return { ok: false, code: "no-such-drill", text };
    return { ok: true, mm: drill.diameterIn * MM_PER_INCH, form: "drill" };
  }
  return { ok: false, code: "not-a-length", text };
}

function bounded(mm: number, form: LengthForm, text: string): LengthReading {
  if (!(Math.abs(mm) <= LARGEST_MM)) return { ok: false, code: "too-large", text };
  return { ok: true, mm, form };
}
