"use client";
import { Box, Button, Heading, Link, Stack, Text } from "@chakra-ui/react";
import { CalendarDays, Hammer } from "lucide-react";
import { useCallback, useMemo, useState } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import { PHASES, type Phase, phaseOf } from "@/core/plan/phases";
import type { PlannedTask } from "@/core/plan/state";
import type { PlanRecord } from "@/core/plan/version";
import { changePlan, useLessons, usePlan, useUsualMinutes } from "@/store/plans";
import { useRecipes } from "@/store/recipes";
import { counted } from "@/words/grammar";
import { steelWords } from "@/words/heat";
import { printMinutes } from "@/words/money";
import { PHASE_WORDS } from "@/words/schools";
import { Columns, LeadingColumn, ScrolledPart, SettingsColumn } from "../kit/Columns";
import { NearLink } from "../kit/NearLink";
import { attempt } from "../kit/notice";
import { UnderWay } from "../kit/UnderWay";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { useBenchOf, useProduct, useWeighing } from "../session/BenchContext";
import { AsBuiltSection } from "./AsBuiltSection";
import { AtTheBench } from "./AtTheBench";
import { BuildContext, useBuild } from "./BuildContext";
import { ContradictionsSection } from "./ContradictionsSection";
import { HeatSection } from "./HeatSection";
import { PartsFromShelf } from "./PartsFromShelf";
import { ReworksSection } from "./ReworksSection";
import { SchoolFields } from "./SchoolFields";
import { TaskRow } from "./TaskRow";

/** What is to be done to make it, in order: what each task needs, why it waits, and how far the work has come. */
export function BuildView() {
  const { knifeId } = useBenchOf<ProductDesign>();
  const design = useProduct((d) => d);
  const sound = useWeighing()?.ok ?? false;
  const plan = usePlan(knifeId);
  const recipes = useRecipes();
  const lessons = useLessons(knifeId);
  const usual = useUsualMinutes();
  const about = useMemo(
    // What a clock counts changes nothing of the order.
    () =>
      sound && plan && recipes && usual ? { design, plan: { ...plan, clocks: {} }, recipes, usual } : null,
    [sound, design, plan, recipes, usual],
  );
  const {
    answer: sheet,
    failed,
    isLoading,
  } = useWorkerQuery(about, (s, a) => s.build(a.design, a.plan, a.recipes, a.usual));
  const change = useCallback(
    (by: (plan: PlanRecord) => PlanRecord | null) =>
      void attempt("The plan was not changed", async () => {
        const saved = await changePlan(knifeId, by);
        if (!saved.ok) throw new Error("it cannot be read, or is gone");
      }),
    [knifeId],
  );
  const build = useMemo(
    () => (plan && sheet ? { knifeId, plan, sheet, lessons, change } : null),
    [knifeId, plan, sheet, lessons, change],
  );
  const [atBench, setAtBench] = useState(false);
  if (build && sound && atBench)
    return (
      <BuildContext value={build}>
        <AtTheBench onClose={() => setAtBench(false)} />
      </BuildContext>
    );
  return (
    <Columns>
      {build && (
        <BuildContext value={build}>
          <Progress tasks={build.sheet.tasks} onBench={() => setAtBench(true)} />
        </BuildContext>
      )}
      <ScrolledPart data-testid="build-sheet">
        {!sound && (
          <Text color="fault">
            There is no order of work until the design can be built: fix what the findings in Fit-up name
            first.
          </Text>
        )}
        {sound && failed && (
          <Text color="fault" role="alert">
            The order of work could not be worked out. Change anything, or open this view again, to try once
            more.
          </Text>
        )}
        <UnderWay on={sound && isLoading && !sheet} says="Working out the order …" />
        {sound && build && (
          <BuildContext value={build}>
            <Stack gap="6" maxW="900px">
              <ContradictionsSection />
              <Notices />
              <TaskLists tasks={build.sheet.tasks} />
              <ReworksSection />
              <HeatSection />
              <AsBuiltSection />
              <PartsFromShelf />
            </Stack>
          </BuildContext>
        )}
      </ScrolledPart>
      {sound && build && (
        <BuildContext value={build}>
          <SettingsColumn width="300px" aria-label="How you work">
            <SchoolFields />
          </SettingsColumn>
        </BuildContext>
      )}
    </Columns>
  );
}

const doneOf = (tasks: readonly PlannedTask[]) => tasks.filter((t) => t.state === "done").length;

