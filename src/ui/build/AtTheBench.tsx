"use client";
import { Badge, Box, Button, Flex, Heading, Stack, Text } from "@chakra-ui/react";
import { ArrowLeft, ArrowRight, Check, X } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { own } from "@/core/base/own";
import { withoutDone } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { TASKS } from "@/core/plan/taskKinds";
import { useUnits } from "@/store/settings";
import { cautionWords } from "@/words/cautions";
import { printMinutes } from "@/words/money";
import { plannedWords } from "@/words/plan";
import { timeWords } from "@/words/schedule";
import { figureWords, TOOL_WORDS } from "@/words/taskFigures";
import { useLatest } from "../kit/useLatest";
import { useProduct, useViews } from "../session/BenchContext";
import { KnifeInSight } from "../sight/KnifeInSight";
import { BenchClock, useTaskClock } from "./BenchClock";
import { BenchNotes } from "./BenchNotes";
import { useBuild } from "./BuildContext";
import { tickTask } from "./tickTask";
import { WaitTimer } from "./WaitTimer";

/** Keys that go on and back: space and what pedals type. */
const ON: readonly string[] = [" ", "PageDown", "ArrowRight"];
const BACK: readonly string[] = ["PageUp", "ArrowLeft"];

/** Whether what has the focus takes a key itself. */
const takesKeys = (e: Element | null): boolean =>
  e instanceof HTMLElement &&
  (e.isContentEditable || e.matches("input, textarea, select, button, a, summary"));

/** What lies under the screen is out of reach while it stands. */
function useUnderIt(): void {
  useEffect(() => {
    const under = [...document.querySelectorAll<HTMLElement>("header, .readout")];
    for (const e of under) e.inert = true;
    return () => {
      for (const e of under) e.inert = false;
    };
  }, []);
}

/** The task at hand, large enough to read at arm's length: on by a big button, the space bar or a pedal. */
export function AtTheBench({ onClose }: { onClose: () => void }) {
  const { sheet } = useBuild();
  const { tasks } = sheet;
  const [id, setId] = useState(() => (tasks.find((t) => t.state === "ready") ?? tasks[0])?.id ?? null);
  const at = Math.max(
    0,
    tasks.findIndex((t) => t.id === id),
  );
  const task = tasks[at];
  const [paused, setPaused] = useState(false);
  useTaskClock(task, paused);
  const go = (by: number) => {
    const to = tasks[at + by];
    if (to) setId(to.id);
  };
  const keys = useLatest((e: KeyboardEvent) => {
    if (e.key === "Escape") return onClose();
    if (takesKeys(document.activeElement) || e.ctrlKey || e.altKey || e.metaKey) return;
    if (ON.includes(e.key)) go(1);
    else if (BACK.includes(e.key)) go(-1);
    else return;
    e.preventDefault();
  });
  useEffect(() => {
    const press = (e: KeyboardEvent) => keys.current(e);
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [keys]);
  useUnderIt();
  const top = useRef<HTMLDivElement>(null);
  // The keys are the screen's own as long as nothing in it is picked.
  // biome-ignore lint/correctness/useExhaustiveDependencies: each task begins at its top
  useEffect(() => top.current?.focus(), [id]);
  if (!task) return null;
  return (
    <Stack
      as="section"
      aria-label="At the bench"
      gap="5"
      position="fixed"
      inset="0"
      zIndex="overlay"
      bg="ground"
      px={{ base: "4", sm: "8" }}
      py="5"
      overflowY="auto"
      data-testid="at-the-bench"
    >
      <Flex align="center" gap="3" ref={top} tabIndex={-1} outline="none">
        <Text fontSize="xl" color="graphite" flex="1" data-testid="bench-place">
          {at + 1} of {tasks.length}
        </Text>
        <Button size="lg" variant="outline" onClick={onClose}>
          <X /> Close
        </Button>
      </Flex>
      <KnifeInSight sheet={() => null} tallestPx={132} />
      <TaskAtHand key={task.id} task={task} />
      <BenchClock key={`clock ${task.id}`} task={task} paused={paused} onPause={setPaused} />
      <Flex gap="3" mt="auto" pt="2" pb="5" wrap="wrap" position="sticky" bottom="-20px" bg="ground">
        <Button size="2xl" minH="72px" variant="outline" disabled={at === 0} onClick={() => go(-1)}>
          <ArrowLeft /> Back
        </Button>
        <DoneButton task={task} onDone={() => go(1)} />
        <Button
          size="2xl"
          minH="72px"
          variant="outline"
          disabled={at === tasks.length - 1}
          onClick={() => go(1)}
        >
          Next <ArrowRight />
        </Button>
      </Flex>
    </Stack>
  );
}

function TaskAtHand({ task }: { task: PlannedTask }) {
  const { sheet, plan } = useBuild();
  const units = useUnits();
  const design = useProduct((d) => d);
  const { balance } = useViews();
  const weight = { massG: sheet.massG, balance: balance(sheet.balanceMm, design, units) };
  const figures = sheet.figures.get(task.id) ?? [];
  const spec = task.kind === null ? null : TASKS[task.kind];
  const open = task.waitsFor.flatMap((w) => sheet.tasks.find((t) => t.id === w) ?? []);
  return (
    <>
      <Box>
        <Heading as="h2" fontSize={{ base: "3xl", sm: "5xl" }} lineHeight="1.15" fontWeight="600">
          {plannedWords(task)}
        </Heading>
        <Text fontSize="2xl" color="graphite">
          {printMinutes(task.activeMin)}
          {task.waitMin > 0 && `, then ${printMinutes(task.waitMin)} of waiting`}
          {task.noReturn && " · it cannot be taken back"}
        </Text>
        <Text fontSize="xl">{timeWords(task)}</Text>
      </Box>
      {open.length > 0 && task.state !== "done" && (
        <Text fontSize="2xl" color="warn" role="status">
          First: {open.map(plannedWords).join("; ")}
        </Text>
      )}
      <Stack as="ul" gap="1.5" fontSize={{ base: "xl", sm: "3xl" }} ps="7" listStyleType="disc">
        {figures.map((f) => {
          const words = figureWords(f, units, weight);
          return <li key={words}>{words}</li>;
        })}
      </Stack>
      {spec && (
        <Text fontSize="xl">
          <Text as="span" color="graphite">
            Tools:{" "}
          </Text>
          {spec.tools.map((t) => TOOL_WORDS[t]).join(", ")}
        </Text>
      )}
      {spec &&
        "cautions" in spec &&
        spec.cautions.map((c) => (
          <Text key={c} fontSize="xl" borderLeftWidth="4px" borderColor="fault" ps="3">
            {cautionWords(c)}
          </Text>
        ))}
      {task.waitMin > 0 && (
        <WaitTimer task={task} name={plannedWords(task)} timer={own(plan.timers, task.id) ?? null} />
      )}
      <BenchNotes task={task} name={plannedWords(task)} />
    </>
  );
}

function DoneButton({ task, onDone }: { task: PlannedTask; onDone: () => void }) {
  const build = useBuild();
  const done = task.state === "done";
  return (
    <Button
      size="2xl"
      minH="72px"
      flex="1"
      minW="200px"
      variant={done ? "outline" : "solid"}
      disabled={task.state === "waiting"}
      aria-pressed={done}
      onClick={() => {
        if (done) return build.change((p) => withoutDone(p, task.id));
        tickTask(build, task);
        onDone();
      }}
    >
      <Check /> {done ? "It is done" : task.inspection ? "Passed, and on" : "Done, and on"}
      {done && <Badge size="sm">take back</Badge>}
    </Button>
  );
}
