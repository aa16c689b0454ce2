import { radians } from "../base/number";
import type { DrillListRow, FitFigures } from "../figures/fit/fitFigures";
import type { GluePlan } from "../figures/fit/glue";
import { type GrindingAids, grindingAids } from "../figures/fit/grinding";
import type { GuardSlot } from "../figures/fit/guardSlot";
import type { Hole } from "../figures/fit/holes";
import type { PieceOpening } from "../figures/fit/openings";
import type { PinPlace } from "../figures/fit/pinLayout";
import type { Seat } from "../figures/fit/seats";
import type { CutPiece } from "../figures/fit/stockList";
import { materialsIn } from "../knife/design/materials";
import type { Design } from "../knife/design/schema";
import { fitOf } from "./fitOf";
import { type Recipe, recipeFor } from "./recipes";
import type { PlannedTask } from "./state";
import type { TaskKind } from "./taskKinds";
import { spacerCutMm } from "./waysBack";

/** A length that is asked for, and of what. */
export const FIGURE_LENGTHS = [
  "blade-length",
  "bar-thickness",
  "edge",
  "edge-to-leave",
  "plunge",
  "butt-thickness",
  "tang-length",
  "front-bevel",
  "proud-each-side",
  "groove-depth",
  "spacer-cut",
] as const;
export type FigureLength = (typeof FIGURE_LENGTHS)[number];

/** A figure that is needed at a task, while it is done. */
export type TaskFigure =
  | { readonly kind: "length"; readonly of: FigureLength; readonly mm: number }
  | { readonly kind: "piece"; readonly piece: CutPiece }
  | { readonly kind: "hole"; readonly hole: Hole }
  | { readonly kind: "drill"; readonly row: DrillListRow }
  | { readonly kind: "pin"; readonly pin: PinPlace }
  | { readonly kind: "seat"; readonly seat: Seat }
  | { readonly kind: "slot"; readonly slot: GuardSlot }
  | { readonly kind: "opening"; readonly opening: PieceOpening }
  | { readonly kind: "glue"; readonly glue: GluePlan }
  | { readonly kind: "scribe"; readonly aids: GrindingAids }
  | {
      readonly kind: "recipe";
      readonly recipe: Recipe;
      readonly step: "normalise" | "harden" | "cold" | "temper";
    }
  /** Grits in order, the last of them reached; the direction is crossed at each. */
  | { readonly kind: "grits"; readonly grits: readonly number[] }
  | { readonly kind: "bath"; readonly of: "current" | "acid" | "vinegar" | "tumbler" }
  | { readonly kind: "angle"; readonly of: "sharpened" | "bevel"; readonly deg: number }
  | { readonly kind: "limit"; readonly of: InspectionLimit; readonly mm: number | null }
  /** How much a sharp blade loses whose edge is ground back until it can be hardened again. */
  | { readonly kind: "edge-back"; readonly edgeMm: number; readonly heightMm: number; readonly massG: number }
  /** What the finished knife is to weigh, and where it is to balance: both are weighed again here. */
  | { readonly kind: "weight" };

/** What is looked at in an inspection, with its limit where that is a length. */
export const INSPECTION_LIMITS = [
  "pins-slide",
  "burrs-off",
  "file-skates",
  "straight",
  "guard-gap",
  "guard-square",
  "faces-level",
  "sides-marked",
  "in-line",
  "squeeze-out-off",
  "edge-blue",
] as const;
export type InspectionLimit = (typeof INSPECTION_LIMITS)[number];

/** Bent by more than this for each 100 mm is straightened, mm. Common practice, no source. */
const BENT_MM_PER_100 = 0.25;
/** What shows at a guard's seat, mm: more is a gap. Section 4 of the trade's figures: 0 to 0.1 mm each way. */
const SEAT_GAP_MM = 0.1;
/** Blue within this of an edge is too hot, mm. From memory. */
const BLUE_MM = 5;

type FiguresOf = (design: Design, fit: FitFigures, task: PlannedTask, own: readonly Recipe[]) => TaskFigure[];

const lengths = (...of: readonly (readonly [FigureLength, number | null])[]): TaskFigure[] =>
  of.flatMap(([name, mm]) => (mm === null ? [] : [{ kind: "length" as const, of: name, mm }]));

const grits = (...list: number[]): TaskFigure => ({ kind: "grits", grits: list });
const limit = (of: InspectionLimit, mm: number | null = null): TaskFigure => ({ kind: "limit", of, mm });

