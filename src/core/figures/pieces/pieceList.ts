import { radians } from "../../base/number";
import { byKind } from "../../base/record/byKind";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { type PartKey, partId, type Side } from "../../knife/assembly/partKey";
import { materialsIn } from "../../knife/design/materials";
import type { Design, Guard, Piece, PieceRole, ScalesHandle, StackHandle } from "../../knife/design/schema";
import { endPlace } from "../../knife/layout/endPlace";
import { guardFaceAt } from "../../knife/layout/guard";
import { pieceNaming, plateNaming } from "../../knife/layout/itemNames";
import { layoutOf } from "../../knife/layout/layout";
import { lengthwiseFaces } from "../../knife/layout/lengthwise";
import { jointTilt } from "../../knife/layout/pieces";
import { remembered } from "../../knife/layout/remembered";
import { dividerStations, jointsFrontFirst, sheetNumber } from "../../knife/layout/scales";
import type { MaterialOf } from "../../materials/types";
import { type CutKey, cutId } from "./cutKey";
import { type StationsAt, stationsBetween } from "./frontOutline";
import { alongJoint, standsOut } from "./parted";

/** How a piece is had: sawn out of stock, printed, or built up and cast, by weight. */
export type Made = "sawn" | "printed" | "built-up";

/** A sheet across the knife: how thick it is, and where along the knife it lies at each height. */
export interface Across {
  readonly thicknessMm: number;
  readonly stationsAt: StationsAt;
  /** How far it leans, its top toward the front: it is that much longer than it is high in the knife. */
  readonly tiltDeg: number;
}

/** The front and the rear face of a piece along the tang: just inside it at each height, and how far it leans. */
export interface Ends {
  readonly front: EndFace;
  readonly rear: EndFace | null;
}

export interface EndFace {
  readonly stationAt: (y: number) => number;
  readonly tiltDeg: number;
}

/** One piece that is made, with the weighed parts that it becomes. */
export interface Workpiece {
  readonly key: CutKey;
  /** By which a maker's stock is matched to it. */
  readonly id: string;
  readonly material: string;
  /** How many are made alike; of a pair, both. */
  readonly count: number;
  /** A left and a right that must match. */
  readonly pair: boolean;
  /** Ids of the parts that its outline is read of; of a pair, those of the right one and of the left one. */
  readonly parts: readonly string[];
  readonly leftParts: readonly string[] | null;
  /** A sheet across the knife, which is marked out on its front; null of what is marked out on its side. */
  readonly across: Across | null;
  /** Of what the tang goes into from its front. */
  readonly ends: Ends | null;
  /** Thickness of the stock that it lies in; null where it is as thick as its parts are. */
  readonly thicknessMm: number | null;
  readonly made: Made;
  /** A slab comes in its thickness, a slice in its length, a block with room to shape all round. */
  readonly form: "slab" | "slice" | "block";
  /** Stacked of discs: of that thickness, or of what the stock is, null. */
  readonly discs: { readonly mm: number | null } | null;
  /** What it is pressed together by, as a share of its length. */
  readonly pressedShare: number;
  /** Of a sheet its thickness, or what follows from more than its box: along a bent joint, of arms that sweep. */
  readonly lengthMm: number | null;
  readonly heightMm: number | null;
}

/** How far inside its end a face is read, mm. */
const FACE_MM = 1e-3;

type PieceSpec = Pick<Workpiece, "key" | "material" | "parts"> & Partial<Workpiece>;

const SIDES = ["right", "left"] as const;

/** Pieces that are cut from sheet, its thickness along the knife. */
const SLICES: readonly PieceRole[] = ["spacer", "washer", "butt-plate"];

const made = (spec: PieceSpec): Workpiece => ({
  id: cutId(spec.key),
  count: 1,
  pair: false,
  leftParts: null,
  across: null,
  ends: null,
  thicknessMm: null,
  made: "sawn",
  form: "block",
  discs: null,
  pressedShare: 0,
  lengthMm: null,
  heightMm: null,
  ...spec,
});

/** Every piece that a knife is made of, but for what is bought and what is drawn off a rod: blade and tang first. */
export const pieceList = remembered((design: Design): readonly Workpiece[] => {
  const { handle, tang, guard, blade } = design;
  return [
    ...(blade.measured ? [] : [blankPiece(design)]),
    ...byKind<typeof handle, readonly Workpiece[]>(handle, {
      scales: (scales) => scalePieces(design, scales),
      stack: (stack) => stackPieces(design, stack),
      bare: () => [],
    }),
    ...byKind<typeof tang, readonly Workpiece[]>(tang, {
      full: ({ short }) =>
        short ? [single({ kind: "tang-rest", sort: short.behind }, short.material, { form: "slab" })] : [],
      hidden: () => capPieces(design),
      framed: ({ frame: { material, thicknessMm } }) => [
        single({ kind: "frame" }, material, { form: "slab", thicknessMm }),
      ],
    }),
    ...(guard && !guard.mesh ? guardPieces(design, guard) : []),
  ];
});

