import { isRecord } from "../isRecord";

/** What our files of JSON have round their content: which kind they are, and of which version. */
export interface Frame {
  readonly format: string;
  /** The newest version that is known. */
  readonly version: number;
  readonly mostBytes: number;
}

export type FrameFailure =
  | { readonly ok: false; readonly code: "too-large" | "not-json" | "foreign" | "no-version" }
  | { readonly ok: false; readonly code: "newer"; readonly version: number };

export type FrameReading =
  | { readonly ok: true; readonly content: Readonly<Record<string, unknown>>; readonly version: number }
  | FrameFailure;

/** Reads a file's frame; what is in it is for the caller to check. Refuses what is oversized, not ours, or of a newer version. */
export function readFrame(bytes: Uint8Array, { format, version: known, mostBytes }: Frame): FrameReading {
  if (bytes.byteLength > mostBytes) return { ok: false, code: "too-large" };
  let content: unknown;
  try {
    content = JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes));
  } catch {
    return { ok: false, code: "not-json" };
  }
  if (!isRecord(content) || content.format !== format) return { ok: false, code: "foreign" };
  const { version } = content;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, code: "no-version" };
  return version > known ? { ok: false, code: "newer", version } : { ok: true, content, version };
}
