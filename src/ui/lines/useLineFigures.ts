"use client";
import { useMemo } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Grade, Line } from "@/core/line/version";
import { usualMinutes } from "@/core/plan/usualMinutes";
import type { PlanRecord } from "@/core/plan/version";
import type { GradeFigures, LineFigures } from "@/core/products/lineFigures";
import type { Lot } from "@/core/shelf/version";
import { readableKnives } from "@/store/knives";
import { useLots } from "@/store/lots";
import { usePlans } from "@/store/plans";
import { useShop } from "@/store/shop";
import { useKept } from "@/store/useKept";
import { usePresentWorkshop } from "@/store/workshops";
import { useWorkerQuery } from "../kit/useWorkerQuery";

/** A grade with its knife as it is kept; null of one that is gone, or cannot be read. */
export interface ShownGrade {
  readonly grade: Grade;
  readonly design: ProductDesign | null;
  readonly plan: PlanRecord | null;
  /** Null while it is worked out, and of one that cannot be built. */
  readonly figures: GradeFigures | null;
  readonly broken: boolean;
}

/** A line with its knives, and what is worked out of them. */
export function useLineFigures(line: Line) {
  const knives = useKept(readableKnives, []);
  const plans = usePlans();
  const lots = useLots();
  const shop = useShop();
  const clampSets = usePresentWorkshop()?.clampSets ?? 1;
  // A price that is put in changes nothing of what is worked out.
  const ids = line.grades.map((g) => g.knife).join(" ");
  const made = useMemo(
    () =>
      knives && plans
        ? ids.split(" ").map((id) => ({
            id,
            design: knives.find((k) => k.id === id)?.design ?? null,
            plan: plans.get(id) ?? null,
          }))
        : null,
    [ids, knives, plans],
  );
  const about = useMemo(() => {
    if (!made || !plans || !lots) return null;
    const there = made.flatMap(({ id, design, plan }) => (design ? [{ id, design, plan }] : []));
    return there.length === 0 ? null : { there, lots, usual: usualMinutes(plans.values()), shop, clampSets };
  }, [made, plans, lots, shop, clampSets]);
  const { answer, of, isLoading, failed } = useWorkerQuery(about, (s, a) =>
    s.line(
      a.there.map(({ design, plan }) => ({ design, plan })),
      a.lots,
      a.usual,
      a.shop,
      a.clampSets,
    ),
  );
  const found: { figures: LineFigures; ids: readonly string[]; lots: readonly Lot[] } | null =
    about && of && answer ? { figures: answer, ids: of.there.map((g) => g.id), lots: of.lots } : null;
  const grades: readonly ShownGrade[] | null =
    made &&
    line.grades.map((grade) => {
      const mine = made.find((m) => m.id === grade.knife);
      const at = found?.ids.indexOf(grade.knife) ?? -1;
      const figures = at < 0 ? null : (found?.figures.grades[at] ?? null);
      return {
        grade,
        design: mine?.design ?? null,
        plan: mine?.plan ?? null,
        figures,
        broken: at >= 0 && figures === null,
      };
    });
  return { knives: knives ?? null, grades, found, shop, isLoading, failed };
}

export type LineOnPage = ReturnType<typeof useLineFigures>;
