import { lazily, remembered } from "../../base/record/remembered";
import { SAME_PLACE_MM } from "../../base/tolerances";
import { tapDrillMm, threadOf } from "../../base/units/screws";
import { signedDistance } from "../../geometry/curve/crossing";
import type { BoreNeed, BoreUse, CrossBore } from "../../kinds/fasteners/kind";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import type { Side } from "../../knife/parts/partKey";
import type { Assembly } from "../../knife/parts/types";
import type { Workpiece } from "../../knife/parts/workpiece";
import { blankOutline, pieceOutlines } from "../pieces/outlines";
import { blankPiece, piecesWithBlank } from "../pieces/pieceList";
import { facesOf, solidsOf } from "../pieces/undrilled";
import { type Passed, rayThrough } from "../weigh/rayThrough";
import { type BoreAsked, type BoreOwner, boresAsked } from "./boreNeeds";
import { type Drill, drillsIn } from "./drillSets";
import { drillOf } from "./pickDrill";

/** The face that a hole is begun on. */
export type HoleFace = "outside" | "inside" | "front" | "rear";

/** One hole in one piece, mm. */
export interface Hole {
  /** Id of the piece; of a pair, in the right or the left one. */
  readonly piece: string;
  readonly side: Side | null;
  readonly owner: BoreOwner;
  readonly use: BoreUse;
  /** Across the knife, at (x, y) seen from the side; or along it, at (0, y) seen from the front, x being its front end. */
  readonly axis: "across" | "along";
  readonly xMm: number;
  readonly yMm: number;
  readonly nominalMm: number;
  /** As it is drilled: by the drill, or by its nominal size where no drill is near. */
  readonly drilledMm: number;
  readonly drill: Drill | null;
  readonly thread: string | null;
  /** Where it is begun; null where it goes right through. */
  readonly from: HoleFace | null;
  /** How deep from there; null where it goes right through. */
  readonly depthMm: number | null;
  /** What of the piece's own thickness it takes, from and to: over the centre plane, or stations. */
  readonly takes: readonly [number, number];
  /** What the piece reaches there, the same way. */
  readonly within: readonly [number, number];
}

type Range = readonly [number, number];

/** Faces nearer than this are met, mm. */
const MET_MM = 1e-3;
/** Places round a hole that are looked at where its middle lies beside a piece that it meets, and how far out. */
const ROUND = 48;
const OUT = [0.98, 0.75, 0.5, 0.25];

/** The size that a hole is drilled with, and its thread where it is tapped. */
export function drilledFor(
  { fitUp, workshop }: Design,
  { use, nominalMm, wantedMm, pitchMm }: BoreNeed,
): { readonly wantedMm: number | null; readonly drill: Drill | null; readonly thread: string | null } {
  const thread = use === "tap" ? threadOf(nominalMm, pitchMm) : null;
  const wanted = thread ? tapDrillMm(thread) : wantedMm;
  const drill = drillOf(fitUp, nominalMm, wanted, drillsIn(workshop.drills.sets));
  return { wantedMm: wanted, drill, thread: thread?.name ?? null };
}

