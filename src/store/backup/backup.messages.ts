import type { Checked, RestoreManner } from "./restore";
import type { SavedBackup, TellStep } from "./save";
import type { WaitingRows } from "./source";

/** What the backup's worker answers to; it has a connection of its own to the browser's database. */
export interface BackupService {
  /** Everything as one file; `stored: false` leaves out the database, where it cannot be read. */
  save(waiting: WaitingRows, stored: boolean, tell: TellStep): Promise<SavedBackup>;
  /** What taking a file in would do. */
  check(file: Blob, tell: TellStep): Promise<Checked>;
  /** Takes in what was checked, all or none; answers what undoes it. */
  restore(run: string, file: Blob, manner: RestoreManner, tell: TellStep): Promise<string>;
  undo(run: string): Promise<void>;
  /** Forgets what was checked. */
  drop(run: string): Promise<void>;
}
