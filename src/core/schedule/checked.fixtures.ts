import { dayOf } from "../base/day";
import type { WorkDays } from "./calendar";
import type { Capacity, Job } from "./job";
import type { Placed, Schedule } from "./schedule";
import { ENDED_WITHIN_MIN, HELD_UNTIL, timeOf } from "./taskTimes";

const MINUTE = 60_000;

/** Whether somebody works in all of a stretch: hour by hour as they are written, apart from how the schedule reads them. */
function isOpen(fromMs: number, toMs: number, { hours, daysOff }: WorkDays): boolean {
  const from = new Date(fromMs);
  const min = (ms: number) => new Date(ms).getHours() * 60 + new Date(ms).getMinutes();
  const until = dayOf(toMs) === dayOf(fromMs) ? min(toMs) : 24 * 60;
  return (
    !daysOff.includes(dayOf(fromMs)) &&
    hours[(from.getDay() + 6) % 7].some((h) => h.fromMin <= min(fromMs) && until <= h.toMin)
  );
}

const told = (p: Pick<Placed, "knife" | "id">) => `${p.knife} ${p.id}`;

/** What is wrong with a schedule, by looking at it alone: apart from how it was made. */
export function wrongIn(
  jobs: readonly Job[],
  found: Schedule,
  fromMs: number,
  days: WorkDays,
  capacity: Capacity = {},
): string[] {
  if (!found.ok) return [`none: ${found.code}`];
  const wrong: string[] = [];
  const by = new Map(found.placed.map((p) => [`${p.job} ${p.id}`, p]));
  jobs.forEach(({ knife, tasks, waitOverMs }, job) => {
    for (const t of tasks) {
      const p = by.get(`${job} ${t.id}`);
      if (t.state === "done" || waitOverMs?.has(t.id)) continue;
      if (!p) {
        wrong.push(`${knife} ${t.id} is left out`);
        continue;
      }
      const worked = p.spans.reduce((sum, s) => sum + (s.hands ? s.toMs - s.fromMs : 0), 0) / MINUTE;
      const waited = p.spans.reduce((sum, s) => sum + (s.hands ? 0 : s.toMs - s.fromMs), 0) / MINUTE;
      if (p.together.length === 0 && Math.abs(worked - Math.ceil(t.activeMin)) > 1e-6)
        wrong.push(`${told(p)} is worked ${worked} min`);
      if (p.together.length > 0 && worked < t.activeMin)
        wrong.push(`${told(p)} is worked ${worked} min only`);
      if (waited < t.waitMin - 1e-6) wrong.push(`${told(p)} waits ${waited} min`);
      if (p.startMs < fromMs) wrong.push(`${told(p)} before the beginning`);
      for (const s of p.spans)
        if (s.hands && !isOpen(s.fromMs, s.toMs, days)) wrong.push(`${told(p)} at ${new Date(s.fromMs)}`);
      wrong.push(...courseWrong(p));
      for (const n of t.needs) {
        const before = by.get(`${job} ${n.id}`);
        if (!before) continue;
        const lag = (p.startMs - before.endMs) / MINUTE;
        if (lag < n.minLagMin - 1e-6) wrong.push(`${told(p)} ${lag} min after ${n.id}`);
        if (n.maxLagMin !== null && lag > n.maxLagMin + 1e-6)
          wrong.push(`${told(p)} as late as ${lag} min after ${n.id}`);
      }
    }
  });
  wrong.push(...handsWrong(found.placed), ...resourcesWrong(jobs, found.placed, capacity));
  if (found.finishMs < found.lowerBoundMs - 1) wrong.push("sooner than anything can");
  if (Math.max(fromMs, ...found.placed.map((p) => p.endMs)) !== found.finishMs) wrong.push("the finish");
  return wrong;
}

/** Stretches of one task in order; what may not be put down is in one; what is attended follows at once. */
function courseWrong(p: Placed): string[] {
  const time = timeOf(p.kind);
  const wrong: string[] = [];
  p.spans.forEach((s, i) => {
    const before = p.spans[i - 1];
    if (!before) return;
    if (s.fromMs < before.toMs) wrong.push(`${told(p)} runs back`);
    const gap = (s.fromMs - before.toMs) / MINUTE;
    if (gap === 0) return;
    if (s.hands && before.hands && !time.split) wrong.push(`${told(p)} is put down`);
    if (!s.hands) wrong.push(`${told(p)} begins to wait ${gap} min late`);
    if (time.wait === "attended") wrong.push(`${told(p)} is left alone`);
    if (time.wait === "ended-soon" && gap > ENDED_WITHIN_MIN)
      wrong.push(`${told(p)} is ended ${gap} min late`);
  });
  return wrong;
}

/** One pair of hands: what is done together is one piece of work; who attends a wait has none free. */
function handsWrong(placed: readonly Placed[]): string[] {
  const work = new Map<string, { fromMs: number; toMs: number; id: string }>();
  for (const p of placed) {
    const group = [`${p.job} ${p.id}`, ...p.together.map((t) => `${t.job} ${t.id}`)].sort().join();
    p.spans.forEach((s, i) => {
      if (s.hands || timeOf(p.kind).wait === "attended") work.set(`${group} ${i}`, { ...s, id: told(p) });
    });
  }
  const list = [...work.values()].sort((a, b) => a.fromMs - b.fromMs || a.toMs - b.toMs);
  return list.flatMap((w, i) =>
    i > 0 && w.fromMs < list[i - 1].toMs - 1 ? [`${w.id} while ${list[i - 1].id}`] : [],
  );
}

/** An oven, a bath, the cold hold one load; of clamps each handle keeps its own until it has cured. */
function resourcesWrong(jobs: readonly Job[], placed: readonly Placed[], capacity: Capacity): string[] {
  const uses = new Map<string, { fromMs: number; toMs: number; id: string; group: string }[]>();
  for (const p of placed) {
    const task = jobs[p.job].tasks.find((t) => t.id === p.id);
    for (const resource of task?.resources ?? []) {
      const until = p.kind && HELD_UNTIL[p.kind];
      const last = placed.find((o) => o.job === p.job && o.kind === until && o.startMs >= p.startMs);
      // What goes on in the clamps of a glue-up is in them already.
      const clamped = p.kind === "cure" || p.kind === "carry-indoors";
      if (
        clamped &&
        placed.some((o) => o.job === p.job && o.kind && HELD_UNTIL[o.kind] && o.startMs <= p.startMs)
      )
        continue;
      const group =
        resource === "clamps"
          ? told(p)
          : [told(p), ...p.together.map((t) => `${jobs[t.job].knife} ${t.id}`)].sort().join();
      const list = uses.get(resource) ?? [];
      if (!list.some((u) => u.group === group))
        list.push({ fromMs: p.startMs, toMs: last?.busyUntilMs ?? p.busyUntilMs, id: told(p), group });
      uses.set(resource, list);
    }
  }
  return [...uses].flatMap(([resource, list]) =>
    list.flatMap((u) => {
      const at = list.filter((o) => o.fromMs <= u.fromMs && o.toMs > u.fromMs + 1);
      const most = capacity[resource as keyof Capacity] ?? 1;
      return at.length > most ? [`${resource}: ${at.map((o) => o.id).join(" with ")}`] : [];
    }),
  );
}
