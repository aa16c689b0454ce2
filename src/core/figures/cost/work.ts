import { byKind } from "../../base/record/byKind";
import { isBought } from "../../kinds/fasteners/registry";
import { fittingsOn } from "../../kinds/guardFittings/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design } from "../../knife/design/schema";

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

export interface WorkLine {
  readonly task: WorkTask;
  readonly proposedMin: number;
  /** What the maker says, or what is proposed. */
  readonly minutes: number;
}

/** Minutes at the bench, waiting left out. Rough figures of our own to begin from, to be replaced by the maker's. */
const WRAP = { cord: 60, strip: 45 } as const;
const HOLE = { broached: 60, burned: 35, milled: 45, drilled: 40 } as const;

type Minutes = Partial<Record<WorkTask, number>>;

function proposed(design: Design): Minutes {
  const { blade, tang, handle, guard, fasteners } = design;
  const bolts = fasteners.filter((f) => isBought(f.kind)).length;
  const fitted = guard ? fittingsOn(guard).map((f) => f.kind) : [];
  const fitting = fitted.reduce((sum, k) => sum + k.minutes, 0);
  const shaped = handle.plan.length > 4 || handle.facets !== null || handle.waist !== null;
  const common = {
    ...(blade.measured ? { "blade-in-hand": 20 } : { blade: 240 }),
    pins: 8 * (fasteners.length - bolts),
    bolts: 15 * bolts,
    "glue-up": 25,
    shape: shaped ? 120 : 90,
    finish: 75,
    grooves: 10 * handle.grooves.length,
    marks: 15 * blade.marks.length,
    wrap: handle.wrap ? WRAP[handle.wrap.kind] : 0,
    guard: guard ? 45 + 15 * guard.plates.length + fitting : 0,
    "guard-shape":
      guard && (guard.armWidthMm !== null || guard.domeMm > 0 || fitted.some((k) => k.shapesGuard)) ? 60 : 0,
  };
  const ofBar = { tang: 25 };
  const ofTang = byKind<typeof tang, Minutes>(tang, {
    full: ({ holes, slots, taper, recess, short }) => ({
      "tang-holes": 4 * (holes.filter((h) => h.purpose !== "old-pin").length + slots.length * 4),
      "tang-taper": taper ? 30 : 0,
      "tang-recess": recess ? 25 : 0,
      tang: short ? 30 : 0,
    }),
    hidden: ({ end, hole }) => ({
      ...ofBar,
      "tang-end": endKindOf(end).minutes,
      "tang-hole": HOLE[hole.kind],
    }),
    framed: () => ({ ...ofBar, frame: 45 }),
  });
  const ofHandle = byKind<typeof handle, Minutes>(handle, {
    bare: () => ({}),
    scales: ({ bolsters, liners, joints, lengthwise, halves }) => ({
      scales: 30,
      liners: 10 * liners.length,
      bolsters: 40 * ((bolsters.front ? 1 : 0) + (bolsters.rear ? 1 : 0)),
      joints: 25 * (joints.length + (lengthwise ? 2 : 0)),
      halves: 45 * halves.length,
    }),
    stack: ({ pieces, rings, lengthwise }) => {
      const ends = pieces.filter((p) => p.role === "pommel" || p.role === "butt-plate").length;
      return {
        pieces: 8 * (pieces.length - ends),
        joints: lengthwise ? 50 : 0,
        pommel: 45 * ends,
        rings: 40 * rings.length,
      };
    },
  });
  return { ...common, ...ofTang, ...ofHandle };
}

/** The tasks that this knife has, each with what is proposed for it and what its maker says. Minutes. */
export function workOf(design: Design): WorkLine[] {
  const minutes = proposed(design);
  return WORK_TASKS.flatMap((task) => {
    const proposedMin = minutes[task] ?? 0;
    const said = design.work.minutes[task];
    if (proposedMin === 0 && said === undefined) return [];
    return [{ task, proposedMin, minutes: said ?? proposedMin }];
  });
}
