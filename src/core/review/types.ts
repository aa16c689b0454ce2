import type { Fastener, Piece } from "../design/schema";

/** What cannot be built, what is against a rule of the trade, and what is only to be kept in mind. */
export type FindingSeverity = "error" | "warning" | "note";

/** Codes of what can be wrong with a design; the words for each are the interface's. */
export const FINDING_RULES = [
  "unknown-material",
  "duplicate-id",
  "supports-together",
  "reading-over-weight",
  "hollow-wheel-too-small",
  "hollow-cuts-through",
  "edge-thicker-than-spine",
  "ricasso-longer-than-blade",
  "ricasso-higher-than-heel",
  "tip-longer-than-blade",
  "outline-crosses-itself",
  "outline-ahead-of-front",
  "outline-front-open",
  "outline-no-area",
  "pin-off-handle",
  "hole-off-tang",
  "slot-off-tang",
  "fasteners-overlap",
  "bore-not-inside-tube",
  "pattern-overfull",
  "fastener-sizes",
  "seat-inside-tang",
  "seat-outside-handle",
  "handle-thinner-than-tang",
  "stock-thinner-than-handle",
  "waist-wheel-too-small",
  "bevel-too-deep",
  "bolsters-meet",
  "joint-off-handle",
  "joints-cross",
  "recess-no-room",
  "recess-cuts-through",
  "tang-and-handle-apart",
  "tang-thicker-than-frame",
  "tang-hole-breaks-out",
  "tang-does-not-fit-hole",
  "thread-too-short",
  "screw-misses-tang",
  "screw-wider-than-tang",
  "end-sizes",
  "guard-longer-than-handle",
  "guard-lower-than-tang",
  "tang-through-guard",
  "dome-deeper-than-guard",
  "notch-into-tang",
  "dowel-off-guard",
  "dowel-in-tang",
  "pieces-longer-than-handle",
  "pieces-short-of-butt",
  "ring-apart",
  "shape-missing",
  "shape-crosses-itself",
  "shape-too-folded",
  "shapes-too-fine",
  "design-too-detailed",
] as const;

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
export type FindingRule = (typeof FINDING_RULES)[number] | TradeRule;

/** One thing found in a design: what was measured against what limit, and where on the drawing. */
export interface Finding {
  readonly rule: FindingRule;
  readonly severity: FindingSeverity;
  /** Place in the x–y plane, mm; null where the whole design is meant. */
  readonly at: { readonly x: number; readonly y: number } | null;
  /** Id of the node, pin or material concerned, or null. */
  readonly subject: string | null;
  readonly measured: number | null;
  readonly limit: number | null;
  /** What would mend it, where that can be worked out. */
  readonly mend?: Mend | null;
}

/** Takes down a finding. */
export type Report = (
  severity: FindingSeverity,
  rule: FindingRule,
  more?: {
    at?: { readonly x: number; readonly y: number };
    subject?: string;
    measured?: number;
    limit?: number;
  },
) => void;

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
