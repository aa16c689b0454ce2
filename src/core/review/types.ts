export type FindingSeverity = "error" | "warning";

/** Codes of what can be wrong with a design; the words for each are the interface's. */
export type FindingRule =
  | "unknown-material"
  | "outline-crosses-itself"
  | "outline-ahead-of-front"
  | "outline-front-open"
  | "outline-no-area"
  | "hollow-wheel-too-small"
  | "hollow-cuts-through"
  | "edge-thicker-than-spine"
  | "ricasso-longer-than-blade"
  | "ricasso-higher-than-heel"
  | "tip-longer-than-blade"
  | "pin-off-handle"
  | "hole-off-tang"
  | "fasteners-overlap"
  | "bore-not-inside-tube"
  | "pattern-overfull"
  | "handle-thinner-than-tang"
  | "stock-thinner-than-handle"
  | "bevel-too-deep"
  | "duplicate-id"
  | "tang-and-handle-apart"
  | "guard-longer-than-handle"
  | "guard-lower-than-tang"
  | "pieces-longer-than-handle"
  | "tang-through-guard"
  | "tang-hole-breaks-out";

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
}
