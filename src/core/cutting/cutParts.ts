import { fitArcs } from "../contours/fitArcs";
import { flattened, type Loop } from "../contours/loop";
import type { Point } from "../curve/bezier";
import { signedDistance } from "../curve/crossing";
import type { Design } from "../design/schema";
import { handleHoles, type RoundHole, tangHoles } from "../fit/drilled";
import { DRILLS } from "../fit/drillSets";
import { guardSlot, pieceSlots } from "../fit/guardSlot";
import { type CutPiece, cutList } from "../fit/stockList";
import { remembered } from "../layout/remembered";
import { type CutKey, cutId } from "../pieces/cutKey";
import { blankOutline, pieceOutlines } from "../pieces/outlines";
import { pieceList } from "../pieces/pieceList";
import { roundedBox } from "./roundedBox";

/** Round and straight pieces follow an outline within this, mm; with its chords it stays within 0.01 mm. */
export const FOLLOWS_MM = 0.006;

/** A part as it is marked out on its stock, mm. */
export interface CutPart {
  readonly key: CutKey;
  /** As in the cut list. */
  readonly id: string;
  readonly material: string;
  /** How many are cut alike; of a pair, both. */
  readonly count: number;
  /** A left and a right: the left one is cut as the mirror image. */
  readonly pair: boolean;
  /**
   * Seen from its right side, x toward the tip and y toward the spine; or from the front, x to the right of a holder and y
   * toward the spine.
   */
  readonly face: "side" | "front";
  /** Outer outlines run counter-clockwise, openings in them the other way. */
  readonly outlines: readonly Loop[];
  /** Of a pair, the left one's as it is seen from the right; null of what has none. */
  readonly left: readonly Loop[] | null;
  readonly holes: readonly RoundHole[];
  /** Of the stock that it is cut from. */
  readonly thicknessMm: number;
  readonly grain: CutPiece["grain"];
}

const loopsOf = (outlines: readonly (readonly Point[])[]): Loop[] =>
  outlines.map((o) => fitArcs(o, FOLLOWS_MM)).filter((l) => l.length > 1);

/** Blade and tang, or the tang's rod with it, in one, with what is drilled in it: whether it is made here or in the hand. */
export const blank = remembered((design: Design): CutPart => {
  const outlines = loopsOf(blankOutline(design));
  return {
    key: { kind: "blade" },
    id: cutId({ kind: "blade" }),
    material: design.blade.steel,
    count: 1,
    pair: false,
    face: "side",
    outlines,
    left: null,
    // Of a tang that does not reach them, some are in the handle alone.
    holes: tangHoles(design).filter((h) => within(outlines, h)),
    thicknessMm: design.blade.spineMm,
    grain: null,
  };
});

/** Every part that is cut by an outline, blade and tang first; a blade in the hand is none. */
export const cutParts = remembered((design: Design): readonly CutPart[] => {
  const throughHandle = handleHoles(design);
  const cut = new Map(cutList(design).map((c) => [c.id, c]));
  return pieceList(design).flatMap((piece): CutPart[] => {
    const { key, id, material, count, pair, across } = piece;
    if (key.kind === "blade") return [blank(design)];
    const [listed, seen] = [cut.get(id), pieceOutlines(design).get(id)];
    if (!listed || !seen) return [];
    const outlines = loopsOf(seen.outlines);
    const slots = across ? slotOf(design, key) : [];
    return [
      {
        key,
        id,
        material,
        count: listed.discs?.count ?? count,
        pair,
        face: across ? "front" : "side",
        outlines: [...outlines, ...slots],
        left: seen.left && [...loopsOf(seen.left), ...slots],
        holes: across ? [] : throughHandle.filter((h) => within(outlines, h)),
        thicknessMm: across
          ? (listed.discs?.thicknessMm ?? listed.finishedMm.lengthMm)
          : listed.finishedMm.thicknessMm,
        grain: listed.grain,
      },
    ];
  });
});

/** The tang's opening through a plate of the guard, or through a piece behind it. */
function slotOf(design: Design, key: CutKey): Loop[] {
  if (key.kind === "guard") {
    const slot = guardSlot(design, DRILLS);
    return slot ? [roundedBox(slot.yMm, slot.thicknessMm, slot.heightMm, slot.cornerMm)] : [];
  }
  if (key.kind !== "piece" || design.tang.kind !== "hidden") return [];
  const slot = pieceSlots(design).find((s) => s.key.kind === "piece" && s.key.id === key.id);
  if (!slot) return [];
  return [roundedBox(design.tang.yMm, slot.thicknessMm, slot.heightMm, (slot.roundMm ?? 0) / 2)];
}

/** How far round holes are followed while it is looked whether they lie in a part, mm. */
const LOOKED_MM = 0.05;

/** Whether a hole's centre lies in a part: inside an odd number of its outlines. */
function within(outlines: readonly Loop[], { xMm, yMm }: RoundHole): boolean {
  return (
    outlines.filter((o) => signedDistance(flattened(o, LOOKED_MM), { x: xMm, y: yMm }) < 0).length % 2 === 1
  );
}
