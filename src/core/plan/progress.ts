import { own } from "../base/own";
import { clockedMin, withoutClock } from "./clocks";
import type { CutFact } from "./cutFacts";
import type { Done, Hold, Logged, OwnTask, PlanRecord, Reading, Rework } from "./record";
import { inOrder } from "./state";
import type { TaskKind } from "./taskKinds";
import type { SizePlace, Task } from "./types";
import type { WayBack } from "./waysBack";

/** The plan with a task done: what it has cut stays, whatever the design says later; its minutes are those of its clock. */
export function withDone(
  record: PlanRecord,
  task: string,
  of: {
    readonly at: number;
    readonly cut: readonly CutFact[];
    /** How many tasks there are; as it was known before where it is left out. */
    readonly count?: number;
    /** The minutes that it should take: a clock that was left running says nothing of it. */
    readonly activeMin?: number;
  },
): PlanRecord {
  const entry: Done = {
    at: of.at,
    tookMin: clockedMin(record, task, of.at, of.activeMin ?? null),
    cut: [...of.cut],
  };
  return {
    ...withoutClock(record, task),
    count: of.count ?? record.count,
    done: { ...record.done, [task]: entry },
  };
}

/** The plan with a task that is not done after all. */
export function withoutDone(record: PlanRecord, task: string): PlanRecord {
  return { ...record, done: Object.fromEntries(Object.entries(record.done).filter(([id]) => id !== task)) };
}

/** What is done of a piece, the first being 0. */
export const doneOfPiece = (record: PlanRecord, piece: number): PlanRecord["done"] =>
  (piece === 0 ? record.done : record.others[piece - 1]) ?? {};

/** The plan with a task of one piece done, or not done after all. */
export function withPieceDone(
  record: PlanRecord,
  piece: number,
  task: string,
  of: Parameters<typeof withDone>[2] | null,
): PlanRecord {
  if (piece === 0) return of ? withDone(record, task, of) : withoutDone(record, task);
  // A clock is of the piece that lies on the bench, the first.
  const mine = { ...record, clocks: {}, done: doneOfPiece(record, piece) };
  const { done, count } = of ? withDone(mine, task, of) : withoutDone(mine, task);
  const others = Array.from({ length: Math.max(piece, record.others.length) }, (_, k) =>
    k === piece - 1 ? done : (record.others[k] ?? {}),
  );
  while (others.length > 0 && Object.keys(others[others.length - 1]).length === 0) others.pop();
  return { ...record, others, count };
}

/** The plan of each piece that is made of a design; waits that run are the first one's. */
export const piecesOf = (record: PlanRecord): PlanRecord[] =>
  Array.from({ length: record.pieces }, (_, piece) =>
    piece === 0 ? record : { ...record, done: doneOfPiece(record, piece), timers: {} },
  );

/** The plan with the minutes that a done task really took; as it was where the task is not done. */
export function withTaken(record: PlanRecord, task: string, tookMin: number | null): PlanRecord {
  const before = own(record.done, task);
  return before ? { ...record, done: { ...record.done, [task]: { ...before, tookMin } } } : record;
}

/** A map with something under a name, or without it where that is null. */
function entered<T>(map: Readonly<Record<string, T>>, key: string, to: T | null): Record<string, T> {
  const others = Object.entries(map).filter(([k]) => k !== key);
  return Object.fromEntries(to === null ? others : [...others, [key, to]]);
}

/** The plan with a note at a task; nothing takes it away. */
export const withNote = (record: PlanRecord, task: string, note: string): PlanRecord => ({
  ...record,
  notes: entered(record.notes, task, note.trim() || null),
});

/** The plan with a photo at a task, by its picture's id; null takes it away. */
export const withPhoto = (record: PlanRecord, task: string, picture: string | null): PlanRecord => ({
  ...record,
  photos: entered(record.photos, task, picture),
});

/** The plan with a wait that runs from a moment on; null stops it. */
export const withTimer = (
  record: PlanRecord,
  task: string,
  timer: PlanRecord["timers"][string] | null,
): PlanRecord => ({ ...record, timers: entered(record.timers, task, timer) });

/** The plan with a task that is not begun before a day; null lets it begin when it can. */
export const withHold = (record: PlanRecord, task: string, hold: Hold | null): PlanRecord => ({
  ...record,
  holds: entered(record.holds, task, hold),
});

/** The plan with a reading more; one of its id takes its place. */
export const withReading = (record: PlanRecord, reading: Reading): PlanRecord => ({
  ...record,
  readings: [...record.readings.filter((r) => r.id !== reading.id), reading].sort((a, b) => a.at - b.at),
});
export const withoutReading = (record: PlanRecord, id: string): PlanRecord => ({
  ...record,
  readings: record.readings.filter((r) => r.id !== id),
});

