import { dayStart } from "../base/day";
import type { ProductDesign } from "../knife/design/product";
import { newPlan } from "../plan/newPlan";
import { piecesOf } from "../plan/progress";
import type { PlanRecord } from "../plan/record";
import { planState } from "../plan/state";
import type { UsualMinutes } from "../plan/usualMinutes";
import type { WorkDays } from "../schedule/calendar";
import type { Capacity, Job } from "../schedule/job";
import { jobOf } from "../schedule/jobOf";
import { type Schedule, schedule, type Together } from "../schedule/schedule";
import type { Lot } from "../shelf/lot";
import { modelOf } from "./modelOf";

/** A knife whose work is put into days: its design, and what is kept of its plan; null where nothing is yet. */
export interface KnifeToDo {
  readonly design: ProductDesign;
  readonly plan: PlanRecord | null;
}

/** How the days are gone about. */
export interface DaysAsked {
  readonly beginMs: number;
  readonly days: WorkDays;
  readonly capacity: Capacity;
  readonly together: Together;
  /** The day on which what is ordered now comes; null where nothing is waited for. */
  readonly deliveredOn: string | null;
}

export interface KnivesInDays {
  readonly schedule: Schedule;
  /** For each job the number of its knife among those that were given. */
  readonly knives: readonly number[];
  /** What each job is called: its knife, and which piece of how many. */
  readonly names: readonly string[];
  /** Knives that cannot be built: they have no order of work. */
  readonly leftOut: readonly number[];
  /** How many pieces are waited for until they are delivered. */
  readonly ordered: number;
}

/** Pieces for which nothing on the shelf serves, by the tasks that wait for them. */
async function waitedFor(design: ProductDesign, lots: readonly Lot[]): Promise<readonly string[]> {
  const pieces = (await (await modelOf(design).making()).lotsFor(design, lots)) ?? [];
  return pieces
    .filter(({ lots: of }) => !of.some((l) => l.ok && (l.inUse || l.sameMaterial)))
    .map(({ piece }) => (piece.key.kind === "blade" ? "profile" : `saw-piece:${piece.id}`));
}

/** Several knives in days, with what is waited for; those that cannot be built are left out, and told. */
export async function knivesInDays(
  toDo: readonly KnifeToDo[],
  lots: readonly Lot[],
  usual: UsualMinutes,
  { beginMs, days, capacity, together, deliveredOn }: DaysAsked,
): Promise<KnivesInDays> {
  const jobs: Job[] = [];
  const knives: number[] = [];
  const leftOut: number[] = [];
  let ordered = 0;
  for (const [i, { design, plan }] of toDo.entries()) {
    const model = modelOf(design);
    if (!model.weigh(design).ok) {
      leftOut.push(i);
      continue;
    }
    const record = plan ?? newPlan();
    const making = await model.making();
    const planned = making.plan(design, record.schools);
    const waits = deliveredOn === null ? [] : await waitedFor(design, lots);
    for (const [piece, of] of piecesOf(record).entries()) {
      const { tasks } = planState(planned, of, usual);
      const name = record.pieces > 1 ? `${design.name}, ${piece + 1} of ${record.pieces}` : design.name;
      const job = jobOf(name, tasks, making.alike(design, tasks), of);
      const open = new Set(tasks.filter((t) => t.state !== "done").map((t) => t.id));
      const held = new Map(job.notBeforeMs);
      for (const id of waits) {
        if (!open.has(id) || deliveredOn === null) continue;
        ordered++;
        held.set(id, Math.max(held.get(id) ?? 0, dayStart(deliveredOn)));
      }
      jobs.push({ ...job, notBeforeMs: held });
      knives.push(i);
    }
  }
  return {
    schedule: schedule(jobs, beginMs, days, { capacity, together }),
    knives,
    names: jobs.map((j) => j.knife),
    leftOut,
    ordered,
  };
}
