"use client";
import { Box, Button, HStack, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { backupAge } from "@/store/backup/age";
import { allowFolder, backUpNow, canUseFolder, chooseFolder, folder, leaveFolder } from "@/store/folder";
import { askToPersist } from "@/store/storage";
import { useKept } from "@/store/useKept";
import { backupContentWords, stepWords } from "@/words/backup";
import { FileButton } from "../fields/FileButton";
import { attempt, notices } from "../kit/notice";
import { ProgressLine } from "../kit/ProgressLine";
import { RestorePreview } from "./RestorePreview";
import { useRestore } from "./useRestore";
import { useSaveBackup } from "./useSaveBackup";

/** One file with everything: saved, kept up in a folder, and taken in again. */
export function BackupSection() {
  const age = useKept(() => backupAge(), []);
  const saving = useSaveBackup("The backup was not made");
  const restoring = useRestore();
  const busy = saving.step ?? restoring.step;
  return (
    <Stack bg="sheet" borderWidth="1px" borderRadius="md" p="5" gap="3" id="backup">
      <Text fontWeight="600">Backup</Text>
      <Text color="graphite">
        One ZIP file with everything this browser keeps: {backupContentWords()}. What is made is read back and
        counted.{" "}
        {age?.last ? `The last one was made ${format(age.last, "d MMM yyyy, HH:mm")}.` : "There is none yet."}
      </Text>
      <HStack wrap="wrap">
        <Button disabled={busy !== null} onClick={saving.save}>
          Save a backup
        </Button>
        <FileButton
          accept=".zip,.json,application/zip,application/json"
          testId="backup-file"
          failure="The backup could not be read: nothing was changed"
          disabled={busy !== null}
          onFiles={([file]) => restoring.open(file)}
        >
          Restore from a backup …
        </FileButton>
      </HStack>
      {busy && (
        <ProgressLine
          says={stepWords(busy)}
          done={busy.done}
          onCancel={saving.step ? saving.cancel : restoring.leave}
        />
      )}
      {restoring.refused && (
        <Text color="fault" role="alert" overflowWrap="anywhere">
          Nothing was changed. {restoring.refused}
        </Text>
      )}
      {restoring.chosen && !restoring.step && (
        <RestorePreview
          plan={restoring.chosen.plan}
          onCancel={restoring.leave}
          onRestore={(manner) =>
            void attempt("The backup was not restored: nothing was changed", () => restoring.take(manner))
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
