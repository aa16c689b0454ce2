"use client";
import { useMemo } from "react";
import type { Bill } from "@/core/figures/cost/bill";
import type { MassReport } from "@/core/figures/weigh/report";
import type { Weighing } from "@/core/figures/weigh/weigh";
import { type Design, onlyFixed } from "@/core/knife/design/schema";
import { type Compared, useComparison } from "@/store/comparison";
import { readableKnives } from "@/store/knives";
import type { Damaged } from "@/store/reading";
import type { VariantRecord } from "@/store/rows";
import { useKept } from "@/store/useKept";
import { allVariantsOf, readableVariants } from "@/store/variants";
import { createWeigher } from "@/workers/services";
import type { Column } from "../cost/column";
import { useWorkerQueries } from "../kit/useWorkerQuery";
import { useBench, useDesign, useWeighing } from "../session/BenchContext";
import { useBills } from "./useBills";

/** Everything that can be laid beside the knife on the bench. */
export interface Choice {
  readonly compared: Compared;
  readonly group: "variants" | "knives";
  readonly name: string;
  readonly design: Design;
}

export const keyOf = (b: Compared) => `${b.kind} ${b.id}`;

const NO_VARIANTS = { records: [] as readonly VariantRecord<Design>[], damaged: [] as readonly Damaged[] };

/** The variants of the knife on the bench, the oldest first, and those that cannot be read. */
export function useVariants(): typeof NO_VARIANTS {
  const { knifeId } = useBench();
  const all = useKept(() => allVariantsOf(knifeId), [knifeId]);
  return useMemo(() => (all ? { ...all, records: onlyFixed(all.records) } : NO_VARIANTS), [all]);
}

export function useChoices(): readonly Choice[] {
  const { knifeId } = useBench();
  const allKnives = useKept(readableKnives, []);
  const allVariants = useKept(readableVariants, []);
  return useMemo(() => {
    if (!allKnives || !allVariants) return [];
    const [knives, variants] = [onlyFixed(allKnives), onlyFixed(allVariants)];
    const own = variants
      .filter((v) => v.knifeId === knifeId)
      .sort((a, b) => a.createdAt - b.createdAt)
      .map((v): Choice => ({ compared: { kind: "variant", id: v.id }, group: "variants", ...v }));
    const others = knives
      .filter((k) => k.id !== knifeId)
      .flatMap((k): Choice[] => [
        { compared: { kind: "knife", id: k.id }, group: "knives", name: k.design.name, design: k.design },
        ...variants
          .filter((v) => v.knifeId === k.id)
          .map(
            (v): Choice => ({
              compared: { kind: "variant", id: v.id },
              group: "knives",
              name: `${k.design.name}: ${v.name}`,
              design: v.design,
            }),
          ),
      ]);
    return [...own, ...others];
  }, [allKnives, allVariants, knifeId]);
}

function reportOf(weighing: Weighing | "failed" | null | undefined): MassReport | null {
  return weighing && weighing !== "failed" && weighing.ok ? weighing.report : null;
}

function billIn(bill: Bill | null | "failed" | undefined): Bill | null {
  return bill && bill !== "failed" ? bill : null;
}

function cannotBe(weighing: Weighing | "failed" | undefined): boolean {
  return weighing !== undefined && weighing !== "failed" && !weighing.ok;
}

/** What lies side by side, the knife on the bench first; each with its weighing and its bill as they come. */
export function useColumns(choices: readonly Choice[]): readonly Column[] {
  const { knifeId } = useBench();
  const design = useDesign();
  const weighing = useWeighing();
  const comparison = useComparison(knifeId);
  const others = useMemo(
    () =>
      comparison.flatMap((b) => {
        const found = choices.find((c) => keyOf(c.compared) === keyOf(b));
        return found ? [{ ...found, key: keyOf(b) }] : [];
      }),
    [comparison, choices],
  );
  const otherDesigns = useMemo(() => others.map((o) => o.design), [others]);
  const weighings = useWorkerQueries(createWeigher, otherDesigns, (s, d) => s.weigh(d));
  const designs = useMemo(() => [design, ...otherDesigns], [design, otherDesigns]);
  const bills = useBills(designs);
  return useMemo(
    () => [
      {
        key: "now",
        name: "As it is now",
        compared: null,
        design,
        report: reportOf(weighing),
        broken: weighing !== null && !weighing.ok,
        bill: billIn(bills.get(design)),
      },
      ...others.map(({ key, name, compared, design: d }) => ({
        key,
        name,
        compared,
        design: d,
        report: reportOf(weighings.get(d)),
        broken: cannotBe(weighings.get(d)),
        bill: billIn(bills.get(d)),
      })),
    ],
    [design, weighing, others, weighings, bills],
  );
}
