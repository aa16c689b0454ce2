import type { TaskKind } from "../plan/taskKinds";

/** How the time of a task goes: whether work may be put down, what becomes of its wait, what several save together. */
export interface TaskTime {
  /** Whether its work may be put down at a break and taken up again after it. */
  readonly split: boolean;
  /**
   * `runs`: by itself, overnight, too. `attended`: somebody stays, and has the last minutes of work after it. `ended-soon`: by
   * itself, and ended by hand within minutes. `until-taken-out`: it lasts until somebody takes it out.
   */
  readonly wait: "runs" | "attended" | "ended-soon" | "until-taken-out";
  /** So many times hands and a wait after them, each as long as the other. */
  readonly cycles?: number;
  /** Minutes of work after an attended wait, or one that is ended soon. */
  readonly closingMin?: number;
  /** Minutes that are spent once where it is done for several at once; null of what is never done together. */
  readonly setUpMin: number | null;
}

/** Waits that are ended by hand are ended within this, min. Common practice, no source. */
export const ENDED_WITHIN_MIN = 15;

const split: TaskTime = { split: true, wait: "runs", setUpMin: null };
const whole: TaskTime = { split: false, wait: "runs", setUpMin: null };

/** Minutes: common practice, no source. */
const TIMES: Readonly<Record<TaskKind, TaskTime>> = {
  profile: split,
  "weld-tang": whole,
  "file-tang": split,
  "soften-tang": whole,
  "drill-tang": { ...split, setUpMin: 8 },
  "check-holes": whole,
  "hammer-flats": split,
  "stamp-mark": whole,
  "grind-soft": split,
  normalise: { ...whole, cycles: 3, setUpMin: 5 },
  harden: { split: false, wait: "attended", closingMin: 5, setUpMin: 8 },
  cold: { split: false, wait: "until-taken-out", setUpMin: 3 },
  temper: { ...whole, cycles: 2, setUpMin: 2 },
  "check-hardness": whole,
  "check-straight": whole,
  "grind-bevels": split,
  "surface-blade": split,
  buff: split,
  "acid-etch": { split: false, wait: "attended", closingMin: 5, setUpMin: 12 },
  tumble: { split: false, wait: "ended-soon", closingMin: 1, setUpMin: 2 },
  darken: { split: false, wait: "attended", closingMin: 5, setUpMin: 6 },
  etch: { split: false, wait: "attended", closingMin: 5, setUpMin: null },
  "inspect-blade": split,
  "tape-blade": whole,
  "weld-guard": whole,
  "slot-guard": split,
  "fit-guard": split,
  "check-guard": whole,
  "shape-guard": split,
  "saw-piece": whole,
  "fit-bolsters": split,
  "fit-segments": split,
  "drill-one-pass": whole,
  "drill-scales": whole,
  "front-faces": split,
  "check-faces": whole,
  counterbore: split,
  "glue-first": whole,
  "drill-block": split,
  "burn-in": whole,
  "fit-block": split,
  "drill-pins": split,
  "thread-tang": whole,
  "fit-end": split,
  "dry-fit": whole,
  degrease: { ...whole, setUpMin: 3 },
  "glue-handle": { ...whole, setUpMin: 8 },
  "carry-indoors": { ...whole, setUpMin: 4 },
  "check-in-line": { ...whole, setUpMin: 0 },
  "clean-squeeze-out": { ...whole, setUpMin: 1 },
  cure: { ...whole, setUpMin: 0 },
  assemble: whole,
  peen: whole,
  "flush-pins": split,
  contour: split,
  "groove-handle": split,
  "sand-handle": split,
  "finish-handle": { ...whole, setUpMin: 5 },
  "wind-wrap": whole,
  straighten: whole,
  anneal: { ...whole, setUpMin: 10 },
  "fill-holes": whole,
  "pry-off": whole,
  "fit-spacer": split,
  "close-slot": whole,
  sharpen: split,
  "weigh-and-log": whole,
};

/** How the time of a task goes; one of the maker's own may be put down. */
export const timeOf = (kind: TaskKind | null): TaskTime => (kind === null ? split : TIMES[kind]);

/** What is taken up by one task stays so until another is over: the clamps of a glue-up until it has cured. */
export const HELD_UNTIL: Readonly<Partial<Record<TaskKind, TaskKind>>> = {
  "glue-handle": "cure",
  "glue-first": "carry-indoors",
};