/** The same with blade and tang, whether they are made here or are in the hand: holes are drilled in either. */
export function piecesWithBlank(design: Design): readonly Workpiece[] {
  const listed = pieceList(design);
  return design.blade.measured ? [blankPiece(design), ...listed] : listed;
}

/** Blade and tang, or the tang's rod with it, in one. */
export function blankPiece({ blade }: Design): Workpiece {
  const parts = [partId({ kind: "blade" }), partId({ kind: "tang" })];
  return made({
    key: { kind: "blade" },
    material: blade.steel,
    parts,
    form: "slab",
    thicknessMm: blade.spineMm,
  });
}

/** A piece that is one part. */
function single(key: PartKey & CutKey, material: string, more: Partial<Workpiece> = {}): Workpiece {
  return made({ key, material, parts: [partId(key)], ...more });
}

type Both<T> = { readonly right: T; readonly left: T };
const alike = <T>(of: T): Both<T> => ({ right: of, left: of });

/** A right and a left piece: a pair of one material, or each by itself. */
function sides(
  keyOf: <S extends Side | "pair">(side: S) => CutKey & { readonly side: S },
  of: Both<string>,
  thickMm: Both<number | null>,
  more: Partial<Workpiece> = {},
): Workpiece[] {
  const partsOf = (side: Side) => [partId(keyOf(side) as PartKey)];
  if (of.right === of.left) {
    const { right, left } = thickMm;
    return [
      made({
        key: keyOf("pair"),
        material: of.right,
        count: 2,
        pair: true,
        parts: partsOf("right"),
        leftParts: partsOf("left"),
        thicknessMm: right === null || left === null ? null : Math.max(right, left),
        ...more,
      }),
    ];
  }
  return SIDES.map((side) =>
    made({
      key: keyOf(side),
      material: of[side],
      pair: true,
      parts: partsOf(side),
      thicknessMm: thickMm[side],
      ...more,
    }),
  );
}

function scalePieces(design: Design, handle: ScalesHandle): Workpiece[] {
  const layout = layoutOf(design);
  const thick = { right: handle.right.thicknessMm, left: handle.left.thicknessMm };
  const widest = Math.max(thick.right, thick.left);
  const slab = { form: "slab" } as const;
  const pieces: Workpiece[] = [];
  const joints = jointsFrontFirst(handle);
  let of: Both<string> = { right: handle.right.material, left: handle.left.material };
  [...joints, null].forEach((next, i) => {
    const number = joints.length > 0 ? i + 1 : null;
    pieces.push(...sides((side) => ({ kind: "scale", number, side }), of, thick, slab));
    next?.dividers.forEach(({ thicknessMm, material }, k) => {
      const key = { kind: "divider", id: next.id, number: i + 1, sheet: sheetNumber(next, k) } as const;
      const [parts, leftParts] = SIDES.map((side) => [partId({ ...key, side })]);
      // It lies along its joint, which leans.
      const across = leaning(dividerStations(next)[k], thicknessMm, next.tiltDeg);
      const more = { count: 2, pair: true, parts, leftParts, across, form: "slice" } as const;
      pieces.push(made({ key, material, thicknessMm: widest, lengthMm: thicknessMm, ...more }));
    });
    if (next) of = { right: next.right, left: next.left };
  });
  const { lengthwise } = handle;
  if (lengthwise) {
    pieces.push(...sides((side) => ({ kind: "lower", side }), alike(lengthwise.material), thick, slab));
    const { divider } = lengthwise;
    // A strip, bent along the joint.
    if (divider)
      pieces.push(
        ...sides((side) => ({ kind: "lengthwise-sheet", side }), alike(divider.material), thick, {
          ...slab,
          lengthMm: alongJoint(lengthwise, layout.span),
          heightMm: divider.thicknessMm,
        }),
      );
  }
  handle.halves.forEach((half, i) => {
    const { end, id, shape } = half;
    const number = handle.halves.length > 1 ? i + 1 : null;
    // What stands out beyond the tang reaches to the middle of it.
    const onTang = shape.kind === "outline" && !standsOut(shape.points, layout);
    const deep = onTang ? shape.thicknessMm : null;
    pieces.push(...sides((side) => ({ kind: "half", sort: end, id, number, side }), half, alike(deep)));
  });
  handle.liners.forEach((l, i) => {
    const number = handle.liners.length > 1 ? i + 1 : null;
    pieces.push(
      ...sides((side) => ({ kind: "liner", number, side }), alike(l.material), alike(l.thicknessMm), slab),
    );
  });
  for (const end of ["front", "rear"] as const) {
    const bolster = handle.bolsters[end];
    if (bolster)
      pieces.push(...sides((side) => ({ kind: "bolster", sort: end, side }), bolster, alike(widest)));
  }
  return pieces;
}

