/** Which mark parts whole numbers from their decimals. */
export type DecimalMark = "comma" | "point";

/** What can be made of a figure as someone wrote it: its value by either decimal mark, NaN where that makes no number. */
export interface Figure {
  readonly comma: number;
  readonly point: number;
}

const NO_NUMBER: Figure = { comma: Number.NaN, point: Number.NaN };
/** Longer figures are none. */
const MOST_LETTERS = 40;

/** Spaces that part groups of digits: plain, unbreakable, figure, thin, narrow unbreakable; and apostrophes. */
const GROUP_MARKS = " \u00a0\u2007\u2009\u202f'\u2019";

/**
 * Reads a figure as people write it: 1.234,56 and 1,234.56, 1 234,5 and 1'234.5, .5, -3, 1.2e3. It takes digits in groups
 * of three only; 0x10, Infinity and words are no numbers.
 */
export function figureOf(text: string): Figure {
  const trimmed = text.trim();
  if (trimmed === "" || trimmed.length > MOST_LETTERS) return NO_NUMBER;
  return { comma: readAs(trimmed, ",", "."), point: readAs(trimmed, ".", ",") };
}

function readAs(text: string, decimal: string, group: string): number {
  const negative = text[0] === "-" || text[0] === "\u2212";
  const unsigned = negative || text[0] === "+" ? text.slice(1) : text;
  const [mantissa, exponent, ...more] = unsigned.split(/[eE]/);
  if (more.length > 0) return Number.NaN;
  const power = exponent === undefined ? "" : exponentOf(exponent);
  const [whole, fraction, ...rest] = mantissa.split(decimal);
  if (power === null || rest.length > 0) return Number.NaN;
  const digits = grouped(whole, group);
  if (digits === null || (fraction !== undefined && !isDigits(fraction, true))) return Number.NaN;
  if (digits === "" && (fraction ?? "") === "") return Number.NaN;
  const value = Number(`${digits || "0"}.${fraction || "0"}${power}`);
  return negative ? -value : value;
}

function exponentOf(text: string): string | null {
  const sign = text[0] === "-" || text[0] === "+" ? text[0] : "";
  const digits = text.slice(sign.length);
  return digits !== "" && digits.length <= 3 && isDigits(digits) ? `e${sign}${digits}` : null;
}

/** Digits of a whole number without the marks between their groups; null where the groups are none. One mark parts all of them. */
function grouped(whole: string, group: string): string | null {
  const mark = [...whole].find((c) => c === group || GROUP_MARKS.includes(c));
  if (mark === undefined) return isDigits(whole, true) ? whole : null;
  const [first, ...others] = whole.split(mark);
  const sound =
    first.length >= 1 &&
    first.length <= 3 &&
    isDigits(first) &&
    others.every((part) => part.length === 3 && isDigits(part));
  // No one groups what begins with nothing.
  return sound && !(first[0] === "0") ? first + others.join("") : null;
}

function isDigits(text: string, orNone = false): boolean {
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (c < 0x30 || c > 0x39) return false;
  }
  return orNone || text.length > 0;
}

export type MarkReading =
  | { readonly ok: true; readonly mark: DecimalMark }
  /** A figure that can be read in two ways, and no other figure of its column says which. */
  | { readonly ok: false; readonly text: string };

/**
 * The decimal mark of a column: what its figures can only be read by. `fits` tells whether a value is one that the column
 * may hold. Asked for, never guessed, where both would do, or figures speak for either.
 */
export function markOf(cells: readonly string[], fits: (value: number) => boolean): MarkReading {
  const seen: Record<DecimalMark, boolean> = { comma: false, point: false };
  let doubtful: string | null = null;
  for (const text of cells) {
    const { comma, point } = figureOf(text);
    const [asComma, asPoint] = [fits(comma), fits(point)];
    if (asComma && asPoint && comma !== point) doubtful ??= text;
    else if (asComma && !asPoint) seen.comma = true;
    else if (asPoint && !asComma) seen.point = true;
  }
  if (seen.comma !== seen.point) return { ok: true, mark: seen.comma ? "comma" : "point" };
  if (doubtful === null && !seen.comma) return { ok: true, mark: "point" };
  const first = cells.find((text) => figureOf(text).comma !== figureOf(text).point);
  return { ok: false, text: (doubtful ?? first ?? "").trim().slice(0, MOST_LETTERS) };
}
