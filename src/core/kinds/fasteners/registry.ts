import type { Fields } from "../../base/record/fields";
import { registryOf } from "../../base/record/registry";
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

const MODULES = registryOf<AnyFastenerKind>(KINDS, "fastener");

export const FASTENER_KINDS = MODULES.kinds;

/** What is known of a kind of fastener. */
export const kindOf = MODULES.of;

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
