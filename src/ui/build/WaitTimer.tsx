"use client";
import { Button, Flex, Text } from "@chakra-ui/react";
import { Timer } from "lucide-react";
import { useEffect } from "react";
import { withTimer } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import type { PlanRecord } from "@/core/plan/version";
import { smallFirst } from "@/words/grammar";
import { printMinutes } from "@/words/money";
import { clockWords, useNow } from "../kit/clock";
import { notices } from "../kit/notice";
import { useBuild } from "./BuildContext";

interface WaitTimerProps {
  readonly task: PlannedTask;
  readonly name: string;
  readonly timer: PlanRecord["timers"][string] | null;
}

/** A wait that runs: kept with the plan, so that it goes on through a reload. */
export function WaitTimer({ task, name, timer }: WaitTimerProps) {
  const { change } = useBuild();
  const now = useNow(timer !== null);
  const left = timer ? timer.startedAt + timer.min * 60_000 - now : null;
  const over = left !== null && left <= 0;
  useEffect(() => {
    if (over)
      notices.success({ id: `timer ${task.id}`, title: `Over: ${smallFirst(name)}`, duration: 60_000 });
  }, [over, task.id, name]);
  return (
    <Flex align="center" gap="4" wrap="wrap">
      {left === null ? (
        <Button
          size="xl"
          minH="56px"
          variant="outline"
          onClick={() => change((p) => withTimer(p, task.id, { startedAt: Date.now(), min: task.waitMin }))}
        >
          <Timer /> Start the wait: {printMinutes(task.waitMin)}
        </Button>
      ) : (
        <>
          <Text fontSize="4xl" fontWeight="600" role="timer" aria-label={`Wait: ${name}`}>
            {over ? "It is over" : clockWords(left)}
          </Text>
          <Button
            size="xl"
            minH="56px"
            variant="outline"
            aria-label={`Stop the wait: ${name}`}
            onClick={() => change((p) => withTimer(p, task.id, null))}
          >
            Stop
          </Button>
        </>
      )}
    </Flex>
  );
}
