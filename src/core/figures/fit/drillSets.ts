import { LETTER_DRILLS, NUMBER_DRILLS } from "../../base/units/drills";
import { MM_PER_INCH } from "../../base/units/length";
import { printFraction } from "../../base/units/print";
import type { DrillSet, WorkshopFacts } from "../../knife/design/schema";

/** A drill by the name that stands on it. */
export interface Drill {
  readonly name: string;
  readonly mm: number;
  readonly inch: number;
  readonly set: DrillSet;
}

const ofInch = (name: string, inch: number, set: DrillSet): Drill => ({
  name,
  inch,
  mm: inch * MM_PER_INCH,
  set,
});

/** 1/64 to 1/2 in by 64ths. @see ASME B94.11M. */
const FRACTIONS = Array.from({ length: 32 }, (_, i) =>
  ofInch(`${printFraction((i + 1) / 64)} in`, (i + 1) / 64, "fraction"),
);

/** 0.5 to 13 mm by tenths. @see DIN 338, as sets are sold (from memory). */
const METRIC = Array.from({ length: 126 }, (_, i): Drill => {
  const mm = (i + 5) / 10;
  return { name: `${mm} mm`, mm, inch: mm / MM_PER_INCH, set: "metric" };
});

/** Every drill that is sold in sets, by size; of one size fractions stand first. */
export const DRILLS: readonly Drill[] = [
  ...FRACTIONS,
  ...NUMBER_DRILLS.map((d) => ofInch(d.name, d.diameterIn, "number")),
  ...LETTER_DRILLS.map((d) => ofInch(d.name, d.diameterIn, "letter")),
  ...METRIC,
].sort((a, b) => a.mm - b.mm);

/** The drills of some sets, by size. */
export function drillsIn(sets: readonly DrillSet[]): Drill[] {
  return DRILLS.filter((d) => sets.includes(d.set));
}

/** The drills that are there: those named, or all of the sets where none is named. */
export function ownedDrills({ sets, own }: WorkshopFacts["drills"]): Drill[] {
  return own.length === 0 ? drillsIn(sets) : DRILLS.filter((d) => own.includes(d.name));
}
