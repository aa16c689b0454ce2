import { type Fields, length, type RecordOf } from "../../base/record/fields";
import type { Point } from "../../geometry/curve/bezier";
import type { Region } from "../../geometry/solids/region";

export type ShapeRecord<K extends string, F extends Fields> = { kind: K } & RecordOf<F>;

/** Stations that a piece lies between, rear and front, mm. */
export type Range = readonly [number, number];

/** What a shape is first sized to: the handle's butt, mm. */
export interface ButtSize {
  readonly aboveMm: number;
  readonly belowMm: number;
  readonly widthMm: number;
  /** Middle and height of the butt's face. */
  readonly yMm: number;
  readonly heightMm: number;
}

/** A point of a shape that is dragged on the side view: its field follows y, as per · (y − zero). */
export interface ShapePoint {
  readonly id: "size" | "above" | "below";
  readonly at: Point;
  readonly field: string;
  readonly zero: number;
  readonly per: 1 | -1 | 2;
  /** Further fields that its number editor shows. */
  readonly also: readonly string[];
}

/**
 * All that is known of one kind of outline of its own that a piece can have. Another is another such module, a line in
 * the registry, and its words in words/pieceShapes.
 */
export interface PieceShapeKindOf<K extends string, F extends Fields, R = ShapeRecord<K, F>> {
  readonly kind: K;
  readonly fields: F;
  /** Sizes to begin from. */
  start(butt: ButtSize): RecordOf<F>;
  /** What its regions have in common is the piece. */
  regions(shape: R, range: Range): readonly Region[];
  points(shape: R, range: Range): readonly ShapePoint[];
}

export function pieceShapeKind<const K extends string, const F extends Fields>(
  spec: PieceShapeKindOf<K, F>,
): PieceShapeKindOf<K, F> {
  return spec;
}

/** Fields of a shape that is given by its reach above and below the axis, and its width. */
export const acrossFields = {
  aboveMm: length(1, 150),
  belowMm: length(1, 150),
  widthMm: length(1, 150),
} as const;

/** The same to begin from. */
export const acrossButt = ({ aboveMm, belowMm, widthMm }: ButtSize) => ({ aboveMm, belowMm, widthMm });

/** Its upper and its lower end, to drag. */
export function acrossPoints(s: { aboveMm: number; belowMm: number }, [x0, x1]: Range): ShapePoint[] {
  const x = (x0 + x1) / 2;
  return [
    { id: "above", at: { x, y: s.aboveMm }, field: "aboveMm", zero: 0, per: 1, also: [] },
    { id: "below", at: { x, y: -s.belowMm }, field: "belowMm", zero: 0, per: -1, also: [] },
  ];
}

/** The top of a round shape, to drag. */
export function roundPoints(s: { diameterMm: number; yMm: number }, [x0]: Range): ShapePoint[] {
  const r = s.diameterMm / 2;
  return [
    {
      id: "size",
      at: { x: x0 + r, y: s.yMm + r },
      field: "diameterMm",
      zero: s.yMm,
      per: 2,
      also: ["yMm"],
    },
  ];
}
