import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { weigh } from "../figures/weigh/weigh";
import { newWorkshop } from "../knife/design/workshop";
import { newPlan } from "../plan/newPlan";
import { planOf } from "../plan/planOf";
import { withDone } from "../plan/progress";
import { planState } from "../plan/state";
import { dayOf, localTime, nextWork, type WorkDays, workFrom } from "./calendar";
import { type Job, type Placed, type Schedule, schedule } from "./schedule";
import { maySplit } from "./taskTimes";

const HOUR = 3_600_000;
const WEEK: WorkDays = { hours: newWorkshop("w", "w").hours, daysOff: [] };
const at = (text: string) => new Date(text).getTime();
const MONDAY = at("2026-11-30T09:00");

const jobs: Job[] = DEMO_KNIVES.filter(([, d]) => weigh(d).ok).map(([, d]) => ({
  knife: d.name,
  tasks: planState(planOf(d, newPlan().schools), newPlan()).tasks,
}));
const jobOf = (name: string) => jobs.find((j) => j.knife === name)!;

/** What is wrong with a schedule, by looking at it alone: apart from how it was made. */
function wrongIn(of: readonly Job[], found: Schedule, fromMs: number, days: WorkDays): string[] {
  if (!found.ok) return [`none: ${found.code} ${found.id}`];
  const wrong: string[] = [];
  const by = new Map(found.placed.map((p) => [`${p.knife} ${p.id}`, p]));
  for (const { knife, tasks } of of)
    for (const t of tasks) {
      const p = by.get(`${knife} ${t.id}`);
      if (!p) {
        wrong.push(`${knife} ${t.id} is left out`);
        continue;
      }
      const worked = p.work.reduce((sum, w) => sum + w.toMs - w.fromMs, 0);
      if (Math.abs(worked - t.activeMin * 60_000) > 1) wrong.push(`${knife} ${t.id} is worked ${worked} ms`);
      if (!maySplit(t.kind) && p.work.length > 1) wrong.push(`${knife} ${t.id} is put down`);
      if (p.startMs < fromMs) wrong.push(`${knife} ${t.id} before the beginning`);
      for (const { fromMs: a, toMs: b } of p.work) {
        const d = new Date(a);
        const hours = days.hours[(d.getDay() + 6) % 7];
        const min = (ms: number) => new Date(ms).getHours() * 60 + new Date(ms).getMinutes();
        const inside = hours && min(a) >= hours.fromMin && dayOf(a) === dayOf(b) && min(b) <= hours.toMin;
        if (!inside || days.daysOff.includes(dayOf(a))) wrong.push(`${knife} ${t.id} at ${localTime(a)}`);
      }
      for (const n of t.needs) {
        const before = by.get(`${knife} ${n.id}`);
        if (!before) continue;
        const lag = (p.startMs - before.endMs) / 60_000;
        if (lag < n.minLagMin - 1e-6) wrong.push(`${knife} ${t.id} ${lag} min after ${n.id}`);
        if (n.maxLagMin !== null && lag > n.maxLagMin + 1e-6)
          wrong.push(`${knife} ${t.id} as late as ${lag} min after ${n.id}`);
      }
    }
  // One pair of hands.
  const work = found.placed.flatMap((p) => p.work.map((w) => ({ ...w, id: `${p.knife} ${p.id}` })));
  work.sort((a, b) => a.fromMs - b.fromMs);
  for (let i = 1; i < work.length; i++)
    if (work[i].fromMs < work[i - 1].toMs - 1) wrong.push(`${work[i].id} while ${work[i - 1].id}`);
  // One oven, one bath: what waits in one keeps it until somebody is there.
  const kept = (resource: string) =>
    found.placed.filter((p: Placed) =>
      of.some(
        (j) =>
          j.knife === p.knife &&
          j.tasks.some(
            (t) => t.id === p.id && t.waitMin > 0 && (t.resources as readonly string[]).includes(resource),
          ),
      ),
    );
  for (const resource of ["oven", "bath", "cold"]) {
    const list = kept(resource).sort((a, b) => a.startMs - b.startMs);
    for (let i = 1; i < list.length; i++)
      if (list[i].startMs < list[i - 1].busyUntilMs - 1)
        wrong.push(
          `${resource}: ${list[i].knife} ${list[i].id} in with ${list[i - 1].knife} ${list[i - 1].id}`,
        );
  }
  if (found.finishMs < found.lowerBoundMs - 1) wrong.push("sooner than anything can");
  return wrong;
}

