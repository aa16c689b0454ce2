"use client";
import { nanoid } from "nanoid";
import { useMemo } from "react";
import { newPlan } from "@/core/plan/newPlan";
import { withLogged, withPhoto } from "@/core/plan/progress";
import { type UsualMinutes, usualMinutes } from "@/core/plan/usualMinutes";
import type { PlanRecord } from "@/core/plan/version";
import { heldPhoto } from "./heldPhoto";
import { sealedTable } from "./sealedTable";
import { PLANS, planRows } from "./tables/plans";
import { useKept } from "./useKept";

const table = sealedTable(PLANS, planRows);

/** The plan of a knife; one that nothing is done of where there is none yet, undefined before the database has answered. */
export function usePlan(knifeId: string): PlanRecord | undefined {
  const found = table.useOne(knifeId);
  return found === undefined ? undefined : (found ?? EMPTY);
}

/** Always the same one: what is worked out of it is not worked out again. */
const EMPTY: PlanRecord = newPlan();

/** Changes the plan of a knife by a function of what it is now. */
export const changePlan = (knifeId: string, by: (now: PlanRecord) => PlanRecord | null) =>
  table.change(knifeId, by, EMPTY);

/** Keeps a photo with a task of a knife. Throws, in words, for what is no photo. */
export async function putTaskPhoto(knifeId: string, task: string, file: Blob): Promise<void> {
  const picture = await heldPhoto(file);
  const saved = await changePlan(knifeId, (p) => withPhoto(p, task, picture));
  if (!saved.ok) throw new Error("The plan cannot be read.");
}

/** Keeps a photo of a knife with its day. Throws, in words, for what is no photo. */
export async function putLoggedPhoto(knifeId: string, file: Blob): Promise<void> {
  const picture = await heldPhoto(file);
  const logged = { id: nanoid(10), at: Date.now(), says: "", picture };
  const saved = await changePlan(knifeId, (p) => withLogged(p, logged));
  if (!saved.ok) throw new Error("The plan cannot be read.");
}

/** Every plan, by its knife's id; undefined before the database has answered. */
export const usePlans = (): ReadonlyMap<string, PlanRecord> | undefined =>
  useKept(async () => new Map((await table.all()).map((r) => [r.id, r.record])), []);

/** Minutes of tasks as they really were, over all knives; undefined before the database has answered. */
export function useUsualMinutes(): UsualMinutes | undefined {
  const plans = usePlans();
  return useMemo(() => plans && usualMinutes(plans.values()), [plans]);
}

/** What makers would do otherwise next time, by the kind of task, of every knife but one. */
async function lessonsBeside(knifeId: string): Promise<ReadonlyMap<string, readonly string[]>> {
  const lessons = new Map<string, string[]>();
  for (const { id, record } of await table.all())
    if (id !== knifeId)
      for (const [kind, says] of Object.entries(record.otherwise))
        lessons.set(kind, [...(lessons.get(kind) ?? []), says]);
  return lessons;
}

const NO_LESSONS: ReadonlyMap<string, readonly string[]> = new Map();

/** The same, kept up to date; none before the database has answered. */
export const useLessons = (knifeId: string): ReadonlyMap<string, readonly string[]> =>
  useKept(() => lessonsBeside(knifeId), [knifeId]) ?? NO_LESSONS;

/** The plan of a knife as it is kept; null where there is none that can be read. */
export const planOfKnife = table.one;
