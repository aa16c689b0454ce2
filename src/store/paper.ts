"use client";
import { useMemo } from "react";
import type { PaperChoice } from "@/core/exchange/paper/paper";
import { useSettings } from "./settings";
import { usePresentWorkshop } from "./workshops";

/** The paper that sheets are printed on, and what the present workshop's printer makes of 100 mm. */
export function usePaper(): PaperChoice {
  const { paper } = useSettings();
  const printer = usePresentWorkshop()?.printer;
  return useMemo(() => (printer ? { ...paper, printer } : paper), [paper, printer]);
}
