import { INSIDE_MM } from "../../base/tolerances";
import { lineAt } from "../../geometry/solids/line";
import { handleModule } from "../constructions/handles/registry";
import { tangModule } from "../constructions/tangs/registry";
import type { Design } from "../design/schema";
import { layoutOf } from "../layout/layout";
import type { Report } from "../parts/faults";
import { barHalf, barTangOutline } from "../shapes/bar";

/** The tang against the handle it stands in: openings, hole, frame, and what is at its end. */
export function checkTang(design: Design, report: Report): void {
  const { tang, handle } = design;
  const layout = layoutOf(design);
  const { tangs, apart } = handleModule(handle);
  if (!tangs.includes(tang.kind)) {
    report("error", apart, { at: { x: apart === "bare-needs-full-tang" ? 0 : layout.frontX, y: 0 } });
    return;
  }
  tangModule(tang).faults(tang, layout, report);
}

/** Lowest and highest point of the bar where it leaves the guard. */
export function barAtFront(design: Design): { low: number; high: number; half: number } | null {
  const { tang } = design;
  if (tang.kind === "full") return null;
  const ys = barTangOutline(tang).cut(-INSIDE_MM);
  return { low: ys[0], high: ys[ys.length - 1], half: lineAt(barHalf(tang), 0) };
}
