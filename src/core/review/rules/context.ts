import type { Point } from "../../curve/bezier";
import type { Design } from "../../design/schema";
import type { CutKey } from "../../fit/cutKey";
import { type PinPlace, pinLayout } from "../../fit/pinLayout";
import { type Seat, seats } from "../../fit/seats";
import { tangWalls, type Wall } from "../../fit/walls";
import { type Bore, boresOf, edgeOf } from "../../layout/bores";
import { type Layout, layoutOf } from "../../layout/layout";
import { lazily } from "../../layout/remembered";
import type { FindingSeverity } from "../../validity/types";
import type { Finding, Mend, TradeRule } from "../types";

/** What the rules share of one design: worked out once, when first asked for. */
export interface RuleContext {
  readonly design: Design;
  readonly layout: Layout;
  readonly edge: readonly Point[];
  readonly bores: readonly Bore[];
  readonly pins: () => readonly PinPlace[];
  readonly seats: () => readonly Seat[];
  readonly walls: () => readonly Wall[];
  /** A rule's limit: the maker's, or the usual one. */
  readonly limit: (rule: TradeRule) => number;
  /** Whether mends that cost many weighings are left out. */
  readonly quick: boolean;
}

export function ruleContext(
  design: Design,
  limitOf: (rule: TradeRule) => number,
  quick = false,
): RuleContext {
  return {
    design,
    layout: layoutOf(design),
    edge: edgeOf(design),
    bores: boresOf(design),
    pins: lazily(() => pinLayout(design)),
    seats: lazily(() => seats(design)),
    walls: lazily(() => tangWalls(design)),
    limit: limitOf,
    quick,
  };
}

/** Takes down a finding of a rule. */
export function found(
  rule: TradeRule,
  severity: FindingSeverity,
  more: {
    at?: { readonly x: number; readonly y: number } | null;
    subject?: string;
    measured?: number;
    limit?: number;
    piece?: CutKey;
    mend?: Mend | null;
  } = {},
): Finding {
  return {
    rule,
    severity,
    at: more.at ?? null,
    subject: more.subject ?? null,
    measured: more.measured ?? null,
    limit: more.limit ?? null,
    ...(more.piece ? { piece: more.piece } : {}),
    mend: more.mend ?? null,
  };
}

/** One rule of the trade. */
export interface Rule {
  readonly code: TradeRule;
  /** The usual limit, and what it counts. */
  readonly limit: number;
  readonly unit: "mm" | "diameters" | "share" | "ratio" | "volts" | "none";
  readonly source: string;
  readonly check: (c: RuleContext) => Finding[];
}

export const PRACTICE = "common practice, no source";

/** The material that a fastener's ends come out of, the softer of both sides. */
export function scaleMaterials(design: Design): string[] {
  const { handle } = design;
  return handle.kind === "scales"
    ? [handle.right.material, handle.left.material]
    : handle.pieces.filter((p) => !p.shape).map((p) => p.material);
}