/** How far it has come, and what is next. */
function Progress({ tasks, onBench }: { tasks: readonly PlannedTask[]; onBench: () => void }) {
  const {
    knifeId,
    sheet: { steel },
  } = useBuild();
  const groups = grouped(tasks);
  const open = tasks.filter((t) => t.state !== "done");
  const hands = open.reduce((sum, t) => sum + t.activeMin, 0);
  const waits = open.reduce((sum, t) => sum + t.waitMin, 0);
  return (
    <LeadingColumn
      aria-label="Parts of the work"
      width="200px"
      px={{ base: "3", lg: "4" }}
      py={{ base: "2", lg: "4" }}
      columnGap="4"
      rowGap="2"
    >
      <Box>
        <Text fontWeight="600" data-testid="progress">
          {doneOf(tasks)} of {tasks.length} done
        </Text>
        <Box h="6px" bg="rule" borderRadius="full" aria-hidden>
          <Box
            h="full"
            w={`${(100 * doneOf(tasks)) / Math.max(1, tasks.length)}%`}
            bg="ink"
            borderRadius="full"
          />
        </Box>
        <Text fontSize="sm" color="graphite" mt="1">
          {open.length === 0
            ? "All of it is done."
            : `${printMinutes(hands)} of work left, besides ${printMinutes(waits)} of waiting`}
        </Text>
        {steel && <Text fontSize="sm">{steelWords(steel)}</Text>}
      </Box>
      <Button size="sm" onClick={onBench}>
        <Hammer /> At the bench
      </Button>
      <Button asChild size="sm" variant="outline">
        <NearLink href={`/schedule?knife=${knifeId}`}>
          <CalendarDays /> In days
        </NearLink>
      </Button>
      {groups.map(({ phase, tasks: of }) => (
        <Link key={phase} href={`#phase-${phase}`} color="ink">
          {PHASE_WORDS[phase]} {doneOf(of)}/{of.length}
        </Link>
      ))}
    </LeadingColumn>
  );
}

/** Tasks by the parts of the work, in order: what comes later than its part, because it waits, stands where it comes. */
function grouped(tasks: readonly PlannedTask[]): readonly { phase: Phase; tasks: readonly PlannedTask[] }[] {
  let at = 0;
  const by = new Map<Phase, PlannedTask[]>();
  for (const task of tasks) {
    if (task.kind !== null) at = Math.max(at, PHASES.indexOf(phaseOf({ kind: task.kind, of: task.of })));
    by.set(PHASES[at], [...(by.get(PHASES[at]) ?? []), task]);
  }
  return PHASES.flatMap((p) => (by.has(p) ? [{ phase: p, tasks: by.get(p) ?? [] }] : []));
}

function TaskLists({ tasks }: { tasks: readonly PlannedTask[] }) {
  const next =
    tasks.find((t) => t.state === "ready" && t.activeMin > 0) ?? tasks.find((t) => t.state === "ready");
  return grouped(tasks).map(({ phase, tasks: of }) => (
    <Box as="section" key={phase} id={`phase-${phase}`} aria-label={PHASE_WORDS[phase]} scrollMarginTop="4">
      <Heading as="h2" size="md" fontWeight="600" borderBottomWidth="2px" borderColor="ink" pb="1" mb="1">
        {PHASE_WORDS[phase]}
      </Heading>
      <Box as="ol" listStyleType="none" m="0" p="0">
        {of.map((task) => (
          <TaskRow key={task.id} task={task} number={tasks.indexOf(task) + 1} isNext={task === next} />
        ))}
      </Box>
    </Box>
  ));
}

/** What of the plan does not hold any more. */
function Notices() {
  const {
    sheet: { notices },
    plan,
  } = useBuild();
  const own = (id: string) => plan.own.find((t) => t.id === id)?.title ?? id;
  const gone = notices.filter((n) => n.code === "not-asked").length;
  const said = [
    ...notices.flatMap((n) =>
      n.code === "loop"
        ? [`“${own(n.task)}” would wait for itself: choose another task for it to come before or after.`]
        : n.code === "gone"
          ? [`“${own(n.task)}” stands by a task that the plan has no more: choose another.`]
          : [],
    ),
    ...(gone > 0
      ? [`${counted(gone, "task is", "tasks are")} done that the design asks for no more; they stay noted.`]
      : []),
  ];
  return said.length === 0 ? null : (
    <Stack gap="1" role="status">
      {said.map((s) => (
        <Text key={s} color="warn">
          {s}
        </Text>
      ))}
    </Stack>
  );
}
