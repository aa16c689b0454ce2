import type { Design } from "../../knife/design/schema";
import type { Target } from "../tune/goals";
import type { Lever } from "../tune/lever";
import { type Answer, type Limits, tune } from "../tune/solve";
import { reviewDesign } from "./reviewDesign";
import type { Finding } from "./types";

export type ReviewedAnswer = Answer<Finding>;

/** The solver's answers, each held against the rules of the trade: what it brings that the knife had not. */
export function tuneReviewed(
  design: Design,
  target: Target,
  allowed: (lever: Lever) => boolean = () => true,
  limits: Limits = {},
): ReviewedAnswer[] {
  return tune(design, target, findingsBeside(design), allowed, limits);
}

/** What a change brings that the knife did not have: findings of the rules, without fixes. */
function findingsBeside(before: Design): (after: Design) => Finding[] {
  const key = (f: Finding) => `${f.rule} ${f.subject}`;
  let had: Set<string> | null = null;
  return (after) => {
    had ??= new Set(reviewDesign(before, true).findings.map(key));
    const known = had;
    return reviewDesign(after, true).findings.filter((f) => f.severity !== "note" && !known.has(key(f)));
  };
}
