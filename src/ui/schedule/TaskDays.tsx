"use client";
import { Box, Button } from "@chakra-ui/react";
import { useState } from "react";
import { own } from "@/core/base/own";
import { withHold } from "@/core/plan/progress";
import type { Placed } from "@/core/schedule/schedule";
import { clockWords, momentWords, weekdayWords } from "@/words/days";
import { plannedWords } from "@/words/plan";
import { DayField } from "../fields/DayField";
import { Figures, Section } from "../report/Section";
import { placedWords, useShown } from "./ScheduleContext";

/** Every task in the order that it begins, with the day before which it does not. */
export function TaskDays() {
  const { schedule, names } = useShown();
  return (
    <Section id="days" title="Tasks">
      <Figures
        label="Tasks by their days"
        rows={schedule.placed}
        keyOf={(p) => `${p.job} ${p.id}`}
        none="Nothing is left to do."
        columns={[
          { name: "Begins", of: (p) => `${weekdayWords(p.startMs)}, ${clockWords(p.startMs)}` },
          { name: "Over", of: (p) => momentWords(p.endMs) },
          { name: "Task", of: (p) => plannedWords(p) },
          { name: "Knife", of: (p) => (names.length > 1 ? `${p.job + 1} ${p.knife}` : p.knife) },
          {
            name: "Together with",
            of: (p) => p.together.map((t) => names[t.job]).join(", "),
          },
          {
            name: "Not before",
            of: (p) => <NotBefore placed={p} />,
          },
        ]}
      />
    </Section>
  );
}

/** The day before which a task does not begin; its field is there once it is asked for. */
function NotBefore({ placed: p }: { placed: Placed }) {
  const { knives, change } = useShown();
  const knife = knives[p.job];
  const day = own(knife.plan?.holds ?? {}, p.id)?.day ?? null;
  const [open, setOpen] = useState(false);
  if (day === null && !open)
    return (
      <Button
        size="xs"
        variant="ghost"
        aria-label={`Set a day: ${placedWords(p)}`}
        onClick={() => setOpen(true)}
      >
        Set a day
      </Button>
    );
  return (
    <Box w="150px">
      <DayField
        label={`Not before: ${placedWords(p)}`}
        value={day}
        onChange={(to) =>
          change(knife.id, (plan) => withHold(plan, p.id, to === null ? null : { day: to, why: "chosen" }))
        }
      />
    </Box>
  );
}
