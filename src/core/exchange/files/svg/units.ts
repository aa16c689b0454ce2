import { measureIn, numbersIn } from "./numbers";

/** Millimetres to the units that lengths of a drawing are in. @see CSS Values and Units 3, absolute lengths. */
const MM: ReadonlyMap<string, number> = new Map([
  ["mm", 1],
  ["cm", 10],
  ["in", 25.4],
  ["pt", 25.4 / 72],
  ["pc", 25.4 / 6],
  ["Q", 0.25],
]);
const MM_PER_PX = 25.4 / 96;

/** A length in mm; null without a unit, in pixels or as a share of something. */
function lengthMm(text: string | undefined): number | null {
  const measure = measureIn(text ?? "");
  const length = measure ? measure.value * (MM.get(measure.unit) ?? Number.NaN) : Number.NaN;
  return length > 0 ? length : null;
}

/**
 * Millimetres to a unit of a drawing's coordinates: null where nothing says so, as of pixels. `stretch` is how much
 * farther its heights are stretched than its lengths.
 */
export function userUnits(a: Readonly<Record<string, string | undefined>>): {
  readonly mmPerUnit: number | null;
  readonly stretch: number;
} {
  const [widthMm, heightMm] = [lengthMm(a.width), lengthMm(a.height)];
  const box = numbersIn(a.viewBox ?? "");
  const [, , w, h] = box;
  if (!(box.length === 4 && w > 0 && h > 0)) {
    // Without a view box a unit is a pixel, which the true sizes beside it give its size.
    return { mmPerUnit: widthMm !== null || heightMm !== null ? MM_PER_PX : null, stretch: 1 };
  }
  const [across, down] = [widthMm && widthMm / w, heightMm && heightMm / h];
  if (across !== null && down !== null && a.preserveAspectRatio === "none")
    return { mmPerUnit: across, stretch: down / across };
  const sizes = [across, down].filter((s) => s !== null);
  return { mmPerUnit: sizes.length > 0 ? Math.min(...sizes) : null, stretch: 1 };
}
