import type { Finding } from "@/core/review/types";
import type { UnitSystem } from "@/core/units/print";
import { printLength } from "@/core/units/print";

type Say = (mm: number | null) => string;

const WORDS: Record<Finding["rule"], (f: Finding, mm: Say) => string> = {
  "unknown-material": (f) => `No material is called "${f.subject}". Choose another.`,
  "outline-crosses-itself": () => "The handle's outline crosses itself here. Pull its points apart.",
  "outline-ahead-of-front": (f, mm) =>
    `A point of the handle's outline lies ${mm(f.measured)} ahead of its front face.`,
  "outline-front-open": () => "The handle's outline must begin and end on its front face.",
  "outline-no-area": () => "The handle's outline encloses nothing: its top must lie above its bottom.",
  "hollow-wheel-too-small": (f, mm) =>
    `A wheel of ${mm(f.measured)} radius cannot grind a face this high: at least ${mm(f.limit)} is needed.`,
  "hollow-cuts-through": () =>
    "The hollow grind cuts through the blade. Use a larger wheel, a lower face or thicker stock.",
  "edge-thicker-than-spine": (f, mm) =>
    `The edge (${mm(f.measured)}) must be thinner than the spine (${mm(f.limit)}).`,
  "ricasso-longer-than-blade": (f, mm) =>
    `The ricasso (${mm(f.measured)}) must be shorter than the blade (${mm(f.limit)}).`,
  "ricasso-higher-than-heel": (f, mm) =>
    `The ricasso (${mm(f.measured)}) stands below the heel (${mm(f.limit)}): it would touch the board first.`,
  "tip-longer-than-blade": (f, mm) =>
    `The run to the tip (${mm(f.measured)}) is longer than the blade has room for (${mm(f.limit)}); it is drawn shorter.`,
  "pin-off-handle": (f, mm) =>
    `A pin stands ${mm(f.measured === null ? null : -f.measured)} out of the handle. Move it inward.`,
  "hole-off-tang": (f, mm) =>
    `A tang hole breaks out of the tang by ${mm(f.measured === null ? null : -f.measured)}.`,
  "fasteners-overlap": (f, mm) =>
    `Two holes run into each other by ${mm(f.measured === null ? null : -f.measured)}.`,
  "bore-not-inside-tube": (f, mm) =>
    `The tube's bore (${mm(f.measured)}) must be smaller than the tube (${mm(f.limit)}).`,
  "pattern-overfull": (f) =>
    `Tube and rods fill ${Math.round((f.measured ?? 0) * 100)} % of the pin; together they cannot pass 100 %.`,
  "handle-thinner-than-tang": (f, mm) =>
    `The handle is ${mm(f.measured)} from the middle here, but tang and liners take ${mm(f.limit)}: no scale is left.`,
  "stock-thinner-than-handle": (f, mm) =>
    `The contour asks for ${mm(f.measured)} from the middle, but the scale stock ends at ${mm(f.limit)}: it stays flat here.`,
  "bevel-too-deep": (f, mm) => `The front bevel (${mm(f.measured)} deep) cuts to the tang (${mm(f.limit)}).`,
  "tang-and-handle-apart": () =>
    "A full tang goes with scales and a hidden tang with a handle of pieces. Choose the tang again.",
  "guard-longer-than-handle": (f, mm) =>
    `The guard (${mm(f.measured)}) leaves no room for a handle of ${mm(f.limit)}.`,
  "guard-lower-than-tang": (f, mm) => `The tang stands ${mm(f.measured)} out of the guard.`,
  "pieces-longer-than-handle": (f, mm) =>
    `The pieces before the last take ${mm(f.measured)} of ${mm(f.limit)}: nothing is left for the last.`,
  "tang-through-guard": (f, mm) =>
    `The tang stands ${mm(f.measured)} out of the guard, whose slot must hold it.`,
  "tang-hole-breaks-out": () =>
    "The tang's hole breaks through the handle here. Make the tang smaller or shorter, or the handle fuller.",
  "duplicate-id": (f) => `Two holes share the name "${f.subject}".`,
};

/** A finding in plain words, lengths in the maker's units. */
export function findingWords(finding: Finding, system: UnitSystem): string {
  return WORDS[finding.rule](finding, (mm) => (mm === null ? "–" : printLength(mm, system, 1)));
}
