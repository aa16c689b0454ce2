import { proxy } from "comlink";
import { type Answer, createClient } from "@/workers/client";
import { isInMemory } from "../factory";
import { ready } from "../storage";
import type { BackupService } from "./backup.messages";
import type { Checked, RestoreManner } from "./restore";
import type { BackupStep, SavedBackup, TellStep } from "./save";
import { waitingRows } from "./source";

/** A job that takes its time, ms: it is the maker who calls it off. */
const WITHIN_MS = 3_600_000;
/** Between two tellings of how far it is, ms. */
const TELL_EVERY_MS = 100;

export interface BackupJobs {
  /** Everything that is kept, and what waits to be; `stored: false` only what waits. */
  save(stored?: boolean): Promise<Answer<SavedBackup>>;
  check(file: Blob): Promise<Answer<Checked>>;
  restore(run: string, file: Blob, manner: RestoreManner): Promise<Answer<string>>;
  undo(run: string): Promise<Answer<void>>;
  drop(run: string): Promise<Answer<void>>;
  /** Calls off what is under way: it changes nothing. */
  cancel(): void;
}

const startWorker = () => new Worker(new URL("./backup.worker.ts", import.meta.url), { type: "module" });

/**
 * Does what backups ask for in a worker; on the page where its database is in its memory, which no worker sees. `onStep` is
 * told how far it is.
 */
export function createBackupJobs(
  onStep: (step: BackupStep) => void = () => undefined,
  start: () => Worker = startWorker,
): BackupJobs {
  let client: ReturnType<typeof createClient<BackupService>> | null = null;
  let cancelled = 0;

  async function ask<T>(
    question: (service: BackupService, tell: TellStep) => Promise<T>,
  ): Promise<Answer<T>> {
    await ready();
    const mine = cancelled;
    let toldAt = 0;
    let doing = "";
    const tell: TellStep = (step) => {
      if (cancelled !== mine) {
        // On the page that is what ends the work; a worker is ended by itself, and what it still says is of no concern.
        if (isInMemory()) throw new Error("it was called off");
        return;
      }
      const now = Date.now();
      if (step.doing === doing && now - toldAt < TELL_EVERY_MS) return;
      toldAt = now;
      doing = step.doing;
      onStep(step);
    };
    if (isInMemory()) {
      const { backupService } = await import("./backup.service");
      try {
        return { ok: true, value: await question(backupService, tell) };
      } catch (error) {
        const code = cancelled === mine ? "failed" : "disposed";
        return { ok: false, code, message: error instanceof Error ? error.message : String(error) };
      }
    }
    client ??= createClient<BackupService>(start, { withinMs: WITHIN_MS, waiting: "all" });
    return client.ask((s) => question(s, proxy(tell))) as Promise<Answer<T>>;
  }

  return {
    save: (stored = true) => ask((s, tell) => s.save(waitingRows(), stored, tell)),
    check: (file) => ask((s, tell) => s.check(file, tell)),
    restore: (run, file, manner) => ask((s, tell) => s.restore(run, file, manner, tell)),
    undo: (run) => ask((s) => s.undo(run)),
    drop: (run) => ask((s) => s.drop(run)),
    cancel: () => {
      cancelled++;
      client?.dispose();
      client = null;
    },
  };
}
