"use client";
import type { Design } from "@/core/design/schema";
import type { Finding, Mend } from "@/core/review/types";
import { isTradeRule } from "@/words/findings";
import { RULE_WORDS } from "@/words/rules";
import { notices } from "../shell/notice";
import { useBench } from "./BenchContext";

/**
 * Mends a finding of a design in one step, which undo takes back; of another state than the present one it would mean
 * something else, and is not done. What it takes to mend is fetched with the first.
 */
export function useMend(): (of: Design, f: Finding, mend: Mend) => Promise<void> {
  const { edit, session } = useBench();
  return async (of, f, mend) => {
    const { applyMend } = await import("@/core/review/mends");
    if (session.getState().design !== of) {
      notices.info({
        title: "Not fixed",
        description: "The knife has changed since this was offered. Look at what is offered now.",
      });
      return;
    }
    const name = isTradeRule(f.rule) ? RULE_WORDS[f.rule].name.toLowerCase() : "finding";
    edit(`Fix ${name}`, (d) => {
      Object.assign(d, applyMend(of, mend));
    });
  };
}
