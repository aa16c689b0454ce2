import * as z from "zod/mini";
import { type FieldProblem, fieldProblem } from "../../../knife/design/problem";
import { type Lot, lotRecord } from "../../../shelf/lot";
import { type Frame, type FrameFailure, readFrame } from "../frame";

/** A file of lots may have so many bytes, and so many lots. */
export const LARGEST_SHELF_BYTES = 2_000_000;
const MOST_LOTS = 2000;
const FRAME: Frame = { format: "euaxis-shelf", version: 1, keys: ["lots"], mostBytes: LARGEST_SHELF_BYTES };

const lots = z.array(lotRecord).check(
  z.maxLength(MOST_LOTS),
  z.refine(
    (all) => new Set(all.map((l) => l.id)).size === all.length,
    "a lot is there twice: each has an id of its own",
  ),
);

export type ShelfReading =
  | { readonly ok: true; readonly lots: readonly Lot[] }
  | FrameFailure
  | ({ readonly ok: false; readonly code: "invalid" } & FieldProblem);

/** Lots of a shelf as the text of an open JSON file. */
export function writeShelf(all: readonly Lot[]): string {
  return `${JSON.stringify({ format: FRAME.format, version: FRAME.version, lots: all }, null, 2)}\n`;
}

/** Reads a file of lots; refuses, changing nothing, what is not one. */
export function readShelf(bytes: Uint8Array): ShelfReading {
  const reading = readFrame(bytes, FRAME);
  if (!reading.ok) return reading;
  const parsed = lots.safeParse(reading.content.lots);
  if (parsed.success) return { ok: true, lots: parsed.data };
  const { keys, complaint } = fieldProblem(parsed.error.issues[0]);
  return { ok: false, code: "invalid", keys: ["lots", ...keys], complaint };
}
