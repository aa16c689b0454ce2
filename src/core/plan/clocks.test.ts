import { expect, it } from "vitest";
import { countedMs, withClockRunning, withClocksStopped } from "./clocks";
import { newPlan } from "./newPlan";
import { withDone, withPieceDone } from "./progress";
import { planRecord } from "./record";

const MIN = 60_000;

it("counts while it runs, one at a time; ticked, its minutes are the task's", () => {
  const first = withClockRunning(newPlan(), "profile", 0);
  const second = withClockRunning(first, "harden", 10 * MIN);
  expect(second.clocks).toEqual({
    profile: { countedMs: 10 * MIN, sinceMs: null },
    harden: { countedMs: 0, sinceMs: 10 * MIN },
  });
  const again = withClockRunning(second, "profile", 12 * MIN);
  expect(countedMs(again.clocks.profile, 15 * MIN)).toBe(13 * MIN);
  expect(planRecord.safeParse(again).success).toBe(true);
  const done = withDone(again, "profile", { at: 15.4 * MIN, cut: [] });
  expect(done.done.profile.tookMin).toBe(13);
  expect(done.clocks).toEqual({ harden: { countedMs: 2 * MIN, sinceMs: null } });
  // Another piece was not on the bench: the clock is not its.
  expect(withPieceDone({ ...again, pieces: 2 }, 1, "profile", { at: 15 * MIN, cut: [] })).toMatchObject({
    others: [{ profile: { tookMin: null } }],
    clocks: again.clocks,
  });
});

it("has no minutes of what was only looked at, and never more than a record takes", () => {
  expect(
    withDone(withClockRunning(newPlan(), "profile", 0), "profile", { at: 20_000, cut: [] }).done.profile
      .tookMin,
  ).toBeNull();
  const forgotten = withClocksStopped(withClockRunning(newPlan(), "profile", 0), 8e12);
  expect(planRecord.safeParse(forgotten).success).toBe(true);
  const set = withClockRunning(newPlan(), "profile", 5 * MIN);
  // A device's clock that was set back.
  expect(countedMs(set.clocks.profile, MIN)).toBe(0);
});

it("says nothing of a task whose clock was left running overnight", () => {
  const night = withClockRunning(newPlan(), "profile", 0);
  const at = 20 * 60 * MIN;
  expect(withDone(night, "profile", { at, cut: [], activeMin: 30 }).done.profile.tookMin).toBeNull();
  expect(withDone(night, "profile", { at: 110 * MIN, cut: [], activeMin: 30 }).done.profile.tookMin).toBe(
    110,
  );
});
