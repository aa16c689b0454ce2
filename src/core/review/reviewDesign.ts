import type { Design } from "../design/schema";
import { BOLT_RULES } from "./rules/boltRules";
import { type Rule, ruleContext } from "./rules/context";
import { GUARD_RULES } from "./rules/guardRules";
import { HANDLE_RULES } from "./rules/handleRules";
import { PEEN_RULES } from "./rules/peenRules";
import { PIN_RULES } from "./rules/pinRules";
import { TANG_RULES } from "./rules/tangRules";
import { TARGET_RULES } from "./rules/targetRules";
import type { Finding, TradeRule } from "./types";

/** Every rule of the trade, in the order that findings are told. */
export const RULES: readonly Rule[] = [
  ...TANG_RULES,
  ...PIN_RULES,
  ...PEEN_RULES,
  ...GUARD_RULES,
  ...BOLT_RULES,
  ...HANDLE_RULES,
  ...TARGET_RULES,
];

/** A finding that its maker accepts, with the reason that is kept. */
export interface AcceptedFinding {
  readonly finding: Finding;
  readonly reason: string;
}

export interface Review {
  /** What stands: warnings first, then notes. */
  readonly findings: readonly Finding[];
  readonly accepted: readonly AcceptedFinding[];
}

/** A rule's limit in a design: its maker's, or the usual one. */
export function limitIn(design: Design, rule: TradeRule): number {
  return design.fitUp.limits[rule] ?? RULES.find((r) => r.code === rule)?.limit ?? 0;
}

/**
 * Holds a design that can be built against the rules of the trade. What its maker has accepted stands apart. A quick
 * review leaves out mends that cost many weighings.
 */
export function reviewDesign(design: Design, quick = false): Review {
  const context = ruleContext(design, (rule) => limitIn(design, rule), quick);
  const all = RULES.flatMap((rule) => rule.check(context));
  const reasonFor = (f: Finding) =>
    design.fitUp.accepted.find((a) => a.rule === f.rule && (a.subject ?? null) === f.subject)?.reason;
  const rank = (f: Finding) => (f.severity === "note" ? 1 : 0);
  return {
    findings: all.filter((f) => reasonFor(f) === undefined).sort((a, b) => rank(a) - rank(b)),
    accepted: all.flatMap((finding) => {
      const reason = reasonFor(finding);
      return reason === undefined ? [] : [{ finding, reason }];
    }),
  };
}