/** Every round hole of every piece, blade and tang among them whether they are made here or in the hand. */
export const holesOf = remembered((design: Design): readonly Hole[] => {
  const pieces = piecesWithBlank(design);
  const solid = solidsOf(design);
  const axes = new Map<number, ReturnType<typeof alongAxis>>();
  return boresAsked(design).flatMap((asked): Hole[] => {
    const { drill, thread, wantedMm } = drilledFor(design, asked.bore);
    const { use, nominalMm } = asked.bore;
    // A hole of the tang's own is what it is drawn as: it may be cut as well as drilled.
    const drilledMm = (use === "tang" ? null : drill?.mm) ?? wantedMm ?? nominalMm;
    const of = { owner: asked.owner, use, nominalMm, drilledMm, drill, thread };
    if (asked.axis === "across") {
      if (asked.bore.heights === "bought") return [];
      const found = acrossPieces(design, solid, pieces, asked, drilledMm / 2);
      return found.map((h) => ({ ...of, axis: "across", xMm: asked.xMm, yMm: asked.yMm, ...h }));
    }
    const { yMm, rearMm, frontMm, inTang } = asked.bore;
    if (inTang) {
      const takes: Range = [rearMm, frontMm];
      const within: Range = [rearMm, 0];
      const end = {
        piece: blankPiece(design).id,
        side: null,
        from: "rear",
        depthMm: frontMm - rearMm,
      } as const;
      return [{ ...of, axis: "along", xMm: frontMm, yMm, ...end, takes, within }];
    }
    let axis = axes.get(yMm);
    if (!axis) {
      axis = alongAxis(facesOf(design), yMm);
      axes.set(yMm, axis);
    }
    return axis.flatMap(({ part, rear, front }): Hole[] => {
      const piece = pieces.find((p) => p.parts.includes(part));
      const takes: Range = [Math.max(rear, rearMm), Math.min(front, frontMm)];
      if (!piece || !(takes[1] - takes[0] > MET_MM)) return [];
      const [atRear, atFront] = [takes[0] - rear < MET_MM, front - takes[1] < MET_MM];
      const through = atRear && atFront;
      const near = front - takes[0] <= takes[1] - rear ? "front" : "rear";
      const from = through ? null : atFront ? "front" : atRear ? "rear" : near;
      const depthMm = from === null ? null : from === "front" ? front - takes[0] : takes[1] - rear;
      const at = { piece: piece.id, side: null, from, depthMm, takes, within: [rear, front] } as const;
      return [{ ...of, axis: "along", xMm: takes[1], yMm, ...at }];
    });
  });
});

type Across = Extract<BoreAsked, { axis: "across" }>;

/** The pieces that a hole across the knife meets, and from where how deep. */
function acrossPieces(
  design: Design,
  solid: Assembly,
  pieces: readonly Workpiece[],
  { xMm, yMm, bore, inTang }: Across,
  radiusMm: number,
): Pick<Hole, "piece" | "side" | "from" | "depthMm" | "takes" | "within">[] {
  const middle = rayThrough(solid, xMm, yMm);
  const around = lazily(() =>
    OUT.flatMap((out) =>
      Array.from({ length: ROUND }, (_, i) => {
        const [turn, away] = [(2 * Math.PI * i) / ROUND, out * radiusMm];
        return rayThrough(solid, xMm + away * Math.cos(turn), yMm + away * Math.sin(turn));
      }),
    ),
  );
  const outlines = pieceOutlines(design);
  const blade = blankPiece(design);
  return pieces.flatMap((piece) => {
    if (inTang && piece.id !== blade.id) return [];
    const bySide: { side: Side | null; ids: readonly string[] }[] = piece.leftParts
      ? [
          { side: "right", ids: piece.parts },
          { side: "left", ids: piece.leftParts },
        ]
      : [{ side: sideOf(piece), ids: piece.parts }];
    return bySide.flatMap(({ side, ids }) => {
      const of = (ray: readonly Passed[]) => ray.filter((p) => ids.includes(solid.parts[p.part].id));
      let reach = of(middle);
      if (reach.length === 0) {
        // Beside its middle only where its rim crosses the piece's edge.
        const seen = outlines.get(piece.id);
        const edges =
          piece.id === blade.id ? blankOutline(design) : (side === "left" && seen?.left) || seen?.outlines;
        const near = edges?.some((o) => Math.abs(signedDistance(o, { x: xMm, y: yMm })) < radiusMm);
        if (near && !piece.across)
          reach =
            around()
              .map(of)
              .find((found) => found.length > 0) ?? [];
      }
      if (reach.length === 0) return [];
      const sign = side === "left" ? -1 : 1;
      const ends = reach.flatMap((p) => [sign * p.fromMm, sign * p.toMm]);
      const within: [number, number] = [Math.min(...ends), Math.max(...ends)];
      // A slab is drilled before it is contoured: its outer face is that of the stock.
      if (piece.form === "slab" && side !== null && piece.thicknessMm !== null)
        within[1] = within[0] + piece.thicknessMm;
      const takes = overlap(heightsOf(design, bore, xMm, yMm, side), within);
      if (!takes) return [];
      return [{ piece: piece.id, side, takes, within, ...begun(takes, within) }];
    });
  });
}

