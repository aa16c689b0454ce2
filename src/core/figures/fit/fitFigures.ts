import { sameData } from "../../base/sameData";
import { SAME_PLACE_MM } from "../../base/tolerances";
import type { BoreUse } from "../../kinds/fasteners/kind";
import type { Design } from "../../knife/design/schema";
import { type WrapPlan, wrapPlan } from "../../knife/layout/grips";
import { layoutOf } from "../../knife/layout/layout";
import { type BoreOwner, boresAsked } from "./boreNeeds";
import { type Drill, ownedDrills } from "./drillSets";
import { type GluePlan, gluePlan } from "./glue";
import { type GuardSlot, guardSlot } from "./guardSlot";
import { bevelLeft, type Girth, girths, gripLength, wantedGrip } from "./hand";
import { drilledFor, type Hole, holesOf } from "./holes";
import { movement, type PieceMovement } from "./movement";
import { type PieceOpening, pieceOpenings } from "./openings";
import { drillOf } from "./pickDrill";
import { jigPitches, type PinPlace, type Pitch, pinLayout, taperShim } from "./pinLayout";
import { rodList } from "./rodList";
import { type Seat, seats } from "./seats";
import { type CutPiece, cutList } from "./stockList";
import { type TangStress, tangStress } from "./strength";
import { tangWalls, thinnest, thinnestScale, type Wall } from "./walls";

/** One kind of hole to drill: its drill as sold, and the nearest that the shop has. */
export interface DrillListRow {
  readonly owners: readonly BoreOwner[];
  readonly use: BoreUse;
  readonly nominalMm: number;
  /** The size wanted of the hole: the nominal for pins (their fit decides), the tap's or the counterbore's own. */
  readonly wantedMm: number;
  readonly drill: Drill | null;
  readonly clearanceMm: number | null;
  readonly owned: Drill | null;
  readonly ownedClearanceMm: number | null;
  readonly thread: string | null;
}

export interface FitFigures {
  readonly bores: readonly DrillListRow[];
  /** Every hole by the piece that it is in. */
  readonly holes: readonly Hole[];
  readonly pins: readonly PinPlace[];
  readonly jigPitches: readonly Pitch[];
  readonly taperShim: { readonly angleDeg: number; readonly shimMm: number } | null;
  readonly slot: GuardSlot | null;
  readonly openings: readonly PieceOpening[];
  readonly seats: readonly Seat[];
  readonly walls: readonly Wall[];
  readonly thinnestWall: Wall | null;
  readonly thinnestScale: { readonly xMm: number; readonly leftMm: number } | null;
  readonly glue: GluePlan;
  readonly cut: readonly CutPiece[];
  readonly rods: ReturnType<typeof rodList>;
  /** Cord or strip to wind round the handle, the innermost first. */
  readonly wraps: readonly (WrapPlan & { readonly material: string })[];
  readonly hand: {
    readonly gripMm: number;
    readonly wantedMm: number;
    readonly girths: readonly Girth[];
    readonly bevel: ReturnType<typeof bevelLeft>;
  };
  readonly stress: TangStress;
  readonly movement: readonly PieceMovement[];
}

/** Kinds of hole in the order they are drilled: through holes first, then taps, then counterbores, the tang's hole first. */
function boreKinds(design: Design): DrillListRow[] {
  const { fitUp } = design;
  const owned = ownedDrills(design.workshop.drills);
  const bores: DrillListRow[] = [];
  for (const { owner, bore } of boresAsked(design)) {
    const { use, nominalMm } = bore;
    const { drill, thread, wantedMm } = drilledFor(design, bore);
    // A thread that no table has is cut by what its maker's taps ask for.
    if (use === "tap" && thread === null) continue;
    const same = bores.findIndex(
      (o) => o.use === use && Math.abs(o.nominalMm - nominalMm) < SAME_PLACE_MM && o.thread === thread,
    );
    if (same >= 0) {
      if (!bores[same].owners.some((o) => sameData(o, owner)))
        bores[same] = { ...bores[same], owners: [...bores[same].owners, owner] };
      continue;
    }
    const own = drillOf(fitUp, nominalMm, wantedMm, owned);
    bores.push({
      owners: [owner],
      use,
      nominalMm,
      wantedMm: wantedMm ?? nominalMm,
      drill,
      clearanceMm: drill && drill.mm - (wantedMm ?? nominalMm),
      owned: own,
      ownedClearanceMm: own && own.mm - (wantedMm ?? nominalMm),
      thread,
    });
  }
  const order: BoreUse[] = [
    "tang",
    "pin",
    "barrel",
    "insert",
    "rod",
    "dowel",
    "clearance",
    "tap",
    "counterbore",
  ];
  return bores.sort((a, b) => order.indexOf(a.use) - order.indexOf(b.use) || a.nominalMm - b.nominalMm);
}

/** Everything to measure, drill, cut and mix for a design that can be built. mm, mm³, ml, g, N, MPa. */
export function fitFigures(design: Design): FitFigures {
  const pins = pinLayout(design);
  const walls = tangWalls(design);
  return {
    bores: boreKinds(design),
    holes: holesOf(design),
    pins,
    jigPitches: jigPitches(pins),
    taperShim: taperShim(design),
    slot: guardSlot(design, ownedDrills(design.workshop.drills)),
    openings: pieceOpenings(design),
    seats: seats(design),
    walls,
    thinnestWall: thinnest(walls),
    thinnestScale: thinnestScale(design),
    glue: gluePlan(design, new Map(pins.map((p) => [p.id, p.throughMm]))),
    cut: cutList(design),
    rods: rodList(design),
    wraps: design.handle.wraps.map(({ material }, i) => ({ material, ...wrapPlan(layoutOf(design), i) })),
    hand: {
      gripMm: gripLength(design),
      wantedMm: wantedGrip(design.workshop.handMm),
      girths: girths(design),
      bevel: bevelLeft(design),
    },
    stress: tangStress(design),
    movement: movement(design),
  };
}
