import type { Point } from "../curve/bezier";
import { enclosedArea, polyline, selfCrossing } from "../curve/crossing";
import type { Design } from "../design/schema";
import { handleOutline } from "../layout/handleOutline";
import { SAME_PLACE_MM } from "../tolerances";
import type { Report } from "./types";

/** Checks the handle's outline and gives it back as chords, for measuring distances to. */
export function checkOutline({ handle }: Design, report: Report): Point[] {
  const nodes = handle.outline;
  const first = nodes[0];
  const last = nodes[nodes.length - 1];
  for (const n of [first, last]) {
    if (Math.abs(n.xMm) > SAME_PLACE_MM) {
      report("error", "outline-front-open", {
        at: { x: n.xMm, y: n.yMm },
        subject: n.id,
        measured: n.xMm,
        limit: 0,
      });
    }
  }
  for (const n of nodes) {
    if (n.xMm > SAME_PLACE_MM && n !== first && n !== last) {
      report("error", "outline-ahead-of-front", {
        at: { x: n.xMm, y: n.yMm },
        subject: n.id,
        measured: n.xMm,
        limit: 0,
      });
    }
  }
  const { cubics } = handleOutline(handle);
  const chords = polyline(cubics, 24);
  const crossing = selfCrossing(cubics);
  if (crossing) report("error", "outline-crosses-itself", { at: crossing });
  if (!(first.yMm > last.yMm) || !(enclosedArea(chords) > 1)) {
    report("error", "outline-no-area", { at: { x: first.xMm, y: first.yMm } });
  }
  return chords;
}