const sideOf = ({ key }: Workpiece): Side | null =>
  "side" in key && (key.side === "right" || key.side === "left") ? key.side : null;

/** What a hole takes over the centre plane, on one side; of what lies on both, from the far side too. */
function heightsOf(design: Design, bore: CrossBore, xMm: number, yMm: number, side: Side | null): Range {
  const open = Number.POSITIVE_INFINITY;
  if (bore.letInMm !== undefined)
    return [layoutOf(design).surfaceAt(xMm, yMm, side ?? "right") - bore.letInMm, open];
  if (bore.heights === undefined || bore.heights === "bought") return [-open, open];
  const [low, high] = bore.heights;
  return [side === null && low <= 0 && high !== null ? -high : low, high ?? open];
}

function overlap(a: Range, b: Range): Range | null {
  const both: Range = [Math.max(a[0], b[0]), Math.min(a[1], b[1])];
  return both[1] - both[0] > MET_MM ? both : null;
}

function begun(takes: Range, within: Range): Pick<Hole, "from" | "depthMm"> {
  const [inner, outer] = [takes[0] - within[0] < MET_MM, within[1] - takes[1] < MET_MM];
  if (inner && outer) return { from: null, depthMm: null };
  if (inner) return { from: "inside", depthMm: takes[1] - within[0] };
  return { from: "outside", depthMm: within[1] - takes[0] };
}

/** How far apart stations are along which it is looked which part lies on a line along the knife, mm. */
const STEP_MM = 0.4;

/** The parts that a line along the knife meets in the centre plane, so high over the axis, and between which stations. */
export function alongAxis(
  assembly: Assembly,
  yMm: number,
): { readonly part: string; readonly rear: number; readonly front: number }[] {
  const ends = assembly.parts.flatMap((p) => {
    const ranges = p.regions.map((r) => assembly.regions[r].xRange);
    const [rear, front] = [Math.max(...ranges.map((r) => r[0])), Math.min(...ranges.map((r) => r[1]))];
    return front > rear && Number.isFinite(front - rear) ? [rear, front] : [];
  });
  if (ends.length === 0) return [];
  const partAt = (x: number): string | null => {
    const passed = rayThrough(assembly, x, yMm).find((p) => p.fromMm <= 0 && p.toMm >= 0);
    return passed ? assembly.parts[passed.part].id : null;
  };
  const [rear, front] = [Math.min(...ends), Math.max(...ends)];
  const edges = [...new Set(ends)].sort((a, b) => a - b);
  const stations = edges.slice(1).flatMap((to, i) => {
    const from = edges[i];
    const count = Math.max(1, Math.ceil((to - from) / STEP_MM));
    return Array.from({ length: count }, (_, k) => from + ((to - from) * (k + 0.5)) / count);
  });
  const found: { part: string; rear: number; front: number }[] = [];
  let [at, part] = [rear, null as string | null];
  for (const x of [...stations, front + STEP_MM]) {
    const next = x > front ? null : partAt(x);
    if (next !== part) {
      let [left, right] = [at, x];
      while (right - left > SAME_PLACE_MM) {
        const middle = (left + right) / 2;
        if (partAt(middle) === part) left = middle;
        else right = middle;
      }
      if (part !== null) found[found.length - 1].front = (left + right) / 2;
      if (next !== null) found.push({ part: next, rear: (left + right) / 2, front });
    }
    [at, part] = [x, next];
  }
  return found;
}
