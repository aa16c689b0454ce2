import * as z from "zod/mini";
import { between, entries, id, plainText, text } from "../knife/design/record/fields";
import { attempt } from "./attempts";
import { cutFact } from "./cutFacts";
import { TASKS, type TaskKind } from "./taskKinds";
import {
  BOUGHT,
  DRILL_SCHOOLS,
  GRIND_SCHOOLS,
  HOLD_REASONS,
  MOST_PIECES,
  SIZE_PLACES,
  STAGES,
  SURFACES,
} from "./types";

const KINDS = Object.keys(TASKS) as [TaskKind, ...TaskKind[]];
const taskId = plainText(1, 160);
const minutes = between(0, 100_000);
/** Milliseconds since 1970. */
const when = between(0, 8.64e15);

/** What was done: when, how long it took, what was cut. */
const done = z.strictObject({
  at: when,
  /** As it really took; null where nobody looked at the clock. */
  tookMin: z.nullable(minutes),
  cut: z.array(cutFact).check(z.maxLength(400)),
});
export type Done = Readonly<z.infer<typeof done>>;

/** A task of the maker's own, with what it comes after and before. */
const ownTask = z.strictObject({
  id: taskId,
  title: text(1, 120),
  after: z.nullable(taskId),
  before: z.nullable(taskId),
  activeMin: minutes,
  waitMin: minutes,
});
export type OwnTask = Readonly<z.infer<typeof ownTask>>;

/** A way back that was taken after something failed: what was done over, and what stood done until then. */
const rework = z.strictObject({
  id,
  /** A way back from what failed, or how a contradiction was resolved. */
  way: plainText(1, 40),
  /** What is done besides; null of nothing. */
  task: z.nullable(z.enum(KINDS)),
  reopens: z.array(z.enum(KINDS)).check(z.maxLength(100)),
  /** The task that failed. */
  on: taskId,
  at: when,
  note: plainText(0, 2000),
  undone: entries(taskId, done, 300),
});
export type Rework = Readonly<z.infer<typeof rework>>;

const interval = z.tuple([z.number(), z.number()]);

/** Weight and balance at a stage, beside what was predicted of the design as it was then. */
const reading = z.strictObject({
  id,
  stage: z.enum(STAGES),
  at: when,
  massG: z.nullable(between(0, 20_000)),
  balanceMm: z.nullable(between(-2000, 2000)),
  predicted: z.nullable(
    z.strictObject({
      massG: z.number(),
      massIntervalG: interval,
      balanceMm: z.number(),
      balanceIntervalMm: interval,
    }),
  ),
});
export type Reading = Readonly<z.infer<typeof reading>>;

/** A picture by its id. */
const picture = z.string().check(z.regex(/^[0-9a-f]{16}-[0-9]{1,9}$/));

/** A note of a day, a photo, or both. */
const logged = z
  .strictObject({ id, at: when, says: plainText(0, 2000), picture: z._default(z.nullable(picture), null) })
  .check(z.refine((l) => l.says.trim() !== "" || l.picture !== null, "a note says something, or shows it"));
export type Logged = Readonly<z.infer<typeof logged>>;

const clock = z.strictObject({
  countedMs: z.number().check(z.gte(0), z.lte(1e9)),
  sinceMs: z.nullable(when),
});
export type Clock = Readonly<z.infer<typeof clock>>;

const hold = z.strictObject({ day: z.iso.date(), why: z.enum(HOLD_REASONS) });
export type Hold = Readonly<z.infer<typeof hold>>;

/** All that is kept of a plan besides what follows from the design. */
export const planRecord = z.strictObject({
  schools: z.strictObject({
    grind: z.enum(GRIND_SCHOOLS),
    drill: z.enum(DRILL_SCHOOLS),
    surface: z.enum(SURFACES),
    bought: z.enum(BOUGHT),
  }),
  /** By the task's id, as what is said of minutes. */
  done: entries(taskId, done, 300),
  own: z.array(ownTask).check(z.maxLength(60)),
  /** What was noted at a task, by its id, be it done or not. */
  notes: entries(taskId, text(1, 2000), 300),
  /** A photo at a task: the id of its picture. */
  photos: entries(taskId, picture, 300),
  /** Waits that run: since when, and how long. */
  timers: entries(taskId, z.strictObject({ startedAt: when, min: minutes }), 60),
  /** The maker's minutes of a task. */
  minutes: entries(taskId, z.strictObject({ activeMin: minutes, waitMin: minutes }), 300),
  /** Tasks in the order that their maker wishes, as far as that can be. */
  sequence: z.array(taskId).check(z.maxLength(300)),
  reworks: z.array(rework).check(z.maxLength(100)),
  /** What would be done otherwise next time, by the kind of task. */
  otherwise: entries(taskId, text(1, 500), 100),
  heats: z.array(attempt).check(z.maxLength(100)),
  /** How many are made of it: `done` is the first one's. */
  pieces: z._default(z.int().check(z.gte(1), z.lte(MOST_PIECES)), 1),
  /** What is done of the second piece, the third and so on, as far as anything is. */
  others: z._default(z.array(entries(taskId, done, 300)).check(z.maxLength(MOST_PIECES - 1)), []),
  /** How many tasks it had when one was last ticked; null before. */
  count: z._default(z.nullable(z.int().check(z.gte(0), z.lte(1000))), null),
  /** Weight and balance as measured, the last of a stage being what holds; plans of version 1 have none. */
  readings: z._default(z.array(reading).check(z.maxLength(100)), []),
  /** Sizes as measured, mm, by where they are taken. */
  sizes: z._default(z.partialRecord(z.enum(SIZE_PLACES), between(0, 3000)), {}),
  /** What was noted of the knife, with its day. */
  log: z._default(z.array(logged).check(z.maxLength(300)), []),
  /** Tasks that are not begun before a day, by their id; plans of version 1 have none. */
  holds: z._default(entries(taskId, hold, 300), {}),
  /** Clocks of tasks at the bench, by their id: what was counted, and since when one runs; plans of version 2 have none. */
  clocks: z._default(entries(taskId, clock, 300), {}),
});
export type PlanRecord = Readonly<z.infer<typeof planRecord>>;
