import { lazily } from "../../base/record/remembered";
import type { Design } from "../../knife/design/schema";
import { Trials } from "./offers";
import { BLADE_RULES } from "./rules/bladeRules";
import { BOLT_RULES } from "./rules/boltRules";
import type { RuleNote } from "./rules/context";
import { type Rule, ruleContext } from "./rules/context";
import { GUARD_RULES } from "./rules/guardRules";
import { HANDLE_RULES } from "./rules/handleRules";
import { HEAT_RULES } from "./rules/heatRules";
import { MARK_RULES } from "./rules/markRules";
import { PEEN_RULES } from "./rules/peenRules";
import { PIN_RULES } from "./rules/pinRules";
import { RING_RULES } from "./rules/ringRules";
import { TANG_FIT_RULES } from "./rules/tangFitRules";
import { TANG_RULES } from "./rules/tangRules";
import { TARGET_RULES } from "./rules/targetRules";
import type { Finding, Found, TradeRule } from "./types";

/** Every rule of the trade, in the order of findings. */
export const RULES: readonly Rule[] = [
  ...TANG_RULES,
  ...TANG_FIT_RULES,
  ...PIN_RULES,
  ...PEEN_RULES,
  ...GUARD_RULES,
  ...BLADE_RULES,
  ...MARK_RULES,
  ...HEAT_RULES,
  ...BOLT_RULES,
  ...HANDLE_RULES,
  ...RING_RULES,
  ...TARGET_RULES,
];

/** A finding that its maker accepts, with the reason that is kept. */
export interface AcceptedFinding {
  readonly finding: Finding;
  readonly reason: string;
}

export interface Review {
  /** What stands: what must not be done first, then warnings, then notes. */
  readonly findings: readonly Finding[];
  readonly accepted: readonly AcceptedFinding[];
}

/** What comes first. */
const RANKS = ["error", "warning", "note"];

/** Every rule by its limit and its source, as data. */
export const ruleNotes = (): RuleNote[] => RULES.map(({ check: _, ...note }) => note);

/** A rule's limit in a design: its maker's, or the usual one. */
export function limitIn(design: Design, rule: TradeRule): number {
  return design.fitUp.limits[rule] ?? RULES.find((r) => r.code === rule)?.limit ?? 0;
}

/** What the rules find, worked out without trying any fix. */
function findingsOf(design: Design): readonly Finding[] {
  const context = ruleContext(design, (rule) => limitIn(design, rule), true);
  return RULES.flatMap((rule) => rule.check(context)).map(plain);
}

function plain({ candidates: _, ...finding }: Found): Finding {
  return finding;
}

/**
 * Holds a design that can be built against the rules of the trade. What its maker has accepted stands apart. A quick
 * review offers no fixes: each has to be tried, which costs a review of its own.
 */
export function reviewDesign(design: Design, quick = false): Review {
  const context = ruleContext(design, (rule) => limitIn(design, rule), quick);
  const all = RULES.flatMap((rule) => rule.check(context));
  const reasonFor = (f: Found) =>
    design.fitUp.accepted.find((a) => a.rule === f.rule && (a.subject ?? null) === f.subject)?.reason;
  const rank = (f: Finding) => RANKS.indexOf(f.severity);
  const trials = lazily(() => new Trials(design, all.map(plain), findingsOf));
  return {
    findings: all
      .filter((f) => reasonFor(f) === undefined)
      .map(
        (f): Finding =>
          quick || f.candidates.length === 0 ? plain(f) : { ...plain(f), fixes: trials().offers(f) },
      )
      .sort((a, b) => rank(a) - rank(b)),
    accepted: all.flatMap((f) => {
      const reason = reasonFor(f);
      return reason === undefined ? [] : [{ finding: plain(f), reason }];
    }),
  };
}
