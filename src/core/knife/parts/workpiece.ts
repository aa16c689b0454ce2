import { clamp, radians } from "../../base/number";
import { INSIDE_SHARE } from "../../base/tolerances";
import { type CutKey, cutId } from "./cutKey";
import { type PartKey, partId, type Side } from "./partKey";

/** Stations along a piece that are read for its widest section: so far apart, and how few and how many. */
const APART_MM = 1.5;
const FEWEST = 9;
const MOST = 120;

/** The stations at which a piece is read on the height y: the same at all heights, or along a face that leans or is swept. */
export type StationsAt = (y: number) => readonly number[];

/** Stations evenly between two, just inside both. */
export function stationsBetween(from: number, to: number): number[] {
  const count = clamp(Math.ceil(Math.abs(to - from) / APART_MM) + 1, FEWEST, MOST);
  return Array.from({ length: count }, (_, i) => {
    const share = INSIDE_SHARE + ((1 - 2 * INSIDE_SHARE) * i) / (count - 1);
    return from + (to - from) * share;
  });
}

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
export const FACE_MM = 1e-3;

type PieceSpec = Pick<Workpiece, "key" | "material" | "parts"> & Partial<Workpiece>;

export const SIDES = ["right", "left"] as const;

export const made = (spec: PieceSpec): Workpiece => ({
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

/** A piece that is one part. */
export function single(key: PartKey & CutKey, material: string, more: Partial<Workpiece> = {}): Workpiece {
  return made({ key, material, parts: [partId(key)], ...more });
}

export type Both<T> = { readonly right: T; readonly left: T };

export const alike = <T>(of: T): Both<T> => ({ right: of, left: of });

/** A right and a left piece: a pair of one material, or each by itself. */
export function sides(
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

/** A sheet whose rear face meets the axis at a station, so thick measured across it. */
export function leaning(rearMm: number, thicknessMm: number, tiltDeg: number): Across {
  const lean = Math.tan(radians(tiltDeg));
  const along = thicknessMm / Math.cos(radians(tiltDeg));
  return {
    thicknessMm,
    tiltDeg,
    stationsAt: (y) => stationsBetween(rearMm + y * lean, rearMm + y * lean + along),
  };
}
