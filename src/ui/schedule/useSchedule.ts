"use client";
import { useSearchParams } from "next/navigation";
import { useMemo, useState } from "react";
import { dayOf, dayStart } from "@/core/base/day";
import { today } from "@/core/knife/design/job";
import type { ProductDesign } from "@/core/knife/design/product";
import { newWorkshop } from "@/core/knife/design/workshop";
import { usualMinutes } from "@/core/plan/usualMinutes";
import type { PlanRecord } from "@/core/plan/version";
import type { DaysAsked } from "@/core/products/knivesInDays";
import type { Together } from "@/core/schedule/schedule";
import { readableKnives } from "@/store/knives";
import { useLots } from "@/store/lots";
import { usePlans } from "@/store/plans";
import { useKept } from "@/store/useKept";
import { usePresentWorkshop } from "@/store/workshops";
import { useWorkerQuery } from "../kit/useWorkerQuery";

const USUAL = newWorkshop("usual", "usual");

export interface KnifeChoice {
  readonly id: string;
  readonly design: ProductDesign;
  readonly plan: PlanRecord | null;
}

/** Which knives are put into days, from when on and how, and what comes of it. */
export function useSchedule() {
  const all = useKept(readableKnives, []);
  const plans = usePlans();
  const lots = useLots();
  const workshop = usePresentWorkshop() ?? USUAL;
  const asked = useSearchParams().get("knife");
  const [picked, setPicked] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [begin, setBegin] = useState<string>(today);
  const [together, setTogether] = useState<Together>("if-no-later");
  const [waits, setWaits] = useState(false);
  const knives = useMemo<readonly KnifeChoice[]>(
    () =>
      (all ?? [])
        .filter((k) => k.design.job.state !== "gone" && k.design.job.state !== "finished")
        .map((k) => ({ id: k.id, design: k.design, plan: plans?.get(k.id) ?? null })),
    [all, plans],
  );
  // The knife that one comes from, else what is in work, is in it unless it is taken off.
  const chosen = useMemo(() => {
    const first = (k: KnifeChoice) => (asked ? k.id === asked : k.design.job.state === "in-work");
    return knives.filter((k) => picked.get(k.id) ?? first(k));
  }, [knives, picked, asked]);
  const isPast = begin < today();
  const about = useMemo(() => {
    if (!plans || !lots || chosen.length === 0 || isPast) return null;
    const delivered = new Date();
    delivered.setDate(delivered.getDate() + workshop.deliveryDays);
    const how: DaysAsked = {
      beginMs: begin === today() ? Date.now() : dayStart(begin),
      days: { hours: workshop.hours, daysOff: workshop.daysOff },
      capacity: { clamps: workshop.clampSets },
      together,
      deliveredOn: waits ? dayOf(delivered.getTime()) : null,
    };
    return {
      chosen,
      toDo: chosen.map(({ design, plan }) => ({ design, plan })),
      lots,
      usual: usualMinutes(plans.values()),
      how,
    };
  }, [plans, lots, chosen, isPast, begin, workshop, together, waits]);
  const { answer, of, isLoading, failed } = useWorkerQuery(about, (s, a) =>
    s.inDays(a.toDo, a.lots, a.usual, a.how),
  );
  return {
    ready: all !== undefined && plans !== undefined,
    knives,
    chosen: new Set(chosen.map((k) => k.id)),
    choose: (id: string, on: boolean) => setPicked((p) => new Map(p).set(id, on)),
    begin,
    setBegin,
    isPast,
    together,
    setTogether,
    waits,
    setWaits,
    workshop,
    /** What was found, and of which knives: not of the present ones while that is loading. */
    found: about && of && answer ? { inDays: answer, of: of.chosen } : null,
    isLoading,
    failed,
  };
}

export type ScheduleOnPage = ReturnType<typeof useSchedule>;
