"use client";
import { useMemo } from "react";
import type { Bill } from "@/core/figures/cost/bill";
import { today } from "@/core/knife/design/job";
import { onlyFixed } from "@/core/knife/design/schema";
import type { Option, SheetSource } from "@/sheets/pageBuilder";
import { usePaper } from "@/store/paper";
import { usePlan } from "@/store/plans";
import { useRecipes } from "@/store/recipes";
import { useSettings } from "@/store/settings";
import { useShop } from "@/store/shop";
import { useKept } from "@/store/useKept";
import { variantsOf } from "@/store/variants";
import { dayWords } from "@/words/job";
import { createWeigher } from "@/workers/services";
import { useBills } from "../compare/useBills";
import { useWorkerQueries } from "../kit/useWorkerQuery";
import { useBench, useReport, useSettledDesign } from "../session/BenchContext";

const NONE: readonly never[] = [];

/** What sheets are made of, as the knife, its variants, the prices and the settings are; null where it cannot be built. */
export function useSheetSource(): SheetSource | null {
  const { knifeId } = useBench();
  const design = useSettledDesign();
  const report = useReport();
  const { units, sheath } = useSettings();
  const paper = usePaper();
  const { currency } = useShop();
  const plan = usePlan(knifeId);
  const recipes = useRecipes() ?? NONE;
  const kept = useKept(() => variantsOf(knifeId), [knifeId]) ?? NONE;
  const variants = useMemo(() => onlyFixed(kept), [kept]);
  const others = useMemo(() => variants.map((v) => v.design), [variants]);
  const designs = useMemo(() => [design, ...others], [design, others]);
  const weighings = useWorkerQueries(createWeigher, others, (s, d) => s.weigh(d));
  const bills = useBills(designs);
  return useMemo(() => {
    if (!report || !plan) return null;
    const billOf = (d: (typeof designs)[number]): Bill | null => {
      const bill = bills.get(d);
      return bill && bill !== "failed" ? bill : null;
    };
    const options = variants.flatMap((v): Option[] => {
      const weighing = weighings.get(v.design);
      if (!weighing || weighing === "failed" || !weighing.ok) return [];
      const { massG, balanceMm } = weighing.report;
      const bill = billOf(v.design);
      return [
        {
          name: v.name,
          design: v.design,
          massG,
          balanceMm,
          price: bill && bill.unpriced.length === 0 ? bill.total : null,
        },
      ];
    });
    return {
      design,
      report,
      units,
      paper,
      bill: billOf(design),
      currency,
      options,
      plan,
      recipes,
      sheath,
      day: dayWords(today()),
    };
  }, [design, report, units, paper, currency, variants, bills, weighings, plan, recipes, sheath]);
}
