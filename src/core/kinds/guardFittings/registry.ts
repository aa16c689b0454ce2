import type { Fields, RecordOf } from "../../base/record/fields";
import { registryOf } from "../../base/record/registry";
import { cheeks } from "./cheeks";
import { collar } from "./collar";
import { dowels } from "./dowels";
import type { FittingKindOf, FittingPlace } from "./kind";
import { knuckleBow } from "./knuckleBow";
import { notch } from "./notch";

/** Every kind of fitting that a guard can have, in the order that they are built and offered. */
const KINDS = [notch, dowels, cheeks, collar, knuckleBow] as const;

type Kinds = (typeof KINDS)[number];
export type FittingKind = Kinds["kind"];
type Flat<T> = { [K in keyof T]: T[K] };
type RecordOfKind<M> = M extends FittingKindOf<infer K, infer F> ? Flat<{ kind: K } & RecordOf<F>> : never;
/** One fitting of a guard: its kind and its sizes, mm. */
export type Fitting = RecordOfKind<Kinds>;
export type AnyFittingKind = FittingKindOf<FittingKind, Fields, Fitting>;
type FittingOf<K extends FittingKind> = Extract<Fitting, { kind: K }>;

const MODULES = registryOf<AnyFittingKind>(KINDS, "fitting");

export const FITTINGS: readonly AnyFittingKind[] = MODULES.kinds.map((kind) => MODULES.of({ kind }));

interface Fitted {
  readonly fittings: readonly Fitting[];
}

/** The fitting of a kind that a guard has; null of none. */
export const fittingOf = <K extends FittingKind>(guard: Fitted | null, kind: K): FittingOf<K> | null =>
  (guard?.fittings.find((f) => f.kind === kind) as FittingOf<K> | undefined) ?? null;

/** The fittings that a guard has, with what is known of each, in the order that they are built. */
export function fittingsOn(guard: Fitted): { readonly kind: AnyFittingKind; readonly fitting: Fitting }[] {
  return FITTINGS.flatMap((kind) => {
    const fitting = fittingOf(guard, kind.kind);
    return fitting === null ? [] : [{ kind, fitting }];
  });
}

/** A fitting of a kind to begin from. */
export const newFitting = <K extends FittingKind>(
  kind: K,
  guardMaterial: string,
  place: FittingPlace | null = null,
): FittingOf<K> => ({ kind, ...MODULES.of({ kind }).start(guardMaterial, place) }) as unknown as FittingOf<K>;

/** Fittings with one of them, or none of its kind, in the order that they are built. */
export function withFitting(fittings: readonly Fitting[], kind: FittingKind, to: Fitting | null): Fitting[] {
  const all = [...fittings.filter((f) => f.kind !== kind), ...(to ? [to] : [])];
  return FITTINGS.flatMap((k) => all.filter((f) => f.kind === k.kind));
}
