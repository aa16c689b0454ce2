"use client";
import type { Design } from "@/core/design/schema";
import type { Finding, Fix } from "@/core/review/types";
import { isTradeRule } from "@/words/findings";
import { RULE_WORDS } from "@/words/rules";
import { notices } from "../shell/notice";
import { useBench } from "./BenchContext";

/**
 * Fixes a finding of a design in one step, which undo takes back; of another state than the present one it would mean
 * something else, and is not done. What it takes to fix is fetched with the first.
 */
export function useFix(): (of: Design, f: Finding, fix: Fix) => Promise<void> {
  const { edit, session } = useBench();
  return async (of, f, fix) => {
    const { applyFix } = await import("@/core/review/fixes");
    if (session.getState().design !== of) {
      notices.info({
        title: "Not fixed",
        description: "The knife has changed since this was offered. Look at what is offered now.",
      });
      return;
    }
    const name = isTradeRule(f.rule) ? RULE_WORDS[f.rule].name.toLowerCase() : "finding";
    edit(`Fix ${name}`, (d) => {
      Object.assign(d, applyFix(of, fix));
    });
  };
}
