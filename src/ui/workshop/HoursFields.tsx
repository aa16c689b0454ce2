"use client";
import { Flex, Grid, IconButton, Input, Stack, Text } from "@chakra-ui/react";
import { Plus, X } from "lucide-react";
import { type ReactNode, useState } from "react";
import type { Workshop } from "@/core/knife/design/record/workshop";
import { MOST_STRETCHES } from "@/core/knife/design/workshopParts";
import { WEEKDAYS } from "@/words/workshop";
import { Tick } from "../fields/Tick";

type Hours = Workshop["hours"];
type Day = Hours[number];
type Part = Day[number];

const USUAL: Part = { fromMin: 9 * 60, toMin: 17 * 60 };
/** How long a break is at first, and the least that is left on either side of one. */
const BREAK_MIN = 60;
const LEAST_MIN = 15;

const two = (n: number) => String(n).padStart(2, "0");
/** A time of day as time fields have it; the end of the day is a minute before midnight there. */
const timeOf = (minutes: number) => {
  const m = Math.min(minutes, 24 * 60 - 1);
  return `${two(Math.floor(m / 60))}:${two(m % 60)}`;
};
const minutesIn = (time: string): number | null => {
  const [h, m] = time.split(":").map(Number);
  return time !== "" && Number.isInteger(h) && Number.isInteger(m) ? 60 * h + m : null;
};

/** The middle of a stretch taken out of it; null where there is no room for that. */
function parted({ fromMin, toMin }: Part): Day | null {
  if (toMin - fromMin < BREAK_MIN + 2 * LEAST_MIN) return null;
  const noon = 12 * 60;
  const middle = Math.round((fromMin + toMin - BREAK_MIN) / 30) * 15;
  const at = fromMin < noon && noon + BREAK_MIN < toMin ? noon : middle;
  return [
    { fromMin, toMin: at },
    { fromMin: at + BREAK_MIN, toMin },
  ];
}

/** Working hours by weekday, with breaks between. */
export function HoursFields({ hours, onChange }: { hours: Hours; onChange: (to: Hours) => void }) {
  const set = (i: number, day: Day) => onChange(hours.map((h, k) => (k === i ? day : h)));
  const week = hours.flat().reduce((sum, h) => sum + h.toMin - h.fromMin, 0);
  return (
    <Stack gap="2">
      {WEEKDAYS.map((name, i) => (
        <DayRow key={name} name={name} day={hours[i]} onChange={(day) => set(i, day)} />
      ))}
      <Text color="graphite" fontSize="sm">
        {`${Math.floor(week / 60)} h ${week % 60 === 0 ? "" : `${week % 60} min `}a week at the bench.`}
      </Text>
    </Stack>
  );
}

function DayRow({ name, day, onChange }: { name: string; day: Day; onChange: (day: Day) => void }) {
  const last = day.at(-1);
  const broken = last && day.length < MOST_STRETCHES ? parted(last) : null;
  return (
    <Grid templateColumns="100px minmax(0, 1fr)" gap="1.5" alignItems="start">
      <Flex minH="36px" align="center">
        <Tick label={name} checked={day.length > 0} onChange={(on) => onChange(on ? [USUAL] : [])} />
      </Flex>
      {day.length === 0 ? (
        <Text color="graphite" minH="36px" lineHeight="36px">
          off
        </Text>
      ) : (
        <Stack gap="1">
          {day.map((part, i) => (
            <StretchRow
              // biome-ignore lint/suspicious/noArrayIndexKey: a stretch is told by its place in the day
              key={i}
              name={day.length > 1 ? `${name}, part ${i + 1}` : name}
              part={part}
              leastMin={day[i - 1]?.toMin ?? 0}
              mostMin={day[i + 1]?.fromMin ?? 24 * 60}
              onChange={(to) => onChange(day.map((p, k) => (k === i ? to : p)))}
              onRemove={day.length > 1 ? () => onChange(day.filter((_, k) => k !== i)) : null}
              onBreak={
                broken && i === day.length - 1 ? () => onChange([...day.slice(0, -1), ...broken]) : null
              }
            />
          ))}
        </Stack>
      )}
    </Grid>
  );
}

interface StretchRowProps {
  readonly name: string;
  readonly part: Part;
  readonly leastMin: number;
  readonly mostMin: number;
  readonly onChange: (to: Part) => void;
  readonly onRemove: (() => void) | null;
  readonly onBreak: (() => void) | null;
}

function StretchRow({ name, part, leastMin, mostMin, onChange, onRemove, onBreak }: StretchRowProps) {
  // What is typed stands while it is no stretch yet: a time is typed digit by digit, and each is heard.
  const [typed, setTyped] = useState<Partial<Record<keyof Part, string>>>({});
  const nextOf = (of: typeof typed): Part => ({
    fromMin: minutesIn(of.fromMin ?? "") ?? part.fromMin,
    toMin: minutesIn(of.toMin ?? "") ?? part.toMin,
  });
  const fault = ({ fromMin, toMin }: Part): string | null =>
    fromMin >= toMin
      ? "The end must come after the beginning."
      : fromMin < leastMin || toMin > mostMin
        ? "It runs into another part of the day."
        : null;
  const wrong = fault(nextOf(typed));
  const type = (of: keyof Part, time: string) => {
    const next = { ...typed, [of]: time };
    setTyped(next);
    if (minutesIn(time) !== null && !fault(nextOf(next))) onChange(nextOf(next));
  };
  const time = (of: keyof Part, label: string) => (
    <Input
      type="time"
      size="sm"
      px="1.5"
      fontSize="sm"
      // Its hours are typed, or stepped by keys: a picker would stand over them.
      css={{ "&::-webkit-calendar-picker-indicator": { display: "none" } }}
      bg="ground"
      aria-label={`${name}, ${label}`}
      aria-invalid={wrong !== null}
      value={typed[of] ?? timeOf(part[of])}
      onChange={(e) => type(of, e.target.value)}
      onBlur={() => !wrong && setTyped({})}
    />
  );
  return (
    <>
      <Grid templateColumns="minmax(0, 1fr) auto minmax(0, 1fr) 52px" gap="1" alignItems="center">
        {time("fromMin", "from")}
        <Text color="graphite">to</Text>
        {time("toMin", "to")}
        <Flex>
          {onRemove && (
            <SmallButton name={`Take out: ${name}`} says="Take it out" onClick={onRemove}>
              <X />
            </SmallButton>
          )}
          {onBreak && (
            <SmallButton name={`A break: ${name}`} says="A break" onClick={onBreak}>
              <Plus />
            </SmallButton>
          )}
        </Flex>
      </Grid>
      {wrong && (
        <Text color="fault" fontSize="sm" role="alert">
          {wrong}
        </Text>
      )}
    </>
  );
}

function SmallButton(props: { name: string; says: string; onClick: () => void; children: ReactNode }) {
  return (
    <IconButton size="2xs" variant="ghost" aria-label={props.name} title={props.says} onClick={props.onClick}>
      {props.children}
    </IconButton>
  );
}
