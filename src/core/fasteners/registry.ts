import type { Fields } from "../record/fields";
import { bindingScrew } from "./bindingScrew";
import { blindPin } from "./blindPin";
import { capScrew } from "./capScrew";
import type { FastenerKindOf, FastenerRecord } from "./kind";
import { lanyardTube } from "./lanyardTube";
import { nuttedRod } from "./nuttedRod";
import { patternedPin } from "./patternedPin";
import { pin } from "./pin";
import { rivet } from "./rivet";
import { sleeveBolt } from "./sleeveBolt";

/** Every kind of fastener, in the order that they are offered. */
const KINDS = [
  pin,
  patternedPin,
  lanyardTube,
  blindPin,
  rivet,
  sleeveBolt,
  capScrew,
  nuttedRod,
  bindingScrew,
] as const;

type Flat<T> = { [K in keyof T]: T[K] };
type RecordOfKind<M> = M extends FastenerKindOf<infer K, infer F> ? Flat<FastenerRecord<K, F>> : never;

/** One fastener of a knife: its kind, id, place and sizes, mm. */
export type Fastener = RecordOfKind<(typeof KINDS)[number]>;
export type FastenerKind = Fastener["kind"];
export type AnyFastenerKind = FastenerKindOf<FastenerKind, Fields, Fastener>;

const BY_KIND = new Map<string, AnyFastenerKind>(KINDS.map((k) => [k.kind, k as unknown as AnyFastenerKind]));

export const FASTENER_KINDS: readonly FastenerKind[] = KINDS.map((k) => k.kind);

/** What is known of a kind of fastener. */
export function kindOf(f: { readonly kind: FastenerKind }): AnyFastenerKind {
  const known = BY_KIND.get(f.kind);
  if (!known) throw new Error(`no fastener is called "${f.kind}"`);
  return known;
}

/** A fastener of a kind to begin from, common sizes of the trade (common practice, no source). */
export function newFastener(
  kind: FastenerKind,
  id: string,
  { xMm, yMm }: { readonly xMm: number; readonly yMm: number },
  tangMm: number,
): Fastener {
  return { kind, id, xMm, yMm, ...kindOf({ kind }).start(tangMm) } as Fastener;
}

/** Whether a kind is bought finished, and not cut off a rod. */
export function isBought(kind: FastenerKind): boolean {
  const any = newFastener(kind, "any", { xMm: 0, yMm: 0 }, 4);
  return kindOf(any).stock(any).kind === "hardware";
}
