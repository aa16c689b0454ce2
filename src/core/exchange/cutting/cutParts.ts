import { remembered } from "../../base/record/remembered";
import { type Hole, holesOf } from "../../figures/fit/holes";
import { type CutPiece, cutList } from "../../figures/fit/stockList";
import { blankOutline, pieceOutlines } from "../../figures/pieces/outlines";
import { pieceList } from "../../figures/pieces/pieceList";
import { joined } from "../../geometry/contours/clip";
import { circleLoop, flattened, type Loop, signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { signedDistance } from "../../geometry/curve/crossing";
import type { Design } from "../../knife/design/schema";
import { type CutKey, cutId } from "../../knife/parts/cutKey";
import type { Side } from "../../knife/parts/partKey";
import { asLoops } from "./follows";
import { faceOpenings } from "./openings";

/** A round hole right through a piece, as large as it is all the way. */
export interface RoundHole {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

/** What is cut out of a piece's stock. */
export interface CutFace {
  /** Outer outlines run counter-clockwise, openings in them the other way; a hole over their edge is cut out of them. */
  readonly outlines: readonly Loop[];
  /** Holes that lie whole in the piece and go right through. */
  readonly holes: readonly RoundHole[];
  /** Every hole of the piece that is begun on this face or on its back, blind ones too. */
  readonly drilled: readonly Hole[];
}

/** A part as it is marked out on its stock, mm. */
export interface CutPart extends CutFace {
  readonly key: CutKey;
  /** As in the cut list. */
  readonly id: string;
  readonly material: string;
  /** How many are cut alike; of a pair, both. */
  readonly count: number;
  /** A left and a right that must match. */
  readonly pair: boolean;
  /**
   * Seen from its right side, x toward the tip and y toward the spine; or from the front, x to the right of a holder and y
   * toward the spine.
   */
  readonly face: "side" | "front";
  /** Of a pair, the left one as it is seen from the same side; null of what has none. */
  readonly left: CutFace | null;
  /** Of the stock that it is cut from. */
  readonly thicknessMm: number;
  readonly grain: CutPiece["grain"];
}

/** Blade and tang, or the tang's rod with it, in one, with what is drilled in it: whether it is made here or in the hand. */
export const blank = remembered((design: Design): CutPart => {
  const id = cutId({ kind: "blade" });
  return {
    key: { kind: "blade" },
    id,
    material: design.blade.steel,
    count: 1,
    pair: false,
    face: "side",
    ...cutFace(blankOutline(design), [], holesIn(design, id, null, "across")),
    left: null,
    thicknessMm: design.blade.spineMm,
    grain: null,
  };
});

/** Every part that is cut by an outline, blade and tang first; a blade in the hand is none. */
export const cutParts = remembered((design: Design): readonly CutPart[] => {
  const cut = new Map(cutList(design).map((c) => [c.id, c]));
  return pieceList(design).flatMap((piece): CutPart[] => {
    const { key, id, material, count, pair, across, leftParts } = piece;
    if (key.kind === "blade") return [blank(design)];
    const [listed, seen] = [cut.get(id), pieceOutlines(design).get(id)];
    if (!listed || !seen) return [];
    const slots = across ? faceOpenings(design, piece, "front") : [];
    const axis = across ? "along" : "across";
    const own = "side" in key && key.side !== "pair" ? key.side : null;
    const right = holesIn(design, id, leftParts ? "right" : own, axis);
    return [
      {
        key,
        id,
        material,
        count: listed.discs?.count ?? count,
        pair,
        face: across ? "front" : "side",
        ...cutFace(seen.outlines, slots, right),
        left: seen.left && cutFace(seen.left, slots, holesIn(design, id, "left", axis)),
        thicknessMm: across
          ? (listed.discs?.thicknessMm ?? listed.finishedMm.lengthMm)
          : listed.finishedMm.thicknessMm,
        grain: listed.grain,
      },
    ];
  });
});

/** The holes of a piece, or of one of a pair, that run one way. */
export const holesIn = (design: Design, id: string, side: Side | null, axis: Hole["axis"]): Hole[] =>
  holesOf(design).filter((h) => h.piece === id && h.side === side && h.axis === axis);

/** An outline with its openings and holes; what lies over its edge is cut out of it. */
export function cutFace(
  outline: readonly (readonly Point[])[],
  openings: readonly Loop[],
  drilled: readonly Hole[],
): CutFace {
  const holes = throughHoles(drilled);
  const inside = holes.filter((h) => liesIn(outline, h));
  const over = holes.filter(
    (h) => !inside.includes(h) && outline.some((o) => Math.abs(off(o, h)) < h.diameterMm / 2),
  );
  const bites = over.map((h) => flattened(circleLoop(h.xMm, h.yMm, h.diameterMm / 2), CHORD_MM));
  const cut = bites.length > 0 ? joined(outline, bites) : outline;
  // A strip narrower than a hole through it would fall apart: it is drilled in its place.
  const bitten = outer(cut) > outer(outline) ? outline : cut;
  return { outlines: [...asLoops(bitten), ...openings], holes: inside, drilled };
}

const outer = (of: readonly (readonly Point[])[]): number =>
  of.filter((o) => signedArea(straightLoop(o)) > 0).length;

/** Chords of a hole that is cut out of an edge lie within this of it, mm. */
const CHORD_MM = 0.001;

const off = (outline: readonly Point[], { xMm, yMm }: RoundHole) =>
  signedDistance(outline, { x: xMm, y: yMm });

/** Whether a hole lies whole in what outlines hold. */
const liesIn = (outline: readonly (readonly Point[])[], hole: RoundHole): boolean =>
  outline.filter((o) => off(o, hole) < 0).length % 2 === 1 &&
  outline.every((o) => Math.abs(off(o, hole)) >= hole.diameterMm / 2);

/** Holes about one middle that together go right through, each as large as they are at their narrowest. */
function throughHoles(drilled: readonly Hole[]): RoundHole[] {
  const places = new Map<string, Hole[]>();
  for (const h of drilled) {
    // Along the knife every hole stands in the middle of the width.
    const key = h.axis === "across" ? `${h.xMm} ${h.yMm}` : `${h.yMm}`;
    places.set(key, [...(places.get(key) ?? []), h]);
  }
  return [...places.values()].flatMap((of): RoundHole[] => {
    const [low, high] = [Math.min(...of.map((h) => h.within[0])), Math.max(...of.map((h) => h.within[1]))];
    const ends = [...new Set(of.flatMap((h) => h.takes))].filter((e) => e > low && e < high);
    const stops = [low, ...ends.sort((a, b) => a - b), high];
    const widths = stops.slice(1).map((to, i) => {
      const middle = (stops[i] + to) / 2;
      return Math.max(
        0,
        ...of.filter((h) => h.takes[0] < middle && h.takes[1] > middle).map((h) => h.drilledMm),
      );
    });
    const diameterMm = Math.min(...widths);
    const { axis, xMm, yMm } = of[0];
    return diameterMm > 0 ? [{ xMm: axis === "across" ? xMm : 0, yMm, diameterMm }] : [];
  });
}
