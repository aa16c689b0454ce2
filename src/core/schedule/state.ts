import type { Units } from "./units";

/** Where one operation was placed. */
export interface Place {
  readonly op: number;
  readonly startMs: number;
  /** Hands are free again. */
  readonly handsMs: number;
  /** Its wait over. */
  readonly endMs: number;
  /** Until somebody is there to take it out. */
  readonly releaseMs: number;
}

/** A schedule as far as it has come. Operations with hands are placed one behind the other in time. */
export interface State {
  /** When hands are free. */
  readonly freeMs: number;
  readonly finishMs: number;
  readonly left: number;
  readonly handsLeftMs: number;
  readonly waitsFor: Int16Array;
  readonly readyMs: Float64Array;
  readonly latestMs: Float64Array;
  /** Of each resource. */
  readonly units: readonly Units[];
  /** Operations that have to begin by some time. */
  readonly pending: readonly number[];
  readonly ready: readonly number[];
  readonly last: { readonly place: Place; readonly before: State["last"] } | null;
}

/** What is placed waits for so many. */
export const PLACED = -1;
export const isPlaced = (state: State, op: number): boolean => state.waitsFor[op] === PLACED;
