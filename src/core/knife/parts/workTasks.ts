/** Tasks of making a knife, in the order of the bench. */
export const WORK_TASKS = [
  "blade",
  "blade-in-hand",
  "tang",
  "tang-holes",
  "tang-taper",
  "tang-recess",
  "tang-end",
  "guard",
  "guard-shape",
  "scales",
  "liners",
  "bolsters",
  "joints",
  "halves",
  "tang-hole",
  "frame",
  "pieces",
  "pommel",
  "rings",
  "pins",
  "bolts",
  "glue-up",
  "shape",
  "grooves",
  "marks",
  "finish",
  "wrap",
] as const;

export type WorkTask = (typeof WORK_TASKS)[number];

/** Minutes at the bench by task. */
export type Minutes = Partial<Record<WorkTask, number>>;
