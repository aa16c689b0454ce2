"use client";
import type { Finding, Mend } from "@/core/review/types";
import { isTradeRule } from "@/words/findings";
import { RULE_WORDS } from "@/words/rules";
import { useBench } from "./BenchContext";

/** Mends a finding in one step, which undo takes back. What it takes to mend is fetched with the first. */
export function useMend(): (f: Finding, mend: Mend) => Promise<void> {
  const { edit, session } = useBench();
  return async (f, mend) => {
    const { applyMend } = await import("@/core/review/mends");
    const name = isTradeRule(f.rule) ? RULE_WORDS[f.rule].name.toLowerCase() : "finding";
    edit(`Fix ${name}`, (d) => {
      Object.assign(d, applyMend(session.getState().design, mend));
    });
  };
}
