"use client";
import { Box, Heading, Link, Stack, Text } from "@chakra-ui/react";
import { TOGETHER } from "@/core/schedule/schedule";
import { TOGETHER_WORDS } from "@/words/days";
import { counted } from "@/words/grammar";
import { ChoiceField } from "../fields/ChoiceField";
import { DayField } from "../fields/DayField";
import { FieldRow } from "../fields/FieldRow";
import { Tick } from "../fields/Tick";
import { NearLink } from "../kit/NearLink";
import { Note } from "../report/Section";
import type { ScheduleOnPage } from "./useSchedule";

/** Which knives, from when on, and how. */
export function ScheduleFields(of: ScheduleOnPage) {
  const { knives, chosen, choose, begin, setBegin, together, setTogether, waits, setWaits, workshop } = of;
  const days = workshop.hours.filter((h) => h.length > 0).length;
  return (
    <Stack gap="4">
      <Stack gap="2">
        <Heading as="h2" size="md" fontWeight="600">
          Knives
        </Heading>
        <Stack gap="1" maxH={{ lg: "320px" }} overflowY={{ lg: "auto" }}>
          {knives.length === 0 && <Text color="graphite">None is planned or in work.</Text>}
          {knives.map((k) => (
            <Tick
              key={k.id}
              label={(k.plan?.pieces ?? 1) > 1 ? `${k.design.name} × ${k.plan?.pieces}` : k.design.name}
              checked={chosen.has(k.id)}
              onChange={(on) => choose(k.id, on)}
            />
          ))}
        </Stack>
      </Stack>
      <Stack gap="2">
        <Heading as="h2" size="md" fontWeight="600">
          How
        </Heading>
        <FieldRow label="Begin on">
          <DayField label="Begin on" value={begin} onChange={(day) => day && setBegin(day)} />
        </FieldRow>
        <ChoiceField
          wide
          label="Like tasks of several knives together"
          value={together}
          choices={TOGETHER.map((value) => ({ value, name: TOGETHER_WORDS[value] }))}
          onChange={setTogether}
        />
        <Tick
          label={`What is not on the shelf comes in ${counted(workshop.deliveryDays, "day")}`}
          checked={waits}
          onChange={setWaits}
        />
      </Stack>
      <Box>
        <Note>
          {workshop.name}: {counted(days, "working day")} a week, {counted(workshop.clampSets, "handle")}{" "}
          clamped at once, one oven and one bath. Hours, days off and the rest are set in{" "}
          <Link asChild textDecoration="underline">
            <NearLink href="/workshop">Workshop</NearLink>
          </Link>
          .
        </Note>
      </Box>
    </Stack>
  );
}