const holes = (fit: FitFigures, which: (h: Hole) => boolean): TaskFigure[] =>
  fit.holes.filter(which).map((hole) => ({ kind: "hole", hole }));

const inBlank = (h: Hole) => h.piece === "blade";
const isSeat = (h: Hole) => h.use === "counterbore";
const across = (h: Hole) => h.axis === "across";

const recipe =
  (step: "normalise" | "harden" | "cold" | "temper"): FiguresOf =>
  (design, _, __, own) => {
    const found = recipeFor(materialsIn(design)(design.blade.steel), own);
    return found ? [{ kind: "recipe", recipe: found, step }] : [];
  };

const openings: FiguresOf = (_, fit) => fit.openings.map((opening) => ({ kind: "opening", opening }));
const glue: FiguresOf = (_, fit) => (fit.glue.netMm3 > 0 ? [{ kind: "glue", glue: fit.glue }] : []);
const none: FiguresOf = () => [];

/** Grits of metal and of handles, as makers tell them; a working finish stops at 400. */
const METAL = [120, 220, 400, 600];
const WOOD = [220, 320, 400, 600];

/** The figures of each kind of task: a kind that is left out does not compile. */
const FIGURES: Readonly<Record<TaskKind, FiguresOf>> = {
  profile: ({ blade, tang }) =>
    lengths(
      ["blade-length", blade.lengthMm],
      ["bar-thickness", blade.spineMm],
      ["tang-length", tang.kind === "full" ? null : tang.lengthMm],
    ),
  "weld-tang": none,
  "file-tang": ({ tang }) =>
    tang.kind === "full"
      ? lengths(["butt-thickness", tang.taper?.buttMm ?? null])
      : lengths(["tang-length", tang.lengthMm], ["butt-thickness", tang.endThicknessMm]),
  "soften-tang": none,
  "drill-tang": (_, fit) => holes(fit, (h) => inBlank(h) && across(h)),
  "check-holes": () => [limit("burrs-off"), limit("pins-slide")],
  "hammer-flats": none,
  "stamp-mark": none,
  "grind-soft": (design) => [
    { kind: "scribe", aids: grindingAids(design) },
    ...lengths(["edge-to-leave", design.fitUp.grinding.softEdgeMm]),
  ],
  normalise: recipe("normalise"),
  harden: (design, fit, task, own) => [
    ...recipe("harden")(design, fit, task, own),
    ...lengths(["edge-to-leave", design.fitUp.grinding.softEdgeMm]),
  ],
  cold: recipe("cold"),
  temper: (design, fit, task, own) => [
    ...recipe("temper")(design, fit, task, own),
    limit("edge-blue", BLUE_MM),
  ],
  "check-hardness": () => [limit("file-skates")],
  "check-straight": ({ blade }) => [limit("straight", (BENT_MM_PER_100 * blade.lengthMm) / 100)],
  "grind-bevels": (design) => {
    const aids = grindingAids(design);
    const face = aids.stations[0]?.right ?? aids.stations[0]?.left;
    return [
      { kind: "scribe", aids },
      ...lengths(["edge", design.blade.edgeMm], ["plunge", aids.plungeMm]),
      ...(face ? [{ kind: "angle", of: "bevel", deg: face.angleDeg } as const] : []),
      limit("edge-blue", BLUE_MM),
    ];
  },
  "surface-blade": () => [grits(220, 320, 400, 600)],
  buff: none,
  etch: () => [{ kind: "bath", of: "current" }],
  "acid-etch": () => [{ kind: "bath", of: "acid" }],
  tumble: () => [{ kind: "bath", of: "tumbler" }],
  darken: () => [{ kind: "bath", of: "vinegar" }],
  "inspect-blade": ({ blade }) => [
    limit("file-skates"),
    limit("straight", (BENT_MM_PER_100 * blade.lengthMm) / 100),
  ],
  "tape-blade": none,
  "weld-guard": none,
  "slot-guard": (_, fit) => (fit.slot ? [{ kind: "slot", slot: fit.slot }] : []),
  "fit-guard": (_, fit) => (fit.slot ? [{ kind: "slot", slot: fit.slot }] : []),
  "check-guard": () => [limit("guard-gap", SEAT_GAP_MM), limit("guard-square")],
  "shape-guard": () => [grits(...METAL)],
  "close-slot": none,
  "saw-piece": (_, fit, { of }) =>
    fit.cut
      .filter((c) => of?.kind === "piece" && JSON.stringify(c.key) === JSON.stringify(of.piece))
      .map((piece) => ({ kind: "piece", piece })),
  "fit-bolsters": () => [grits(...METAL)],
  "fit-segments": none,
  "drill-one-pass": (_, fit) => fit.pins.map((pin) => ({ kind: "pin", pin })),
  "drill-scales": (_, fit, { of }) =>
    holes(
      fit,
      (h) =>
        across(h) &&
        !inBlank(h) &&
        !isSeat(h) &&
        (h.side === null || (of?.kind === "side" && of.side === h.side)),
    ),
  "front-faces": (_, fit) => [grits(...WOOD), ...lengths(["front-bevel", fit.hand.bevel?.cutMm ?? null])],
  "check-faces": () => [limit("faces-level", SEAT_GAP_MM), limit("sides-marked")],
  counterbore: (_, fit) => fit.seats.map((seat) => ({ kind: "seat", seat })),
  "glue-first": glue,
  "drill-block": openings,
  "burn-in": openings,
  "fit-block": openings,
  "fit-spacer": ({ guard }) =>
    lengths(["spacer-cut", guard ? spacerCutMm(guard.plates[guard.plates.length - 1].thicknessMm) : null]),
  "drill-pins": (_, fit) => holes(fit, (h) => across(h) && !inBlank(h)),
  "thread-tang": (_, fit) =>
    fit.bores.filter((b) => b.thread !== null).map((row) => ({ kind: "drill", row })),
  "fit-end": (_, fit) => fit.bores.filter((b) => b.thread !== null).map((row) => ({ kind: "drill", row })),
  "pry-off": none,
  "dry-fit": () => [{ kind: "weight" }, limit("guard-gap", SEAT_GAP_MM)],
  degrease: none,
  "glue-handle": glue,
  "check-in-line": () => [limit("in-line")],
  "clean-squeeze-out": () => [limit("squeeze-out-off")],
  "carry-indoors": glue,
  cure: glue,
  assemble: (_, fit) => fit.seats.map((seat) => ({ kind: "seat", seat })),
  peen: ({ fitUp }, fit) =>
    fit.pins.slice(0, 1).flatMap((p) => lengths(["proud-each-side", fitUp.pinProudShare * p.diameterMm])),
  "flush-pins": none,
  contour: none,
  "groove-handle": ({ handle }) => handle.grooves.flatMap((g) => lengths(["groove-depth", g.depthMm])),
  "sand-handle": () => [grits(...WOOD)],
  "finish-handle": none,
  "wind-wrap": none,
  straighten: none,
  anneal: (design) => {
    const back = edgeBack(design);
    return back ? [{ kind: "edge-back", ...back }] : [];
  },
  "fill-holes": none,
  sharpen: ({ blade }) =>
    blade.sharpenedDeg === null ? [] : [{ kind: "angle", of: "sharpened", deg: blade.sharpenedDeg }],
  "weigh-and-log": () => [{ kind: "weight" }],
};

