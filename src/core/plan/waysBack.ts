import type { Design } from "../knife/design/schema";
import { BLADE, GLUING, HANDLE, HEAT, SURFACE } from "./doneOver";
import type { TaskKind } from "./taskKinds";

/** A way back from something that failed: what is done over, what is done besides, and how the design changes with it. */
export interface WayBack {
  readonly code: string;
  /** The tasks at which it is found. */
  readonly on: readonly TaskKind[];
  /** What is done besides, before what failed is tried again; null of none. */
  readonly task: TaskKind | null;
  /** What is done again, where the plan has it. */
  readonly reopens: readonly TaskKind[];
  /** A length that the maker types, mm: least, most and usual; null of none. */
  readonly asks: {
    readonly of: WayLength;
    readonly lowMm: number;
    readonly highMm: number;
    readonly usualMm: number;
  } | null;
  /** What the design becomes; null where it stays. */
  readonly change: ((design: Design, mm: number) => Design) | null;
  /** Whether it can be taken on a knife. */
  readonly fits: (design: Design) => boolean;
}

export type WayLength = "gap" | "etch-depth" | "burnt";

const plain = { task: null, asks: null, change: null, fits: () => true } as const;

/** How much of leather or vulcanised fibre goes when it is pulled up. Common practice, no source. */
const SPACER_PRESSED = 0.12;
/** Thickness that a spacer is cut to, so that it closes a gap once it is pulled up, mm. */
export const spacerCutMm = (gapMm: number): number => gapMm / (1 - SPACER_PRESSED);

/** A sheet of leather behind the guard: the handle moves back by as much. */
function withSpacer(design: Design, gapMm: number): Design {
  const { guard } = design;
  if (!guard || guard.mesh) return design;
  const plates = [...guard.plates, { material: "leather-veg", thicknessMm: gapMm, printed: null }];
  return { ...design, guard: { ...guard, plates } };
}

/** So much ground off both faces: the bar is thinner, and so is the tang where it is as thick as the blade. */
function groundOff(design: Design, depthMm: number): Design {
  const spineMm = design.blade.spineMm - 2 * depthMm;
  return spineMm > 0 ? { ...design, blade: { ...design.blade, spineMm } } : design;
}

const shortened = (design: Design, mm: number): Design => ({
  ...design,
  blade: { ...design.blade, lengthMm: design.blade.lengthMm - mm },
});

/** A face that ended below the spine ground on up to it: what was etched there is gone, and steel with it. */
function groundToSpine(design: Design): Design {
  const { blade } = design;
  const flat = { kind: "full-flat" } as const;
  const left = blade.leftGrind?.kind === "partial-flat" ? flat : blade.leftGrind;
  return blade.grind.kind === "partial-flat"
    ? { ...design, blade: { ...blade, grind: flat, leftGrind: left } }
    : design;
}

const needsGuard = ({ guard }: Design) => guard !== null && !guard.mesh;

/** Every way back that makers take. Common practice, no source, where section 10 of the trade's figures says no more. */
export const WAYS_BACK: readonly WayBack[] = [
  { ...plain, code: "ream-holes", on: ["check-holes"], reopens: ["drill-tang", "drill-one-pass"] },
  { ...plain, code: "harden-again", on: ["check-hardness"], reopens: HEAT },
  {
    ...plain,
    code: "overheated",
    on: ["temper", "check-straight", "grind-bevels"],
    reopens: [...HEAT, ...SURFACE],
  },
  { ...plain, code: "straighten-hot", on: ["check-straight"], task: "straighten", reopens: [] },
  { ...plain, code: "normalise-again", on: ["check-straight"], reopens: [...HEAT, ...SURFACE] },
  {
    ...plain,
    code: "cracked",
    on: ["check-hardness", "check-straight", "inspect-blade"],
    reopens: BLADE,
  },
  {
    ...plain,
    code: "burnt-tip",
    on: ["grind-bevels", "sharpen"],
    reopens: ["grind-bevels", ...SURFACE],
    asks: { of: "burnt", lowMm: 0.5, highMm: 40, usualMm: 3 },
    change: shortened,
    fits: ({ blade }) => !blade.measured,
  },
  {
    ...plain,
    code: "grind-etch-off",
    on: ["etch", "acid-etch", "darken", "tumble"],
    reopens: SURFACE,
    asks: { of: "etch-depth", lowMm: 0.005, highMm: 0.5, usualMm: 0.05 },
    change: groundOff,
    fits: ({ blade }) => !blade.measured,
  },
  {
    ...plain,
    code: "raise-grind",
    on: ["etch", "acid-etch", "darken"],
    reopens: ["grind-bevels", ...SURFACE],
    change: groundToSpine,
    fits: ({ blade }) => blade.grind.kind === "partial-flat" && !blade.measured,
  },
  {
    ...plain,
    code: "etch-again",
    on: ["etch", "acid-etch", "darken"],
    reopens: ["etch", "acid-etch", "darken", "tumble"],
  },
  { ...plain, code: "seat-again", on: ["check-guard"], reopens: ["fit-guard"] },
  {
    ...plain,
    code: "solder-slot",
    on: ["fit-guard", "check-guard"],
    task: "close-slot",
    reopens: ["fit-guard"],
  },
  {
    ...plain,
    code: "new-guard",
    on: ["fit-guard", "check-guard"],
    reopens: ["weld-guard", "slot-guard", "fit-guard", "shape-guard"],
  },
  {
    ...plain,
    code: "spacer-in-gap",
    on: ["check-guard", "dry-fit", "drill-scales"],
    task: "fit-spacer",
    reopens: ["front-faces", "check-faces", "fit-block", "dry-fit"],
    asks: { of: "gap", lowMm: 0.3, highMm: 6, usualMm: 0.8 },
    change: withSpacer,
    fits: needsGuard,
  },
  { ...plain, code: "faces-again", on: ["check-faces", "dry-fit"], reopens: ["front-faces"] },
  { ...plain, code: "glue-again", on: ["check-in-line"], reopens: GLUING },
  {
    ...plain,
    code: "new-handle",
    on: ["drill-scales", "drill-block", "burn-in", "dry-fit"],
    reopens: HANDLE,
  },
  {
    ...plain,
    code: "split-handle",
    on: ["cure", "peen", "flush-pins", "contour", "sand-handle", "weigh-and-log"],
    task: "pry-off",
    reopens: [...HANDLE, "groove-handle", "sand-handle", "finish-handle", "wind-wrap"],
  },
];

export const wayBack = (code: string): WayBack | undefined => WAYS_BACK.find((w) => w.code === code);

/** The ways back from a task that can be taken on a knife. */
export const waysFrom = (kind: TaskKind, design: Design): readonly WayBack[] =>
  WAYS_BACK.filter((w) => w.on.includes(kind) && w.fits(design));
