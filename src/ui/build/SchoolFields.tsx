"use client";
import { Button, Heading, Input, Stack } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import { withOwnTask } from "@/core/plan/progress";
import { MOST_PIECES, type Schools } from "@/core/plan/types";
import { plannedWords } from "@/words/plan";
import { SCHOOL_WORDS } from "@/words/schools";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { ShareField } from "../fields/ShareField";
import { Note } from "../report/Section";
import { useBuild } from "./BuildContext";

/** Where makers work in more than one way, and tasks of the maker's own. */
export function SchoolFields() {
  const { plan, change } = useBuild();
  const set = <K extends keyof Schools>(key: K, to: Schools[K]) =>
    change((p) => ({ ...p, schools: { ...p.schools, [key]: to } }));
  return (
    <Stack gap="3">
      <Heading as="h2" size="md" fontWeight="600">
        How you work
      </Heading>
      <ShareField
        label="How many are made"
        help="Each has a tick of its own at every task; the schedule and the shopping list have all of them."
        value={plan.pieces}
        unit=""
        factor={1}
        whole
        min={1}
        max={MOST_PIECES}
        onChange={(pieces) => change((p) => ({ ...p, pieces }))}
      />
      {(Object.keys(SCHOOL_WORDS) as (keyof Schools)[]).map((key) => (
        <ChoiceField
          key={key}
          wide
          label={SCHOOL_WORDS[key].label}
          value={plan.schools[key] as string}
          choices={Object.entries(SCHOOL_WORDS[key].of).map(([value, name]) => ({ value, name }))}
          onChange={(to) => set(key, to as Schools[typeof key])}
        />
      ))}
      <Note>The order follows. What is done stays done; holes, slot and the rest are fitted in Fit-up.</Note>
      <OwnTaskForm />
    </Stack>
  );
}

const NONE = "";

function OwnTaskForm() {
  const { sheet, change } = useBuild();
  const [title, setTitle] = useState("");
  const [after, setAfter] = useState(NONE);
  const [before, setBefore] = useState(NONE);
  const [activeMin, setActiveMin] = useState(30);
  const [wrong, setWrong] = useState<string | null>(null);
  const choices = [
    { value: NONE, name: "anything" },
    ...sheet.tasks.map((t, i) => ({ value: t.id, name: `${i + 1} ${plannedWords(t)}` })),
  ];
  const add = () => {
    const place = (id: string) => sheet.tasks.findIndex((t) => t.id === id);
    if (title.trim() === "") return setWrong("Say what is to be done.");
    if (after !== NONE && before !== NONE && place(after) >= place(before))
      return setWrong("It would wait for itself: what it comes after stands behind what it comes before.");
    setWrong(null);
    change((p) =>
      withOwnTask(p, {
        id: `own:${nanoid(8)}`,
        title: title.trim(),
        after: after || null,
        before: before || null,
        activeMin,
        waitMin: 0,
      }),
    );
    setTitle("");
  };
  return (
    <Stack gap="2" borderTopWidth="1px" pt="3" role="group" aria-label="A task of your own">
      <Heading as="h3" size="sm" fontWeight="600">
        A task of your own
      </Heading>
      <FieldRow label="What" wide wrong={wrong}>
        <Input
          size="sm"
          bg="ground"
          maxLength={120}
          value={title}
          onChange={(e) => setTitle(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && add()}
        />
      </FieldRow>
      <ChoiceField wide label="After" value={after} choices={choices} onChange={setAfter} />
      <ChoiceField wide label="Before" value={before} choices={choices} onChange={setBefore} />
      <ShareField
        label="Minutes"
        value={activeMin}
        min={0}
        max={100_000}
        unit="min"
        onChange={setActiveMin}
      />
      <Button size="sm" variant="outline" onClick={add}>
        <Plus /> Add it
      </Button>
    </Stack>
  );
}
