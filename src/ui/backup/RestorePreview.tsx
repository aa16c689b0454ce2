"use client";
import { Box, Button, HStack, List, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { useState } from "react";
import type { RestoreManner, RestorePlan, TablePlan } from "@/store/backup/restore";
import type { RowFate } from "@/store/rows";
import { countWords } from "@/words/backup";
import { ChoiceField } from "../fields/ChoiceField";

const MANNERS: { value: RestoreManner; name: string }[] = [
  { value: "merge-newer", name: "Merge: add what is new; of what differs keep the newer" },
  { value: "merge-backup", name: "Merge: add what is new; what differs becomes as in the backup" },
  { value: "replace", name: "Replace: everything here goes, the backup takes its place" },
];

const FATES: { fate: RowFate; name: string }[] = [
  { fate: "new", name: "New" },
  { fate: "changed", name: "Different" },
  { fate: "same", name: "The same" },
  { fate: "unreadable", name: "Cannot be read, left out" },
];

interface Props {
  readonly plan: RestorePlan;
  readonly onRestore: (manner: RestoreManner) => void;
  readonly onCancel: () => void;
}

/** What taking a backup in would do, before it is done: table by table, with the names of what has one. */
export function RestorePreview({ plan, onRestore, onCancel }: Props) {
  const [manner, setManner] = useState<RestoreManner>("merge-newer");
  const tables = plan.tables.filter((t) => FATES.some(({ fate }) => t.fates[fate] > 0));
  return (
    <Stack borderWidth="1px" borderRadius="md" p="4" gap="3" data-testid="restore-preview">
      <Text fontWeight="600">A backup of {format(new Date(plan.made), "d MMM yyyy, HH:mm")}</Text>
      {!tables.some((t) => t.name === "knives") && <Text color="graphite">There are no knives in it.</Text>}
      {tables.map((table) => (
        <TableFates key={table.name} table={table} />
      ))}
      <ChoiceField label="How to restore" value={manner} choices={MANNERS} onChange={setManner} />
      <HStack>
        <Button onClick={() => onRestore(manner)}>Restore</Button>
        <Button variant="ghost" onClick={onCancel}>
          Cancel
        </Button>
        <Text color="graphite" fontSize="sm">
          It can be undone with one click afterwards.
        </Text>
      </HStack>
    </Stack>
  );
}

/** What would become of the rows of one table. */
function TableFates({ table }: { table: TablePlan }) {
  return (
    <Box>
      {FATES.map(({ fate, name }) => {
        if (table.fates[fate] === 0) return null;
        // Of what has no name of its own a line says all.
        const listed = fate === "same" ? [] : table.named.filter((n) => n.fate === fate);
        return (
          <Box key={fate}>
            <Text fontWeight={table.name === "knives" ? "500" : undefined}>
              {name}: {countWords(table.name, table.fates[fate])}
            </Text>
            {listed.length > 0 && (
              <List.Root ps="5" maxH="140px" overflowY="auto" color="graphite" fontSize="sm">
                {listed.slice(0, 200).map((k, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: two things may have one name, and the list does not change
                  <List.Item key={i} overflowWrap="anywhere">
                    {k.name}
                    {fate === "changed" &&
                      (k.newer ? " (the backup's is newer)" : " (the one here is newer)")}
                  </List.Item>
                ))}
              </List.Root>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
