"use client";
import { Button, Flex, Link, NativeSelect, Text } from "@chakra-ui/react";
import { X } from "lucide-react";
import { changeComparison, MOST_COMPARED } from "@/store/comparison";
import type { Column } from "../cost/column";
import { Note, Section } from "../report/Section";
import { useBench } from "../session/BenchContext";
import { ComparisonDrawing } from "./ComparisonDrawing";
import { type Choice, keyOf } from "./useColumns";

/** What lies side by side, drawn with the datum in one line; more can be laid beside, or taken away. */
export function ComparisonSection(props: { columns: readonly Column[]; choices: readonly Choice[] }) {
  const { columns, choices } = props;
  const { knifeId } = useBench();
  const shown = new Set(columns.map((c) => c.key));
  const free = choices.filter((c) => !shown.has(keyOf(c.compared)));
  const full = columns.length >= MOST_COMPARED;
  const add = (key: string) => {
    const choice = free.find((c) => keyOf(c.compared) === key);
    if (choice) void changeComparison(knifeId, (now) => [...now, choice.compared]);
  };
  const take = (column: Column) =>
    void changeComparison(knifeId, (now) => now.filter((b) => keyOf(b) !== column.key));
  const groups = [
    { id: "variants", name: "Variants of this knife" },
    { id: "knives", name: "On the rack" },
  ] as const;
  return (
    <Section id="beside" title="Side by side">
      <Flex gap="2" align="center" wrap="wrap">
        <NativeSelect.Root size="sm" width="280px" maxW="full" disabled={full}>
          <NativeSelect.Field
            bg="sheet"
            aria-label="Add another to compare"
            value=""
            onChange={(e) => add(e.target.value)}
          >
            <option value="">Add another …</option>
            {groups.map(({ id, name }) => {
              const list = free.filter((c) => c.group === id);
              return list.length === 0 ? null : (
                <optgroup key={id} label={name}>
                  {list.map((c) => (
                    <option key={keyOf(c.compared)} value={keyOf(c.compared)}>
                      {c.name}
                    </option>
                  ))}
                </optgroup>
              );
            })}
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        {columns
          .filter((c) => c.compared)
          .map((c) => (
            <Button
              key={c.key}
              size="sm"
              variant="outline"
              bg="sheet"
              aria-label={`No longer beside: ${c.name}`}
              onClick={() => take(c)}
            >
              {c.name} <X />
            </Button>
          ))}
        {full && <Text color="graphite">Four lie side by side: take one away to lay another.</Text>}
      </Flex>
      <ComparisonDrawing columns={columns} />
      {columns.length === 1 && (
        <Note>
          Lay a knife of the rack or a variant beside this one.{" "}
          <Link href="#variants" textDecoration="underline">
            Variants
          </Link>{" "}
          are made further down: as the knife is now, or the same blade in six handles.
        </Note>
      )}
    </Section>
  );
}