/** A sheet whose rear face meets the axis at a station, so thick measured across it. */
function leaning(rearMm: number, thicknessMm: number, tiltDeg: number): Across {
  const lean = Math.tan(radians(tiltDeg));
  const along = thicknessMm / Math.cos(radians(tiltDeg));
  return {
    thicknessMm,
    tiltDeg,
    stationsAt: (y) => stationsBetween(rearMm + y * lean, rearMm + y * lean + along),
  };
}

function stackPieces(design: Design, handle: StackHandle): Workpiece[] {
  const materialOf = materialsIn(design);
  const { pieces: stations } = layoutOf(design);
  const blocks = handle.pieces.filter((p) => p.role === "block" && !p.shape).length;
  const along = (blocks > 0 ? lengthwiseFaces(handle.lengthwise) : []).map(({ kind, material }) =>
    single({ kind, side: null }, material, { count: blocks }),
  );
  return [
    ...along,
    ...handle.pieces.map((p, i): Workpiece => {
      const key = { kind: "piece", sort: p.role, id: p.id, ...pieceNaming(design, i) } as const;
      const [to, from] = stations[i];
      // A sheet lies along its joint, which leans; one whose faces lean apart is sawn from a block.
      const [ahead, behind] = [i > 0 ? jointTilt(handle, i - 1) : 0, jointTilt(handle, i)];
      const slice = SLICES.includes(p.role) && !p.shape && ahead === behind;
      const across = slice ? leaning(to, (from - to) * Math.cos(radians(behind)), behind) : null;
      const end = (x: number, tiltDeg: number, inward: number): EndFace => ({
        tiltDeg,
        stationAt: (y) => x + y * Math.tan(radians(tiltDeg)) + inward,
      });
      return single(key, p.material, {
        across,
        ends: { front: end(from, ahead, -FACE_MM), rear: end(to, behind, FACE_MM) },
        lengthMm: across?.thicknessMm ?? null,
        pressedShare: p.pressedShare,
        form: slice ? "slice" : "block",
        made: p.printed ? "printed" : isBuiltUp(p, materialOf) ? "built-up" : "sawn",
        discs: slice && (p.role === "washer" || p.discMm !== null) ? { mm: p.discMm } : null,
      });
    }),
  ];
}

/** A grip of metal all round the tang is cast or built up, not sawn from a block. Common practice, no source. */
function isBuiltUp({ role, material, shape }: Piece, materialOf: MaterialOf): boolean {
  return role === "block" && !shape && materialOf(material)?.class === "metal";
}

function capPieces(design: Design): Workpiece[] {
  const { tang } = design;
  const place = endPlace(layoutOf(design));
  const sawn = tang.kind === "hidden" ? endKindOf(tang.end).sawn(tang.end) : null;
  if (!sawn || !place) return [];
  const front: EndFace = { tiltDeg: 0, stationAt: () => place.buttX - FACE_MM };
  const ends = { front, rear: null };
  return [single({ kind: "tang-end", component: sawn.component }, sawn.material, { ends })];
}

function guardPieces(design: Design, guard: Guard): Workpiece[] {
  const { sweepAboveMm: above, sweepBelowMm: below } = guard;
  const reach = Math.max(0, above, below) - Math.min(0, above, below);
  const plates = layoutOf(design).guardPlates;
  return guard.plates.map((p, i) => {
    const number = guard.plates.length > 1 ? i + 1 : null;
    const { fromMm, toMm } = plates[i];
    const stationsAt: StationsAt = (y) =>
      stationsBetween(guardFaceAt(guard, toMm, y), guardFaceAt(guard, fromMm, y));
    const end = (mm: number, inward: number): EndFace => ({
      tiltDeg: 0,
      stationAt: (y) => guardFaceAt(guard, mm, y) + inward,
    });
    return single({ kind: "guard", number, ...plateNaming(design, i) }, p.material, {
      across: { thicknessMm: p.thicknessMm, tiltDeg: 0, stationsAt },
      ends: { front: end(fromMm, -FACE_MM), rear: end(toMm, FACE_MM) },
      lengthMm: p.thicknessMm + reach,
      // A flat plate is cut from sheet; one with swept arms from a block.
      form: reach > 0 ? "block" : "slice",
      made: p.printed ? "printed" : "sawn",
    });
  });
}
