import type { FitUp, PinFit } from "../../knife/design/schema";
import type { Drill } from "./drillSets";

/** Sizes nearer than this are the same size, mm: the spread of a drill as it is sold. */
const SAME_SIZE_MM = 0.012;
/** The least room in which a pin slides with epoxy round it, mm. Common practice, no source. */
const SLIDES_MM = 0.03;

export interface DrillChoice {
  readonly drill: Drill;
  /** Diameter of the hole less that of what goes in; below zero is a press. */
  readonly clearanceMm: number;
}

/**
 * The drill for a round part of a diameter: to slide, the next drill up; snug, the same size, or else the next up; to
 * press, the same size, or else the next down. Null where the set has none. Common practice, no source: a 1/4 in pin
 * slides in an F hole and is pressed into a 1/4 in one.
 */
export function pickDrill(diameterMm: number, fit: PinFit, drills: readonly Drill[]): DrillChoice | null {
  if (!(diameterMm > 0)) return null;
  const bySize = [...drills].sort((a, b) => a.mm - b.mm);
  const same = bySize.filter((d) => Math.abs(d.mm - diameterMm) <= SAME_SIZE_MM);
  const closest = same.sort((a, b) => Math.abs(a.mm - diameterMm) - Math.abs(b.mm - diameterMm))[0];
  const found =
    fit === "slide"
      ? bySize.find((d) => d.mm >= diameterMm + SLIDES_MM)
      : (closest ??
        (fit === "snug"
          ? bySize.find((d) => d.mm > diameterMm)
          : bySize.filter((d) => d.mm < diameterMm).pop()));
  return found ? { drill: found, clearanceMm: found.mm - diameterMm } : null;
}

/** The drill for a hole: a given size as near as it comes, that of a pin (no size wanted) by its fit; null of no drills. */
export function drillOf(
  { pinFit }: Pick<FitUp, "pinFit">,
  nominalMm: number,
  wantedMm: number | null,
  from: readonly Drill[],
): Drill | null {
  return wantedMm === null
    ? (pickDrill(nominalMm, pinFit, from)?.drill ?? null)
    : nearestDrill(wantedMm, from);
}

/** The drill nearest to a size, or null of none. */
export function nearestDrill(mm: number, drills: readonly Drill[]): Drill | null {
  return drills.reduce<Drill | null>(
    (best, d) => (best === null || Math.abs(d.mm - mm) < Math.abs(best.mm - mm) ? d : best),
    null,
  );
}
