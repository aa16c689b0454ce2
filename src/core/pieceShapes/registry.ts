import type { Fields } from "../record/fields";
import { ball } from "./ball";
import { beak } from "./beak";
import { disc } from "./disc";
import { faceted } from "./faceted";
import type { ButtSize, PieceShapeKindOf, ShapeRecord } from "./kind";
import { plate } from "./plate";

/** Every kind of outline of its own that a piece can have, imported ones apart, in the order that they are offered. */
const KINDS = [plate, ball, disc, faceted, beak] as const;

type Flat<T> = { [K in keyof T]: T[K] };
type RecordOfKind<M> = M extends PieceShapeKindOf<infer K, infer F> ? Flat<ShapeRecord<K, F>> : never;

/** A piece's own outline by its kind and sizes, mm. */
export type SizedShape = RecordOfKind<(typeof KINDS)[number]>;
export type SizedShapeKind = SizedShape["kind"];
export type AnyPieceShapeKind = PieceShapeKindOf<SizedShapeKind, Fields, SizedShape>;

const BY_KIND = new Map<string, AnyPieceShapeKind>(
  KINDS.map((k) => [k.kind, k as unknown as AnyPieceShapeKind]),
);

export const SHAPE_KINDS: readonly SizedShapeKind[] = KINDS.map((k) => k.kind);

/** What is known of a kind of shape. */
export function shapeKindOf(shape: { readonly kind: SizedShapeKind }): AnyPieceShapeKind {
  const known = BY_KIND.get(shape.kind);
  if (!known) throw new Error(`no shape of a piece is called "${shape.kind}"`);
  return known;
}

/** A shape of a kind to begin from, sized to the handle's butt. */
export function shapeFor(kind: SizedShapeKind, butt: ButtSize): SizedShape {
  return { kind, ...shapeKindOf({ kind }).start(butt) } as SizedShape;
}
