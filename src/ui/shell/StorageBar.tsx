"use client";
import { Alert, Button, HStack } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { takeUpKeptFolder } from "@/store/keptFolder";
import { storage } from "@/store/storage";
import { stepWords } from "@/words/backup";
import { TROUBLE_WORDS } from "@/words/storage";
import { useSaveBackup } from "../backup/useSaveBackup";
import { notices } from "../kit/notice";

/** Says when what is made here is not kept by the browser, what can be done about it, and when it is kept again. */
export function StorageBar() {
  const { state, trouble, waiting, newerTab } = useStore(storage);
  const [busy, setBusy] = useState(false);
  const saving = useSaveBackup("The file could not be made");
  const unsafe = state === "memory" || waiting.size > 0;
  useEffect(() => {
    // The folder that backups go to by themselves is taken up wherever one comes in.
    takeUpKeptFolder().catch((error: unknown) => console.error("no backup is made by itself", error));
  }, []);
  useEffect(() => {
    if (!unsafe) return;
    // The browser asks before it closes a tab with work that is nowhere else.
    const ask = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [unsafe]);

  const again = async () => {
    setBusy(true);
    const well = await import("@/store/leaveMemory")
      .then((m) => m.leaveMemory())
      .catch((error: unknown) => {
        console.error("it is still not kept", error);
        return false;
      });
    setBusy(false);
    if (well) notices.success({ title: "Everything is kept again" });
    else notices.error({ title: "It still cannot be written" });
  };
  if (!unsafe && newerTab)
    return (
      <Alert.Root status="info" role="status" borderRadius="0">
        <Alert.Indicator />
        <Alert.Title>A newer Euaxis runs in another tab. Reload this page to work with it.</Alert.Title>
      </Alert.Root>
    );
  if (!unsafe) return null;
  const names = [...new Set(waiting.values())].slice(0, 3).join(", ");
  return (
    <Alert.Root status="error" role="alert" borderRadius="0" alignItems="center">
      <Alert.Indicator />
      <Alert.Content>
        <Alert.Title>
          {state === "memory"
            ? "Nothing is kept: what you make is in this tab only, and gone when it closes."
            : `Not written: ${names}${waiting.size > 3 ? ` and ${waiting.size - 3} more` : ""}. It is in this tab only, and tried again by itself.`}
        </Alert.Title>
        <Alert.Description>
          {trouble ? TROUBLE_WORDS[trouble] : ""} Work goes on; export everything to a file before you close
          the tab.
        </Alert.Description>
      </Alert.Content>
      <HStack>
        <Button size="sm" variant="outline" loading={busy} onClick={() => void again()}>
          Try again
        </Button>
        {saving.step ? (
          <Button size="sm" onClick={saving.cancel}>
            {stepWords(saving.step)} · Cancel
          </Button>
        ) : (
          <Button size="sm" onClick={saving.save}>
            Export everything
          </Button>
        )}
      </HStack>
    </Alert.Root>
  );
}
