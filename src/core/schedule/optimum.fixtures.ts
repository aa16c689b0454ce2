import { createRequire } from "node:module";
import { dayOf } from "../base/day";
import { randomStream } from "../base/random";
import type { PlannedTask } from "../plan/state";
import type { TaskKind } from "../plan/taskKinds";
import type { WorkDays } from "./calendar";
import type { Job } from "./job";

/** All times of these cases are whole slots. */
export const SLOT_MIN = 30;
const SLOT_MS = SLOT_MIN * 60_000;
/** A Monday. */
export const CASES_BEGIN_MS = new Date(2026, 10, 30, 9, 0).getTime();

/** Tasks whose work may be put down, may not, and waits. */
const SPLIT: TaskKind = "grind-bevels";
const WHOLE: TaskKind = "wind-wrap";

const SHIFTS: readonly WorkDays[] = [
  { hours: [...Array(5).fill([{ fromMin: 540, toMin: 1020 }]), [], []], daysOff: [] },
  {
    hours: [
      ...Array(5).fill([
        { fromMin: 540, toMin: 720 },
        { fromMin: 780, toMin: 1020 },
      ]),
      [],
      [],
    ],
    daysOff: ["2026-12-02"],
  },
  { hours: Array(7).fill([{ fromMin: 1080, toMin: 1260 }]), daysOff: [] },
];

/** Random tasks: work of half an hour to three hours, waits up to a night, some in one oven, some that must follow soon. */
export function randomCase(seed: number, count: number): { job: Job; days: WorkDays } {
  const random = randomStream(seed);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const days = SHIFTS[whole(0, SHIFTS.length - 1)];
  const tasks: PlannedTask[] = [];
  for (let i = 0; i < count; i++) {
    const needs: PlannedTask["needs"][number][] = [];
    for (let k = Math.max(0, i - 6); k < i; k++)
      if (random() < 0.22)
        needs.push({
          id: `t${k}`,
          minLagMin: random() < 0.2 ? SLOT_MIN : 0,
          maxLagMin: null,
          why: "as-you-say",
        });
    // What must follow soon waits for one thing only.
    if (i > 0 && random() < 0.12 && !needs.some((n) => n.id === `t${i - 1}`))
      needs.splice(0, needs.length, { id: `t${i - 1}`, minLagMin: 0, maxLagMin: 120, why: "as-you-say" });
    const waits = random() < 0.45;
    tasks.push({
      id: `t${i}`,
      kind: random() < 0.5 ? SPLIT : WHOLE,
      title: null,
      of: null,
      needs,
      activeMin: SLOT_MIN * whole(1, random() < 0.3 ? 6 : 3),
      waitMin: waits ? SLOT_MIN * (random() < 0.3 ? whole(16, 48) : whole(1, 8)) : 0,
      resources: random() < 0.3 ? ["oven"] : [],
      noReturn: false,
      inspection: false,
      state: "waiting",
      waitsFor: [],
    });
  }
  return { job: { knife: "case", tasks }, days };
}

/** What a case comes to where one task begins at one slot: apart from how the schedule works it out. */
interface Start {
  readonly slot: number;
  readonly hands: readonly number[];
  readonly end: number;
  readonly release: number;
}

function slotsOf(days: WorkDays, count: number): boolean[] {
  return Array.from({ length: count }, (_, s) => {
    const at = new Date(CASES_BEGIN_MS + s * SLOT_MS);
    const day = dayOf(at.getTime());
    if (days.daysOff.includes(day)) return false;
    const min = at.getHours() * 60 + at.getMinutes();
    return days.hours[(at.getDay() + 6) % 7].some((h) => min >= h.fromMin && min < h.toMin);
  });
}

