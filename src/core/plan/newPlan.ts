import type { PlanRecord } from "./record";
import { USUAL_SCHOOLS } from "./types";

/** A plan that nothing is done of. */
export const newPlan = (): PlanRecord => ({
  schools: { ...USUAL_SCHOOLS },
  done: {},
  own: [],
  notes: {},
  photos: {},
  timers: {},
  minutes: {},
  sequence: [],
  reworks: [],
  otherwise: {},
  heats: [],
  pieces: 1,
  others: [],
  count: null,
  readings: [],
  sizes: {},
  log: [],
  holds: {},
  clocks: {},
});
