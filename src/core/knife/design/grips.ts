import { clamp } from "../../base/number";
import { STATIONS } from "./record/fields";
import type { Design, Grip } from "./schema";

/** What a hand feels of a knife in one grip, and what windows may stand on. */
export const GRIP_FIGURES = ["momentNmm", "percussionMm", "effectiveMassG"] as const;
export type GripFigure = (typeof GRIP_FIGURES)[number];

/** The index finger's place behind the guard or the handle's front, mm. Common practice, no source. */
export const GRIP_BEHIND_MM = 25;
/** A further grip is begun so far behind the last one, mm. */
const NEXT_BEHIND_MM = 30;

/** A grip at a station, without windows. */
export const newGrip = (id: string, name: string, xMm: number): Grip => ({
  id,
  name,
  xMm,
  momentNmm: null,
  percussionMm: null,
  effectiveMassG: null,
});

/** A further grip, behind those that there are. */
export function nextGrip(design: Design, name: string): Grip {
  const { grips } = design.use;
  const ids = new Set(grips.map((g) => g.id));
  let n = grips.length + 1;
  while (ids.has(`grip-${n}`)) n++;
  const rear = Math.min(...grips.map((g) => g.xMm));
  return newGrip(`grip-${n}`, name, clamp(rear - NEXT_BEHIND_MM, ...STATIONS));
}

/** The grip that the hand holds the knife in as a rule. */
export const workingGrip = (design: Design): Grip => design.use.grips[0];
