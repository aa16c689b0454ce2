"use client";
import { Button, Flex, Heading, Stack, Text } from "@chakra-ui/react";
import { CalendarDays } from "lucide-react";
import { useEffect } from "react";
import { firstVisit } from "@/store/firstVisit";
import { changePlan } from "@/store/plans";
import { momentWords } from "@/words/days";
import { counted } from "@/words/grammar";
import { calendarOf, savedWords, scheduleFailureWords } from "@/words/schedule";
import { download } from "../files/files";
import { Columns, ScrolledPart, SettingsColumn } from "../kit/Columns";
import { attempt } from "../kit/notice";
import { UnderWay } from "../kit/UnderWay";
import { Header } from "../shell/Header";
import { HeldTasks } from "./HeldTasks";
import { ScheduleContext, type ShownSchedule } from "./ScheduleContext";
import { ScheduleFields } from "./ScheduleFields";
import { TaskDays } from "./TaskDays";
import { type ScheduleOnPage, useSchedule } from "./useSchedule";
import { WeekView } from "./WeekView";

/** Knives in days: one week after the other, and every task with its day. */
export function SchedulePage() {
  const of = useSchedule();
  // Whoever opens this first of all finds the demo knives, as on the rack.
  useEffect(() => void attempt("The rack could not be laid out", firstVisit), []);
  const { found, isLoading } = of;
  const shown: ShownSchedule | null =
    found?.inDays.schedule.ok === true
      ? {
          schedule: found.inDays.schedule,
          knives: found.inDays.knives.map((i) => found.of[i]),
          names: found.inDays.names,
          days: { hours: of.workshop.hours, daysOff: of.workshop.daysOff },
          change: (knifeId, by) =>
            void attempt("The plan was not changed", async () => {
              const saved = await changePlan(knifeId, by);
              if (!saved.ok) throw new Error("it cannot be read, or is gone");
            }),
        }
      : null;
  return (
    <Flex direction="column" minH="100vh" h={{ lg: "100vh" }}>
      <Header />
      <Columns as="main">
        <ScrolledPart data-testid="schedule">
          <Stack gap="5">
            <Flex align="center" gap="3" wrap="wrap">
              <Heading as="h1" size="xl" fontWeight="600" flex="1">
                Schedule
              </Heading>
              <CalendarButton shown={shown} />
            </Flex>
            <Told {...of} />
            {!found && <UnderWay on={isLoading} says="Working out the days …" />}
            {shown && (
              <ScheduleContext value={shown}>
                <Summary shown={shown} ordered={found?.inDays.ordered ?? 0} />
                <HeldTasks />
                <WeekView />
                <TaskDays />
              </ScheduleContext>
            )}
          </Stack>
        </ScrolledPart>
        <SettingsColumn width="300px" aria-label="What is scheduled">
          <ScheduleFields {...of} />
        </SettingsColumn>
      </Columns>
    </Flex>
  );
}

/** Why there are no days yet, or what is not in them. */
function Told({ ready, chosen, isPast, failed, found }: ScheduleOnPage) {
  return (
    <>
      {ready && chosen.size === 0 && (
        <Text color="graphite">
          Choose the knives that you are going to make: their tasks are put into days, by one pair of hands
          and your workshop's hours.
        </Text>
      )}
      {isPast && (
        <Text color="fault" role="alert">
          That day is over: begin today or later.
        </Text>
      )}
      {failed && (
        <Text color="fault" role="alert">
          The days could not be worked out. Change anything, or open this page again.
        </Text>
      )}
      {found && found.inDays.leftOut.length > 0 && (
        <Text color="warn" role="status">
          {found.inDays.leftOut.map((i) => found.of[i].design.name).join(", ")}: left out, as the design
          cannot be built yet.
        </Text>
      )}
      {found && !found.inDays.schedule.ok && (
        <Text color="fault" role="alert">
          {scheduleFailureWords(found.inDays.schedule)}
        </Text>
      )}
    </>
  );
}

function Summary({ shown: { schedule }, ordered }: { shown: ShownSchedule; ordered: number }) {
  const { placed, finishMs, lowerBoundMs, saved } = schedule;
  if (placed.length === 0) return <Text>All of it is done.</Text>;
  return (
    <Stack gap="1" data-testid="schedule-summary">
      <Text fontSize="lg" fontWeight="600">
        Finished {momentWords(finishMs)}
      </Text>
      <Text color="graphite">
        {finishMs === lowerBoundMs
          ? "It cannot be earlier: work, waits and order take that long."
          : `No order of work finishes before ${momentWords(lowerBoundMs)}.`}{" "}
        {counted(placed.length, "task")} by one pair of hands.
      </Text>
      {saved.length > 0 && <Text>Done together: {saved.map(savedWords).join("; ")}.</Text>}
      {ordered > 0 && <Text>{counted(ordered, "piece is", "pieces are")} waited for until delivered.</Text>}
    </Stack>
  );
}

function CalendarButton({ shown }: { shown: ShownSchedule | null }) {
  const save = async () => {
    if (!shown) return;
    const { writeCalendar } = await import("@/core/exchange/files/calendarFile");
    const text = await writeCalendar("Workshop", calendarOf(shown.schedule.placed));
    download(new Blob([text], { type: "text/calendar" }), "workshop.ics");
  };
  return (
    <Button
      variant="outline"
      disabled={!shown || shown.schedule.placed.length === 0}
      onClick={() => void attempt("The calendar was not written", save)}
    >
      <CalendarDays /> Calendar file
    </Button>
  );
}
