import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { weigh } from "../figures/weigh/weigh";
import { newWorkshop } from "../knife/design/workshop";
import { newPlan } from "../plan/newPlan";
import { planOf } from "../plan/planOf";
import { planState } from "../plan/state";
import { alikeOf } from "./alike";
import type { WorkDays } from "./calendar";
import type { Job } from "./job";
import { jobOf } from "./jobOf";

/** A Monday. */
export const DAYS_BEGIN_MS = new Date(2026, 10, 30, 9, 0).getTime();
export const USUAL_DAYS: WorkDays = { hours: newWorkshop("w", "w").hours, daysOff: [] };

/** So many jobs: the demo knives, over and over. */
export function manyJobs(count: number): Job[] {
  const plan = newPlan();
  const designs = DEMO_KNIVES.map(([, d]) => d).filter((d) => weigh(d).ok);
  return Array.from({ length: count }, (_, i) => {
    const design = designs[i % designs.length];
    const { tasks } = planState(planOf(design, plan.schools), plan);
    return jobOf(`${i + 1} ${design.name}`, tasks, alikeOf(design, tasks), plan);
  });
}
