import { describe, expect, it } from "vitest";
import { randomStream } from "../base/random";
import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { weigh } from "../figures/weigh/weigh";
import type { Design } from "../knife/design/schema";
import { newWorkshop } from "../knife/design/workshop";
import { newPlan } from "../plan/newPlan";
import { planOf } from "../plan/planOf";
import { withDone, withHold, withMinutes, withTimer } from "../plan/progress";
import type { PlanRecord } from "../plan/record";
import { planState } from "../plan/state";
import { BOUGHT, DRILL_SCHOOLS, GRIND_SCHOOLS, SURFACES } from "../plan/types";
import { alikeOf } from "./alike";
import { Calendar, localTime, type WorkDays } from "./calendar";
import { wrongIn } from "./checked.fixtures";
import type { Job } from "./job";
import { jobOf } from "./jobOf";
import { schedule } from "./schedule";

const MINUTE = 60_000;
const HOUR = 3_600_000;
const WEEK: WorkDays = { hours: newWorkshop("w", "w").hours, daysOff: [] };
const at = (text: string) => new Date(text).getTime();
const MONDAY = at("2026-11-30T09:00");
const TWO_CLAMPS = { capacity: { clamps: 2 } };

const designs = DEMO_KNIVES.map(([, d]) => d).filter((d) => weigh(d).ok);
function jobWith(design: Design, record: PlanRecord = newPlan()): Job {
  const { tasks } = planState(planOf(design, record.schools), record);
  return jobOf(design.name, tasks, alikeOf(design, tasks), record);
}
const jobs = designs.map((d) => jobWith(d));
const designOf = (name: string) => designs.find((d) => d.name === name)!;
const jobOfKnife = (name: string) => jobs.find((j) => j.knife === name)!;
const day = (fromMin: number, toMin: number) => [{ fromMin, toMin }];
const everyDay = (...stretches: { fromMin: number; toMin: number }[]): WorkDays => ({
  hours: Array.from({ length: 7 }, () => stretches),
  daysOff: [],
});

