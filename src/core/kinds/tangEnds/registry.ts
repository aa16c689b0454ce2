import type { Fields } from "../../base/record/fields";
import { registryOf } from "../../base/record/registry";
import { capNut } from "./capNut";
import type { EndRecord, TangEndKindOf } from "./kind";
import { peened } from "./peened";
import { plain } from "./plain";
import { stud } from "./stud";
import { takeDown } from "./takeDown";
import { threaded } from "./threaded";

/** Every kind of end that a hidden tang can have, in the order that they are offered. */
const KINDS = [plain, peened, threaded, stud, capNut, takeDown] as const;

type Flat<T> = { [K in keyof T]: T[K] };
type RecordOfKind<M> = M extends TangEndKindOf<infer K, infer F> ? Flat<EndRecord<K, F>> : never;

/** What a hidden tang ends in: its kind and sizes, mm. */
export type BarEnd = RecordOfKind<(typeof KINDS)[number]>;
export type BarEndKind = BarEnd["kind"];
export type AnyTangEndKind = TangEndKindOf<BarEndKind, Fields, BarEnd>;

const MODULES = registryOf<AnyTangEndKind>(KINDS, "end of a tang");

export const BAR_END_KINDS = MODULES.kinds;

/** What is known of a kind of end. */
export const endKindOf = MODULES.of;

/** An end of a kind to begin from, common sizes of the trade (common practice, no source). */
export function newEnd(kind: BarEndKind, steel: string): BarEnd {
  return { kind, ...endKindOf({ kind }).start(steel) } as BarEnd;
}
