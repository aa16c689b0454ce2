"use client";
import { useMemo } from "react";
import type { RuleNote } from "@/core/figures/review/rules/context";
import type { TradeRule } from "@/core/figures/review/types";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { useDesign } from "../session/BenchContext";

/** They are the same of every knife. */
const OF_ALL = "rules";
const NONE: readonly RuleNote[] = [];

/** The trade's rules by their usual limits and sources; none before they are fetched. */
export function useRules(): readonly RuleNote[] {
  return useWorkerQuery(OF_ALL, (s) => s.rules()).answer ?? NONE;
}

/** A rule's limit in the knife on the bench: its maker's, or the usual one; null before they are fetched. */
export function useLimits(): (rule: TradeRule) => number | null {
  const rules = useRules();
  const own = useDesign((d) => d.fitUp.limits);
  return useMemo(
    () => (code) => own[code] ?? rules.find((r) => r.code === code)?.limit ?? null,
    [own, rules],
  );
}
