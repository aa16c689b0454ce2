import { fittingsOn } from "../../kinds/guardFittings/registry";
import type { Design } from "../design/schema";
import { fittingPlace } from "../layout/fittingPlace";
import { guardWidthAt } from "../layout/guard";
import { layoutOf } from "../layout/layout";
import type { Report } from "../parts/faults";
import { barAtFront } from "./checkTang";

/** The guard against the tang that passes it, and what is let into it. */
export function checkGuard(design: Design, report: Report): void {
  const { guard, tang, handle } = design;
  if (!guard || guard.mesh) return;
  const { frontX: front, guardMm: thick } = layoutOf(design);
  if (tang.kind === "full") {
    const nodes = handle.outline;
    const short = Math.min(guard.aboveMm - nodes[0].yMm, guard.belowMm + nodes[nodes.length - 1].yMm);
    if (short < 0)
      report("warning", "guard-lower-than-tang", { at: { x: front, y: 0 }, measured: -short, limit: 0 });
  }
  const bar = barAtFront(design);
  if (bar) {
    const room = guard.slot.clearanceMm;
    const over = Math.max(
      bar.high + room - guard.aboveMm,
      -guard.belowMm - (bar.low - room),
      bar.half + room - guardWidthAt(guard, bar.high) / 2,
      bar.half + room - guardWidthAt(guard, bar.low) / 2,
    );
    const y = tang.kind === "full" ? 0 : tang.yMm;
    if (!(over < 0)) report("error", "tang-through-guard", { at: { x: 0, y }, measured: over, limit: 0 });
  }
  if (guard.domeMm > thick)
    report("error", "dome-deeper-than-guard", { at: { x: 0, y: 0 }, measured: guard.domeMm, limit: thick });
  const reach = Math.max(guard.aboveMm, guard.belowMm);
  if (guard.bossMm > reach)
    report("warning", "boss-beyond-guard", { at: { x: 0, y: reach }, measured: guard.bossMm, limit: reach });
  if (guard.armWidthMm !== null && guard.armWidthMm > guard.widthMm)
    report("warning", "arms-wider-than-guard", {
      at: { x: 0, y: reach },
      measured: guard.armWidthMm,
      limit: guard.widthMm,
    });
  const place = fittingPlace(layoutOf(design));
  if (!place) return;
  for (const { kind, fitting } of fittingsOn(guard))
    for (const { rule, at, measured, limit } of kind.faults(fitting, place))
      report("error", rule, { at, measured, limit });
}
