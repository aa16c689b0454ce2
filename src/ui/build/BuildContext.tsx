"use client";
import { createContext, useContext } from "react";
import type { BuildSheet } from "@/core/plan/buildSheet";
import type { PlanRecord } from "@/core/plan/version";

/** What the parts of the view share: the plan as it is kept, what was worked out of it, and the way to change it. */
export interface Build {
  readonly knifeId: string;
  readonly plan: PlanRecord;
  readonly sheet: BuildSheet;
  readonly lessons: ReadonlyMap<string, readonly string[]>;
  change(by: (plan: PlanRecord) => PlanRecord | null): void;
}

export const BuildContext = createContext<Build | null>(null);

export function useBuild(): Build {
  const build = useContext(BuildContext);
  if (!build) throw new Error("useBuild outside a BuildView");
  return build;
}
