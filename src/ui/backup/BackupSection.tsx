"use client";
import { Box, Button, HStack, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { type Backup, LARGEST_BACKUP_BYTES, readBackup } from "@/core/files/backup/backup";
import { backupAge, makeBackup, type PlannedRow, planOf, planRestore, restore } from "@/store/backup";
import { allowFolder, backUpNow, canUseFolder, chooseFolder, folder, leaveFolder } from "@/store/folder";
import { askToPersist } from "@/store/storage";
import { useKept } from "@/store/useKept";
import { backupFailureWords } from "@/words/storage";
import { FileButton } from "../fields/FileButton";
import { downloadEverything } from "../files";
import { attempt, notices } from "../shell/notice";
import { RestorePreview } from "./RestorePreview";

/** One file with everything: saved, kept up in a folder, and taken in again. */
export function BackupSection() {
  const age = useKept(() => backupAge(), []);
  const [plan, setPlan] = useState<{ backup: Backup; rows: readonly PlannedRow[] } | null>(null);
  const [refused, setRefused] = useState<string | null>(null);

  const open = async (file: File) => {
    setRefused(null);
    setPlan(null);
    const bytes = file.size > LARGEST_BACKUP_BYTES ? null : new Uint8Array(await file.arrayBuffer());
    const reading = bytes ? readBackup(bytes) : ({ ok: false, code: "too-large" } as const);
    if (!reading.ok) return setRefused(`${file.name}: ${backupFailureWords(reading)}`);
    setPlan({ backup: reading.backup, rows: await planRestore(reading.backup) });
  };
  const take = async (rows: readonly PlannedRow[], manner: Parameters<typeof restore>[1]) => {
    const before = await makeBackup();
    await restore(rows, manner);
    setPlan(null);
    notices.create({
      title: "The backup is taken in",
      duration: 60_000,
      action: {
        label: "Undo",
        onClick: () =>
          void attempt("It could not be undone", async () => {
            await restore(planOf(before), "replace");
            notices.success({ title: "Everything is as it was before" });
          }),
      },
    });
  };

  return (
    <Stack bg="sheet" borderWidth="1px" borderRadius="md" p="5" gap="3" id="backup">
      <Text fontWeight="600">Backup</Text>
      <Text color="graphite">
        One file with everything this browser keeps: knives with their variants and history, the bin, prices,
        settings.{" "}
        {age?.last ? `The last one was made ${format(age.last, "d MMM yyyy, HH:mm")}.` : "There is none yet."}
      </Text>
      <HStack wrap="wrap">
        <Button onClick={() => void attempt("The backup could not be made", downloadEverything)}>
          Save a backup
        </Button>
        <FileButton
          accept=".json,application/json"
          testId="backup-file"
          failure="The backup could not be read"
          onFiles={([file]) => open(file)}
        >
          Restore from a backup …
        </FileButton>
      </HStack>
      {refused && (
        <Text color="fault" role="alert">
          Nothing was changed. {refused}
        </Text>
      )}
      {plan && (
        <RestorePreview
          made={plan.backup.made}
          rows={plan.rows}
          onCancel={() => setPlan(null)}
          onRestore={(manner) =>
            void attempt("The backup was not taken in: nothing was changed", () => take(plan.rows, manner))
          }
        />
      )}
      <FolderPart />
      <Persistence />
    </Stack>
  );
}

/** Backing up by itself, to a folder of the maker's choice. */
function FolderPart() {
  const { state, name, wroteAt } = useStore(folder);
  const [can, setCan] = useState<boolean | null>(null);
  useEffect(() => setCan(canUseFolder()), []);
  if (can === null) return null;
  if (!can)
    return (
      <Text color="graphite" fontSize="sm">
        This browser gives no access to folders, so backups are not made by themselves. The Rack reminds you
        when the last one is two weeks old.
      </Text>
    );
  const choose = () =>
    attempt("The folder could not be used", async () => {
      if (await chooseFolder()) notices.success({ title: "Backups go to that folder from now on" });
    });
  return (
    <Box borderTopWidth="1px" pt="3">
      {state === "none" && (
        <HStack wrap="wrap">
          <Button variant="outline" onClick={() => void choose()}>
            Back up to a folder by itself …
          </Button>
          <Text color="graphite" fontSize="sm" flex="1">
            A file a day, brought up to date while you work.
          </Text>
        </HStack>
      )}
      {state !== "none" && (
        <HStack wrap="wrap">
          <Text flex="1" color={state === "failed" ? "fault" : undefined} data-testid="folder-state">
            {state === "on" &&
              `Backed up to “${name}” by itself${wroteAt ? `, last ${format(wroteAt, "HH:mm:ss")}` : ""}.`}
            {state === "ask" && `The browser wants to be asked again for the folder “${name}”.`}
            {state === "failed" && `The folder “${name}” could not be written to.`}
          </Text>
          {state === "ask" ? (
            <Button size="sm" onClick={() => void attempt("The folder could not be used", allowFolder)}>
              Allow
            </Button>
          ) : (
            <Button
              size="sm"
              variant="outline"
              onClick={() => void attempt("The folder could not be used", backUpNow)}
            >
              Now
            </Button>
          )}
          <Button
            size="sm"
            variant="ghost"
            onClick={() => void attempt("The folder could not be left", leaveFolder)}
          >
            Stop
          </Button>
        </HStack>
      )}
    </Box>
  );
}

/** Whether the browser may clear what is kept here when it runs short of room. */
function Persistence() {
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    void askToPersist().then(setKept);
  }, []);
  if (kept === null) return null;
  return (
    <Text color="graphite" fontSize="sm">
      {kept
        ? "The browser has promised not to clear what is kept here by itself."
        : "The browser may clear what is kept here when it runs short of room: keep backups."}
    </Text>
  );
}