/** Left of an edge before it is hardened: thinner warps or cracks, mm. Section 10 of the trade's figures. */
const EDGE_BACK_MM = 1;

/** What is lost until an edge is thick enough to be hardened again: by its angle at the first ground station. */
export function edgeBack(design: Design): { edgeMm: number; heightMm: number; massG: number } | null {
  const { stations, edgeMm } = grindingAids(design);
  const faces = [stations[0]?.right, stations[0]?.left].filter((f) => f != null);
  const gcc = materialsIn(design)(design.blade.steel)?.densityGcc.typical;
  if (faces.length === 0 || gcc === undefined || edgeMm >= EDGE_BACK_MM) return null;
  const slope = faces.reduce((sum, f) => sum + Math.tan(radians(f.angleDeg)), 0);
  const heightMm = (EDGE_BACK_MM - edgeMm) / slope;
  const groundMm = design.blade.lengthMm - design.blade.ricassoMm;
  const volumeMm3 = (heightMm * (EDGE_BACK_MM + edgeMm) * groundMm) / 2;
  return { edgeMm: EDGE_BACK_MM, heightMm, massG: (volumeMm3 / 1000) * gcc };
}

/** The figures that a task needs. Of a design that can be built; nothing of a task of the maker's own. */
export const figuresFor = (
  design: Design,
  task: PlannedTask,
  own: readonly Recipe[],
): readonly TaskFigure[] => (task.kind === null ? [] : FIGURES[task.kind](design, fitOf(design), task, own));
