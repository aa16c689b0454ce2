import { assemble } from "../assembly/assemble";
import { type PartKey, partId, type Side } from "../assembly/partKey";
import { materialsIn } from "../design/materials";
import type { Design, Piece, PieceRole, StockPiece } from "../design/schema";
import { pieceNaming, plateNaming } from "../layout/itemNames";
import { layoutOf } from "../layout/layout";
import { lengthwiseFaces, upperRegion } from "../layout/lengthwise";
import type { LeaningJoint } from "../layout/meetings";
import { jointTilt } from "../layout/pieces";
import { remembered } from "../layout/remembered";
import {
  behindDividers,
  bolsterJoint,
  dividerStations,
  jointsFrontFirst,
  sheetNumber,
} from "../layout/scales";
import { radians } from "../number";
import { rangeOf, sideRangeOf } from "../solids/extent";
import { jointSide } from "../solids/halfSpace";
import type { Region } from "../solids/region";
import type { MaterialOf } from "../stock/types";
import { hasGrain } from "../stock/working";
import { endKindOf } from "../tangEnds/registry";
import { ROUNDING } from "../tolerances";
import { type Boxed, bladeBox, type Size, type Spaces, sizeOf } from "./bladeStock";
import { type CutKey, cutId } from "./cutKey";
import { alongJoint, standsOut } from "./parted";

/** One piece to cut: its finished box, what to saw for it, and how it is marked. */
export interface CutPiece {
  readonly key: CutKey;
  /** By which a maker's stock is matched to it. */
  readonly id: string;
  readonly material: string;
  readonly count: number;
  readonly finishedMm: Size;
  /** With room to shape and the saw's kerf; of what is not sawn as it is finished. */
  readonly sawnMm: Size;
  /** A left and a right that must match. */
  readonly pair: boolean;
  /** How it is had: sawn out of stock, printed, or built up and cast, by weight. */
  readonly made: "sawn" | "printed" | "built-up";
  /** Discs of this thickness that together are the piece, as they are before it is pressed; null of a whole one. */
  readonly discs: { readonly count: number; readonly thicknessMm: number } | null;
  /** Along the knife, where the material has a grain; null where it has none. */
  readonly grain: "lengthwise" | null;
  /** The maker's own stock for it, and what is missing of it; null where none was named. */
  readonly have: StockPiece | null;
  readonly shortMm: Size | null;
}

/** What is cut: a piece of the list, the space that it takes up, and which way its outline is seen. */
export interface CutSolid extends Spaces {
  readonly piece: CutPiece;
  /** Of a sheet that leans: the joint that its rear face lies along. */
  readonly joint: LeaningJoint | null;
  /** The face that it is marked out on: its side, or its front where it is cut from sheet across the knife. */
  readonly face: "side" | "front";
}

const SIDES = ["right", "left"] as const;
const alike = <T>(of: T) => ({ right: of, left: of });

/** Pieces that are cut from sheet, its thickness along the knife. */
const SLICES: readonly PieceRole[] = ["spacer", "washer", "butt-plate"];

/** Thickness of the sheet that washers are cut from, mm: 9 oz leather, or another sheet. Common practice, no source. */
const LEATHER_MM = 3.6;
const DISC_MM = 3;

/**
 * Everything to saw, blade and tang first, then the handle's pieces: with what is printed or built up instead. Rods are
 * cut to their blank lengths; screws and a blade in the hand are bought.
 */
export const cutList = remembered((design: Design): readonly CutPiece[] =>
  cutSolids(design).map((s) => s.piece),
);

