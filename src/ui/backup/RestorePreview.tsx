"use client";
import { Box, Button, HStack, List, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { useState } from "react";
import type { PlannedRow, RestoreManner, RowFate } from "@/store/backup";
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
  readonly made: string;
  readonly rows: readonly PlannedRow[];
  readonly onRestore: (manner: RestoreManner) => void;
  readonly onCancel: () => void;
}

/** What taking a backup in would do, before it is done. */
export function RestorePreview({ made, rows, onRestore, onCancel }: Props) {
  const [manner, setManner] = useState<RestoreManner>("merge-newer");
  const knives = rows.filter((r) => r.holding.name === "knives");
  const others = rows.filter((r) => r.holding.name !== "knives" && r.fate !== "same");
  return (
    <Stack borderWidth="1px" borderRadius="md" p="4" gap="3" data-testid="restore-preview">
      <Text fontWeight="600">A backup of {format(new Date(made), "d MMM yyyy, HH:mm")}</Text>
      {knives.length === 0 && <Text color="graphite">There are no knives in it.</Text>}
      {FATES.map(({ fate, name }) => {
        const of = knives.filter((k) => k.fate === fate);
        if (of.length === 0) return null;
        return (
          <Box key={fate}>
            <Text fontWeight="500">
              {name}: {of.length === 1 ? "1 knife" : `${of.length} knives`}
            </Text>
            {fate !== "same" && (
              <List.Root ps="5" maxH="140px" overflowY="auto" color="graphite" fontSize="sm">
                {of.slice(0, 200).map((k) => (
                  <List.Item key={String(k.row.id)}>
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
      {others.length > 0 && (
        <Text color="graphite" fontSize="sm">
          Beside them {others.length} {others.length === 1 ? "entry" : "entries"} of variants, history, bin,
          prices and settings that are new here or differ.
        </Text>
      )}
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
