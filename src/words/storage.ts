import type { DamageReason } from "@/store/reading";
import type { StorageTrouble } from "@/store/storage";
import { fileFailureWords } from "./fileFailures";

/** Why the browser keeps nothing, in words that say what to do. */
export const TROUBLE_WORDS: Record<StorageTrouble, string> = {
  unavailable: "This window keeps nothing: it is private, or the browser is set to keep no data of sites.",
  silent: "The browser's database does not answer.",
  blocked: "Another tab holds an older state of the database open. Close the other tabs of Euaxis.",
  full: "The disk, or this site's share of it, is full. Make room, or delete what is not needed.",
  refused: "The browser refused to write.",
};

/** Why a record cannot be read, in plain words. */
export function damageWords(reason: DamageReason): string {
  if (reason.code === "newer")
    return `It was written by a newer Euaxis (version ${reason.version}; this one knows up to ${reason.known}). Reload the page, or update Euaxis.`;
  return fileFailureWords({ ok: false, ...reason });
}
