import type { Work } from "../../base/work";
import { artOf, printArt } from "../../geometry/contours/art";
import { circleLoop, flattened } from "../../geometry/contours/loop";
import type { RawDrawing } from "../../geometry/contours/raw";
import { shapesIn } from "./found";

export type MarkReading =
  | {
      readonly ok: true;
      /** As a mark on a blade keeps it. */
      readonly art: string;
      /** How high it is drawn, mm; null where the file does not say its unit. */
      readonly heightMm: number | null;
      /** Lines that do not close, and fill nothing. */
      readonly open: number;
    }
  | { readonly ok: false; readonly code: "no-area" | "too-long" };

/** Chords of round holes lie within this of them, of the drawing's unit. */
const CHORD = 0.002;

/** What a drawing fills: all that lies in an odd number of its closed lines. Throws `TooMuchWork`. */
export function markIn(drawing: RawDrawing, work?: Work): MarkReading {
  const { shapes } = shapesIn(drawing, drawing.mmPerUnit ?? 1, work);
  const loops = shapes.flatMap((s) =>
    // A page's colour is what the mark stands on.
    s.kind === "outline"
      ? s.aside === "page"
        ? []
        : [s.points]
      : s.kind === "circle"
        ? [flattened(circleLoop(s.x, s.y, s.radiusMm), CHORD * s.radiusMm)]
        : [],
  );
  const reading = artOf(loops);
  if (!reading.ok) return reading;
  return {
    ok: true,
    art: printArt(reading.art),
    heightMm: drawing.mmPerUnit === null ? null : reading.heightMm,
    open: shapes.filter((s) => s.kind === "open").length,
  };
}
