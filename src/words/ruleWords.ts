import type { UnitSystem } from "@/core/base/units/print";
import type { Finding } from "@/core/figures/review/types";
import type { MaterialOf } from "@/core/materials/types";

/** Prints a length, or a weight, in the maker's units; nothing measured is a dash. */
type Say = (value: number | null) => string;

/** What a rule says, why, and what to do. */
export interface RuleWords {
  /** Its name in a list of limits. */
  readonly name: string;
  readonly says: (f: Finding, mm: Say, grams: Say, materialOf: MaterialOf, system: UnitSystem) => string;
  readonly why: string;
  /** What to do about it. */
  readonly fix: string;
}

/** What a material is called. */
export const named = (id: string | null, materialOf: MaterialOf) => (id && materialOf(id)?.name) ?? id ?? "";
export const ratio = (x: number | null) => (x === null ? "–" : x.toFixed(2));
export const percent = (x: number | null) => (x === null ? "–" : `${Math.round(x * 100)} %`);
