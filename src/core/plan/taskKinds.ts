/** What a task keeps busy while it lasts, besides hands. */
export type Resource = "oven" | "quench" | "cold" | "clamps" | "bath" | "grinder";

/** What is known of a kind of task: minutes, what it keeps busy, and whether it can be taken back. */
export interface TaskSpec {
  readonly activeMin: number;
  readonly waitMin?: number;
  readonly resources?: readonly Resource[];
  readonly noReturn?: boolean;
  readonly inspection?: boolean;
}

const DAY = 24 * 60;

/** Every kind of task of a knife with a fixed blade. Minutes: common practice as makers tell them, no source. */
export const TASKS = {
  profile: { activeMin: 30, resources: ["grinder"], noReturn: true },
  "weld-tang": { activeMin: 40, noReturn: true },
  "file-tang": { activeMin: 40, noReturn: true },
  "soften-tang": { activeMin: 20, waitMin: 60, noReturn: true },
  "drill-tang": { activeMin: 22, noReturn: true },
  "check-holes": { activeMin: 5, inspection: true },
  "hammer-flats": { activeMin: 40, noReturn: true },
  "stamp-mark": { activeMin: 10, noReturn: true },
  "grind-soft": { activeMin: 50, resources: ["grinder"], noReturn: true },
  normalise: { activeMin: 15, waitMin: 45 },
  harden: { activeMin: 15, waitMin: 10, resources: ["oven", "quench"], noReturn: true },
  cold: { activeMin: 5, waitMin: 12 * 60, resources: ["cold"] },
  temper: { activeMin: 4, waitMin: 2 * 120 + 60, resources: ["oven"] },
  "check-hardness": { activeMin: 5, inspection: true },
  "check-straight": { activeMin: 5, inspection: true },
  "grind-bevels": { activeMin: 65, resources: ["grinder"], noReturn: true },
  "surface-blade": { activeMin: 120, noReturn: true },
  etch: { activeMin: 25, waitMin: 15, resources: ["bath"], noReturn: true },
  "inspect-blade": { activeMin: 10, inspection: true },
  "tape-blade": { activeMin: 5 },
  "weld-guard": { activeMin: 60, waitMin: 30, noReturn: true },
  "slot-guard": { activeMin: 45, noReturn: true },
  "fit-guard": { activeMin: 60, noReturn: true },
  "check-guard": { activeMin: 5, inspection: true },
  "shape-guard": { activeMin: 60, noReturn: true },
  "saw-piece": { activeMin: 10, noReturn: true },
  "fit-bolsters": { activeMin: 40, noReturn: true },
  "fit-segments": { activeMin: 25 },
  "drill-one-pass": { activeMin: 40, noReturn: true },
  "drill-scales": { activeMin: 22, noReturn: true },
  "front-faces": { activeMin: 30, noReturn: true },
  counterbore: { activeMin: 15, noReturn: true },
  "glue-first": { activeMin: 20, waitMin: DAY, resources: ["clamps"], noReturn: true },
  "drill-block": { activeMin: 45, noReturn: true },
  "burn-in": { activeMin: 20, waitMin: 60, noReturn: true },
  "fit-block": { activeMin: 30 },
  "drill-pins": { activeMin: 15, noReturn: true },
  "thread-tang": { activeMin: 20, noReturn: true },
  "fit-end": { activeMin: 30 },
  "dry-fit": { activeMin: 10, inspection: true },
  degrease: { activeMin: 10 },
  "glue-handle": { activeMin: 25, resources: ["clamps"], noReturn: true },
  "check-in-line": { activeMin: 3, inspection: true },
  "clean-squeeze-out": { activeMin: 5 },
  cure: { activeMin: 0, waitMin: DAY, resources: ["clamps"] },
  assemble: { activeMin: 20 },
  peen: { activeMin: 20, noReturn: true },
  "flush-pins": { activeMin: 15, noReturn: true },
  contour: { activeMin: 90, resources: ["grinder"], noReturn: true },
  "groove-handle": { activeMin: 15, noReturn: true },
  "sand-handle": { activeMin: 90 },
  "finish-handle": { activeMin: 15, waitMin: 12 * 60 },
  "wind-wrap": { activeMin: 50 },
  sharpen: { activeMin: 20, noReturn: true },
  "weigh-and-log": { activeMin: 10, inspection: true },
} as const satisfies Readonly<Record<string, TaskSpec>>;

export type TaskKind = keyof typeof TASKS;
