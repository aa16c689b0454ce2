import { lazily } from "../../../base/record/remembered";
import type { Point } from "../../../geometry/curve/bezier";
import type { Design } from "../../../knife/design/schema";
import { type Bore, boresOf, edgeOf } from "../../../knife/layout/bores";
import { layoutOf } from "../../../knife/layout/layout";
import type { CutKey } from "../../../knife/parts/cutKey";
import type { FindingSeverity } from "../../../knife/parts/faults";
import type { PartKey } from "../../../knife/parts/partKey";
import { type ItemName, itemNames } from "../../../knife/shapes/itemNames";
import type { Layout } from "../../../knife/shapes/types";
import { type PinPlace, pinLayout } from "../../fit/pinLayout";
import { type PinPath, pinPaths } from "../../fit/pinPath";
import { type Seat, seats } from "../../fit/seats";
import { tangWalls, type Wall } from "../../fit/walls";
import type { Fix, Found, TradeRule } from "../types";

/** What the rules share of one design: worked out once, when first asked for. */
export interface RuleContext {
  readonly design: Design;
  readonly layout: Layout;
  readonly edge: readonly Point[];
  readonly bores: readonly Bore[];
  readonly pins: () => readonly PinPlace[];
  /** What a fastener goes through; nothing of one that is not there. */
  readonly pathOf: (id: string) => PinPath;
  /** Names of fasteners, holes and slots, by their ids. */
  readonly namesOf: (...ids: readonly string[]) => readonly ItemName[];
  readonly seats: () => readonly Seat[];
  readonly walls: () => readonly Wall[];
  /** A rule's limit: the maker's, or the usual one. */
  readonly limit: (rule: TradeRule) => number;
  /** Whether fixes that cost many weighings are left out. */
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
    pathOf: (id) => pinPaths(design).get(id) ?? NO_PATH,
    namesOf: (...ids) => ids.flatMap((id) => itemNames(design).get(id) ?? []),
    seats: lazily(() => seats(design)),
    walls: lazily(() => tangWalls(design)),
    limit: limitOf,
    quick,
  };
}

/** Takes down what a rule found, and what might fix it. */
export function found(
  rule: TradeRule,
  severity: FindingSeverity,
  more: {
    at?: { readonly x: number; readonly y: number } | null;
    subject?: string;
    measured?: number;
    limit?: number;
    piece?: CutKey;
    size?: Found["size"];
    items?: readonly ItemName[];
    part?: PartKey;
    crosses?: Found["crosses"];
    goal?: Found["goal"];
    fix?: Fix | null;
    fixes?: readonly (Fix | null)[];
  } = {},
): Found {
  const { at, subject, measured, limit, fix, fixes, ...named } = more;
  return {
    rule,
    severity,
    at: at ?? null,
    subject: subject ?? null,
    measured: measured ?? null,
    limit: limit ?? null,
    ...named,
    candidates: [...(fixes ?? []), fix].flatMap((m) => m ?? []),
  };
}

/** One rule of the trade. */
/** What is known of a rule besides how it is checked. */
export interface RuleNote {
  readonly code: TradeRule;
  /** The usual limit, and what it counts. */
  readonly limit: number;
  readonly unit: "mm" | "diameters" | "share" | "ratio" | "volts" | "g/cm³" | "none";
  readonly source: string;
}

export interface Rule extends RuleNote {
  readonly check: (c: RuleContext) => Found[];
}

export const PRACTICE = "common practice, no source";

const NO_PATH: PinPath = { parts: [], ends: { right: null, left: null } };