function startsOf(task: PlannedTask, work: readonly boolean[], finish: number): Start[] {
  const [active, wait] = [task.activeMin / SLOT_MIN, task.waitMin / SLOT_MIN];
  const starts: Start[] = [];
  for (let slot = 0; slot < finish; slot++) {
    if (!work[slot]) continue;
    const hands: number[] = [];
    for (let s = slot; hands.length < active && s < work.length; s++) {
      if (work[s]) hands.push(s);
      else if (task.kind === WHOLE) break;
    }
    if (hands.length < active) continue;
    const over = hands[hands.length - 1] + 1 + wait;
    let release = over;
    while (wait > 0 && release < work.length && !work[release]) release++;
    if (over <= finish) starts.push({ slot, hands, end: over, release });
  }
  return starts;
}

/** The case as a mixed-integer programme that finishes within so many slots, in the text format of such solvers. */
function programme({ job, days }: { job: Job; days: WorkDays }, finish: number): string {
  const work = slotsOf(days, finish + 400);
  const starts = job.tasks.map((t) => startsOf(t, work, finish));
  const x = (i: number, slot: number) => `x${i}_${slot}`;
  const rows: string[] = [];
  const sum = (terms: readonly string[]) => terms.join(" + ");
  const atSlot = new Map<number, string[]>();
  const inOven = new Map<number, string[]>();
  starts.forEach((list, i) => {
    rows.push(`${sum(list.map((s) => x(i, s.slot)))} = 1`);
    rows.push(`M ${list.map((s) => `- ${s.end} ${x(i, s.slot)}`).join(" ")} >= 0`);
    for (const { slot, hands, release } of list) {
      for (const s of hands) atSlot.set(s, [...(atSlot.get(s) ?? []), x(i, slot)]);
      if (!job.tasks[i].resources.includes("oven")) continue;
      for (let s = slot; s < release; s++) inOven.set(s, [...(inOven.get(s) ?? []), x(i, slot)]);
    }
  });
  for (const list of [...atSlot.values(), ...inOven.values()])
    if (list.length > 1) rows.push(`${sum(list)} <= 1`);
  job.tasks.forEach((task, j) => {
    for (const { id, minLagMin, maxLagMin } of task.needs) {
      const i = job.tasks.findIndex((t) => t.id === id);
      const lag = minLagMin / SLOT_MIN;
      for (const { slot } of starts[j]) {
        const later = starts[j].filter((s) => s.slot <= slot).map((s) => x(j, s.slot));
        const before = starts[i].filter((s) => s.end + lag <= slot).map((s) => `- ${x(i, s.slot)}`);
        rows.push(`${sum(later)} ${before.join(" ")} <= 0`);
      }
      if (maxLagMin === null) continue;
      for (const { slot, end } of starts[i]) {
        const soon = starts[j]
          .filter((s) => s.slot <= end + maxLagMin / SLOT_MIN)
          .map((s) => `- ${x(j, s.slot)}`);
        rows.push(`${x(i, slot)} ${soon.join(" ")} <= 0`);
      }
    }
  });
  const names = starts.flatMap((list, i) => list.map((s) => x(i, s.slot)));
  return [
    "Minimize",
    " M",
    "Subject To",
    ...rows.map((r, i) => ` c${i}: ${r}`),
    "Bounds",
    ` 0 <= M <= ${finish}`,
    "Binary",
    ` ${names.join("\n ")}`,
    "End",
  ].join("\n");
}

interface Highs {
  solve(text: string, options: Record<string, unknown>): { Status: string; ObjectiveValue: number };
}

/** The earliest finish of a case by a general solver, ms; infinite where there is none, null where it has not found it in time. */
export async function optimumMs(
  of: { job: Job; days: WorkDays },
  finishMs: number,
  seconds: number,
): Promise<number | null> {
  const load = createRequire(import.meta.url)("highs") as () => Promise<Highs>;
  const highs = await load();
  const finish = Math.round((finishMs - CASES_BEGIN_MS) / SLOT_MS);
  const found = highs.solve(programme(of, finish), { time_limit: seconds });
  if (found.Status === "Infeasible") return Number.POSITIVE_INFINITY;
  return found.Status === "Optimal" ? CASES_BEGIN_MS + Math.round(found.ObjectiveValue) * SLOT_MS : null;
}