describe("a schedule", () => {
  it.each(jobs.map((j) => [j.knife, j] as const))(
    "of %s keeps hours, hands, oven, order and lags",
    (_, job) => {
      expect(wrongIn([job], schedule([job], MONDAY, WEEK), MONDAY, WEEK)).toEqual([]);
    },
  );

  it("of all demo knives at once does, too, whenever it begins, and is always the same", () => {
    for (const from of [MONDAY, at("2026-12-04T16:40"), at("2026-12-05T03:00")]) {
      const found = schedule(jobs, from, WEEK, TWO_CLAMPS);
      expect(wrongIn(jobs, found, from, WEEK, TWO_CLAMPS.capacity)).toEqual([]);
      expect(schedule(jobs, from, WEEK, TWO_CLAMPS)).toEqual(found);
    }
  });

  it("of random knives, ways of working and calendars does, too", () => {
    const random = randomStream(28);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
    const calendars: WorkDays[] = [
      WEEK,
      everyDay({ fromMin: 18 * 60, toMin: 21 * 60 + 30 }),
      { hours: [...Array(5).fill([]), day(480, 1080), day(600, 960)], daysOff: ["2026-12-05"] },
      everyDay({ fromMin: 9 * 60, toMin: 12 * 60 }, { fromMin: 13 * 60, toMin: 17 * 60 }),
    ];
    for (let n = 0; n < 40; n++) {
      const some = Array.from({ length: 1 + Math.floor(random() * 4) }, () => {
        const record: PlanRecord = {
          ...newPlan(),
          schools: {
            grind: pick(GRIND_SCHOOLS),
            drill: pick(DRILL_SCHOOLS),
            surface: pick(SURFACES),
            bought: pick(BOUGHT),
          },
        };
        const design = pick(designs);
        return jobWith({ ...design, workshop: { ...design.workshop, shopC: pick([4, 18, 24]) } }, record);
      }).map((j, i) => ({ ...j, knife: `${i} ${j.knife}` }));
      const days = pick(calendars);
      const from = MONDAY + Math.floor(random() * 14 * 24) * HOUR;
      const capacity = { clamps: pick([1, 2, 3]) };
      const together = pick(["if-no-later", "always", "never"] as const);
      const found = schedule(some, from, days, { capacity, together });
      expect(wrongIn(some, found, from, days, capacity), `${n} ${some.map((j) => j.knife)}`).toEqual([]);
    }
  }, 120_000);

  it("hardens nothing on a day that cannot temper: with what has to follow within two hours", () => {
    const done = ["profile", "file-tang", "drill-tang", "check-holes", "normalise"];
    const record = done.reduce((p, id) => withDone(p, id, { at: 1, cut: [] }), newPlan());
    const left = jobWith(designOf("Heath field knife"), record);
    const short = everyDay({ fromMin: 540, toMin: 16 * 60 });
    const late = at("2026-12-04T15:30");
    const found = schedule([left], late, short);
    expect(wrongIn([left], found, late, short)).toEqual([]);
    if (!found.ok) throw new Error(found.code);
    const [harden, temper] = ["harden", "temper"].map((id) => found.placed.find((p) => p.id === id)!);
    expect(localTime(harden.startMs)).toMatch(/^2026-12-05T/);
    expect(temper.startMs - harden.endMs).toBeLessThanOrEqual(2 * HOUR);
  });

  it("has a quench at the end of its soak, and tempers in cycles with somebody there for each", () => {
    const found = schedule([jobOfKnife("Heath field knife")], MONDAY, WEEK);
    if (!found.ok) throw new Error(found.code);
    const spans = (id: string) =>
      found.placed.find((p) => p.id === id)?.spans.map((s) => [s.hands, (s.toMs - s.fromMs) / MINUTE]);
    expect(spans("harden")).toEqual([
      [true, 10],
      [false, 10],
      [true, 5],
    ]);
    expect(spans("temper")).toEqual([
      [true, 2],
      [false, 150],
      [true, 2],
      [false, 150],
    ]);
  });

  it("does like tasks of several knives together where nothing is later, and says what that saves", () => {
    const three = ["Gorse guard knife", "Heath field knife", "Reed take-down hunter"].map(jobOfKnife);
    const apart = schedule(three, MONDAY, WEEK, { ...TWO_CLAMPS, together: "never" });
    const found = schedule(three, MONDAY, WEEK, TWO_CLAMPS);
    const always = schedule(three, MONDAY, WEEK, { ...TWO_CLAMPS, together: "always" });
    if (!apart.ok || !found.ok || !always.ok) throw new Error("no schedule");
    expect(found.finishMs).toBeLessThanOrEqual(apart.finishMs);
    expect(found.saved.map((s) => s.kind)).toEqual(expect.arrayContaining(["harden", "glue-handle"]));
    expect(always.saved.length).toBeGreaterThanOrEqual(found.saved.length);
    for (const f of [apart, found, always])
      expect(wrongIn(three, f, MONDAY, WEEK, TWO_CLAMPS.capacity)).toEqual([]);
    // Setting up once less for each that goes with another.
    const hands = (f: typeof found) =>
      new Map(
        f.placed.map((p) => [
          [p.startMs, p.kind].join(),
          p.spans.reduce((sum, s) => sum + (s.hands ? s.toMs - s.fromMs : 0), 0) / MINUTE,
        ]),
      );
    const total = (f: typeof found) => [...hands(f).values()].reduce((a, b) => a + b, 0);
    const saved = found.saved.reduce((sum, s) => sum + s.savedMin, 0);
    expect(total(apart) - total(found)).toBeCloseTo(saved, 6);
  });

  it("glues no more at once than the pot life and the clamps allow", () => {
    const heath = designOf("Heath field knife");
    const four = [1, 2, 3, 4].map((n) => ({ ...jobWith(heath), knife: `heath ${n}` }));
    for (const clamps of [1, 2, 4]) {
      const found = schedule(four, MONDAY, WEEK, { capacity: { clamps }, together: "always" });
      if (!found.ok) throw new Error(found.code);
      const { takes, most } = four[0].alike?.get("glue-handle") ?? { takes: 1, most: 1 };
      const glued = found.placed.filter((p) => p.id === "glue-handle");
      const mostTogether = Math.max(...glued.map((p) => p.together.length + 1));
      expect(mostTogether).toBe(Math.max(1, Math.min(clamps, Math.floor(most / takes))));
    }
  });

  it("begins nothing before the day it is held until, and the rest as if it were not", () => {
    const held = withHold(newPlan(), "saw-piece:scale:pair", { day: "2026-12-10", why: "delivery" });
    const job = jobWith(designOf("Heath field knife"), held);
    const found = schedule([job], MONDAY, WEEK);
    if (!found.ok) throw new Error(found.code);
    const start = (id: string) => localTime(found.placed.find((p) => p.id === id)!.startMs);
    expect(start("saw-piece:scale:pair") >= "2026-12-10T09:00").toBe(true);
    expect(start("harden") < "2026-12-01").toBe(true);
  });

  it("goes on from a wait that runs, and counts a greatest lag from what was done", () => {
    const upTo = ["profile", "file-tang", "drill-tang", "check-holes", "normalise"];
    const soft = upTo.reduce((p, id) => withDone(p, id, { at: 1, cut: [] }), newPlan());
    const hard = ["harden", "check-hardness"].reduce(
      (p, id) => withDone(p, id, { at: MONDAY, cut: [] }),
      soft,
    );
    const heath = designOf("Heath field knife");
    const now = MONDAY + 30 * MINUTE;
    const first = schedule([jobWith(heath, hard)], now, WEEK);
    if (!first.ok) throw new Error(first.code);
    const temper = first.placed.find((p) => p.id === "temper");
    expect(temper?.startMs).toBeLessThanOrEqual(MONDAY + 2 * HOUR);
    expect(temper?.overdue).toBe(false);
    const late = schedule([jobWith(heath, hard)], MONDAY + 3 * HOUR, WEEK);
    if (!late.ok) throw new Error(late.code);
    expect(late.placed.find((p) => p.id === "temper")).toMatchObject({
      overdue: true,
      startMs: MONDAY + 3 * HOUR,
    });
    const tempering = withTimer(hard, "temper", { startedAt: now, min: 300 });
    const running = schedule([jobWith(heath, tempering)], now + 10 * MINUTE, WEEK);
    if (!running.ok) throw new Error(running.code);
    expect(running.placed.find((p) => p.id === "temper")?.endMs).toBe(now + 300 * MINUTE);
    expect(running.placed.find((p) => p.id === "check-straight")?.startMs).toBeGreaterThanOrEqual(
      now + 300 * MINUTE,
    );
  });

  describe("blades that were hardened together", () => {
    const upTo = [
      "profile",
      "file-tang",
      "drill-tang",
      "check-holes",
      "normalise",
      "harden",
      "check-hardness",
    ];
    const hard = upTo.reduce((p, id) => withDone(p, id, { at: MONDAY, cut: [] }), newPlan());
    const heath = designOf("Heath field knife");
    const three = [1, 2, 3].map((n) => ({ ...jobWith(heath, hard), knife: `heath ${n}` }));

    it("are tempered together: one after the other would be too late for all but the first", () => {
      const found = schedule(three, MONDAY + 10 * MINUTE, WEEK, TWO_CLAMPS);
      if (!found.ok) throw new Error(found.code);
      const temper = found.placed.filter((p) => p.id === "temper");
      expect(temper.map((p) => p.together.length)).toEqual([2, 2, 2]);
      expect(temper.every((p) => !p.overdue && p.startMs <= MONDAY + 2 * HOUR)).toBe(true);
    });

    it("have days all the same where that cannot be: what is too late goes first, and says so", () => {
      const found = schedule(three, MONDAY + 10 * MINUTE, WEEK, { ...TWO_CLAMPS, together: "never" });
      if (!found.ok) throw new Error(found.code);
      const temper = found.placed.filter((p) => p.id === "temper").sort((a, b) => a.startMs - b.startMs);
      expect(temper.map((p) => p.overdue)).toEqual([false, true, true]);
      expect(wrongIn(three, found, MONDAY + 10 * MINUTE, WEEK, TWO_CLAMPS.capacity)).toEqual([]);
    });
  });

  it("glued handles that cure in more clamps than there are said to be keep those they are in", () => {
    const heath = designOf("Heath field knife");
    const glued = planOf(heath, newPlan().schools)
      .map((t) => t.id)
      .slice(
        0,
        planOf(heath, newPlan().schools).findIndex((t) => t.kind === "cure"),
      )
      .reduce((p, id) => withDone(p, id, { at: MONDAY, cut: [] }), newPlan());
    const three = [1, 2, 3].map((n) => ({ ...jobWith(heath, glued), knife: `heath ${n}` }));
    const found = schedule(three, MONDAY, WEEK, { ...TWO_CLAMPS, together: "always" });
    expect(wrongIn(three, found, MONDAY, WEEK, TWO_CLAMPS.capacity)).toEqual([]);
  });

  it("moves when something takes longer", () => {
    const heath = designOf("Heath field knife");
    const longer = withMinutes(newPlan(), "grind-bevels", { activeMin: 400, waitMin: 0 });
    const [usual, moved] = [newPlan(), longer].map((r) => schedule([jobWith(heath, r)], MONDAY, WEEK));
    expect(usual.ok && moved.ok && moved.finishMs > usual.finishMs).toBe(true);
  });

  it("says what is too long for every stretch, hours that never open, and a lag that no day allows", () => {
    const heath = jobOfKnife("Heath field knife");
    const wound = jobWith(
      designOf("Heath field knife"),
      withMinutes(newPlan(), "glue-handle", { activeMin: 200, waitMin: 0 }),
    );
    expect(schedule([wound], MONDAY, everyDay({ fromMin: 540, toMin: 720 }))).toMatchObject({
      ok: false,
      code: "too-long",
      id: "glue-handle",
      longestMin: 180,
    });
    expect(schedule([heath], MONDAY, everyDay())).toEqual({ ok: false, code: "never-open" });
    const off = { ...WEEK, hours: [day(540, 1020), [], [], [], [], [], []] };
    const mondays = Array.from({ length: 160 }, (_, n) => {
      const d = new Date(2026, 10, 30 + 7 * n);
      return localTime(d.getTime()).slice(0, 10);
    });
    expect(schedule([heath], MONDAY, { ...off, daysOff: mondays })).toMatchObject({ ok: false });
    // Tempered within two hours of the quench, but on another day's quarter of an hour.
    const quarters = everyDay({ fromMin: 540, toMin: 555 });
    const short: Job = {
      knife: "short",
      tasks: jobOfKnife("Heath field knife")
        .tasks.filter((t) => t.kind === "harden" || t.kind === "temper")
        .map((t) => ({ ...t, activeMin: 14, waitMin: 0 })),
    };
    expect(schedule([short], MONDAY, quarters)).toMatchObject({ ok: false, code: "no-room" });
  });

  it("of nothing is over at once", () => {
    expect(schedule([], MONDAY, WEEK)).toEqual({
      ok: true,
      placed: [],
      finishMs: MONDAY,
      lowerBoundMs: MONDAY,
      saved: [],
    });
  });

  it("with more of everything has nothing in two places at once either", () => {
    const capacity = { oven: 9, clamps: 9, bath: 9, cold: 9 };
    const found = schedule(jobs, MONDAY, WEEK, { capacity });
    expect(wrongIn(jobs, found, MONDAY, WEEK, capacity)).toEqual([]);
  });
});

