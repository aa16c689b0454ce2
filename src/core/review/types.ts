import type { Fastener, Piece } from "../design/schema";
import type { CutKey } from "../fit/cutKey";
import type { FaultRule, FindingOf } from "../validity/types";

/** Codes of the trade's rules: what can be built but should be thought of again. Limits can be changed. */
export const TRADE_RULES = [
  "wall-in-wood",
  "wall-in-laminate",
  "wall-in-metal",
  "edge-in-wood",
  "edge-in-laminate",
  "edge-in-metal",
  "web-between-holes",
  "web-to-tang-edge",
  "far-from-front",
  "far-from-butt",
  "guard-cannot-pass",
  "shoulder-covers-slot",
  "slot-gap",
  "guard-before-holes",
  "tang-before-hardening",
  "peened-on-soft",
  "bolt-under-head",
  "bolt-over-seat",
  "bolt-engagement",
  "insert-length",
  "thread-engagement",
  "tang-short-in-handle",
  "shoulder-sharp",
  "tang-stress",
  "stock-too-small",
  "hole-rim",
  "hole-in-front-fifth",
  "handle-short-for-hand",
  "nothing-before-finger",
  "round-handle",
  "bevel-lost",
  "glue-sets-too-soon",
  "wood-moves",
  "washers-unpressed",
  "metals-differ",
  "outside-target",
] as const;
export type TradeRule = (typeof TRADE_RULES)[number];
export type FindingRule = FaultRule | TradeRule;

/** A fault, or what a rule of the trade found. */
export interface Finding extends FindingOf<FindingRule> {
  /** The piece to be sawn that is meant. */
  readonly piece?: CutKey;
  /** What would mend it, where that can be worked out. */
  readonly mend?: Mend | null;
}

/** A change that mends a finding, as data: applied by `applyMend`, undone like any edit. */
export type Mend =
  | { readonly kind: "set"; readonly changes: readonly { readonly path: string; readonly value: number }[] }
  | { readonly kind: "replace-fastener"; readonly fastener: Fastener }
  | { readonly kind: "add-fastener"; readonly fastener: Fastener }
  | {
      readonly kind: "add-piece";
      readonly at: number;
      readonly piece: Piece;
      /** The piece that makes room for it, and its new length. */
      readonly trim: { readonly index: number; readonly lengthMm: number };
    }
  | { readonly kind: "handle-length"; readonly mm: number }
  /** One lever of the balance bench, by so much. */
  | { readonly kind: "pull"; readonly lever: string; readonly amount: number };
