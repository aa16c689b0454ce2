"use client";
import { Input, Text, Textarea } from "@chakra-ui/react";
import { useState } from "react";
import type { Job, KnifeState } from "@/core/design/schema";
import { STATE_WORDS } from "@/words/job";
import { ChoiceField } from "../../fields/ChoiceField";
import { FieldRow } from "../../fields/FieldRow";
import { useBench, useDesign } from "../BenchContext";
import { Group } from "./Group";

/** Letters that they have at most: as the schema has it. */
const MOST = { notes: 4000, customer: 120 };

const DAYS = [
  ["begunOn", "Begun on"],
  ["dueOn", "Due on"],
  ["finishedOn", "Finished on"],
] as const;

/** Today as the record has days, in the maker's own time. */
function today(): string {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, "0");
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** What is to be remembered of a knife, for whom it is made, how far it has come, and its days. */
export function NotesStep() {
  const { edit } = useBench();
  const job = useDesign((d) => d.job);
  const notes = useDesign((d) => d.notes);
  const change = (label: string, part: Partial<Job>) =>
    edit(label, (d) => {
      Object.assign(d.job, part);
    });
  const come = (state: KnifeState) => {
    // The day that it came so far, unless one was said already.
    const begunOn = state === "planned" ? job.begunOn : (job.begunOn ?? today());
    const done = state === "finished" || state === "gone";
    change(`Change state to ${STATE_WORDS[state].toLowerCase()}`, {
      state,
      begunOn,
      finishedOn: done ? (job.finishedOn ?? today()) : job.finishedOn,
    });
  };
  return (
    <>
      <Group title="The order">
        <ChoiceField
          label="State"
          value={job.state}
          choices={(Object.keys(STATE_WORDS) as KnifeState[]).map((value) => ({
            value,
            name: STATE_WORDS[value],
          }))}
          onChange={come}
        />
        <Written
          label="Customer"
          value={job.customer}
          most={MOST.customer}
          onChange={(customer) => change("Change customer", { customer })}
        />
        {DAYS.map(([key, label]) => (
          <FieldRow key={key} label={label}>
            <Input
              size="sm"
              bg="ground"
              type="date"
              value={job[key] ?? ""}
              onChange={(e) =>
                change(`Change the day: ${label.toLowerCase()}`, { [key]: e.target.value || null })
              }
            />
          </FieldRow>
        ))}
        {job.dueOn && job.begunOn && job.dueOn < job.begunOn && (
          <Text color="warn" fontSize="sm">
            It is due before it was begun.
          </Text>
        )}
        {job.finishedOn && job.begunOn && job.finishedOn < job.begunOn && (
          <Text color="warn" fontSize="sm">
            It was finished before it was begun.
          </Text>
        )}
      </Group>
      <Group title="Notes">
        <Written
          label="Notes"
          value={notes}
          most={MOST.notes}
          lines
          onChange={(text) =>
            edit("Change notes", (d) => {
              d.notes = text;
            })
          }
        />
      </Group>
    </>
  );
}

/** A text that is taken when it is left; Escape takes back what was typed. */
function Written(props: {
  label: string;
  value: string;
  most: number;
  lines?: boolean;
  onChange: (text: string) => void;
}) {
  const { label, value, most, lines, onChange } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const leave = () => {
    if (typed !== null && typed !== value) onChange(typed);
    setTyped(null);
  };
  const shared = {
    size: "sm",
    bg: "ground",
    maxLength: most,
    value: typed ?? value,
    onBlur: leave,
  } as const;
  if (lines)
    return (
      <Textarea
        {...shared}
        aria-label={label}
        rows={9}
        lineHeight="1.4"
        placeholder="Whatever is to be remembered of this knife"
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Escape") setTyped(null);
        }}
      />
    );
  return (
    <FieldRow label={label} wide>
      <Input
        {...shared}
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter") leave();
          if (e.key === "Escape") setTyped(null);
        }}
      />
    </FieldRow>
  );
}
