import type { Fields } from "../../base/record/fields";
import { registryOf } from "../../base/record/registry";
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

const MODULES = registryOf<AnyPieceShapeKind>(KINDS, "shape of a piece");

export const SHAPE_KINDS = MODULES.kinds;

/** What is known of a kind of shape. */
export const shapeKindOf = MODULES.of;

/** A shape of a kind to begin from, sized to the handle's butt. */
export function shapeFor(kind: SizedShapeKind, butt: ButtSize): SizedShape {
  return { kind, ...shapeKindOf({ kind }).start(butt) } as SizedShape;
}
