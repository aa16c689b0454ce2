"use client";
import { Box, Button, Field, Flex, List, SimpleGrid, Stack, Text } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, Check, Trash2 } from "lucide-react";
import { useMemo } from "react";
import { own } from "@/core/base/own";
import {
  doneOfPiece,
  moved,
  withMinutes,
  withNote,
  withOtherwise,
  withOwnTask,
  withoutOwnTask,
  withPieceDone,
  withTaken,
} from "@/core/plan/progress";
import type { Done } from "@/core/plan/record";
import type { PlannedTask } from "@/core/plan/state";
import { cutsHardSteel } from "@/core/plan/steelState";
import { TASKS } from "@/core/plan/taskKinds";
import type { PlanRecord } from "@/core/plan/version";
import { useUnits } from "@/store/settings";
import { cautionWords } from "@/words/cautions";
import { smallFirst } from "@/words/grammar";
import { plannedWords, reasonWords } from "@/words/plan";
import { timeWords } from "@/words/schedule";
import { figureWords, TOOL_WORDS } from "@/words/taskFigures";
import { KeptNote } from "../fields/KeptNote";
import { ShareField } from "../fields/ShareField";
import { offerPutBack } from "../kit/offerBack";
import { Note } from "../report/Section";
import { useProduct, useViews } from "../session/BenchContext";
import { useBuild } from "./BuildContext";
import { HoldFields } from "./HoldFields";
import { PieceTicks } from "./PieceTicks";
import { doneNow } from "./tickTask";
import { WaysBackFields } from "./WaysBackFields";

/** All that is needed at a task: figures, tools, cautions, why it waits, and what is noted of it. */
export function TaskDetail({ task, entry }: { task: PlannedTask; entry: Done | null }) {
  return (
    <Stack gap="3" ps={{ base: "3", sm: "14" }} pe="2" pb="3" data-testid="task-detail">
      <Lessons task={task} />
      <PieceTicks task={task} />
      <Figures task={task} />
      <ToolsAndCautions task={task} />
      <Time task={task} />
      <WaitsFor task={task} />
      <WaysBackFields task={task} />
      <Noted task={task} entry={entry} />
      <Place task={task} />
    </Stack>
  );
}

/** What was written at this kind of task on other knives. */
function Lessons({ task }: { task: PlannedTask }) {
  const { lessons } = useBuild();
  const said = task.kind === null ? [] : (lessons.get(task.kind) ?? []);
  return said.map((s) => (
    <Text key={s} borderLeftWidth="3px" borderColor="warn" ps="2">
      <b>From another knife:</b> {s}
    </Text>
  ));
}

function Figures({ task }: { task: PlannedTask }) {
  const { sheet } = useBuild();
  const units = useUnits();
  const design = useProduct((d) => d);
  const { balance } = useViews();
  const figures = sheet.figures.get(task.id) ?? [];
  if (figures.length === 0) return null;
  const weight = { massG: sheet.massG, balance: balance(sheet.balanceMm, design, units) };
  return (
    <List.Root ps="5" gap="0.5" aria-label={`Figures: ${plannedWords(task)}`}>
      {figures.map((f) => {
        const words = figureWords(f, units, weight);
        return <List.Item key={words}>{words}</List.Item>;
      })}
    </List.Root>
  );
}

/** Whether it may be put down, and what becomes of its wait. */
function Time({ task }: { task: PlannedTask }) {
  const words = timeWords(task);
  return words === "" ? null : (
    <Text fontSize="sm">
      <Text as="span" color="graphite">
        Time:{" "}
      </Text>
      {words}
    </Text>
  );
}

function ToolsAndCautions({ task }: { task: PlannedTask }) {
  const { steel } = useBuild().sheet;
  if (task.kind === null) return null;
  const spec = TASKS[task.kind];
  const hard = task.state !== "done" && steel !== null && cutsHardSteel(task.kind, steel);
  return (
    <>
      <Text fontSize="sm">
        <Text as="span" color="graphite">
          Tools:{" "}
        </Text>
        {spec.tools.map((t) => TOOL_WORDS[t]).join(", ")}
      </Text>
      {hard && (
        <Text fontSize="sm" borderLeftWidth="3px" borderColor="warn" ps="2">
          The steel is hard as the work stands: carbide, or draw the tang soft first, the edge kept cold.
        </Text>
      )}
      {"cautions" in spec &&
        spec.cautions.map((c) => (
          <Text key={c} fontSize="sm" borderLeftWidth="3px" borderColor="fault" ps="2">
            {cautionWords(c)}
          </Text>
        ))}
    </>
  );
}

/** All that a task waits for, however far back, and itself. */
function upTo(tasks: readonly PlannedTask[], task: PlannedTask): PlannedTask[] {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const seen = new Set([task.id]);
  // What is found on the way is gone on from.
  for (const id of seen) for (const need of byId.get(id)?.needs ?? []) seen.add(need.id);
  return tasks.filter((t) => seen.has(t.id));
}

