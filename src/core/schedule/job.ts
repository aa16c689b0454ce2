import type { PlannedTask } from "../plan/state";
import type { Resource } from "../plan/taskKinds";

/** What has to be the same for tasks of several knives to be done at once, and how many that may be. */
export interface Alike {
  readonly key: string;
  /** Of `most`, in the same unit: pieces in an oven, minutes of a pot life. */
  readonly takes: number;
  readonly most: number;
}

/** What is left to do of one knife. */
export interface Job {
  readonly knife: string;
  readonly tasks: readonly PlannedTask[];
  /** Tasks that may be done together with others' of the same key, by id. */
  readonly alike?: ReadonlyMap<string, Alike>;
  /** Moments before which tasks do not begin, ms, by id. */
  readonly notBeforeMs?: ReadonlyMap<string, number>;
  /** The moments by which tasks are begun where that can be, ms, by id: their maker has put them on a day. */
  readonly wishedByMs?: ReadonlyMap<string, number>;
  /** When what is done was done, ms, by id: what has to follow within a time is counted from then. */
  readonly doneAtMs?: ReadonlyMap<string, number>;
  /** Waits that run: their work is done, and they are over then. */
  readonly waitOverMs?: ReadonlyMap<string, number>;
}

/** How much of each there is; what is not named there is one of. */
export type Capacity = Readonly<Partial<Record<Resource, number>>>;
