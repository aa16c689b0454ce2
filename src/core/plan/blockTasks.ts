import { endKindOf } from "../kinds/tangEnds/registry";
import type { Design } from "../knife/design/schema";
import { type After, after, type Planner } from "./planner";

const BEFORE_HOLES: readonly After[] = [
  after("saw-piece", "marked-out-first"),
  after("file-tang", "slot-follows-tang"),
  after("fit-guard", "guard-before-holes"),
  after("check-guard", "guard-before-holes"),
];

/** Whether the tang is burned into its block: with a tang that is not hardened, and a guard that is fitted before. */
export const isBurnedIn = ({ tang }: Design): boolean =>
  tang.kind === "hidden" && tang.hole.kind === "burned";

export function burnIn(p: Planner): void {
  p.add("burn-in", [
    ...BEFORE_HOLES,
    after("soften-tang", "unhardened-tang"),
    after("anneal", "unhardened-tang"),
    after("drill-tang", "pin-before-next"),
    after("check-holes", "pin-before-next"),
  ]);
}

/** Ends that are cut as a thread into the tang or on to it. */
const THREADED = new Set(["threaded", "cap-nut", "take-down"]);

/** Pieces on a bar: its hole, its last fit, pins through it, and what holds it at the butt. */
export function blockTasks(p: Planner, design: Design): void {
  const { tang, fasteners } = design;
  if (tang.kind === "full") return;
  if (!isBurnedIn(design)) p.add("drill-block", [...BEFORE_HOLES, after("check-straight", "straight-first")]);
  p.add("fit-block", [
    after("drill-block", "bore-before-fit"),
    after("burn-in", "bore-before-fit"),
    after("check-straight", "straight-first"),
    after("check-guard", "guard-before-holes"),
  ]);
  if (fasteners.length > 0)
    p.add("drill-pins", [after("fit-block", "last-fit-first"), after("check-holes", "pin-before-next")]);
  const end = tang.kind === "hidden" ? tang.end : null;
  if (!end || end.kind === "plain") return;
  if (THREADED.has(end.kind)) {
    if (!p.has("soften-tang"))
      p.add("soften-tang", [
        after("check-straight", "thread-soft"),
        after("grind-bevels", "thread-soft"),
        after("fit-block", "last-fit-first"),
      ]);
    p.add("thread-tang", [after("soften-tang", "thread-soft"), after("fit-block", "last-fit-first")]);
  }
  if (endKindOf(end).through)
    p.add("fit-end", [after("fit-block", "last-fit-first"), after("thread-tang", "thread-soft")]);
}
