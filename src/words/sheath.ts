import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import type { Panel, SheathFailure, SheathNote, SheathPattern } from "@/core/sheath/pattern";
import { OUNCE_MM, type SHEATH_LIMITS, type SheathStyle } from "@/core/sheath/settings";

export const SHEATH_STYLE_WORDS: Readonly<Record<SheathStyle, string>> = {
  "fold-over": "Folded over the spine",
  "two-panel": "Two panels",
};

export const PANEL_WORDS: Readonly<Record<Panel["name"], string>> = {
  front: "Front",
  back: "Back",
  welt: "Welt",
  "belt-loop": "Belt loop",
};

export const SHEATH_FIELD_WORDS: Readonly<Record<keyof typeof SHEATH_LIMITS, string>> = {
  leatherMm: "Leather's thickness",
  weltMm: "Welt's width",
  clearanceMm: "Room beside the knife",
  marginMm: "Stitches from the edge",
  pitchMm: "Stitch length",
  depthMm: "Depth over the handle",
  beltMm: "Belt's width",
};

/** Why there is no pattern, with a way out. */
export function sheathFailureWords(failure: SheathFailure, units: UnitSystem): string {
  const mm = (value: number) => printLength(value, units);
  switch (failure.code) {
    case "cannot-be-built":
      return "There is no outline to draw a sheath round.";
    case "limit":
      return `${SHEATH_FIELD_WORDS[failure.field]} is ${mm(failure.min)} to ${mm(failure.max)}.`;
    case "margin":
      return `The welt is too narrow for stitches so far in: ${mm(failure.most)} at most.`;
    case "depth":
      return `It covers ${mm(failure.most)} of the handle at most: what is left is taken hold of.`;
  }
}

/** What is said of the fit, at its place. */
export function sheathNoteWords(note: SheathNote, units: UnitSystem): string {
  const mm = (value: number) => printLength(value, units);
  switch (note.code) {
    case "loose":
      return `${mm(note.byMm)} of room at ${mm(note.xMm)}: what is ahead of it has to go past. The welt fills it.`;
    case "stretch":
      return `At ${mm(note.xMm)} the panel is ${Math.round(100 * note.share)} % longer than its outline: mould it wet.`;
    case "guard":
      return `The guard, ${mm(note.widthMm)} high, does not pass a throat behind it: cut the throat to the guard.`;
  }
}

/** "3.2 mm, 8 oz" */
const leatherWords = (mm: number, units: UnitSystem): string =>
  `${printLength(mm, units)}, ${(mm / OUNCE_MM).toFixed(mm / OUNCE_MM < 10 ? 1 : 0).replace(/\.0$/, "")} oz`;

/** What stands under a piece of leather. */
export function panelLines({ name, thickMm }: Panel, style: SheathStyle, units: UnitSystem): string[] {
  const leather = `Leather ${leatherWords(thickMm, units)}; stretch along its length, not of the belly.`;
  if (name === "front")
    return style === "fold-over"
      ? [
          "Front and back in one",
          leather,
          "Fold along the line of dots and dashes; the knife lies where it is dashed.",
        ]
      : ["Front, and mirrored the back", leather, "The knife lies where it is dashed."];
  if (name === "welt") return ["Welt", leather];
  if (name === "belt-loop") return ["Belt loop, folded back in its middle", leather];
  return [PANEL_WORDS[name], leather];
}

/** What is said of the whole. */
export function sheathLines(
  { stitches, threadMm, panels }: SheathPattern,
  massG: number,
  knifeG: number,
  units: UnitSystem,
): string[] {
  const area = panels.reduce((sum, p) => sum + p.areaMm2, 0);
  const metres = (mm: number) => `${(mm / 1000).toFixed(2)} m`;
  return [
    `${stitches.holes.length} holes over ${printLength(stitches.seamMm, units)}, ${printLength(stitches.pitchMm, units, 2)} apart; one stands on the point.`,
    `Thread ${metres(threadMm.geometry)} with tails and ${metres(threadMm.rule)} by the rule of nine seams.`,
    `${(area / 10_000).toFixed(2)} dm² of leather, ${printMass(massG, units)}; with the knife ${printMass(massG + knifeG, units)}.`,
  ];
}

/** The order of the work. Handbook, section 12. */
const steps = (joins: readonly string[]): readonly string[] => [
  "Cut the panels and the welt; mark what is inside.",
  "Dye them, but not where glue goes: belt loop, welt, edges.",
  "Glue the belt loop to the back and stitch it now: it cannot be reached later.",
  ...joins,
  "Trim and true the edge; groove it; mark the stitches from the point outward and punch them.",
  "Saddle-stitch with two needles; go back over the last stitches at either end.",
  "Bevel and burnish the edges.",
  "Wet it, wrap the oiled knife in film, and mould it; let it dry without the knife before it is oiled.",
];
export const SHEATH_STEPS: Readonly<Record<SheathStyle, readonly string[]>> = {
  "fold-over": steps(["Glue the welt to the back half.", "Fold it, and glue the front half on."]),
  "two-panel": steps(["Glue the welt to the back panel.", "Glue the front panel on."]),
};

export const SHEATH_CAUTIONS: readonly string[] = [
  "Wrap or dull the edge while you fit: a knife comes through wet leather.",
  "Glue and dye: air, and gloves; no flame near either.",
  "Leather holds moisture and salts: a blade is not kept in its sheath for long.",
];
