import type { FrameFailure } from "@/core/exchange/files/frame";

/** Why a file was refused before its content was looked at, in plain words; `kind` is what it should have been. */
export function frameFailureWords(failure: FrameFailure, kind: string): string {
  switch (failure.code) {
    case "too-large":
      return `It is too large for ${kind}.`;
    case "not-json":
      return "It is damaged, or no text.";
    case "key-twice":
      return `"${failure.key}" stands twice in one place: it is not clear which of the two holds.`;
    case "foreign-key":
      return `"${failure.key}" is no part of ${kind}.`;
    case "foreign":
      return `It is not ${kind}.`;
    case "no-version":
      return 'It does not say its version: "version" must be a whole number from 1.';
    case "newer":
      return `It is of version ${failure.version}: this Euaxis is older than it.`;
  }
}
