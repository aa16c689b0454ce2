"use client";
import { Box } from "@chakra-ui/react";
import { own } from "@/core/base/own";
import { withHold } from "@/core/plan/progress";
import { clockWords, momentWords, weekdayWords } from "@/words/days";
import { plannedWords } from "@/words/plan";
import { DayField } from "../fields/DayField";
import { Figures, Section } from "../report/Section";
import { placedWords, useShown } from "./ScheduleContext";

/** Every task in the order that it begins, with the day before which it does not. */
export function TaskDays() {
  const { schedule, knives, change } = useShown();
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
          { name: "Knife", of: (p) => (knives.length > 1 ? `${p.job + 1} ${p.knife}` : p.knife) },
          {
            name: "Together with",
            of: (p) => p.together.map((t) => knives[t.job].design.name).join(", "),
          },
          {
            name: "Not before",
            of: (p) => (
              <Box w="150px">
                <DayField
                  label={`Not before: ${placedWords(p)}`}
                  value={own(knives[p.job].plan?.holds ?? {}, p.id)?.day ?? null}
                  onChange={(day) =>
                    change(knives[p.job].id, (plan) =>
                      withHold(plan, p.id, day === null ? null : { day, why: "chosen" }),
                    )
                  }
                />
              </Box>
            ),
          },
        ]}
      />
    </Section>
  );
}
