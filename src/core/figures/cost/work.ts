import { isBought } from "../../kinds/fasteners/registry";
import { fittingsOn } from "../../kinds/guardFittings/registry";
import { handleModule } from "../../knife/constructions/handles/registry";
import { tangModule } from "../../knife/constructions/tangs/registry";
import type { Design } from "../../knife/design/schema";
import { type Minutes, WORK_TASKS, type WorkTask } from "../../knife/parts/workTasks";

export interface WorkLine {
  readonly task: WorkTask;
  readonly proposedMin: number;
  /** What the maker says, or what is proposed. */
  readonly minutes: number;
}

/** Minutes at the bench, waiting left out. Rough figures of our own to begin from, to be replaced by the maker's. */
const WRAP = { cord: 60, strip: 45 } as const;

/** Over a face with a hammer or a ball. */
const FACE = 25;

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
    wrap: handle.wraps.reduce((sum, w) => sum + WRAP[w.kind], 0),
    guard: guard ? 45 + 15 * guard.plates.length + fitting : 0,
    "guard-shape":
      (guard && (guard.armWidthMm !== null || guard.domeMm > 0 || fitted.some((k) => k.shapesGuard))
        ? 60
        : 0) + (guard?.face ? FACE : 0),
  };
  return {
    ...common,
    ...tangModule(tang).minutes(tang),
    ...handleModule(handle).minutes(handle),
  };
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
