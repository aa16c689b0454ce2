import { isRecord } from "../../base/isRecord";
import { keyTwice } from "./jsonKeys";
import { isWithin } from "./jsonShape";

/** What our files of JSON have round their content: which kind they are, and of which version. */
export interface Frame {
  readonly format: string;
  /** What stands in the file beside format and version. */
  readonly keys: readonly string[];
  /** The newest version that is known. */
  readonly version: number;
  readonly mostBytes: number;
}

export type FrameFailure =
  | { readonly ok: false; readonly code: "too-large" | "not-json" | "foreign" | "no-version" }
  | { readonly ok: false; readonly code: "newer"; readonly version: number }
  | { readonly ok: false; readonly code: "key-twice" | "foreign-key"; readonly key: string };

export type FrameReading =
  | { readonly ok: true; readonly content: Readonly<Record<string, unknown>>; readonly version: number }
  | FrameFailure;

/** Our small files nest no deeper, and have no more names and values. */
const FRAME_LIMITS = { depth: 12, keys: 20_000, values: 20_000 };

/** Reads a file's frame; what is in it is for the caller to check. Refuses what is oversized, not ours, or of a newer version. */
export function readFrame(bytes: Uint8Array, frame: Frame): FrameReading {
  const { format, version: known, mostBytes } = frame;
  if (bytes.byteLength > mostBytes) return { ok: false, code: "too-large" };
  let content: unknown;
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    if (!isWithin(text, FRAME_LIMITS)) return { ok: false, code: "too-large" };
    content = JSON.parse(text);
  } catch {
    return { ok: false, code: "not-json" };
  }
  if (!isRecord(content) || content.format !== format) return { ok: false, code: "foreign" };
  const { version } = content;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, code: "no-version" };
  if (version > known) return { ok: false, code: "newer", version };
  const foreign = Object.keys(content).find((k) => !["format", "version", ...frame.keys].includes(k));
  if (foreign !== undefined) return { ok: false, code: "foreign-key", key: foreign };
  const twice = keyTwice(text, content);
  if (twice) return { ok: false, code: "key-twice", key: twice.key };
  return { ok: true, content, version };
}
