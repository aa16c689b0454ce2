import type { BlockHole, Fastener, Piece } from "../../knife/design/schema";
import type { CutKey } from "../../knife/parts/cutKey";
import type { FaultRule, FindingOf } from "../../knife/parts/faults";
import type { PartKey } from "../../knife/parts/partKey";
import type { GoalRef } from "../tune/goals";
import type { MarkNeighbour } from "../views/markRoom";

/** How a tang, its hole and what is on it go together. */
const TANG_FIT_RULES = [
  "burned-in-fumes",
  "burned-in-soft",
  "burned-in-damp",
  "mouth-uncovered",
  "blade-thinner-than-tang",
  "thread-wider-than-bar",
  "metal-unpinned",
] as const;
export type TangFitRule = (typeof TANG_FIT_RULES)[number];

/** How a handle suits the hand that it is for. */
const HAND_RULES = [
  "handle-short-for-hand",
  "ring-narrow",
  "ring-spacing",
  "nothing-before-finger",
  "round-handle",
] as const;
export type HandRule = (typeof HAND_RULES)[number];

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
  "insert-too-long",
  "bolt-head-proud",
  "thread-engagement",
  "held-for-good",
  ...TANG_FIT_RULES,
  "tang-short-in-handle",
  "shoulder-sharp",
  "tang-stress",
  "stock-too-small",
  "too-thin-to-cut",
  "shape-cut-short",
  "hole-rim",
  "hole-in-front-fifth",
  "fuller-web",
  "fuller-floor",
  "step-at-joint",
  "mark-clear",
  ...HAND_RULES,
  "bevel-lost",
  "glue-sets-too-soon",
  "steel-needs-more-heat",
  "longer-than-its-heat",
  "wood-moves",
  "washers-unpressed",
  "washers-overpressed",
  "metals-differ",
  "outside-target",
] as const;
export type TradeRule = (typeof TRADE_RULES)[number];
export type FindingRule = FaultRule | TradeRule;

/** What a finding says besides its figures. */
interface Named {
  /** The piece to be sawn that is meant. */
  readonly piece?: CutKey;
  /** Which of its sizes is short. */
  readonly size?: "lengthMm" | "heightMm" | "thicknessMm";
  /** The part that a fastener goes through. */
  readonly part?: PartKey;
  /** What a mark on the blade stands too near to. */
  readonly crosses?: MarkNeighbour;
  /** The figure that lies outside its window, and the name of the grip that it is of; null of the whole knife. */
  readonly goal?: { readonly figure: GoalRef["figure"]; readonly grip: string | null };
}

/** A fault, or what a rule of the trade found. */
export interface Finding extends FindingOf<FindingRule>, Named {
  /** What would fix it: each was tried, and leaves the review better. None where nothing good is known. */
  readonly fixes?: readonly Offer[];
}

/** What a rule found, with all that might fix it. */
export interface Found extends FindingOf<TradeRule>, Named {
  readonly candidates: readonly Fix[];
}

/** One value that a fix changes: where, from what to what. */
export interface Change {
  readonly path: string;
  readonly from: number;
  readonly to: number;
}

/** A fix that was tried: what it sets, and what it does to weight (g) and balance (mm); null of what had none before. */
export interface Offer {
  readonly fix: Fix;
  readonly changes: readonly Change[];
  readonly massG: number | null;
  readonly balanceMm: number | null;
}

/** A change that fixes a finding, as data: applied by `applyFix`, undone like any edit. */
export type Fix =
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
  /** Another hole in the block of a hidden tang. */
  | { readonly kind: "block-hole"; readonly hole: BlockHole }
  /** An item of a list taken out of it, or so many. */
  | { readonly kind: "take-out"; readonly list: string; readonly at: number; readonly count?: number }
  /** What may be there or not, taken away. */
  | { readonly kind: "clear"; readonly path: string; readonly also?: readonly string[] }
  /** Items and points that share a mark, each but the first with one of its own. */
  | { readonly kind: "own-ids"; readonly id: string }
  /** A material that is not known, everywhere in the knife. */
  | { readonly kind: "material"; readonly from: string; readonly to: string }
  /** Another kind of tang. */
  | { readonly kind: "tang"; readonly to: "full" | "hidden" }
  /** What comes apart is left without glue, and without pins through its tang. */
  | { readonly kind: "unglue" }
  /** One lever of the balance bench, by so much. */
  | { readonly kind: "pull"; readonly lever: string; readonly amount: number };
