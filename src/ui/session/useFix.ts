"use client";
import type { Finding, Fix } from "@/core/figures/review/types";
import type { ProductDesign } from "@/core/knife/design/product";
import { notices } from "../kit/notice";
import { useBenchOf, useViews } from "./BenchContext";

/**
 * Fixes a finding of a design in one step, which undo takes back; of another state than the present one it would mean
 * something else, and is not done.
 */
export function useFix(): (of: ProductDesign, f: Finding, fix: Fix) => void {
  const { edit, session } = useBenchOf<ProductDesign>();
  const { fixes } = useViews();
  return (of, f, fix) => {
    if (!fixes) return;
    if (session.getState().design !== of) {
      notices.info({
        title: "Not fixed",
        description: "The knife has changed since this was offered. Look at what is offered now.",
      });
      return;
    }
    edit(fixes.edit(f.rule, fix));
  };
}
