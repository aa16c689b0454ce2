"use client";
import { Button, Flex, Text } from "@chakra-ui/react";
import { Pause, Play, RotateCcw } from "lucide-react";
import { useEffect, useRef } from "react";
import { own } from "@/core/base/own";
import {
  countedMs,
  isLeftRunning,
  withClockRunning,
  withClocksStopped,
  withoutClock,
} from "@/core/plan/clocks";
import type { PlannedTask } from "@/core/plan/state";
import { printMinutes } from "@/words/money";
import { clockWords, useNow } from "../kit/clock";
import { useBuild } from "./BuildContext";

/** Whether a task's work is counted: it is there to be done, and takes time. */
const isCounted = ({ state, activeMin }: PlannedTask): boolean => state === "ready" && activeMin > 0;

/** Counts the minutes of the task at hand while it is on the screen, kept with the plan; `paused` counts nothing. */
export function useTaskClock(task: PlannedTask | undefined, paused: boolean): void {
  const { plan, change } = useBuild();
  const counted = task && !paused && isCounted(task) ? task.id : null;
  // One that another visit left running is stopped as well; where none runs nothing is written.
  const runs = useRef(Object.values(plan.clocks).some((c) => c.sinceMs !== null));
  useEffect(() => {
    if (counted !== null) change((p) => withClockRunning(p, counted, Date.now()));
    else if (runs.current) change((p) => withClocksStopped(p, Date.now()));
    runs.current = counted !== null;
  }, [change, counted]);
  useEffect(
    () => () => {
      if (runs.current) change((p) => withClocksStopped(p, Date.now()));
    },
    [change],
  );
}

interface BenchClockProps {
  readonly task: PlannedTask;
  readonly paused: boolean;
  readonly onPause: (paused: boolean) => void;
}

/** How long the task at hand has taken so far: what it says when the task is ticked are its minutes. */
export function BenchClock({ task, paused, onPause }: BenchClockProps) {
  const { plan, change } = useBuild();
  const clock = own(plan.clocks, task.id);
  const now = useNow(clock?.sinceMs != null);
  if (!isCounted(task)) return null;
  const ms = clock ? countedMs(clock, Math.max(now, clock.sinceMs ?? 0)) : 0;
  return (
    <Flex align="center" gap="4" wrap="wrap" role="group" aria-label="Minutes of work">
      <Text fontSize="3xl" fontWeight="600" role="timer" aria-label="Worked so far" minW="110px">
        {clockWords(ms)}
      </Text>
      <Button size="xl" minH="56px" variant="outline" onClick={() => onPause(!paused)}>
        {paused ? <Play /> : <Pause />} {paused ? "Go on counting" : "Pause"}
      </Button>
      {ms > 60_000 && (
        <Button
          size="xl"
          minH="56px"
          variant="outline"
          onClick={() =>
            change((p) =>
              paused
                ? withoutClock(p, task.id)
                : withClockRunning(withoutClock(p, task.id), task.id, Date.now()),
            )
          }
        >
          <RotateCcw /> From zero
        </Button>
      )}
      {isLeftRunning(ms, task.activeMin) && (
        <Text fontSize="xl" color="warn" role="status">
          That is much more than {printMinutes(task.activeMin)}, and is not kept as its minutes. Count from
          zero, or type them at the task.
        </Text>
      )}
    </Flex>
  );
}
