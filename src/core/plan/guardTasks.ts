import { pieceList } from "../figures/pieces/pieceList";
import { fittingOf } from "../kinds/guardFittings/registry";
import type { Design } from "../knife/design/schema";
import { after, type Planner, surfaced } from "./planner";

/** The guard from its slot to a seat on the blade; `soft` where it is fitted before the blade is hardened. */
export function guardTasks(p: Planner, design: Design, soft: boolean): void {
  const { guard } = design;
  if (!guard) return;
  const sawn = pieceList(design)
    .filter(({ key }) => key.kind === "guard" || key.kind === "fitting")
    .map(({ id }) => after({ id: `saw-piece:${id}` }, "marked-out-first"));
  if (fittingOf(guard, "cheeks")) p.add("weld-guard", sawn);
  p.add("slot-guard", [...sawn, after("file-tang", "slot-follows-tang"), after("weld-guard", "shape-first")]);
  p.add("fit-guard", [
    after("slot-guard", "slot-follows-tang"),
    after("inspect-blade", "finished-before-guard"),
    after("profile", "marked-out-first"),
    ...(soft ? [] : surfaced("finished-before-guard")),
  ]);
  if (!soft) checkGuard(p);
  p.add("shape-guard", [after("fit-guard", "shape-first")]);
}

/** Whether it sits square, the blade in line with it: of a guard that was fitted soft, once the blade is hard. */
export function checkGuard(p: Planner): void {
  if (!p.has("fit-guard")) return;
  p.add("check-guard", [
    after("fit-guard", "blade-through-guard"),
    ...surfaced("seat-moves"),
    after("check-straight", "seat-moves"),
  ]);
}
