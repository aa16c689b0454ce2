import { pieceList } from "../figures/pieces/pieceList";
import type { Design } from "../knife/design/schema";
import { blockTasks, burnIn, isBurnedIn } from "./blockTasks";
import { closingTasks, isRemovable, joinTasks } from "./closingTasks";
import { checkGuard, guardTasks } from "./guardTasks";
import { Planner } from "./planner";
import { drillInOnePass, fitAlong, scalesTasks } from "./scalesTasks";
import { beforeHard, hardenAndGrind, tangHoles } from "./steelTasks";
import { type Schools, type Task, USUAL_SCHOOLS } from "./types";

/**
 * What is to be done to make a knife, each task behind those that it waits for, with why it waits. The order follows from
 * the design; where makers do it in more than one way, from how they work. Of a design that can be built.
 */
export function planOf(design: Design, schools: Schools = USUAL_SCHOOLS): readonly Task[] {
  const p = new Planner();
  const { handle, fasteners } = design;
  for (const piece of pieceList(design))
    if (piece.key.kind !== "blade") p.add("saw-piece", [], { of: { kind: "piece", piece: piece.key } });
  beforeHard(p, design, schools);
  const scaled = handle.kind === "scales";
  const onePass = scaled && schools.drill === "one-pass" && fasteners.length > 0;
  const soft = onePass || isBurnedIn(design);
  tangHoles(p, design, !onePass);
  if (soft) guardTasks(p, design, true);
  if (onePass) {
    fitAlong(p, design);
    drillInOnePass(p);
  }
  if (isBurnedIn(design)) burnIn(p);
  hardenAndGrind(p, design, schools);
  if (soft) checkGuard(p);
  else guardTasks(p, design, false);
  if (scaled) {
    if (!onePass) fitAlong(p, design);
    // What screws alone hold is glued nowhere.
    const throughGlued = schools.drill === "through-glued" && fasteners.length > 0 && !isRemovable(design);
    scalesTasks(p, design, onePass, throughGlued);
  }
  if (handle.kind !== "bare") blockTasks(p, design);
  joinTasks(p, design);
  closingTasks(p, design);
  return p.done();
}
