import { own } from "@/core/base/own";
import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import type { Contradicted, WeighedRemedy, WeightChange } from "@/core/plan/buildSheet";
import type { Hole } from "@/core/plan/contradictions";
import type { CutSize } from "@/core/plan/cutFacts";
import type { RemedyChange, RemedyCode } from "@/core/plan/remedies";
import type { WayLength } from "@/core/plan/waysBack";
import { printMinutes } from "./money";

/** Ways back from what failed: what they are called, and what is done. */
const WAY_WORDS: Readonly<Record<string, { readonly name: string; readonly says: string }>> = {
  "ream-holes": { name: "Pins do not slide", says: "Ream the holes by the next drill up; burrs off." },
  "harden-again": { name: "Too soft: the file bites", says: "Normalise, harden and temper again." },
  overheated: {
    name: "Too hot: blue where it has to be hard",
    says: "It is soft there: harden and temper again, then finish the surface again.",
  },
  "straighten-hot": {
    name: "Bent a little",
    says: "Heat to the temper, clamp it straight with a little over, let it cool so; then look again.",
  },
  "normalise-again": {
    name: "Bent too far",
    says: "Normalise, harden and temper again; leave more at the edge.",
  },
  cracked: { name: "Cracked", says: "The blade is lost: a new one from the bar." },
  "burnt-tip": {
    name: "The tip is burnt",
    says: "Grind the tip back: the blade is shorter, and weighs less.",
  },
  "grind-etch-off": {
    name: "The etch is no good: grind it off",
    says: "Grind its depth off both faces, and finish them again: the blade is thinner.",
  },
  "raise-grind": {
    name: "The etch is no good: grind the face up to the spine",
    says: "The flat over the bevel goes with the etch on it: the blade is lighter.",
  },
  "etch-again": { name: "The etch is too faint", says: "Clean, mask and etch again, in register." },
  "seat-again": { name: "Not square, or a gap", says: "File and fit the seat again." },
  "solder-slot": {
    name: "The slot is too wide",
    says: "Close it with solder, the edge kept cold, and file it to the tang.",
  },
  "new-guard": { name: "The slot is far too wide", says: "A new guard." },
  "spacer-in-gap": {
    name: "A gap behind the guard",
    says: "A leather spacer that closes it once it is pulled up; the handle stands back by as much, and pins are checked again.",
  },
  "faces-again": { name: "Front faces are not level", says: "Flatten both together, to the last grit." },
  "glue-again": {
    name: "Out of line",
    says: "While it is wet: apart, wipe it clean, degrease and glue again.",
  },
  "new-handle": { name: "Drilled wrong, or split", says: "A new handle piece: take the spare." },
  "split-handle": {
    name: "The handle has split",
    says: "Warm it until the glue lets go, pry it off, and make the handle again; the tang's holes stay.",
  },
};

/** What a way back is called, and what is done on it. */
export const wayWords = (code: string): { readonly name: string; readonly says: string } =>
  own(WAY_WORDS, code) ?? { name: code, says: "" };

/** What was done over: a way back, or how a contradiction was resolved. */
export const reworkWords = (code: string): string =>
  own(WAY_WORDS, code)?.name ?? own(REMEDY_WORDS as Readonly<Record<string, string>>, code) ?? code;

/** What a way back does to the knife, as undo says it. */
export const WAY_BACK_EDITS: Readonly<Record<string, string>> = {
  "spacer-in-gap": "Spacer in the gap",
  "grind-etch-off": "Grind the etch off",
  "burnt-tip": "Shorten the blade",
  "raise-grind": "Grind up to the spine",
};

export const WAY_LENGTH_WORDS: Readonly<Record<WayLength, string>> = {
  gap: "Gap",
  "etch-depth": "Depth of the etch",
  burnt: "Burnt",
};

/** What resolving a contradiction did to the knife, as undo says it. */
export const RESOLVED_WORDS: Readonly<Record<RemedyChange["kind"], string>> = {
  "move-item": "Move it back to where it was drilled",
  "old-hole": "Fill the old hole",
  size: "Take the size that was cut",
  steel: "Take the steel that was cut",
};

const REMEDY_WORDS: Readonly<Record<RemedyCode, string>> = {
  "as-cut": "Take the design back to what was cut",
  "cut-on": "Cut on, to what the design says now",
  "weld-and-drill": "Weld or plug the hole, and drill again",
  "new-piece": "Make the piece anew",
  "new-blade": "Make the blade anew",
  "close-slot": "Close the slot with solder, and file it",
  "new-guard": "Make the guard anew",
};

