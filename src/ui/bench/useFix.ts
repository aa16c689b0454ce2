"use client";
import type { ProductDesign } from "@/core/design/product";
import type { Finding, Fix } from "@/core/review/types";
import { isTradeRule } from "@/words/findings";
import { RULE_WORDS } from "@/words/rules";
import { notices } from "../shell/notice";
import { useBenchOf, useViews } from "./BenchContext";

/**
 * Fixes a finding of a design in one step, which undo takes back; of another state than the present one it would mean
 * something else, and is not done.
 */
export function useFix(): (of: ProductDesign, f: Finding, fix: Fix) => Promise<void> {
  const { edit, session } = useBenchOf<ProductDesign>();
  const { fixes } = useViews();
  return async (of, f, fix) => {
    const fixed = await fixes?.apply(of, fix);
    if (!fixed) return;
    if (session.getState().design !== of) {
      notices.info({
        title: "Not fixed",
        description: "The knife has changed since this was offered. Look at what is offered now.",
      });
      return;
    }
    const name = isTradeRule(f.rule) ? RULE_WORDS[f.rule].name.toLowerCase() : "finding";
    edit(`Fix ${name}`, (d) => {
      Object.assign(d, fixed);
    });
  };
}
