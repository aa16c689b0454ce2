import { MM_PER_INCH } from "@/core/base/units/length";
import type { OutlineRole } from "@/core/exchange/pattern/applyOutline";
import type { Found } from "@/core/exchange/pattern/found";
import type { DrawingUnit } from "@/core/exchange/pattern/trace";

/** What an outline of a pattern may be. */
export const ROLE_WORDS: Readonly<Record<OutlineRole | "guard", string>> = {
  blank: "Blade and tang",
  blade: "Blade",
  tang: "Tang",
  handle: "Handle",
  scale: "Scale",
  guard: "Guard, from the front",
};

export const UNIT_WORDS: Readonly<Record<DrawingUnit, string>> = {
  mm: "Millimetres",
  in: "Inches",
  cm: "Centimetres",
  px: "Pixels, 96 an inch",
  pt: "Points, 72 an inch",
  m: "Metres",
};

const both = (mm: number) => `${mm.toFixed(1)} mm (${(mm / MM_PER_INCH).toFixed(2)} in)`;

/** What a closed outline is, where the drawing lets that be told. */
const OUTLINE_WORDS = {
  part: "Outline",
  page: "Page of the drawing",
  frame: "Frame of the drawing",
} as const;

/** A shape by what it is and its size: "Outline, 225.0 mm (8.86 in) × 33.3 mm (1.31 in)". */
export function foundWords(
  shape: Found,
  size: { readonly widthMm: number; readonly heightMm: number },
): string {
  if (shape.kind === "circle") return `Circle, ${both(2 * shape.radiusMm)} across`;
  if (shape.kind === "open") return `Open line, its ends ${shape.gapMm.toFixed(2)} mm apart`;
  return `${OUTLINE_WORDS[shape.aside ?? "part"]}, ${both(size.widthMm)} × ${both(size.heightMm)}`;
}
