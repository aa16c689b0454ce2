import type { ItemName } from "../shapes/itemNames";

/** What cannot be built, what is against a rule of the trade, and what is only to be kept in mind. */
export type FindingSeverity = "error" | "warning" | "note";

/** Codes of what cannot be built, or not as it is said; the words for each are the interface's. */
export const FAULT_RULES = [
  "unknown-material",
  "duplicate-id",
  "supports-together",
  "reading-over-weight",
  "balance-beyond-blade",
  "measured-too-far-off",
  "measured-unlike-drawn",
  "scale-unlike-drawn",
  "balance-unlike-drawn",
  "hollow-wheel-too-small",
  "hollow-cuts-through",
  "edge-thicker-than-spine",
  "edge-thicker-than-tip",
  "tip-thicker-than-spine",
  "taper-beyond-blade",
  "grind-higher-than-blade",
  "ricasso-longer-than-blade",
  "ricasso-higher-than-heel",
  "tip-longer-than-blade",
  "blade-outline-crosses",
  "blade-behind-datum",
  "blade-beyond-tip",
  "taper-thicker-than-stock",
  "taper-point-off",
  "left-grind-unused",
  "plunge-off-blade",
  "fuller-off-blade",
  "fullers-meet",
  "fuller-cuts-through",
  "fuller-deeper-than-radius",
  "swedge-longer-than-blade",
  "swedge-leaves-spine",
  "notch-off-edge",
  "notch-cuts-through",
  "notch-not-open",
  "ramp-off-blade",
  "bolster-longer-than-blade",
  "bolster-inside-blade",
  "outline-crosses-itself",
  "outline-ahead-of-front",
  "outline-front-open",
  "outline-no-area",
  "points-together",
  "points-out-of-order",
  "pin-off-handle",
  "hole-off-tang",
  "slot-off-tang",
  "fasteners-overlap",
  "bore-not-inside-tube",
  "pattern-overfull",
  "fastener-sizes",
  "screw-longer-than-room",
  "pin-cuts-tang",
  "pin-notches-tang",
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
  "tang-not-short",
  "tang-thicker-than-frame",
  "tang-hole-breaks-out",
  "tang-does-not-fit-hole",
  "thread-too-short",
  "screw-misses-tang",
  "screw-wider-than-tang",
  "end-sizes",
  "lap-too-short",
  "guard-longer-than-handle",
  "guard-lower-than-tang",
  "tang-through-guard",
  "boss-beyond-guard",
  "arms-wider-than-guard",
  "dome-deeper-than-guard",
  "notch-into-tang",
  "dowel-off-guard",
  "dowel-in-tang",
  "fitting-no-room",
  "fitting-too-short",
  "bare-needs-full-tang",
  "scales-without-room",
  "pin-across-scale-end",
  "wrap-over-bare-end",
  "loss-over-depth",
  "texture-too-deep",
  "cheeks-thinner-middle",
  "wrap-off-handle",
  "wrap-too-close",
  "wrap-no-pommel",
  "lengthwise-turns-back",
  "lengthwise-off-handle",
  "half-off-handle",
  "half-no-area",
  "groove-off-handle",
  "groove-into-tang",
  "wrap-over-collar",
  "pieces-longer-than-handle",
  "pieces-short-of-butt",
  "ring-apart",
  "shape-missing",
  "shape-crosses-itself",
  "shape-too-folded",
  "shapes-too-fine",
  "design-too-detailed",
] as const;
/** Whether something keeps a design from being built. */
export const isError = ({ severity }: { readonly severity: FindingSeverity }) => severity === "error";

export type FaultRule = (typeof FAULT_RULES)[number];

/** One thing found in a design: what was measured against what limit, and where on the drawing. */
export interface FindingOf<Rule> {
  readonly rule: Rule;
  readonly severity: FindingSeverity;
  /** Place in the x–y plane, mm; null where the whole design is meant. */
  readonly at: { readonly x: number; readonly y: number } | null;
  /** Id of the node, pin or material concerned, or null. */
  readonly subject: string | null;
  readonly measured: number | null;
  readonly limit: number | null;
  /** The fasteners, holes or slots that are meant; of two that meet, both. */
  readonly items?: readonly ItemName[];
}

/** What makes a design impossible to build ("error"), or not what it says ("warning"). */
export type Fault = FindingOf<FaultRule>;

/** Takes down a fault. */
export type Report = (
  severity: FindingSeverity,
  rule: FaultRule,
  more?: {
    at?: { readonly x: number; readonly y: number };
    subject?: string;
    measured?: number;
    limit?: number;
    items?: readonly ItemName[];
  },
) => void;
