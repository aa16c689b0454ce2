import type { TaskKind } from "./taskKinds";
import { SURFACE_TASKS } from "./types";

/** Tasks that are done over together, whether something failed or the design has changed. */
export const HEAT: readonly TaskKind[] = [
  "normalise",
  "harden",
  "check-hardness",
  "cold",
  "temper",
  "check-straight",
];
export const SURFACE: readonly TaskKind[] = SURFACE_TASKS;
export const TANG_HOLES: readonly TaskKind[] = ["drill-tang", "drill-one-pass", "check-holes"];
/** A new blade, from the bar. */
export const BLADE: readonly TaskKind[] = [
  "profile",
  "weld-tang",
  "file-tang",
  "hammer-flats",
  "stamp-mark",
  "grind-soft",
  ...TANG_HOLES,
  ...HEAT,
  "grind-bevels",
  ...SURFACE,
];
export const GUARD: readonly TaskKind[] = [
  "saw-piece",
  "weld-guard",
  "slot-guard",
  "fit-guard",
  "check-guard",
  "shape-guard",
];
export const GLUING: readonly TaskKind[] = [
  "degrease",
  "glue-handle",
  "check-in-line",
  "carry-indoors",
  "clean-squeeze-out",
  "cure",
];
/** A new piece of the handle, up to its shape. */
export const HANDLE: readonly TaskKind[] = [
  "saw-piece",
  "fit-segments",
  "front-faces",
  "check-faces",
  "drill-scales",
  "counterbore",
  "drill-block",
  "fit-block",
  "drill-pins",
  "dry-fit",
  ...GLUING,
  "peen",
  "flush-pins",
  "contour",
];
