import { NotUnderstood } from "./notUnderstood";
import { measureIn } from "./numbers";

/** Millimetres to the units of length that have a size of their own. @see CSS Values and Units 3, absolute lengths. */
export const UNIT_MM: ReadonlyMap<string, number> = new Map([
  ["mm", 1],
  ["cm", 10],
  ["in", 25.4],
  ["pt", 25.4 / 72],
  ["pc", 25.4 / 6],
  ["q", 0.25],
]);
export const MM_PER_PX = 25.4 / 96;

/** A box that lengths are shares of, in the coordinates in it; null where the file does not say how large it is. */
export interface Viewport {
  readonly width: number | null;
  readonly height: number | null;
}

/** What a share of a length is a share of. */
export type Along = "x" | "y" | "both";

/** Units that go by the size of letters, or of the window. */
const OTHER_UNITS = ["em", "ex", "ch", "rem", "vw", "vh", "vmin", "vmax", "ic", "lh", "rlh"];

/**
 * A length in coordinates, where they are pixels for whatever has a unit; `otherwise` where nothing is said, or what is
 * said is no length and so is not heeded. Throws `NotUnderstood` of one whose size the file does not tell.
 * @see SVG 2, 8.9 and 8.14; a share of neither width nor height is of √((w² + h²)/2) (from memory).
 */
export function lengthIn(text: string | undefined, along: Along, of: Viewport, otherwise = 0): number {
  const clean = (text ?? "").trim();
  if (clean === "" || clean === "auto") return otherwise;
  const measure = measureIn(clean);
  if (!measure) {
    if (/^[a-z-]+\(/i.test(clean)) throw new NotUnderstood(clean);
    return otherwise;
  }
  const { value } = measure;
  const unit = measure.unit.toLowerCase();
  if (unit === "" || unit === "px") return value;
  if (unit === "%") return (value / 100) * whole(along, of, clean);
  const mm = UNIT_MM.get(unit);
  if (mm !== undefined) return (value * mm) / MM_PER_PX;
  if (OTHER_UNITS.includes(unit)) throw new NotUnderstood(clean);
  return otherwise;
}

function whole(along: Along, { width, height }: Viewport, said: string): number {
  if (along === "x" && width !== null) return width;
  if (along === "y" && height !== null) return height;
  if (along === "both" && width !== null && height !== null) return Math.sqrt((width ** 2 + height ** 2) / 2);
  throw new NotUnderstood(`${said} of a size that is not stated`);
}
