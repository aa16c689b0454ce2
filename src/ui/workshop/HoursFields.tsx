"use client";
import { Grid, Input, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import type { Workshop } from "@/core/knife/design/record/workshop";
import { WEEKDAYS } from "@/words/workshop";
import { Tick } from "../fields/Tick";

type Hours = Workshop["hours"];
type Day = NonNullable<Hours[number]>;

const USUAL: Day = { fromMin: 9 * 60, toMin: 17 * 60 };

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

/** Working hours by weekday. */
export function HoursFields({ hours, onChange }: { hours: Hours; onChange: (to: Hours) => void }) {
  const set = (i: number, day: Hours[number]) => onChange(hours.map((h, k) => (k === i ? day : h)));
  const week = hours.reduce((sum, h) => sum + (h ? h.toMin - h.fromMin : 0), 0);
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

function DayRow(props: { name: string; day: Hours[number]; onChange: (day: Hours[number]) => void }) {
  const { name, day, onChange } = props;
  // What is typed stands while it is no day yet: a time is typed digit by digit, and each is heard.
  const [typed, setTyped] = useState<Partial<Record<keyof Day, string>>>({});
  const nextOf = (of: typeof typed): Day => ({
    fromMin: minutesIn(of.fromMin ?? "") ?? day?.fromMin ?? USUAL.fromMin,
    toMin: minutesIn(of.toMin ?? "") ?? day?.toMin ?? USUAL.toMin,
  });
  const inOrder = ({ fromMin, toMin }: Day) => fromMin < toMin;
  const wrong = day !== null && !inOrder(nextOf(typed));
  const type = (of: keyof Day, time: string) => {
    const next = { ...typed, [of]: time };
    setTyped(next);
    if (minutesIn(time) !== null && inOrder(nextOf(next))) onChange(nextOf(next));
  };
  const time = (of: keyof Day, label: string) => (
    <Input
      type="time"
      size="sm"
      px="1.5"
      fontSize="sm"
      css={{ "&::-webkit-calendar-picker-indicator": { marginInlineStart: 0, padding: 0 } }}
      bg="ground"
      aria-label={`${name}, ${label}`}
      aria-invalid={wrong}
      value={typed[of] ?? (day ? timeOf(day[of]) : "")}
      disabled={!day}
      onChange={(e) => type(of, e.target.value)}
      onBlur={() => !wrong && setTyped({})}
    />
  );
  return (
    <Grid templateColumns="100px minmax(0, 1fr) auto minmax(0, 1fr)" gap="1.5" alignItems="center">
      <Tick
        label={name}
        checked={day !== null}
        onChange={(on) => {
          setTyped({});
          onChange(on ? USUAL : null);
        }}
      />
      {day ? (
        <>
          {time("fromMin", "from")}
          <Text color="graphite">to</Text>
          {time("toMin", "to")}
        </>
      ) : (
        <Text color="graphite" gridColumn="span 3" py="1.5">
          off
        </Text>
      )}
      {wrong && (
        <Text color="fault" fontSize="sm" role="alert" gridColumn="span 4">
          The end must come after the beginning.
        </Text>
      )}
    </Grid>
  );
}
