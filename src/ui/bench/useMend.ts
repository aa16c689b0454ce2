"use client";
import { applyMend } from "@/core/review/mends";
import type { Finding } from "@/core/review/types";
import { isTradeRule } from "@/words/findings";
import { RULE_WORDS } from "@/words/rules";
import { useBench } from "./BenchContext";

/** Mends a finding in one step, which undo takes back. */
export function useMend(): (f: Finding) => void {
  const { edit, session } = useBench();
  return (f) => {
    const { mend } = f;
    if (!mend) return;
    const name = isTradeRule(f.rule) ? RULE_WORDS[f.rule].name.toLowerCase() : "finding";
    edit(`Mend ${name}`, (d) => {
      Object.assign(d, applyMend(session.getState().design, mend));
    });
  };
}
