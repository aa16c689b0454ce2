import type { Design, Guard } from "../design/schema";
import { guardWidthAt } from "../layout/guard";
import { layoutOf } from "../layout/layout";
import { barAtFront } from "./checkTang";
import type { Report } from "./types";

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
  if (guard.notch) {
    const top = -guard.belowMm + guard.notch.depthMm;
    const low = bar?.low ?? handle.outline[handle.outline.length - 1].yMm;
    if (top > low)
      report("error", "notch-into-tang", { at: { x: front, y: top }, measured: top, limit: low });
  }
  checkDowels(design, guard, bar, report);
}

function checkDowels(
  design: Design,
  guard: Guard,
  bar: { low: number; high: number } | null,
  report: Report,
): void {
  if (!guard.dowels) return;
  const { diameterMm, spreadMm } = guard.dowels;
  const middle = design.tang.kind === "full" ? 0 : design.tang.yMm;
  const x = layoutOf(design).frontX;
  const reach = (spreadMm + diameterMm) / 2;
  const out = Math.max(middle + reach - guard.aboveMm, -guard.belowMm - (middle - reach));
  if (!(out < 0))
    report("error", "dowel-off-guard", { at: { x, y: middle + reach }, measured: out, limit: 0 });
  const near = (spreadMm - diameterMm) / 2;
  const [low, high] = bar ? [bar.low, bar.high] : [0, 0];
  const into = Math.max(high - (middle + near), middle - near - low);
  if (bar && !(into < 0))
    report("error", "dowel-in-tang", { at: { x, y: middle + near }, measured: into, limit: 0 });
}
