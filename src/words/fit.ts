import type { BoreOwner } from "@/core/figures/fit/boreNeeds";
import type { GlueJoint, GluePlan } from "@/core/figures/fit/glue";
import type { Opening } from "@/core/figures/fit/openings";
import type { BoreUse } from "@/core/kinds/fasteners/kind";
import type { DrillSet, PinFit } from "@/core/knife/design/schema";
import { COLDEST_C } from "@/core/materials/twoPart";
import { itemWords } from "./fasteners";
import { FITTING_WORDS } from "./fittings";

export const FIT_WORDS: Record<PinFit, string> = {
  slide: "Sliding, in glue",
  snug: "Snug",
  press: "Pressed",
};

export const DRILL_SET_WORDS: Record<DrillSet, string> = {
  fraction: "Inch fractions",
  number: "Numbers, #1 to #80",
  letter: "Letters, A to Z",
  metric: "Millimetres, by tenths",
};

export const BORE_WORDS: Record<BoreUse, string> = {
  pin: "Pin",
  barrel: "Barrel",
  insert: "Insert",
  rod: "Rod",
  tap: "Tapping hole",
  clearance: "Clear of the screw",
  counterbore: "Counterbore",
  tang: "Tang",
  dowel: "Dowel",
};

export const JOINT_WORDS: Record<GlueJoint["joint"], string> = {
  holes: "Holes filled",
  faces: "Faces of scales and liners",
  segments: "Joints of segments and bolsters",
  plates: "Faces of the guard's plates",
  pieces: "Faces between pieces",
  pins: "Round pins",
};

const OWNER_WORDS = {
  "butt-nut": "Nut at the butt",
  "butt-screw": "Screw at the butt",
  "butt-cap": "Cap at the butt",
  "tang-hole": "Tang",
} as const;

/** How a piece is had that is not sawn. */
export const MADE_WORDS = { printed: "printed", "built-up": "cast or built up, by weight" } as const;

/** What a hole is drilled for: "Pin 1, Pin 2". */
export function ownerWords(owners: readonly BoreOwner[]): string {
  return owners
    .map((o) => {
      if (o.kind === "fitting") return FITTING_WORDS[o.sort].point;
      return o.kind === "fastener" || o.kind === "hole" || o.kind === "slot"
        ? itemWords(o)
        : OWNER_WORDS[o.kind];
    })
    .join(", ");
}

/** How large an opening for a tang is: "12 mm × 5 mm", "5.5 mm round"; "closed" where there is none. */
export function openingWords(of: Opening | null, length: (mm: number) => string): string {
  if (of === null) return "closed";
  return of.roundMm === null
    ? `${length(of.heightMm)} × ${length(of.thicknessMm)}`
    : `${length(of.roundMm)} round`;
}

/** Which way a piece of stock is measured. */
export const SIZE_WORDS = { lengthMm: "length", heightMm: "height", thicknessMm: "thickness" } as const;

/** How long glue cures before what it holds is ground, and where. */
export const cureWords = ({ cureH, curesIndoors }: Pick<GluePlan, "cureH" | "curesIndoors">): string =>
  `${Math.round(cureH)} h${curesIndoors ? ` indoors: below ${COLDEST_C} °C it hardly sets, carry it in` : ""}`;