describe("glue in a cold shop", () => {
  it("is carried indoors before its pot life is over, and cures there as its label says", () => {
    const heath = designOf("Heath field knife");
    const cold = { ...heath, workshop: { ...heath.workshop, shopC: 5 } };
    const tasks = planOf(cold, newPlan().schools);
    const carry = tasks.find((t) => t.kind === "carry-indoors");
    expect(carry?.needs.find((n) => n.id === "glue-handle")?.maxLagMin).toBeGreaterThan(0);
    expect(tasks.find((t) => t.kind === "cure")).toMatchObject({
      waitMin: 24 * 60,
      needs: expect.arrayContaining([expect.objectContaining({ id: "carry-indoors" })]),
    });
    expect(planOf(heath, newPlan().schools).some((t) => t.kind === "carry-indoors")).toBe(false);
  });
});

describe("clocks that are changed", () => {
  it("move hours of work, and never a wait: it is so long as it is", () => {
    const before = process.env.TZ;
    process.env.TZ = "Europe/Berlin";
    try {
      // In the night to 25 October 2026 clocks go back an hour.
      const friday = new Date(2026, 9, 23, 16, 0).getTime();
      const monday = new Calendar(friday, WEEK).next(new Date(2026, 9, 23, 17, 0).getTime());
      expect(localTime(monday)).toBe("2026-10-26T09:00");
      expect(monday - friday).toBe((3 * 24 - 7 + 1) * HOUR);
      const days = everyDay({ fromMin: 540, toMin: 1020 });
      const job = jobOfKnife("Heath field knife");
      const found = schedule([job], friday, days);
      expect(wrongIn([job], found, friday, days)).toEqual([]);
    } finally {
      process.env.TZ = before;
    }
  });
});
