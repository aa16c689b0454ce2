import * as z from "zod/mini";
import { SAME_PLACE_MM } from "../base/tolerances";
import type { FitFigures } from "../figures/fit/fitFigures";
import { blankOutline } from "../figures/pieces/outlines";
import type { Point } from "../geometry/curve/bezier";
import { endKindOf } from "../kinds/tangEnds/registry";
import { materialsIn } from "../knife/design/materials";
import { holesOf } from "../knife/design/openings";
import { mm, plainText } from "../knife/design/record/fields";
import type { Design } from "../knife/design/schema";
import { heatOf } from "../materials/heat";
import { fitOf } from "./fitOf";
import type { TaskKind } from "./taskKinds";
import type { Task } from "./types";

/** What of a size was cut, that a later change of the design can contradict. */
export const CUT_SIZES = [
  "bar-thickness",
  "edge",
  "slot-height",
  "slot-thickness",
  "slot-middle",
  "guard-above",
  "guard-below",
  "guard-width",
  "thread",
  "length",
  "height",
  "thickness",
] as const;
export type CutSize = (typeof CUT_SIZES)[number];

const place = mm(-2000, 2000);
const size = mm(-2000, 2000);

/** One thing that a task has made of steel or of the handle, mm: it stays as it is, whatever the design says later. */
export const cutFact = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("hole"),
    /** Id of the piece that it is in, and of what it is for: a fastener, or a hole of the tang; empty of others. */
    piece: plainText(1, 120),
    item: plainText(0, 120),
    xMm: place,
    yMm: place,
    diameterMm: mm(0, 200),
    /** From the face that it is begun on; null of one that goes right through. */
    depthMm: z.nullable(size),
  }),
  z.strictObject({ kind: z.literal("size"), of: z.enum(CUT_SIZES), piece: plainText(0, 120), mm: size }),
  /** Blade and tang from the side: heights of the lower and the upper line at stations. */
  z.strictObject({
    kind: z.literal("outline"),
    at: z
      .array(z.strictObject({ xMm: place, lowMm: place, highMm: place }))
      .check(z.minLength(2), z.maxLength(80)),
  }),
  z.strictObject({ kind: z.literal("made-of"), piece: plainText(1, 120), material: plainText(1, 60) }),
  z.strictObject({ kind: z.literal("hardened"), steel: plainText(1, 60) }),
]);
export type CutFact = Readonly<z.infer<typeof cutFact>>;

const OUTLINE_STATIONS = 60;

/** Heights of the lowest and the highest crossing of a closed line at a station; null beside it. */
function spanAt(outlines: readonly (readonly Point[])[], x: number): { low: number; high: number } | null {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const points of outlines)
    for (let i = 0; i < points.length; i++) {
      const [a, b] = [points[i], points[(i + 1) % points.length]];
      if (Math.min(a.x, b.x) > x || Math.max(a.x, b.x) < x || a.x === b.x) continue;
      const y = a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
      [low, high] = [Math.min(low, y), Math.max(high, y)];
    }
  return high >= low ? { low, high } : null;
}

function outlineFact(design: Design): CutFact[] {
  const outlines = blankOutline(design);
  const xs = outlines.flat().map((p) => p.x);
  if (xs.length === 0) return [];
  const [from, to] = [xs.reduce((a, b) => Math.min(a, b)), xs.reduce((a, b) => Math.max(a, b))];
  const at = Array.from({ length: OUTLINE_STATIONS }, (_, k) => {
    const xMm = from + ((to - from) * (k + 0.5)) / OUTLINE_STATIONS;
    const span = spanAt(outlines, xMm);
    return span ? [{ xMm, lowMm: span.low, highMm: span.high }] : [];
  }).flat();
  const ends = [from, to].map(
    (xMm): CutFact => ({ kind: "size", of: "length", piece: xMm === from ? "butt" : "tip", mm: xMm }),
  );
  return at.length < 2 ? [] : [{ kind: "outline", at }, ...ends];
}

const sized = (of: CutSize, piece: string, mmOf: number): CutFact => ({ kind: "size", of, piece, mm: mmOf });

