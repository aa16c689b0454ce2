"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { dayOf, dayStart } from "@/core/base/day";
import { own } from "@/core/base/own";
import { withHold } from "@/core/plan/progress";
import type { Placed } from "@/core/schedule/schedule";
import { HOLD_WORDS, weekdayWords } from "@/words/days";
import { plannedWords } from "@/words/plan";
import { placedWords, useShown } from "./ScheduleContext";

/** Tasks that their maker has put on a day, or that wait for a delivery or the customer: whether that could be kept. */
export function HeldTasks() {
  const { schedule, knives, change } = useShown();
  const held = schedule.placed.flatMap((p) => {
    const plan = knives[p.job].plan;
    const hold = plan && own(plan.holds, p.id);
    return hold ? [{ p, hold }] : [];
  });
  if (held.length === 0) return null;
  const reason = (p: Placed): string => {
    // What ends last of all that it needs is what it waits for.
    const task = schedule.placed.filter((o) => o.job === p.job && o.endMs <= p.startMs && o.id !== p.id);
    const last = task.sort((a, b) => b.endMs - a.endMs)[0];
    return last ? `; before it comes “${plannedWords(last)}”` : "";
  };
  return (
    <Stack gap="1" role="group" aria-label="Tasks with a day of their own">
      {held.map(({ p, hold }) => {
        const kept = hold.why !== "chosen" || dayOf(p.startMs) === hold.day;
        return (
          <Flex key={`${p.job} ${p.id}`} gap="2" align="center" wrap="wrap">
            <Text fontSize="sm" color={kept ? undefined : "warn"} role={kept ? undefined : "status"}>
              {kept
                ? `${placedWords(p)}: not before ${weekdayWords(dayStart(hold.day))}, ${HOLD_WORDS[hold.why]}.`
                : `${placedWords(p)} cannot be on ${weekdayWords(dayStart(hold.day))}: it stands on ${weekdayWords(p.startMs)}${reason(p)}.`}
            </Text>
            <Button
              size="2xs"
              variant="outline"
              aria-label={`Any day: ${placedWords(p)}`}
              onClick={() => change(knives[p.job].id, (plan) => withHold(plan, p.id, null))}
            >
              Any day
            </Button>
          </Flex>
        );
      })}
    </Stack>
  );
}
