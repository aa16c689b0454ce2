import type { Blade } from "./schema";

/** What of a blade is other than a style's outline, ground alike on both sides. */
type BladeForm = Pick<
  Blade,
  | "lengthChange"
  | "riseDeg"
  | "taper"
  | "outline"
  | "leftGrind"
  | "plunge"
  | "swedge"
  | "fullers"
  | "sharpenedDeg"
  | "notches"
  | "ramp"
  | "bolster"
  | "marks"
  | "face"
>;

/** A blade of its style's outline without cuts of its own: both sides alike, its plunge square, not yet sharpened. */
export function plainBladeForm(): BladeForm {
  return {
    lengthChange: "keeps-tip",
    riseDeg: 0,
    taper: [],
    outline: null,
    leftGrind: null,
    plunge: { sweepDeg: 0, radiusMm: 0 },
    swedge: null,
    fullers: [],
    sharpenedDeg: null,
    notches: [],
    ramp: null,
    bolster: null,
    marks: [],
    face: null,
  };
}
