"use client";
import { useEffect, useRef, useState } from "react";
import { type BackupJobs, createBackupJobs } from "@/store/backup/client";
import type { RestoreManner, RestorePlan } from "@/store/backup/restore";
import type { BackupStep } from "@/store/backup/save";
import { firstWorkshop, joinLoose } from "@/store/workshops";
import { backupFailureWords } from "@/words/backup";
import { attempt, notices } from "../kit/notice";

/** A backup that was checked and may be taken in. */
interface Chosen {
  readonly file: File;
  readonly plan: RestorePlan;
}

export interface RestoreState {
  readonly chosen: Chosen | null;
  readonly refused: string | null;
  /** How far the reading or taking in is; null while neither is done. */
  readonly step: BackupStep | null;
  readonly open: (file: File) => Promise<void>;
  readonly take: (manner: RestoreManner) => Promise<void>;
  /** Puts the backup away, or calls off what is under way: nothing is changed. */
  readonly leave: () => void;
}

/** Reads a backup, and takes it in when it is asked to, in a worker. */
export function useRestore(): RestoreState {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [step, setStep] = useState<BackupStep | null>(null);
  const jobs = useRef<BackupJobs | null>(null);
  useEffect(() => () => jobs.current?.cancel(), []);

  const begin = (doing: BackupStep["doing"]): BackupJobs => {
    setStep({ doing, done: 0 });
    jobs.current ??= createBackupJobs(setStep);
    return jobs.current;
  };
  const leave = () => {
    const run = chosen?.plan.run;
    jobs.current?.cancel();
    jobs.current = null;
    setStep(null);
    setChosen(null);
    if (run) void createOnce((j) => j.drop(run));
  };
  const open = async (file: File) => {
    setRefused(null);
    setChosen(null);
    const mine = begin("reading");
    const checked = await mine.check(file);
    if (jobs.current !== mine) return;
    setStep(null);
    if (!checked.ok) throw new Error(checked.message);
    if (!checked.value.ok) return setRefused(`${file.name}: ${backupFailureWords(checked.value)}`);
    setChosen({ file, plan: checked.value.plan });
  };
  const take = async (manner: RestoreManner) => {
    if (!chosen) return;
    const mine = begin("photos");
    const taken = await mine.restore(chosen.plan.run, chosen.file, manner);
    // A backup of an older Euaxis has knives that follow no workshop.
    await firstWorkshop();
    await joinLoose();
    if (jobs.current !== mine) return;
    setStep(null);
    if (!taken.ok) throw new Error(taken.message);
    setChosen(null);
    notices.create({
      title: "The backup is restored",
      duration: 60_000,
      action: {
        label: "Undo",
        onClick: () =>
          void attempt("It could not be undone", async () => {
            const undone = await createOnce((j) => j.undo(taken.value));
            if (!undone.ok) throw new Error(undone.message);
            notices.success({ title: "Everything is as it was before" });
          }),
      },
    });
  };
  return { chosen, refused, step, open, take, leave };
}

/** One job in a worker of its own, which is ended then. */
async function createOnce<T>(job: (jobs: BackupJobs) => Promise<T>): Promise<T> {
  const jobs = createBackupJobs();
  return job(jobs).finally(() => jobs.cancel());
}