/** The fastener or the hole of the tang that stands at a place. */
function itemAt(design: Design, xMm: number, yMm: number): string {
  const near = (o: { readonly xMm: number; readonly yMm: number }) =>
    Math.hypot(o.xMm - xMm, o.yMm - yMm) < SAME_PLACE_MM;
  return (design.fasteners.find(near) ?? holesOf(design).find(near))?.id ?? "";
}

type Fit = FitFigures;

function holeFacts(design: Design, fit: Fit, which: (h: Fit["holes"][number]) => boolean): CutFact[] {
  return fit.holes
    .filter((h) => h.axis === "across" && which(h))
    .map(({ piece, xMm, yMm, drilledMm, depthMm, side }) => ({
      kind: "hole",
      piece: side === null ? piece : `${piece} ${side}`,
      item: itemAt(design, xMm, yMm),
      xMm,
      yMm,
      diameterMm: drilledMm,
      depthMm,
    }));
}

const inBlank = (h: Fit["holes"][number]) => h.piece === "blade";
const isSeat = (h: Fit["holes"][number]) => h.use === "counterbore";

function sawn(fit: Fit, which: (id: string) => boolean): CutFact[] {
  return fit.cut
    .filter((c) => which(c.id))
    .flatMap(({ id, material, finishedMm: { lengthMm, heightMm, thicknessMm } }): CutFact[] => [
      { kind: "made-of", piece: id, material },
      sized("length", id, lengthMm),
      sized("height", id, heightMm),
      sized("thickness", id, thicknessMm),
    ]);
}

function slotFacts(fit: Fit): CutFact[] {
  if (!fit.slot) return [];
  const { heightMm, thicknessMm, yMm } = fit.slot;
  return [
    sized("slot-height", "", heightMm),
    sized("slot-thickness", "", thicknessMm),
    sized("slot-middle", "", yMm),
  ];
}

type FactsOf = (design: Design, fit: Fit, task: Pick<Task, "id" | "kind" | "of">) => CutFact[];

const handlePieces: FactsOf = (_, fit) => sawn(fit, (id) => id !== "blade" && !id.startsWith("guard"));

/** What each kind of task makes that stays; what is not named makes nothing that a design could contradict. */
const FACTS: Readonly<Partial<Record<TaskKind, FactsOf>>> = {
  profile: (design) => [
    ...outlineFact(design),
    sized("bar-thickness", "blade", design.blade.spineMm),
    { kind: "made-of", piece: "blade", material: design.blade.steel },
  ],
  "drill-tang": (design, fit) => holeFacts(design, fit, inBlank),
  "drill-one-pass": (design, fit) => holeFacts(design, fit, (h) => !isSeat(h)),
  "drill-scales": (design, fit, { of }) =>
    holeFacts(
      design,
      fit,
      (h) => !inBlank(h) && !isSeat(h) && (h.side === null || (of?.kind === "side" && h.side === of.side)),
    ),
  counterbore: (design, fit) => holeFacts(design, fit, isSeat),
  "drill-pins": (design, fit) => holeFacts(design, fit, (h) => !inBlank(h) && !isSeat(h)),
  harden: (design) =>
    heatOf(materialsIn(design)(design.blade.steel)) ? [{ kind: "hardened", steel: design.blade.steel }] : [],
  "grind-bevels": ({ blade }) => [sized("edge", "blade", blade.edgeMm)],
  "slot-guard": (_, fit) => slotFacts(fit),
  "shape-guard": ({ guard }) =>
    guard && !guard.mesh
      ? [
          sized("guard-above", "guard", guard.aboveMm),
          sized("guard-below", "guard", guard.belowMm),
          sized("guard-width", "guard", guard.widthMm),
        ]
      : [],
  "saw-piece": (_, fit, { of, id }) =>
    of?.kind === "piece" ? sawn(fit, (c) => id === `saw-piece:${c}`) : [],
  "thread-tang": ({ tang }) => {
    const rod = tang.kind === "hidden" ? endKindOf(tang.end).rod(tang.end) : null;
    return rod ? [sized("thread", "tang", rod.diameterMm)] : [];
  },
  "glue-handle": handlePieces,
  contour: handlePieces,
};

/** What a task leaves that cannot be taken back, as the design has it now. Of a design that can be built. */
export const factsOf = (design: Design, task: Pick<Task, "id" | "kind" | "of">): readonly CutFact[] =>
  FACTS[task.kind]?.(design, fitOf(design), task) ?? [];
