import { fitArcs } from "../../geometry/contours/fitArcs";
import type { Loop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";

/** Round and straight pieces follow an outline within this, mm; with its chords it stays within 0.01 mm. */
export const FOLLOWS_MM = 0.006;

/** Outlines by the fewest straight and round pieces that follow them; what has no area is left out. */
export const asLoops = (outlines: readonly (readonly Point[])[]): Loop[] =>
  outlines.map((o) => fitArcs(o, FOLLOWS_MM)).filter((l) => l.length > 1);
