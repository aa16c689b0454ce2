"use client";
import { Badge, Box, Button, Checkbox, Flex, Text } from "@chakra-ui/react";
import { ChevronDown, ChevronRight } from "lucide-react";
import { useState } from "react";
import { own } from "@/core/base/own";
import { withoutDone } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { smallFirst } from "@/words/grammar";
import { printMinutes } from "@/words/money";
import { plannedWords } from "@/words/plan";
import { notices } from "../kit/notice";
import { useBuild } from "./BuildContext";
import { TaskDetail } from "./TaskDetail";
import { tickTask } from "./tickTask";

/** Minutes of hands and of waiting: "22 min, then 24 h waiting". */
function timeWords({ activeMin, waitMin }: PlannedTask): string {
  if (waitMin === 0) return printMinutes(activeMin);
  return activeMin === 0
    ? `${printMinutes(waitMin)} waiting`
    : `${printMinutes(activeMin)}, then ${printMinutes(waitMin)}`;
}

/** One task: ticked when it is done, unfolded for what it needs. */
export function TaskRow({ task, number, isNext }: { task: PlannedTask; number: number; isNext: boolean }) {
  const build = useBuild();
  const { change, plan } = build;
  const [open, setOpen] = useState(false);
  const name = plannedWords(task);
  const done = task.state === "done";
  const waiting = task.state === "waiting";
  const entry = own(plan.done, task.id) ?? null;
  const tick = () => {
    if (!entry) return tickTask(build, task);
    change((p) => withoutDone(p, task.id));
    // What was noted with it, and what it cut, is not lost by a slip of the hand.
    notices.create({
      title: `Not done: ${smallFirst(name)}`,
      duration: 15_000,
      action: {
        label: "Done after all",
        onClick: () => change((p) => ({ ...p, done: { ...p.done, [task.id]: entry } })),
      },
    });
  };
  return (
    <Box
      as="li"
      borderBottomWidth="1px"
      borderLeftWidth="3px"
      borderLeftColor={isNext ? "ink" : "transparent"}
      data-task={task.id}
      data-state={task.state}
    >
      <Flex align="center" gap="2" py="1" ps="2" minH="36px">
        <Checkbox.Root
          checked={done}
          disabled={waiting}
          onCheckedChange={tick}
          title={waiting ? "It waits for others: unfold it to see which" : undefined}
        >
          <Checkbox.HiddenInput aria-label={`${task.inspection ? "Passed" : "Done"}: ${name}`} />
          <Checkbox.Control />
        </Checkbox.Root>
        <Text w="6" textAlign="end" color="graphite" flexShrink="0">
          {number}
        </Text>
        <Button
          variant="ghost"
          size="sm"
          px="1"
          flex="1"
          minW="0"
          h="auto"
          py="1"
          justifyContent="flex-start"
          whiteSpace="normal"
          textAlign="start"
          fontSize="md"
          fontWeight={isNext ? "600" : "400"}
          color={waiting || done ? "graphite" : "ink"}
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          {open ? <ChevronDown /> : <ChevronRight />}
          <span>{name}</span>
        </Button>
        {isNext && <Badge size="sm">next</Badge>}
        {task.inspection && (
          <Badge size="sm" variant="outline">
            look
          </Badge>
        )}
        {task.noReturn && (
          <Badge size="sm" variant="outline" color="warn" hideBelow="sm" title="It cannot be taken back">
            for good
          </Badge>
        )}
        <Text color="graphite" fontSize="sm" flexShrink="0" w={{ base: "24", sm: "40" }} textAlign="end">
          {timeWords(task)}
        </Text>
      </Flex>
      {open && <TaskDetail task={task} entry={entry} />}
    </Box>
  );
}