function WaitsFor({ task }: { task: PlannedTask }) {
  const { sheet, plan, change } = useBuild();
  const byId = useMemo(() => new Map(sheet.tasks.map((t) => [t.id, t])), [sheet]);
  const way = upTo(sheet.tasks, task);
  const pieces = Array.from({ length: plan.pieces }, (_, k) => k);
  const isOpen = (of: PlanRecord, piece: number, { id }: PlannedTask) =>
    own(doneOfPiece(of, piece), id) === undefined;
  // Of the piece that is least far.
  const before = Math.max(
    ...pieces.map((k) => way.filter((t) => t.id !== task.id && isOpen(plan, k, t)).length),
  );
  if (task.needs.length === 0) return null;
  const all = () =>
    change((p) => {
      let next = p;
      for (const k of pieces)
        for (const t of way)
          if (isOpen(next, k, t)) next = withPieceDone(next, k, t.id, doneNow({ sheet }, t.id));
      return next;
    });
  return (
    <Box>
      <Text fontSize="sm" color="graphite">
        After:
      </Text>
      <List.Root ps="5" fontSize="sm">
        {task.needs.map((n) => {
          const on = byId.get(n.id);
          if (!on) return null;
          const lag =
            n.maxLagMin === null
              ? ""
              : `, within ${n.maxLagMin >= 60 ? `${Math.round(n.maxLagMin / 6) / 10} h` : `${Math.round(n.maxLagMin)} min`}`;
          return (
            <List.Item key={n.id} color={on.state === "done" ? "graphite" : "ink"}>
              {plannedWords(on)}
              {on.state === "done" ? " (done)" : ""}
              {lag}: {smallFirst(reasonWords(n.why))}
            </List.Item>
          );
        })}
      </List.Root>
      {before > 0 && (
        <Button size="xs" variant="outline" mt="1" onClick={all}>
          <Check /> Done, with the {before} before it{pieces.length > 1 ? `, of all ${pieces.length}` : ""}
        </Button>
      )}
    </Box>
  );
}

/** A text that is kept when its field is left. */
function NoteField({ label, text, onKeep }: { label: string; text: string; onKeep: (text: string) => void }) {
  return (
    <Field.Root>
      <Field.Label fontSize="sm" color="graphite">
        {label}
      </Field.Label>
      <KeptNote maxLength={500} text={text} onKeep={onKeep} />
    </Field.Root>
  );
}

const MOST_MINUTES = 100_000;

function Noted({ task, entry }: { task: PlannedTask; entry: Done | null }) {
  const { plan, change } = useBuild();
  const { kind } = task;
  const name = plannedWords(task);
  return (
    <SimpleGrid columns={{ base: 1, md: 2 }} gap="3">
      <Stack gap="1">
        <ShareField
          label="Minutes of work"
          value={task.activeMin}
          min={0}
          max={MOST_MINUTES}
          unit="min"
          onChange={(activeMin) =>
            change((p) => withMinutes(p, task.id, { activeMin, waitMin: task.waitMin }))
          }
        />
        <ShareField
          label="Minutes of waiting"
          value={task.waitMin}
          min={0}
          max={MOST_MINUTES}
          unit="min"
          onChange={(waitMin) =>
            change((p) => withMinutes(p, task.id, { activeMin: task.activeMin, waitMin }))
          }
        />
        {entry && (
          <ShareField
            label="It really took"
            value={entry.tookMin}
            min={0}
            max={MOST_MINUTES}
            unit="min"
            onChange={(tookMin) => change((p) => withTaken(p, task.id, tookMin))}
            onClear={() => change((p) => withTaken(p, task.id, null))}
          />
        )}
      </Stack>
      <Stack gap="1">
        <HoldFields task={task} name={name} />
        <NoteField
          label={`Note, ${smallFirst(name)}`}
          text={own(plan.notes, task.id) ?? ""}
          onKeep={(note) => change((p) => withNote(p, task.id, note))}
        />
        {kind !== null && (
          <NoteField
            label="Next time otherwise: comes up at this task of the next knife"
            text={own(plan.otherwise, kind) ?? ""}
            onKeep={(says) => change((p) => withOtherwise(p, kind, says))}
          />
        )}
      </Stack>
    </SimpleGrid>
  );
}

/** Up or down, where the order allows it; one of the maker's own can be taken out. */
function Place({ task }: { task: PlannedTask }) {
  const { sheet, plan, change } = useBuild();
  const name = plannedWords(task);
  const up = moved(plan, sheet.tasks, task.id, -1);
  const down = moved(plan, sheet.tasks, task.id, 1);
  return (
    <Flex gap="1.5" align="center" wrap="wrap">
      <Button
        size="xs"
        variant="outline"
        disabled={!up}
        aria-label={`Earlier: ${name}`}
        onClick={() => change((p) => moved(p, sheet.tasks, task.id, -1))}
      >
        <ArrowUp /> Earlier
      </Button>
      <Button
        size="xs"
        variant="outline"
        disabled={!down}
        aria-label={`Later: ${name}`}
        onClick={() => change((p) => moved(p, sheet.tasks, task.id, 1))}
      >
        <ArrowDown /> Later
      </Button>
      {!up && !down && (
        <Note>
          It stands where the order has it: what it waits for comes before, what waits for it behind.
        </Note>
      )}
      {task.kind === null && (
        <Button
          size="xs"
          variant="ghost"
          color="fault"
          aria-label={`Take out: ${name}`}
          onClick={() => {
            const mine = plan.own.find((t) => t.id === task.id);
            change((p) => withoutOwnTask(p, task.id));
            if (mine) offerPutBack(`Taken out: ${name}`, () => change((p) => withOwnTask(p, mine)));
          }}
        >
          <Trash2 /> Take out
        </Button>
      )}
    </Flex>
  );
}