describe("a schedule", () => {
  it.each(jobs.map((j) => [j.knife, j] as const))(
    "of %s keeps hours, hands, oven, order and lags",
    (_, job) => {
      expect(wrongIn([job], schedule([job], MONDAY, WEEK), MONDAY, WEEK)).toEqual([]);
    },
  );

  it("of all demo knives at once does, too, whenever it begins, and is always the same", () => {
    for (const from of [MONDAY, at("2026-12-04T16:40"), at("2026-12-05T03:00")]) {
      const found = schedule(jobs, from, WEEK);
      expect(wrongIn(jobs, found, from, WEEK)).toEqual([]);
      expect(schedule(jobs, from, WEEK)).toEqual(found);
    }
  });

  it("hardens nothing on a day that cannot temper: with what has to follow within two hours", () => {
    const job = jobOf("Heath field knife");
    // Late on Friday: the quench waits for Monday.
    const late = at("2026-12-04T15:30");
    const done = [
      "profile",
      "file-tang",
      "drill-tang",
      "check-holes",
      "normalise",
      "hammer-flats",
      "stamp-mark",
    ].reduce((p, id) => withDone(p, id, { at: 1, cut: [] }), newPlan());
    const [, design] = DEMO_KNIVES.find(([, d]) => d.name === job.knife)!;
    const left = { knife: job.knife, tasks: planState(planOf(design, newPlan().schools), done).tasks };
    const short: WorkDays = {
      hours: WEEK.hours.map((h) => h && { fromMin: 540, toMin: 16 * 60 }),
      daysOff: [],
    };
    const found = schedule([left], late, short);
    if (!found.ok) throw new Error(found.code);
    const harden = found.placed.find((p) => p.id === "harden")!;
    const temper = found.placed.find((p) => p.id === "temper")!;
    expect(temper.startMs - harden.endMs).toBeLessThanOrEqual(2 * HOUR);
    expect(wrongIn([left], found, late, short).filter((w) => !w.includes("left out"))).toEqual([]);
  });

  it("says what is too long for every day, and what to do", () => {
    const short: WorkDays = { hours: WEEK.hours.map((h) => h && { fromMin: 540, toMin: 550 }), daysOff: [] };
    expect(schedule([jobOf("Heath field knife")], MONDAY, short)).toMatchObject({
      ok: false,
      code: "too-long",
      longestMin: 10,
    });
    const none: WorkDays = { hours: WEEK.hours.map(() => null), daysOff: [] };
    expect(schedule([jobOf("Heath field knife")], MONDAY, none)).toMatchObject({
      ok: false,
      code: "too-long",
      longestMin: 0,
    });
  });

  it("of nothing is over at once", () => {
    expect(schedule([], MONDAY, WEEK)).toEqual({
      ok: true,
      placed: [],
      finishMs: MONDAY,
      lowerBoundMs: MONDAY,
    });
  });

  it("with a second oven is never later", () => {
    const one = schedule(jobs, MONDAY, WEEK);
    const two = schedule(jobs, MONDAY, WEEK, { oven: 9, clamps: 9, bath: 9, cold: 9 });
    expect(one.ok && two.ok && two.lowerBoundMs === one.lowerBoundMs).toBe(true);
    expect(wrongIn([], two, MONDAY, WEEK)).toEqual([]);
  });
});

describe("a calendar", () => {
  it("has weekends and days off out of it", () => {
    const days = { ...WEEK, daysOff: ["2026-12-07"] };
    expect(localTime(nextWork(at("2026-12-04T17:00"), days)!)).toBe("2026-12-08T09:00");
    expect(nextWork(MONDAY, { hours: WEEK.hours.map(() => null), daysOff: [] })).toBeNull();
    const [first, second] = workFrom(at("2026-12-01T12:00"), WEEK);
    expect([localTime(first.fromMs), localTime(first.toMs), localTime(second.fromMs)]).toEqual([
      "2026-12-01T12:00",
      "2026-12-01T17:00",
      "2026-12-02T09:00",
    ]);
  });
});

describe("clocks that are changed", () => {
  it("move hours of work, and never a wait: it is so long as it is", () => {
    const before = process.env.TZ;
    process.env.TZ = "Europe/Berlin";
    try {
      // In the night to 25 October 2026 clocks go back an hour.
      const friday = new Date(2026, 9, 23, 16, 0).getTime();
      const monday = nextWork(new Date(2026, 9, 23, 17, 0).getTime(), WEEK)!;
      expect(localTime(monday)).toBe("2026-10-26T09:00");
      expect(monday - friday).toBe((3 * 24 - 7 + 1) * HOUR);
      const everyDay: WorkDays = {
        hours: WEEK.hours.map(() => ({ fromMin: 540, toMin: 1020 })),
        daysOff: [],
      };
      const job = jobOf("Heath field knife");
      const found = schedule([job], friday, everyDay);
      if (!found.ok) throw new Error(found.code);
      for (const p of found.placed) {
        const wait = job.tasks.find((t) => t.id === p.id)!.waitMin * 60_000;
        expect(p.endMs - (p.work.at(-1)?.toMs ?? p.startMs), p.id).toBe(wait);
      }
      expect(wrongIn([job], found, friday, everyDay)).toEqual([]);
    } finally {
      process.env.TZ = before;
    }
  });
});
