import type { Fields, RecordOf } from "../record/fields";
import { collar } from "./collar";
import { dowels } from "./dowels";
import type { FittingKindOf } from "./kind";
import { knuckleBow } from "./knuckleBow";
import { notch } from "./notch";

/** Every kind of fitting that a guard can have, in the order that they are built and offered. */
const KINDS = [notch, dowels, collar, knuckleBow] as const;

type Kinds = (typeof KINDS)[number];
export type FittingKind = Kinds["kind"];
type RecordOfKind<K> =
  Extract<Kinds, { kind: K }> extends FittingKindOf<string, infer F> ? RecordOf<F> : never;
/** The fittings of a guard's record: each its sizes, or null. */
export type Fittings = { [K in FittingKind]: RecordOfKind<K> | null };
export type AnyFitting = NonNullable<Fittings[FittingKind]>;
export type AnyFittingKind = FittingKindOf<FittingKind, Fields, AnyFitting>;

export const FITTINGS: readonly AnyFittingKind[] = KINDS.map((k) => k as unknown as AnyFittingKind);

/** The fittings that a guard has, with what is known of each. */
export function fittingsOn(
  guard: Fittings,
): { readonly kind: AnyFittingKind; readonly fitting: AnyFitting }[] {
  return FITTINGS.flatMap((kind) => {
    const fitting = guard[kind.kind];
    return fitting === null ? [] : [{ kind, fitting }];
  });
}

/** No fittings, or those that another guard has. */
export function fittingsLike(had: Fittings | null): Fittings {
  return Object.fromEntries(FITTINGS.map(({ kind }) => [kind, had?.[kind] ?? null])) as unknown as Fittings;
}
