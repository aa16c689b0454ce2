import type { BackupService } from "./backup.messages";
import { checkBackup, dropRun, restoreBackup, undoRestore } from "./restore";
import { saveBackup } from "./save";

/** The store's own functions, for the worker, and for a page whose database is in its memory. */
export const backupService: BackupService = {
  save: (waiting, stored, tell) => saveBackup(waiting, tell, { stored }),
  check: checkBackup,
  restore: restoreBackup,
  undo: undoRestore,
  drop: dropRun,
};
