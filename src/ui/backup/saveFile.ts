import type { BackupJobs } from "@/store/backup/client";
import type { BackupStep, SavedBackup } from "@/store/backup/save";
import { savedWords } from "@/words/backup";
import { download } from "../files/files";
import { notices } from "../kit/notice";

/** A backup that is being made: how far it is, and how it is called off. */
export interface SavingBackup {
  readonly done: Promise<void>;
  readonly cancel: () => void;
}

/**
 * Saves everything as one file; where the database cannot be read, what is in memory of it, and what is missing is said. The
 * file is read back before it is said to be made.
 */
export function saveEverything(onStep: (step: BackupStep) => void): SavingBackup {
  let jobs: BackupJobs | null = null;
  let cancelled = false;
  const hand = ({ file, made }: SavedBackup) => download(file, `euaxis-backup-${made.slice(0, 10)}.zip`);
  const work = async () => {
    const [{ createBackupJobs }, { noteBackup }] = await Promise.all([
      import("@/store/backup/client"),
      import("@/store/backup/age"),
    ]);
    jobs = createBackupJobs(onStep);
    const saved = await jobs.save();
    if (cancelled) return;
    if (saved.ok) {
      hand(saved.value);
      await noteBackup().catch(() => undefined);
      const description = savedWords(saved.value);
      notices.success({ id: "backup-made", title: "The backup is made", description, duration: 30_000 });
      return;
    }
    console.error("the database could not be read", saved.message);
    const waiting = await jobs.save(false);
    if (cancelled) return;
    if (!waiting.ok || Object.keys(waiting.value.rows).length === 0) throw new Error(saved.message);
    hand(waiting.value);
    notices.error({
      title: "Only what waits to be written is in the file",
      description: `${savedWords(waiting.value)} The browser's database cannot be read.`,
    });
  };
  return {
    done: work().finally(() => jobs?.cancel()),
    cancel: () => {
      cancelled = true;
      jobs?.cancel();
    },
  };
}
