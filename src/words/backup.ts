import { own } from "@/core/base/own";
import type { BackupFailure } from "@/core/exchange/files/backup/format";
import type { BackupStep, SavedBackup } from "@/store/backup/save";
import { backedUpTables } from "@/store/backup/source";
import { specOf } from "@/store/tables/list";
import { frameFailureWords } from "./frameFailures";
import { byCount } from "./grammar";

/** So many of a thing: "1 knife", "1,000 knives". */
export function countWords(table: string, count: number): string {
  const called = specOf(table)?.called;
  return `${count.toLocaleString("en")} ${byCount(count, called?.one ?? "row", called?.many ?? "rows")}`;
}

/** What lies in a backup that was read back: "18 knives, 3 variants, 2 photos … and 41 MB." */
export function savedWords({ rows, file }: Pick<SavedBackup, "rows" | "file">): string {
  const counts = backedUpTables().flatMap(({ name }) => {
    const count = own(rows, name) ?? 0;
    return count > 0 ? [countWords(name, count)] : [];
  });
  const megabytes = Math.max(0.1, file.size / 1e6);
  const size = `${megabytes.toLocaleString("en", { maximumFractionDigits: megabytes < 10 ? 1 : 0 })} MB`;
  return `Read back and counted: ${counts.length > 0 ? counts.join(", ") : "nothing"}; ${size}.`;
}

/** Everything that a backup has in it, by what it is called. */
export const backupContentWords = (): string =>
  backedUpTables()
    .map((spec) => spec.called.many)
    .join(", ");

const DOING: Record<BackupStep["doing"], string> = {
  writing: "Writing the backup",
  checking: "Reading back what was written",
  reading: "Reading and checking the backup",
  photos: "Taking in the photos",
  restoring: "Taking in the rest",
};

export const stepWords = ({ doing, done }: BackupStep): string =>
  `${DOING[doing]}: ${Math.round(100 * done)} %`;

/** Why a backup was refused, in plain words. */
export function backupFailureWords(failure: BackupFailure): string {
  if (failure.code === "damaged") return `It is damaged: ${failure.file} in it is not what was written.`;
  if (failure.code === "incomplete") return "It is incomplete: its lists are missing or damaged.";
  return frameFailureWords(failure, "a backup of Euaxis");
}
