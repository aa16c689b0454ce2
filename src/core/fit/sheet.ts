import type { Design } from "../design/schema";
import type { BoreNeed, BoreUse } from "../fasteners/kind";
import { kindOf } from "../fasteners/registry";
import { type FittingKind, fittingsOn } from "../guardFittings/registry";
import { type WrapPlan, wrapPlan } from "../layout/grips";
import { type ItemName, itemNames } from "../layout/itemNames";
import { layoutOf } from "../layout/layout";
import { endKindOf } from "../tangEnds/registry";
import { SAME_PLACE_MM } from "../tolerances";
import { screwSizes, tapDrillMm, threadOf } from "../units/screws";
import { THREADS } from "../units/threads";
import { drillOf } from "./drilled";
import { DRILLS, type Drill, drillsIn, ownedDrills } from "./drillSets";
import { type GluePlan, gluePlan } from "./glue";
import { type GuardSlot, guardSlot, type PieceSlot, pieceSlots } from "./guardSlot";
import { bevelLeft, type Girth, girths, gripLength, wantedGrip } from "./hand";
import { movement, type PieceMovement } from "./movement";
import { nearestDrill } from "./pickDrill";
import { jigPitches, type PinPlace, type Pitch, pinLayout, taperShim } from "./pinLayout";
import { rodList } from "./rodList";
import { type Seat, seats } from "./seats";
import { type CutPiece, cutList } from "./stockList";
import { type TangStress, tangStress } from "./strength";
import { tangWalls, thinnest, thinnestScale, type Wall } from "./walls";

/** What a hole is drilled for: a fastener or a hole by its name, a fitting of the guard, the tang and what holds it. */
export type BoreOwner =
  | ItemName
  | { readonly kind: "fitting"; readonly sort: FittingKind }
  | { readonly kind: "butt-nut" | "butt-screw" | "tang-hole" };

/** One kind of hole to drill: its drill as sold, and the nearest that the shop has. */
export interface Bore {
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

export interface FitSheet {
  readonly bores: readonly Bore[];
  readonly pins: readonly PinPlace[];
  readonly jigPitches: readonly Pitch[];
  readonly taperShim: { readonly angleDeg: number; readonly shimMm: number } | null;
  readonly slot: GuardSlot | null;
  readonly pieceSlots: readonly PieceSlot[];
  readonly seats: readonly Seat[];
  readonly walls: readonly Wall[];
  readonly thinnestWall: Wall | null;
  readonly thinnestScale: { readonly xMm: number; readonly leftMm: number } | null;
  readonly glue: GluePlan;
  readonly cut: readonly CutPiece[];
  readonly rods: ReturnType<typeof rodList>;
  /** Cord or strip to wind round the handle; null where there is none. */
  readonly wrap: (WrapPlan & { readonly material: string }) | null;
  readonly hand: {
    readonly gripMm: number;
    readonly wantedMm: number;
    readonly girths: readonly Girth[];
    readonly bevel: ReturnType<typeof bevelLeft>;
  };
  readonly stress: TangStress;
  readonly movement: readonly PieceMovement[];
}

/** Holes in the order they are drilled: through holes first, then taps, then counterbores, the tang's hole last. */
function boresOf(design: Design): Bore[] {
  const { fitUp, tang, guard } = design;
  const sold = drillsIn(fitUp.drills.sets);
  const owned = ownedDrills(fitUp.drills);
  const bores: Bore[] = [];
  const names = itemNames(design);
  const named = (id: string): BoreOwner => names.get(id) ?? { kind: "hole", number: 1 };
  const put = (
    owner: BoreOwner,
    use: BoreUse,
    nominalMm: number,
    wantedMm: number | null,
    thread: string | null = null,
  ) => {
    const same = bores.findIndex(
      (o) => o.use === use && Math.abs(o.nominalMm - nominalMm) < SAME_PLACE_MM && o.thread === thread,
    );
    if (same >= 0) {
      bores[same] = { ...bores[same], owners: [...bores[same].owners, owner] };
      return;
    }
    const choose = (from: readonly Drill[]) => drillOf(fitUp, nominalMm, wantedMm, from);
    const [drill, own] = [choose(sold), choose(owned)];
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
  };
  const tap = (owner: BoreOwner, diameterMm: number, pitchMm?: number) => {
    const thread = threadOf(diameterMm, pitchMm);
    if (thread) put(owner, "tap", diameterMm, tapDrillMm(thread), thread.name);
  };
  const putAll = (owner: BoreOwner, needs: readonly BoreNeed[]) => {
    for (const { use, nominalMm, wantedMm, pitchMm } of needs)
      if (use === "tap") tap(owner, nominalMm, pitchMm);
      else put(owner, use, nominalMm, wantedMm);
  };
  for (const f of design.fasteners) putAll(named(f.id), kindOf(f).bores(f));
  if (guard)
    for (const { kind, fitting } of fittingsOn(guard))
      putAll({ kind: "fitting", sort: kind.kind }, kind.bores(fitting));
  if (tang.kind === "full")
    for (const h of tang.holes)
      if (h.purpose !== "old-pin") put(named(h.id), "tang", h.diameterMm, h.diameterMm);
  if (tang.kind === "hidden") {
    const { end, hole } = tang;
    const { hardware, bores: needs } = endKindOf(end);
    if (hardware) putAll({ kind: hardware }, needs(end));
    if (hole.kind === "drilled")
      for (const s of hole.stages) put({ kind: "tang-hole" }, "tang", s.bitMm, s.bitMm);
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
export function fitSheet(design: Design): FitSheet {
  const pins = pinLayout(design);
  const walls = tangWalls(design);
  return {
    bores: boresOf(design),
    pins,
    jigPitches: jigPitches(pins),
    taperShim: taperShim(design),
    slot: guardSlot(design, ownedDrills(design.fitUp.drills)),
    pieceSlots: pieceSlots(design),
    seats: seats(design),
    walls,
    thinnestWall: thinnest(walls),
    thinnestScale: thinnestScale(design),
    glue: gluePlan(design, new Map(pins.map((p) => [p.id, p.throughMm]))),
    cut: cutList(design),
    rods: rodList(design),
    wrap: wrapOf(design),
    hand: {
      gripMm: gripLength(design),
      wantedMm: wantedGrip(design.fitUp.hand.breadthMm),
      girths: girths(design),
      bevel: bevelLeft(design),
    },
    stress: tangStress(design),
    movement: movement(design),
  };
}

/** Threads with what is drilled, turned and keyed for each: the table beside the drill press. */
export function threadTable() {
  return THREADS.map((t) => {
    const tapMm = tapDrillMm(t);
    return { ...t, tapMm, tapDrill: nearestDrill(tapMm, DRILLS), sizes: screwSizes(t) };
  });
}

function wrapOf(design: Design): FitSheet["wrap"] {
  const { wrap } = design.handle;
  return wrap && { material: wrap.material, ...wrapPlan(layoutOf(design), wrap) };
}