/** The plan with a size as it was measured; null takes it away. */
export function withSize(record: PlanRecord, place: SizePlace, mm: number | null): PlanRecord {
  const { [place]: _, ...others } = record.sizes;
  return { ...record, sizes: mm === null ? others : { ...others, [place]: mm } };
}

/** The plan with a note of a day more; one of its id takes its place. */
export const withLogged = (record: PlanRecord, logged: Logged): PlanRecord => ({
  ...record,
  log: [...record.log.filter((l) => l.id !== logged.id), logged].sort((a, b) => a.at - b.at),
});
export const withoutLogged = (record: PlanRecord, id: string): PlanRecord => ({
  ...record,
  log: record.log.filter((l) => l.id !== id),
});

/** Tasks of some kinds done over: they stand undone, and what stood done of them is kept with the way back. */
export function withWayBack(
  record: PlanRecord,
  tasks: readonly { readonly id: string; readonly kind: TaskKind | null }[],
  { code, task, reopens }: Pick<WayBack, "code" | "task" | "reopens">,
  of: Pick<Rework, "id" | "on" | "at" | "note">,
): PlanRecord {
  const over = new Set(tasks.filter((t) => t.kind !== null && reopens.includes(t.kind)).map((t) => t.id));
  over.add(of.on);
  const [undone, done] = [true, false].map((again) =>
    Object.fromEntries(Object.entries(record.done).filter(([id]) => over.has(id) === again)),
  );
  return {
    ...record,
    done,
    reworks: [...record.reworks, { ...of, way: code, task, reopens: [...reopens], undone }],
  };
}

/** A way back taken back: what stood done until then stands done again, but for what has been done since. */
export function withoutWayBack(record: PlanRecord, id: string): PlanRecord {
  const rework = record.reworks.find((r) => r.id === id);
  if (!rework) return record;
  return {
    ...withoutDone(record, `rework:${id}`),
    done: { ...rework.undone, ...withoutDone(record, `rework:${id}`).done },
    reworks: record.reworks.filter((r) => r.id !== id),
  };
}

/** What tasks have cut taken as the design has it now: nothing contradicts it any more. */
export function withCutAs(
  record: PlanRecord,
  cut: ReadonlyMap<string, readonly CutFact[]>,
  tasks: readonly string[],
): PlanRecord {
  const done = Object.fromEntries(
    Object.entries(record.done).map(([id, entry]) => [
      id,
      tasks.includes(id) && cut.has(id) ? { ...entry, cut: [...(cut.get(id) ?? [])] } : entry,
    ]),
  );
  return { ...record, done };
}

/** The plan with minutes of the maker's own for a task. */
export const withMinutes = (
  record: PlanRecord,
  task: string,
  of: { activeMin: number; waitMin: number },
): PlanRecord => ({
  ...record,
  minutes: { ...record.minutes, [task]: of },
});

/** The plan with a task of the maker's own more, or in the place of one of its id. */
export const withOwnTask = (record: PlanRecord, task: OwnTask): PlanRecord => ({
  ...record,
  own: record.own.some((t) => t.id === task.id)
    ? record.own.map((t) => (t.id === task.id ? task : t))
    : [...record.own, task],
});

/** The plan without a task of the maker's own, and without what was said of it. */
export const withoutOwnTask = (record: PlanRecord, id: string): PlanRecord => ({
  ...withoutDone(record, id),
  own: record.own.filter((t) => t.id !== id),
  sequence: record.sequence.filter((s) => s !== id),
});

/**
 * A task moved before the one that stands there now, or behind it: null where the order does not allow it. `tasks` as they
 * stand in order.
 */
export function moved(
  record: PlanRecord,
  tasks: readonly Pick<Task, "id" | "needs">[],
  id: string,
  by: -1 | 1,
): PlanRecord | null {
  const ids = tasks.map((t) => t.id);
  const at = ids.indexOf(id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= ids.length) return null;
  [ids[at], ids[to]] = [ids[to], ids[at]];
  // What it needs stands before it: in the order that this gives it has moved, or it cannot.
  const now = inOrder(tasks, ids).map((t) => t.id);
  return now.indexOf(id) === to ? { ...record, sequence: ids } : null;
}

/** What would be done otherwise next time at a kind of task; nothing takes it away. */
export function withOtherwise(record: PlanRecord, kind: TaskKind, says: string): PlanRecord {
  return { ...record, otherwise: entered(record.otherwise, kind, says.trim() || null) };
}
