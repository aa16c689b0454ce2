import type { UnitSystem } from "@/core/base/units/print";
import { printLength } from "@/core/base/units/print";
import type { Contradiction, Hole } from "@/core/plan/contradictions";
import { CUT_SIZE_WORDS } from "./waysBack";

/** How the blank of one grade differs from another's: what that one has, and what it is here. */
export function blankWords(
  c: Contradiction,
  units: UnitSystem,
  materialName: (id: string) => string,
): string {
  const mm = (value: number) => printLength(value, units, 2);
  const place = (h: Hole) => `${mm(h.diameterMm)} hole at ${mm(h.xMm)}, ${mm(h.yMm)}`;
  switch (c.code) {
    case "hole-moved":
      return `the ${place(c.was)} stands ${mm(c.byMm)} away from there`;
    case "hole-larger":
    case "hole-smaller":
      return `the ${place(c.was)} is ${mm(c.now.diameterMm)} wide`;
    case "hole-deeper":
    case "hole-shallower":
      return `the ${place(c.was)} is ${mm(c.now.depthMm ?? 0)} deep`;
    case "hole-gone":
      return `no ${place(c.was)}`;
    case "hole-missing":
      return `a ${place(c.now)} more`;
    case "outline-missing":
      return `the outline stands out by ${mm(c.byMm)} at ${mm(c.xMm)}`;
    case "outline-standing":
      return `the outline lies in by ${mm(c.byMm)} at ${mm(c.xMm)}`;
    case "size-missing":
    case "size-standing": {
      const of = ["butt", "tip"].includes(c.piece) ? `the ${c.piece}` : CUT_SIZE_WORDS[c.of];
      return `${of} at ${mm(c.nowMm)} in the place of ${mm(c.wasMm)}`;
    }
    case "other-material":
      return `${materialName(c.now)} in the place of ${materialName(c.was)}`;
    case "other-steel":
      return `hardened: ${materialName(c.now)} in the place of ${materialName(c.was)}`;
  }
}

/** So many differences are told; of the others how many there are. */
const MOST_TOLD = 4;

/** Several of them in a line. */
export function blankListWords(
  all: readonly Contradiction[],
  units: UnitSystem,
  materialName: (id: string) => string,
): string {
  const told = all.slice(0, MOST_TOLD).map((c) => blankWords(c, units, materialName));
  const more = all.length - told.length;
  return more > 0 ? `${told.join("; ")}; and ${more} more` : told.join("; ");
}

/** "piece 2 of 5"; "the piece" of one alone. */
export const pieceWords = (piece: number, of: number): string =>
  of > 1 ? `piece ${piece + 1} of ${of}` : "the piece";
