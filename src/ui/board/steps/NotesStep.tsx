"use client";
import { Input, Text, Textarea } from "@chakra-ui/react";
import { type ChangeEvent, useRef } from "react";
import { today } from "@/core/knife/design/job";
import type { KnifeState } from "@/core/knife/design/schema";
import { STATE_WORDS } from "@/words/job";
import { ChoiceField } from "../../fields/ChoiceField";
import { DayField } from "../../fields/DayField";
import { FieldRow } from "../../fields/FieldRow";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** Letters that they have at most: as the schema has it. */
const MOST = { notes: 4000, customer: 120 };

const DAYS = [
  ["begunOn", "Begun on"],
  ["dueOn", "Due on"],
  ["finishedOn", "Finished on"],
] as const;

/** What is to be remembered of a knife, for whom it is made, how far it has come, and its days. */
export function NotesStep() {
  const { edit } = useBench();
  const job = useDesign((d) => d.job);
  const notes = useDesign((d) => d.notes);
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
          onChange={(state) => edit({ code: "job-state", state, day: today() })}
        />
        <Written
          label="Customer"
          value={job.customer}
          most={MOST.customer}
          onChange={(to, gesture) => edit({ code: "set", path: "job.customer", to }, { gesture })}
        />
        {DAYS.map(([key, label]) => (
          <FieldRow key={key} label={label}>
            <DayField
              value={job[key]}
              onChange={(day) => edit({ code: "set", path: `job.${key}`, to: day })}
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
          onChange={(to, gesture) => edit({ code: "set", path: "notes", to }, { gesture })}
        />
      </Group>
    </>
  );
}

/** A text that is kept as it is written; one stay in it is one step of undo. */
function Written(props: {
  label: string;
  value: string;
  most: number;
  lines?: boolean;
  onChange: (text: string, gesture: string) => void;
}) {
  const { label, value, most, lines, onChange } = props;
  const stay = useRef(0);
  const shared = {
    size: "sm",
    bg: "ground",
    maxLength: most,
    value,
    onFocus: () => {
      stay.current++;
    },
    onChange: (e: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) =>
      onChange(e.target.value, `${label} ${stay.current}`),
  } as const;
  return lines ? (
    <Textarea
      {...shared}
      aria-label={label}
      rows={9}
      lineHeight="1.4"
      placeholder="Whatever is to be remembered of this knife"
    />
  ) : (
    <FieldRow label={label} wide>
      <Input {...shared} />
    </FieldRow>
  );
}
