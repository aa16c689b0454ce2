import { valueAt } from "../../base/record/path";
import { threadOf } from "../../base/units/screws";
import type { Thread } from "../../base/units/threads";
import { kindOf } from "../../kinds/fasteners/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { isLocked } from "./marks";
import type { Design } from "./schema";

/** A size that belongs to a thread, at its path in the design, mm. */
export interface ThreadSize {
  readonly path: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly locked: boolean;
}

export interface ThreadChange {
  /** What is set with the thread: diameter, pitch, and sizes that were those of the thread before. */
  readonly sets: readonly { readonly path: string; readonly value: number }[];
  /** Sizes that were not those of the thread before, so that somebody chose them; and those that are locked. */
  readonly asks: readonly ThreadSize[];
}

/** Sizes that differ by less are the same, mm. */
const SAME_MM = 0.01;

type OwnSizes = (thread: Thread) => Readonly<Record<string, number>> | null;

/** What is known of the record at a path: its thread, and the sizes that belong to one; null where it has no thread. */
function threadedAt(design: Design, at: string): { now: Thread | null; sizesFor: OwnSizes } | null {
  const [list, index] = at.split(".");
  if (list === "fasteners") {
    const f = design.fasteners[Number(index)];
    if (!f || !("pitchMm" in f)) return null;
    return { now: threadOf(f.diameterMm, f.pitchMm), sizesFor: (t) => kindOf(f).threadSizes(f, t) };
  }
  const end = design.tang.kind === "hidden" ? design.tang.end : null;
  if (at !== "tang.end" || !end || !("pitchMm" in end)) return null;
  return { now: threadOf(end.diameterMm, end.pitchMm), sizesFor: (t) => endKindOf(end).threadSizes(end, t) };
}

/** The thread of the record at a path by its name; null where it has none, or one that is in no table. */
export function threadAt(design: Design, at: string): Thread | null {
  return threadedAt(design, at)?.now ?? null;
}

/** What another thread brings with it, at the path of a fastener or of the tang's end; null where that has no thread. */
export function threadChange(design: Design, at: string, thread: Thread): ThreadChange | null {
  const threaded = threadedAt(design, at);
  if (!threaded) return null;
  const { now, sizesFor } = threaded;
  const before = (now && sizesFor(now)) ?? {};
  const sizes = Object.entries(sizesFor(thread) ?? {}).map(([key, toMm]) => {
    const path = `${at}.${key}`;
    const fromMm = valueAt(design, path) as number;
    const locked = isLocked(design, path);
    return { path, fromMm, toMm, locked, own: !locked && Math.abs(fromMm - before[key]) < SAME_MM };
  });
  return {
    sets: [
      { path: `${at}.diameterMm`, value: thread.diameterMm },
      { path: `${at}.pitchMm`, value: thread.pitchMm },
      ...sizes.filter((s) => s.own).map(({ path, toMm }) => ({ path, value: toMm })),
    ],
    asks: sizes
      .filter((s) => !s.own && Math.abs(s.fromMm - s.toMm) >= SAME_MM)
      .map(({ own: _, ...size }) => size),
  };
}
