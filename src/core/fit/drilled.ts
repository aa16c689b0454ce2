import type { Design, Fastener, FitUp } from "../design/schema";
import type { BoreNeed, BoreUse } from "../fasteners/kind";
import { kindOf } from "../fasteners/registry";
import { SAME_PLACE_MM } from "../tolerances";
import { type Drill, drillsIn } from "./drillSets";
import { nearestDrill, pickDrill } from "./pickDrill";

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

/** A round hole right through a part, at the size that it is drilled. */
export interface RoundHole {
  readonly id: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

/** What of a fastener's holes does not go right through what it is drilled in. */
const NOT_THROUGH: readonly BoreUse[] = ["tap", "counterbore"];

/** The hole for a fastener through the handle's parts, and the one through the tang, as they are drilled. */
function drilledFor({ fitUp }: Design, f: Fastener): { handleMm: number; tangMm: number } {
  const kind = kindOf(f);
  const needs = kind.bores(f).filter((b) => !NOT_THROUGH.includes(b.use));
  const sold = drillsIn(fitUp.drills.sets);
  const size = ({ nominalMm, wantedMm }: BoreNeed) =>
    drillOf(fitUp, nominalMm, wantedMm, sold)?.mm ?? wantedMm ?? nominalMm;
  const tang = kind.tangBoreMm(f);
  const same = needs.find((b) => Math.abs((b.wantedMm ?? b.nominalMm) - tang) < SAME_PLACE_MM);
  const through = needs.find((b) => b.use === "clearance") ?? needs[0];
  return {
    handleMm: through ? size(through) : f.diameterMm,
    tangMm: same ? size(same) : (nearestDrill(tang, sold)?.mm ?? tang),
  };
}

/** Holes through the handle's parts on both sides, front first. A blind pin's is not seen from outside, and is none. */
export function handleHoles(design: Design): RoundHole[] {
  return frontFirst(
    design.fasteners
      .filter((f) => f.kind !== "blind-pin")
      .map((f) => ({ id: f.id, xMm: f.xMm, yMm: f.yMm, diameterMm: drilledFor(design, f).handleMm })),
  );
}

/** Holes through the tang, front first: for fasteners, to lighten it and to key the glue; an old pin's is filled. */
export function tangHoles(design: Design): RoundHole[] {
  const { tang, fasteners } = design;
  const own = tang.kind === "full" ? tang.holes.filter((h) => h.purpose !== "old-pin") : [];
  return frontFirst([
    ...fasteners.map((f) => ({ id: f.id, xMm: f.xMm, yMm: f.yMm, diameterMm: drilledFor(design, f).tangMm })),
    ...own.map(({ id, xMm, yMm, diameterMm }) => ({ id, xMm, yMm, diameterMm })),
  ]);
}

const frontFirst = (holes: readonly RoundHole[]) => [...holes].sort((a, b) => b.xMm - a.xMm);