/** The same with the space that each piece takes up. */
export const cutSolids = remembered((design: Design): readonly CutSolid[] => {
  const { handle, guard, tang, fitUp } = design;
  const materialOf = materialsIn(design);
  const assembly = assemble(design);
  const { kerfMm, allowanceMm, have } = fitUp.stock;
  const pieces: CutSolid[] = [];
  const put = (
    key: CutKey,
    material: string,
    { stretches, less, ...finished }: Boxed,
    more: Partial<Pick<CutPiece, "count" | "pair" | "made">> & {
      form?: "slab" | "slice" | "block";
      /** Stacked of discs: of that thickness, or of what the stock is, null. */
      discs?: { readonly mm: number | null } | false;
      joint?: LeaningJoint;
    } = {},
  ) => {
    // What is contoured is sawn with room all round and a kerf; a slab comes in its thickness, a slice in its length.
    const { form = "block", discs: inDiscs, joint = null, ...rest } = more;
    const sawn = (rest.made ?? "sawn") === "sawn";
    const room = sawn ? 2 * allowanceMm + kerfMm : 0;
    const id = cutId(key);
    const own = have.find((h) => h.piece === id) ?? null;
    const usual = materialOf(material)?.class === "leather" ? LEATHER_MM : DISC_MM;
    const disc = (inDiscs ? inDiscs.mm : null) ?? own?.lengthMm ?? usual;
    const discs =
      inDiscs && finished.lengthMm > disc * 1.5
        ? { count: Math.ceil(finished.lengthMm / disc - ROUNDING), thicknessMm: disc }
        : null;
    const sawnMm: Size = {
      lengthMm: discs ? discs.thicknessMm : finished.lengthMm + (form === "slice" ? 0 : room),
      heightMm: finished.heightMm + room,
      thicknessMm: finished.thicknessMm + (form === "slab" ? 0 : room),
    };
    const short = own && {
      lengthMm: Math.max(0, sawnMm.lengthMm - own.lengthMm),
      heightMm: Math.max(0, sawnMm.heightMm - own.heightMm),
      thicknessMm: Math.max(0, sawnMm.thicknessMm - own.thicknessMm),
    };
    const piece: CutPiece = {
      key,
      id,
      material,
      count: discs?.count ?? 1,
      pair: false,
      made: "sawn",
      discs,
      grain: hasGrain(materialOf(material)) ? "lengthwise" : null,
      ...rest,
      finishedMm: finished,
      sawnMm,
      have: own,
      shortMm: short,
    };
    pieces.push({
      piece,
      stretches,
      less,
      joint,
      face: form === "slice" || key.kind === "guard" ? "front" : "side",
    });
  };
  if (!design.blade.measured) put({ kind: "blade" }, design.blade.steel, bladeBox(design), { form: "slab" });
  const layout = layoutOf(design);
  const { span, pieces: stations } = layout;
  const symmetrical =
    handle.kind === "scales" &&
    handle.right.thicknessMm === handle.left.thicknessMm &&
    handle.plan.every((p) => p.leftHalfMm === null || p.leftHalfMm === p.halfMm);
  const stretchesOf = (keys: readonly PartKey[], within: readonly Region[]) => {
    const ids = keys.map(partId);
    return assembly.parts
      .filter((p) => ids.includes(p.id) && p.materials.length > 0)
      .map((p) => [...p.regions.map((r) => assembly.regions[r]), ...within]);
  };
  /**
   * The box of a part, or of a right and a left one together; null where nothing is left of it. `within` limits it
   * where another part takes first.
   */
  const boxOf = (keys: readonly PartKey[], within: readonly Region[] = []): Boxed | null => {
    const stretches = stretchesOf(keys, within);
    const size = sizeOf(stretches.map(rangeOf).filter((b) => b !== null));
    return size && { ...size, stretches, less: [] };
  };
  /** The same of a right and a left part, whose thickness is told: of one where both sides are alike. */
  const sidesOf = (keyOf: (side: Side) => PartKey, within: readonly Region[] = []): Boxed | null => {
    const sides = symmetrical ? (["right"] as const) : SIDES;
    const stretches = sides.map((side) => stretchesOf([keyOf(side)], within));
    const ranges = stretches.flat().map(sideRangeOf);
    const size = sizeOf(ranges.flatMap((r) => (r ? [[r[0], r[1], [0, 0]] as const] : [])));
    return size && { ...size, stretches: stretches[0], less: [] };
  };
  /** A right and a left piece: a pair of one material, or each by itself. */
  const putSides = (
    keyOf: (side: Side | "pair") => CutKey,
    of: { readonly right: string; readonly left: string },
    box: Boxed | null,
    thickMm: { readonly right: number; readonly left: number },
    more: Parameters<typeof put>[3] = {},
  ) => {
    if (!box) return;
    const put1 = (side: Side | "pair", material: string, thicknessMm: number, count: number) =>
      put(keyOf(side), material, { ...box, thicknessMm }, { ...more, count, pair: true });
    if (of.right === of.left) put1("pair", of.right, Math.max(thickMm.right, thickMm.left), 2);
    else for (const side of SIDES) put1(side, of[side], thickMm[side], 1);
  };
  if (handle.kind === "scales") {
    const thick = { right: handle.right.thicknessMm, left: handle.left.thicknessMm };
    const widest = Math.max(thick.right, thick.left);
    const joints = jointsFrontFirst(handle);
    const { front, rear } = handle.bolsters;
    const joint = (which: "ahead" | "behind", at: number, tiltDeg: number) =>
      jointSide(which, at, tiltDeg, span);
    const between = [
      ...(front ? [joint("behind", bolsterJoint(front, "front", span), front.tiltDeg)] : []),
      ...(rear ? [joint("ahead", bolsterJoint(rear, "rear", span), rear.tiltDeg)] : []),
    ];
    const above = handle.lengthwise ? [upperRegion(handle.lengthwise)] : [];
    let behind: Region[] = [];
    let of = { right: handle.right.material, left: handle.left.material };
    [...joints, null].forEach((next, i) => {
      const number = joints.length > 0 ? i + 1 : null;
      const box = sidesOf((side) => ({ kind: "scale", number, side }), [...between, ...behind, ...above]);
      putSides((side) => ({ kind: "scale", number, side }), of, box, thick, { form: "slab" });
      next?.dividers.forEach(({ thicknessMm: lengthMm, material }, k) => {
        const key = { kind: "divider", id: next.id, number: i + 1, sheet: sheetNumber(next, k) } as const;
        const own = sidesOf(
          (side) => ({ ...key, side }),
          [...between, joint("behind", next.xMm, next.tiltDeg)],
        );
        // It lies along its joint, which leans.
        const heightMm = (own?.heightMm ?? 0) / Math.cos(radians(next.tiltDeg));
        const { stretches = [], less = [] } = own ?? {};
        const size = { lengthMm, heightMm, thicknessMm: widest, stretches, less };
        const lies = { xMm: dividerStations(next)[k], tiltDeg: next.tiltDeg };
        put(key, material, size, { count: 2, pair: true, form: "slice", joint: lies });
      });
      if (next) {
        of = { right: next.right, left: next.left };
        behind = [joint("behind", behindDividers(next), next.tiltDeg)];
      }
    });
    if (handle.lengthwise) {
      const { material, divider } = handle.lengthwise;
      const lower = sidesOf((side) => ({ kind: "lower", side }), between);
      putSides((side) => ({ kind: "lower", side }), alike(material), lower, thick, { form: "slab" });
      const sheet = divider && sidesOf((side) => ({ kind: "lengthwise-sheet", side }), between);
      if (divider && sheet) {
        // A strip, bent along the joint.
        const strip = {
          ...sheet,
          lengthMm: alongJoint(handle.lengthwise, span),
          heightMm: divider.thicknessMm,
        };
        putSides((side) => ({ kind: "lengthwise-sheet", side }), alike(divider.material), strip, thick, {
          form: "slab",
        });
      }
    }
    handle.halves.forEach((half, i) => {
      const { end, id, shape } = half;
      const number = handle.halves.length > 1 ? i + 1 : null;
      const keyOf = <S extends Side | "pair">(side: S) =>
        ({ kind: "half", sort: end, id, number, side }) as const;
      const box = sidesOf(keyOf);
      // What stands out beyond the tang reaches to the middle of it.
      const onTang = shape.kind === "outline" && !standsOut(shape.points, layout);
      const deep = onTang ? shape.thicknessMm : (boxOf([keyOf("right")])?.thicknessMm ?? 0);
      putSides(keyOf, half, box, alike(deep));
    });
    handle.liners.forEach((l, i) => {
      const number = handle.liners.length > 1 ? i + 1 : null;
      const box = sidesOf((side) => ({ kind: "liner", number, side }), between);
      const keyOf = (side: Side | "pair"): CutKey => ({ kind: "liner", number, side });
      putSides(keyOf, alike(l.material), box, alike(l.thicknessMm), { form: "slab" });
    });
    for (const end of ["front", "rear"] as const) {
      const bolster = handle.bolsters[end];
      if (!bolster) continue;
      const box = sidesOf((side) => ({ kind: "bolster", sort: end, side }));
      const keyOf = (side: Side | "pair"): CutKey => ({ kind: "bolster", sort: end, side });
      putSides(keyOf, bolster, box, alike(widest));
    }
  } else if (handle.kind === "stack") {
    const { lengthwise } = handle;
    const blocks = handle.pieces.filter((p) => p.role === "block" && !p.shape).length;
    for (const { kind, material } of blocks > 0 ? lengthwiseFaces(lengthwise) : []) {
      const box = boxOf([{ kind, side: null }]);
      if (box) put({ kind, side: null }, material, box, { count: blocks });
    }
    handle.pieces.forEach((p, i) => {
      const above = lengthwise && p.role === "block" && !p.shape ? [upperRegion(lengthwise)] : [];
      const box = boxOf([{ kind: "piece", sort: p.role, id: p.id }], above);
      if (!box) return;
      const [to, from] = stations[i];
      // A sheet lies along its joint, which leans; one whose faces lean apart is sawn from a block.
      const [ahead, behind] = [i > 0 ? jointTilt(handle, i - 1) : 0, jointTilt(handle, i)];
      const slice = SLICES.includes(p.role) && !p.shape && ahead === behind;
      const lean = Math.cos(radians(behind));
      const lengthMm = (slice ? (from - to) * lean : box.lengthMm) / (1 - p.pressedShare);
      const heightMm = slice ? box.heightMm / lean : box.heightMm;
      put(
        { kind: "piece", sort: p.role, id: p.id, ...pieceNaming(design, i) },
        p.material,
        { ...box, lengthMm, heightMm },
        {
          form: slice ? "slice" : "block",
          ...(slice && behind !== 0 ? { joint: { xMm: to, tiltDeg: behind } } : {}),
          made: p.printed ? "printed" : isBuiltUp(p, materialOf) ? "built-up" : "sawn",
          discs: slice && (p.role === "washer" || p.discMm !== null) && { mm: p.discMm },
        },
      );
    });
  }
  if (tang.kind === "full" && tang.short) {
    const key = { kind: "tang-rest", sort: tang.short.behind } as const;
    const box = boxOf([key]);
    if (box) put(key, tang.short.material, box, { form: "slab" });
  }
  const sawnEnd = tang.kind === "hidden" ? endKindOf(tang.end).sawn(tang.end) : null;
  if (sawnEnd) {
    const key = { kind: "tang-end", component: sawnEnd.component } as const;
    const box = boxOf([key]);
    if (box) put(key, sawnEnd.material, box);
  }
  if (tang.kind === "framed") {
    const box = boxOf([{ kind: "frame" }]);
    const { material, thicknessMm } = tang.frame;
    if (box)
      put(
        { kind: "frame" },
        material,
        { ...box, thicknessMm, less: layout.tangHoles.map((r) => [r]) },
        { form: "slab" },
      );
  }
  if (guard && !guard.mesh) {
    const reach =
      Math.max(0, guard.sweepAboveMm, guard.sweepBelowMm) -
      Math.min(0, guard.sweepAboveMm, guard.sweepBelowMm);
    guard.plates.forEach((p, i) => {
      const key = {
        kind: "guard",
        number: guard.plates.length > 1 ? i + 1 : null,
        ...plateNaming(design, i),
      } as const;
      put(
        key,
        p.material,
        {
          lengthMm: p.thicknessMm + reach,
          heightMm: guard.aboveMm + guard.belowMm,
          thicknessMm: guard.widthMm,
          stretches: stretchesOf([key], []),
          less: [],
        },
        // A flat plate is cut from sheet; one with swept arms from a block.
        { form: reach > 0 ? "block" : "slice", made: p.printed ? "printed" : "sawn" },
      );
    });
  }
  return pieces;
});

/** A grip of metal all round the tang is cast or built up, not sawn from a block. Common practice, no source. */
function isBuiltUp({ role, material, shape }: Piece, materialOf: MaterialOf): boolean {
  return role === "block" && !shape && materialOf(material)?.class === "metal";
}
