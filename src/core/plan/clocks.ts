import { own } from "../base/own";
import type { Clock, PlanRecord } from "./record";

/** A task's minutes, and a clock's ms, go no further in a record. */
const LONGEST_MIN = 100_000;
const LONGEST_CLOCK_MS = 1e9;

/** How long a clock has counted, ms. */
export const countedMs = ({ countedMs: before, sinceMs }: Clock, nowMs: number): number =>
  before + (sinceMs === null ? 0 : Math.max(0, nowMs - sinceMs));

/** The plan with no clock that runs: what they counted stays. */
export const withClocksStopped = (record: PlanRecord, nowMs: number): PlanRecord =>
  Object.values(record.clocks).every((c) => c.sinceMs === null)
    ? record
    : {
        ...record,
        clocks: Object.fromEntries(
          Object.entries(record.clocks).map(([id, c]) => [
            id,
            { countedMs: Math.min(countedMs(c, nowMs), LONGEST_CLOCK_MS), sinceMs: null },
          ]),
        ),
      };

/** The plan with the clock of a task running, and every other one stopped: there is one pair of hands. */
export function withClockRunning(record: PlanRecord, task: string, nowMs: number): PlanRecord {
  const { clocks, ...rest } = withClocksStopped(record, nowMs);
  const counted = own(clocks, task)?.countedMs ?? 0;
  return { ...rest, clocks: { ...clocks, [task]: { countedMs: counted, sinceMs: nowMs } } };
}

/** The plan with a clock that has counted nothing, and does not run. */
export const withoutClock = (record: PlanRecord, task: string): PlanRecord => ({
  ...record,
  clocks: Object.fromEntries(Object.entries(record.clocks).filter(([id]) => id !== task)),
});

/** A clock that has counted so much more than the task should take was left running, more likely than not. */
export const isLeftRunning = (ms: number, activeMin: number): boolean =>
  ms > 60_000 * Math.max(4 * activeMin, activeMin + 60);

/**
 * What a task's clock says in whole minutes; null of a task that had none, of one that was only looked at, and of one that was
 * left running against the minutes that it should take.
 */
export function clockedMin(
  { clocks }: PlanRecord,
  task: string,
  nowMs: number,
  activeMin: number | null,
): number | null {
  const clock = own(clocks, task);
  const ms = clock ? countedMs(clock, nowMs) : 0;
  if (activeMin !== null && isLeftRunning(ms, activeMin)) return null;
  const minutes = Math.round(ms / 60_000);
  return minutes > 0 ? Math.min(minutes, LONGEST_MIN) : null;
}
