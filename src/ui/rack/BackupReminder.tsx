"use client";
import { Alert, Button } from "@chakra-ui/react";
import { useState } from "react";
import { useStore } from "zustand";
import { backupAge } from "@/store/backup/age";
import { folder } from "@/store/folder";
import { useKept } from "@/store/useKept";
import { stepWords } from "@/words/backup";
import { useSaveBackup } from "../backup/useSaveBackup";
import { ProgressLine } from "../kit/ProgressLine";

/** Says when work has gone long without a backup; not where one is made by itself. */
export function BackupReminder() {
  const age = useKept(() => backupAge(), []);
  const { state } = useStore(folder);
  const saving = useSaveBackup("The backup was not made");
  const [away, setAway] = useState(false);
  if (!age?.due || away || state === "on") return null;
  const days = age.last === null ? null : Math.floor((Date.now() - age.last) / (24 * 3600 * 1000));
  return (
    <Alert.Root status="warning" role="status" alignItems="center">
      <Alert.Indicator />
      <Alert.Content>
        <Alert.Title>
          {days === null ? "There is no backup of your knives yet." : `The last backup is ${days} days old.`}
        </Alert.Title>
        <Alert.Description>They are kept in this browser only. A backup is one file.</Alert.Description>
      </Alert.Content>
      {saving.step ? (
        <ProgressLine says={stepWords(saving.step)} done={saving.step.done} onCancel={saving.cancel} />
      ) : (
        <Button size="sm" onClick={saving.save}>
          Save a backup
        </Button>
      )}
      <Button size="sm" variant="ghost" onClick={() => setAway(true)}>
        Later
      </Button>
    </Alert.Root>
  );
}
