import { INSIDE_MM, ROUNDING, SAME_PLACE_MM } from "../../base/tolerances";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design } from "../../knife/design/schema";
import { bladeHeights } from "../../knife/layout/bladeOutline";
import { layoutOf } from "../../knife/layout/layout";
import type { Drill } from "./drillSets";

/** How a slot is milled: cutter, its offset from the centre line to each side, and its travel along it. */
export interface MillPlan {
  readonly cutterMm: number;
  readonly offsetMm: number;
  readonly travelMm: number;
}

/** How a slot is opened by a row of drilled holes, then filed. */
export interface ChainPlan {
  readonly drill: Drill;
  readonly holes: number;
  readonly pitchMm: number;
  /** Height of the row over its outermost holes. */
  readonly heightMm: number;
}

export interface GuardSlot {
  /** The tang at the guard's seat. */
  readonly tangHeightMm: number;
  readonly tangThicknessMm: number;
  /** Middle of the slot over the axis. */
  readonly yMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
  readonly depthMm: number;
  /** Radius of its corners, where the tang's are rounded. */
  readonly cornerMm: number;
  /** Largest height and thickness of anything behind the seat, and where. */
  readonly behind: { readonly heightMm: number; readonly thicknessMm: number; readonly atMm: number };
  /** How far the blade's shoulders cover the slot above and below; null where the guard has no shoulder. */
  readonly coverAboveMm: number | null;
  readonly coverBelowMm: number | null;
  readonly mill: MillPlan | null;
  readonly chain: ChainPlan | null;
}

/**
 * Travel and offsets of an end mill in a slot, so much of it left for the file in both directions; the widest of the
 * cutters that is narrower than that.
 */
export function millPlan(
  heightMm: number,
  thicknessMm: number,
  cuttersMm: readonly number[],
  filingMm = 0,
): MillPlan | null {
  const [height, thickness] = [heightMm - filingMm, thicknessMm - filingMm];
  const fits = cuttersMm.filter((c) => c < thickness + ROUNDING && c <= height + ROUNDING);
  if (fits.length === 0) return null;
  const cutterMm = Math.max(...fits);
  return {
    cutterMm,
    offsetMm: Math.max(0, (thickness - cutterMm) / 2),
    travelMm: Math.max(0, height - cutterMm),
  };
}

/** Metal left between two holes of a chain at the least, mm: enough that the drill does not wander into its neighbour. */
const BETWEEN_MM = 0.3;

/** A row of holes a filing narrower than the slot, evenly spread. Common practice, no source. */
export function chainPlan(
  heightMm: number,
  thicknessMm: number,
  filingMm: number,
  drills: readonly Drill[],
): ChainPlan | null {
  const fits = drills.filter((d) => d.mm <= thicknessMm - filingMm + ROUNDING);
  const drill = fits[fits.length - 1];
  if (!drill) return null;
  const row = heightMm - filingMm - drill.mm;
  // Where two holes would run into each other, one is drilled and the rest filed or broached.
  if (!(row >= drill.mm + BETWEEN_MM)) return { drill, holes: 1, pitchMm: 0, heightMm: drill.mm };
  const holes = Math.floor(row / (drill.mm + BETWEEN_MM)) + 1;
  return { drill, holes, pitchMm: row / (holes - 1), heightMm: row + drill.mm };
}

/** What stands tallest and thickest behind the guard, that must go through its slot. */
function behindSeat(design: Design): GuardSlot["behind"] {
  const { tang } = design;
  const { frontX: front, buttX, tangAt } = layoutOf(design);
  const end = tang.kind === "full" ? buttX : -tang.lengthMm;
  let most = { heightMm: 0, thicknessMm: 0, atMm: front };
  for (let i = 0; i <= 60; i++) {
    const x = front - INSIDE_MM + ((end - front + 2 * INSIDE_MM) * i) / 60;
    const { lowY, highY, halfMm } = tangAt(x);
    if (highY - lowY > most.heightMm) most = { ...most, heightMm: highY - lowY, atMm: x };
    most = { ...most, thicknessMm: Math.max(most.thicknessMm, 2 * halfMm) };
  }
  const rod = tang.kind === "hidden" ? endKindOf(tang.end).rod(tang.end) : null;
  if (rod?.ofTang && rod.diameterMm > most.thicknessMm)
    most = { ...most, thicknessMm: rod.diameterMm, atMm: end };
  return most;
}

/** The slot through the guard, and how it is made; null without a plate guard. */
export function guardSlot(design: Design, drills: readonly Drill[]): GuardSlot | null {
  const { guard, tang, blade, fitUp } = design;
  if (!guard || guard.mesh) return null;
  const { tangAt, guardMm } = layoutOf(design);
  const seat = tangAt(0);
  const clearance = tang.kind === "full" ? fitUp.slotClearanceMm : guard.slot.clearanceMm;
  const heightMm = seat.highY - seat.lowY + 2 * clearance;
  const thicknessMm = 2 * seat.halfMm + 2 * clearance;
  const { spine, ricassoBottom } = bladeHeights(blade);
  // A shoulder is where the blade stands past the tang; a full tang that runs on flush has none.
  const cover = (over: number) => (over > SAME_PLACE_MM ? over - clearance : null);
  const above = spine - seat.highY;
  const below = seat.lowY - ricassoBottom;
  return {
    tangHeightMm: seat.highY - seat.lowY,
    tangThicknessMm: 2 * seat.halfMm,
    yMm: (seat.highY + seat.lowY) / 2,
    heightMm,
    thicknessMm,
    depthMm: guardMm,
    cornerMm: tang.kind === "full" || tang.frontCornerMm === 0 ? 0 : tang.frontCornerMm + clearance,
    behind: behindSeat(design),
    coverAboveMm: cover(above),
    coverBelowMm: cover(below),
    mill: millPlan(heightMm, thicknessMm, design.workshop.cuttersMm, fitUp.filingMm),
    chain: chainPlan(heightMm, thicknessMm, fitUp.filingMm, drills),
  };
}