export const CUT_SIZE_WORDS: Readonly<Record<CutSize, string>> = {
  "bar-thickness": "thickness of the bar",
  edge: "thickness of the edge",
  "slot-height": "height of the slot",
  "slot-thickness": "width of the slot",
  "slot-middle": "middle of the slot",
  "guard-above": "guard over the axis",
  "guard-below": "guard under the axis",
  "guard-width": "width of the guard",
  thread: "thread",
  length: "length",
  height: "height",
  thickness: "thickness",
};

/** What a done task and the design say otherwise of each other. */
export function contradictionWords(
  { what: c }: Pick<Contradicted, "what">,
  units: UnitSystem,
  materialName: (id: string) => string,
  pieceName: (id: string) => string,
): string {
  const mm = (value: number) => printLength(value, units, 2);
  const place = (h: Hole) => `${mm(h.diameterMm)} hole at ${mm(h.xMm)}, ${mm(h.yMm)}`;
  switch (c.code) {
    case "hole-moved":
      return `The ${place(c.was)} is drilled, and the design has it ${mm(c.byMm)} from there now.`;
    case "hole-larger":
      return `The ${place(c.was)} is drilled, and is to be ${mm(c.now.diameterMm)} now.`;
    case "hole-smaller":
      return `The ${place(c.was)} is drilled too large: ${mm(c.now.diameterMm)} is wanted now.`;
    case "hole-deeper":
      return `The ${place(c.was)} is to be deeper: ${mm(c.now.depthMm ?? 0)}.`;
    case "hole-shallower":
      return `The ${place(c.was)} is drilled too deep: ${mm(c.now.depthMm ?? 0)} is wanted now.`;
    case "hole-gone":
      return `The ${place(c.was)} is drilled, and the design has none there now.`;
    case "hole-missing":
      return `The design has a ${place(c.now)} now that is not drilled.`;
    case "outline-missing":
      return `The outline stands ${mm(c.byMm)} outside of what was ground, most at ${mm(c.xMm)}: steel is not put back.`;
    case "outline-standing":
      return `The outline lies ${mm(c.byMm)} inside of what was ground, most at ${mm(c.xMm)}.`;
    case "size-missing":
    case "size-standing": {
      const of = ["butt", "tip"].includes(c.piece) ? `the ${c.piece}` : `${CUT_SIZE_WORDS[c.of]}`;
      const on =
        c.piece && !["butt", "tip", "blade", "guard", "tang"].includes(c.piece)
          ? ` of ${pieceName(c.piece)}`
          : "";
      return `Cut: ${of}${on} ${mm(c.wasMm)}; the design says ${mm(c.nowMm)} now.`;
    }
    case "other-material":
      return `${pieceName(c.piece)} is cut of ${materialName(c.was)}; the design says ${materialName(c.now)} now.`;
    case "other-steel":
      return `What is hardened is ${materialName(c.was)}; the design says ${materialName(c.now)} now.`;
  }
}

export const remedyWords = (code: RemedyCode): string => REMEDY_WORDS[code];

const signed = (value: number, print: (n: number) => string) =>
  `${value < 0 ? "−" : "+"}${print(Math.abs(value))}`;

/** What a change does to weight and balance: "−1.2 g, balance +0.4 mm". */
export function becomesWords(becomes: WeightChange | null, units: UnitSystem): string {
  if (!becomes) return "the knife could not be built so";
  if (Math.abs(becomes.massG) < 0.05 && Math.abs(becomes.balanceMm) < 0.05) return "weight and balance stay";
  const mass = signed(becomes.massG, (g) => printMass(g, units, 1));
  return `${mass}, balance ${signed(becomes.balanceMm, (mm) => printLength(mm, units, 1))}`;
}

/** What a remedy costs: minutes of hands, waiting, what is bought, and what it does to weight and balance. */
export function remedyCosts(
  { activeMin, waitMin, piece, becomes }: WeighedRemedy,
  units: UnitSystem,
  pieceName: (id: string) => string,
): string {
  const parts = [activeMin > 0 ? `${printMinutes(activeMin)} of work` : "no work"];
  if (waitMin > 0) parts.push(`${printMinutes(waitMin)} of waiting`);
  if (piece) parts.push(`a new piece: ${pieceName(piece)}`);
  parts.push(becomesWords(becomes, units));
  return parts.join(", ");
}
