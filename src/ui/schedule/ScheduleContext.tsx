"use client";
import { createContext, useContext } from "react";
import type { PlanRecord } from "@/core/plan/version";
import type { WorkDays } from "@/core/schedule/calendar";
import type { Placed, Schedule } from "@/core/schedule/schedule";
import { plannedWords } from "@/words/plan";
import type { KnifeChoice } from "./useSchedule";

/** What the parts of the page share. */
export interface ShownSchedule {
  readonly schedule: Extract<Schedule, { ok: true }>;
  /** By the number of their job. */
  readonly knives: readonly KnifeChoice[];
  /** What each job is called. */
  readonly names: readonly string[];
  readonly days: WorkDays;
  change(knifeId: string, by: (plan: PlanRecord) => PlanRecord | null): void;
}

export const ScheduleContext = createContext<ShownSchedule | null>(null);

export function useShown(): ShownSchedule {
  const shown = useContext(ScheduleContext);
  if (!shown) throw new Error("useShown outside a SchedulePage");
  return shown;
}

/** "Harden, Heath field knife" */
export const placedWords = (p: Placed): string => `${plannedWords(p)}, ${p.knife}`;
