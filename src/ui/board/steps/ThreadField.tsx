"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import type { Fields } from "@/core/base/record/fields";
import { valueAt } from "@/core/base/record/path";
import { printLength } from "@/core/base/units/print";
import { THREADS } from "@/core/base/units/threads";
import { type ThreadSize, threadAt, threadChange } from "@/core/knife/design/threadChange";
import { useUnits } from "@/store/settings";
import { LengthAt } from "../../bound/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../../session/BenchContext";

/** The fields of a record but those of its thread, which is chosen by its name. */
export function withoutThread(fields: Fields): Fields {
  if (!("pitchMm" in fields)) return fields;
  const { diameterMm: _, pitchMm: __, ...others } = fields;
  return others;
}

/** The records that may have a thread. */
type ThreadedPath = `fasteners.${number}` | "tang.end";

/** Sizes that were asked about when a thread was chosen, by the thread. */
interface Asked {
  readonly thread: string;
  readonly sizes: readonly ThreadSize[];
}

/**
 * The thread of the record at a path, by its name or by diameter and pitch; nothing where it has none. Another thread
 * brings its own sizes with it; those that somebody had chosen are asked about.
 */
export function ThreadField({ at, word }: { at: ThreadedPath; word: (key: string) => string }) {
  const { edit, session } = useBench();
  const threaded = useDesign((d) => typeof valueAt(d, `${at}.pitchMm`) === "number");
  const name = useDesign((d) => threadAt(d, at)?.name ?? null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [bySize, setBySize] = useState(false);
  if (!threaded) return null;

  const choose = (to: string) => {
    setAsked(null);
    setBySize(to === OTHER);
    const thread = THREADS.find((t) => t.name === to);
    const change = thread && threadChange(session.getState().design, at, thread);
    if (!change) return;
    edit({ code: "thread", at, thread: to });
    if (change.asks.length > 0) setAsked({ thread: to, sizes: change.asks });
  };
  const shown = bySize ? OTHER : (name ?? OTHER);
  return (
    <>
      <ChoiceField
        label="Thread"
        value={shown}
        choices={[
          ...THREADS.map((t) => ({ value: t.name, name: t.name })),
          { value: OTHER, name: "By diameter and pitch" },
        ]}
        onChange={choose}
        wide={false}
      />
      {shown === OTHER && (
        <>
          <LengthAt at={`${at}.diameterMm`} label="Thread diameter" digits={3} />
          <LengthAt at={`${at}.pitchMm`} label="Pitch" digits={3} />
        </>
      )}
      {asked && asked.thread === name && (
        <AskedSizes at={at} asked={asked} word={word} onDone={() => setAsked(null)} />
      )}
    </>
  );
}

const OTHER = "other";

/** What was not the old thread's own: to set to the new one's, or to keep. */
function AskedSizes(props: { at: string; asked: Asked; word: (key: string) => string; onDone: () => void }) {
  const { at, asked, word, onDone } = props;
  const { edit } = useBench();
  const units = useUnits();
  const mm = (value: number) => printLength(value, units, 2);
  const free = asked.sizes.filter((s) => !s.locked);
  return (
    <Stack
      role="group"
      aria-label="Sizes of the other thread"
      gap="1"
      fontSize="sm"
      borderStartWidth="2px"
      borderColor="bronze"
      ps="2"
    >
      <Text>Not the thread’s own, so they stay:</Text>
      {asked.sizes.map(({ path, fromMm, toMm, locked }) => (
        <Text key={path}>
          {word(path.slice(at.length + 1))} {mm(fromMm)}; {asked.thread} has {mm(toMm)}
          {locked ? " (locked)" : ""}
        </Text>
      ))}
      <Flex gap="2" wrap="wrap">
        {free.length > 0 && (
          <Button
            size="xs"
            variant="outline"
            onClick={() => {
              const sets = free.map(({ path, toMm }) => ({ path, value: toMm }));
              edit({ code: "thread-sizes", thread: asked.thread, sets });
              onDone();
            }}
          >
            Set to {asked.thread}
          </Button>
        )}
        <Button size="xs" variant="ghost" onClick={onDone}>
          Keep
        </Button>
      </Flex>
    </Stack>
  );
}
