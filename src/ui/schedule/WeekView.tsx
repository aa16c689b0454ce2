"use client";
import { Badge, Box, Button, Flex, Grid, Heading, Stack, Text } from "@chakra-ui/react";
import {
  DndContext,
  type DragEndEvent,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { addDays, startOfWeek } from "date-fns";
import { ArrowLeft, ArrowRight } from "lucide-react";
import { useState } from "react";
import { dayOf, dayStart } from "@/core/base/day";
import { withHold } from "@/core/plan/progress";
import type { Placed, Span } from "@/core/schedule/schedule";
import { timeOf } from "@/core/schedule/taskTimes";
import { clockWords, momentWords, weekdayWords } from "@/words/days";
import { printMinutes } from "@/words/money";
import { plannedWords } from "@/words/plan";
import { useShown } from "./ScheduleContext";

const mondayOf = (ms: number): Date => startOfWeek(ms, { weekStartsOn: 1 });
const DAYS = [0, 1, 2, 3, 4, 5, 6] as const;

/** A stretch of work of a task, or of tasks done together; or a wait that nobody begins by hand. */
interface Block {
  readonly placed: Placed;
  readonly span: Span;
  readonly index: number;
}

/** Stretches as they are seen: what is done together once, a wait only where no work comes before it. */
function blocksOf(placed: readonly Placed[]): Block[] {
  const seen = new Set<string>();
  return placed.flatMap((p) => {
    const group = [`${p.job} ${p.id}`, ...p.together.map((t) => `${t.job} ${t.id}`)].sort().join();
    if (seen.has(group)) return [];
    seen.add(group);
    const [first] = p.spans;
    const last = p.spans.at(-1);
    // Somebody stays with a wait that is attended: it is one piece of work.
    if (first && last && timeOf(p.kind).wait === "attended")
      return [{ placed: p, span: { fromMs: first.fromMs, toMs: last.toMs, hands: true }, index: 0 }];
    return p.spans.flatMap((span, index) =>
      span.hands || p.spans.every((s) => !s.hands) ? [{ placed: p, span, index }] : [],
    );
  });
}

/** Until when it waits: the day only where it is another one. */
const untilWords = ({ fromMs, toMs }: Span): string =>
  dayOf(fromMs) === dayOf(toMs) ? clockWords(toMs) : momentWords(toMs);

/** One week: each day with what is done on it, in order; a block is taken to another day by hand. */
export function WeekView() {
  const { schedule, knives, names, days, change } = useShown();
  const blocks = blocksOf(schedule.placed).sort((a, b) => a.span.fromMs - b.span.fromMs);
  const firstMs = schedule.placed[0]?.startMs ?? Date.now();
  const [week, setWeek] = useState(0);
  const monday = addDays(mondayOf(firstMs), 7 * week);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    const block = blocks.find((b) => keyOf(b) === active.id);
    if (!block || !over) return;
    const day = String(over.id);
    if (day === dayOf(block.span.fromMs)) return;
    for (const { job, id } of [block.placed, ...block.placed.together])
      change(knives[job].id, (p) => withHold(p, id, { day, why: "chosen" }));
  };
  const last = mondayOf(schedule.finishMs);
  return (
    <Box as="section" aria-label="Week">
      <Flex align="center" gap="2" mb="2" wrap="wrap">
        <Heading as="h2" size="md" fontWeight="600" flex="1">
          Week of {weekdayWords(monday.getTime())}
        </Heading>
        <Button size="xs" variant="outline" disabled={week === 0} onClick={() => setWeek(week - 1)}>
          <ArrowLeft /> Week before
        </Button>
        <Button
          size="xs"
          variant="outline"
          disabled={monday.getTime() >= last.getTime()}
          onClick={() => setWeek(week + 1)}
        >
          Week after <ArrowRight />
        </Button>
      </Flex>
      {names.length > 1 && (
        <Text fontSize="sm" mb="2">
          {names.map((name, i) => `${i + 1} ${name}`).join(" · ")}
        </Text>
      )}
      <DndContext sensors={sensors} onDragEnd={drop}>
        <Grid
          templateColumns={{ base: "minmax(0, 1fr)", md: "repeat(7, minmax(0, 1fr))" }}
          gap="1"
          data-testid="week"
        >
          {DAYS.map((n) => {
            const day = addDays(monday, n);
            const key = dayOf(day.getTime());
            return (
              <DayColumn
                key={key}
                day={key}
                isOff={days.hours[n].length === 0 || days.daysOff.includes(key)}
                blocks={blocks.filter((b) => dayOf(b.span.fromMs) === key)}
              />
            );
          })}
        </Grid>
      </DndContext>
      <Text fontSize="sm" color="graphite" mt="1">
        Take a task to another day, or set its day in the list below. What waits for it follows.
      </Text>
    </Box>
  );
}

const keyOf = ({ placed, index }: Block): string => `${placed.job} ${placed.id} ${index}`;

function DayColumn({ day, isOff, blocks }: { day: string; isOff: boolean; blocks: readonly Block[] }) {
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const hands = blocks.reduce((sum, b) => sum + (b.span.hands ? b.span.toMs - b.span.fromMs : 0), 0);
  return (
    <Stack
      ref={setNodeRef}
      gap="1"
      p="1.5"
      minH={{ md: "240px" }}
      borderWidth="1px"
      borderColor={isOver ? "ink" : "rule"}
      bg={isOff ? "transparent" : "sheet"}
      hideBelow={blocks.length === 0 ? "md" : undefined}
      data-day={day}
    >
      <Flex justify="space-between" align="baseline" columnGap="1" wrap="wrap">
        <Text fontWeight="600" fontSize="sm">
          {weekdayWords(dayStart(day))}
        </Text>
        <Text fontSize="xs" color="graphite">
          {hands > 0 ? printMinutes(Math.round(hands / 60_000)) : isOff ? "off" : ""}
        </Text>
      </Flex>
      {blocks.map((b) => (
        <BlockCard key={keyOf(b)} block={b} />
      ))}
    </Stack>
  );
}

function BlockCard({ block }: { block: Block }) {
  const { names } = useShown();
  const { placed, span, index } = block;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: keyOf(block) });
  const next = placed.spans[index + 1];
  const waits = span.hands && next && !next.hands && next.fromMs >= span.toMs ? next : null;
  const of = [placed.job, ...placed.together.map((t) => t.job)];
  return (
    <Box
      ref={setNodeRef}
      {...listeners}
      cursor="grab"
      userSelect="none"
      position="relative"
      zIndex={isDragging ? 2 : undefined}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      borderWidth="1px"
      borderStyle={span.hands ? "solid" : "dashed"}
      borderColor="rule"
      borderLeftWidth="3px"
      borderLeftColor={placed.overdue ? "fault" : "ink"}
      bg="ground"
      px="1.5"
      py="1"
      fontSize="xs"
      lineHeight="1.3"
      data-testid="block"
      data-task={placed.id}
      data-hands={span.hands}
    >
      <Flex gap="1" align="baseline" wrap="wrap">
        <Text fontWeight="600">
          {clockWords(span.fromMs)}–{clockWords(span.toMs)}
        </Text>
        {names.length > 1 &&
          of.map((job) => (
            <Badge key={job} size="xs" title={names[job]}>
              {job + 1}
            </Badge>
          ))}
      </Flex>
      <Text overflowWrap="anywhere">{plannedWords(placed)}</Text>
      {waits && <Text color="graphite">then waits until {untilWords(waits)}</Text>}
      {placed.overdue && <Text color="fault">overdue</Text>}
    </Box>
  );
}
