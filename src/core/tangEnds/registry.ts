import type { Fields } from "../record/fields";
import type { EndRecord, TangEndKindOf } from "./kind";
import { peened } from "./peened";
import { plain } from "./plain";
import { takeDown } from "./takeDown";
import { threaded } from "./threaded";

/** Every kind of end that a hidden tang can have, in the order that they are offered. */
const KINDS = [plain, peened, threaded, takeDown] as const;

type Flat<T> = { [K in keyof T]: T[K] };
type RecordOfKind<M> = M extends TangEndKindOf<infer K, infer F> ? Flat<EndRecord<K, F>> : never;

/** What a hidden tang ends in: its kind and sizes, mm. */
export type BarEnd = RecordOfKind<(typeof KINDS)[number]>;
export type BarEndKind = BarEnd["kind"];
export type AnyTangEndKind = TangEndKindOf<BarEndKind, Fields, BarEnd>;

const BY_KIND = new Map<string, AnyTangEndKind>(KINDS.map((k) => [k.kind, k as unknown as AnyTangEndKind]));

export const BAR_END_KINDS: readonly BarEndKind[] = KINDS.map((k) => k.kind);

/** What is known of a kind of end. */
export function endKindOf(end: { readonly kind: BarEndKind }): AnyTangEndKind {
  const known = BY_KIND.get(end.kind);
  if (!known) throw new Error(`no end of a tang is called "${end.kind}"`);
  return known;
}

/** An end of a kind to begin from, common sizes of the trade (common practice, no source). */
export function newEnd(kind: BarEndKind, steel: string): BarEnd {
  return { kind, ...endKindOf({ kind }).start(steel) } as BarEnd;
}
