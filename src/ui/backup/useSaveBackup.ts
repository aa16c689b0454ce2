"use client";
import { useEffect, useRef, useState } from "react";
import type { BackupStep } from "@/store/backup/save";
import { attempt } from "../kit/notice";
import type { SavingBackup } from "./saveFile";

/** Saves everything as one file, shows how far that is, and calls it off. */
export function useSaveBackup(failure: string) {
  const [step, setStep] = useState<BackupStep | null>(null);
  const saving = useRef<SavingBackup | null>(null);
  useEffect(() => () => saving.current?.cancel(), []);
  const end = () => {
    saving.current = null;
    setStep(null);
  };
  return {
    step,
    save: () => {
      if (saving.current) return;
      setStep({ doing: "writing", done: 0 });
      void attempt(failure, async () => {
        const { saveEverything } = await import("./saveFile");
        const mine = saveEverything(setStep);
        saving.current = mine;
        await mine.done.finally(end);
      });
    },
    cancel: () => {
      saving.current?.cancel();
      end();
    },
  };
}
