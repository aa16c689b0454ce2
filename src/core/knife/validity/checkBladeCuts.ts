import { ROUNDING } from "../../base/tolerances";
import { spineThickness } from "../../geometry/solids/groundBlade";
import type { Blade, Design } from "../design/schema";
import { bladeEdges, notchRound } from "../layout/bladeParts";
import { fullerBorders, fullerStations, leastWeb, thinnestIn } from "../layout/fullers";
import { groundBlade } from "../layout/groundBlade";
import type { Report } from "../parts/faults";

/** False edge, fullers, notches, thumb ramp and integral bolster. */
export function checkBladeCuts({ blade }: Design, report: Report): void {
  checkFullers(blade, report);
  const { swedge, ramp, bolster, lengthMm, spineMm } = blade;
  if (swedge) {
    const x = Math.max(0, lengthMm - swedge.lengthMm);
    const at = { x, y: bladeEdges(blade, x)[1] };
    if (swedge.lengthMm > lengthMm)
      report("warning", "swedge-longer-than-blade", { at, measured: swedge.lengthMm, limit: lengthMm });
    const there = spineThickness(groundBlade(blade), x);
    if (swedge.leavesMm >= there)
      report("warning", "swedge-leaves-spine", { at, measured: swedge.leavesMm, limit: there });
  }
  for (const n of blade.notches) {
    const [edge, spine] = bladeEdges(blade, n.xMm);
    const at = { x: n.xMm, y: edge };
    const { yMm, radiusMm } = notchRound(blade, n);
    if (!(n.xMm < lengthMm))
      report("error", "notch-off-edge", { at, subject: n.id, measured: n.xMm, limit: lengthMm });
    else if (n.depthMm > 2 * radiusMm + ROUNDING)
      report("error", "notch-not-open", {
        at,
        subject: n.id,
        measured: n.depthMm,
        limit: 2 * radiusMm,
      });
    else if (yMm + radiusMm >= spine)
      report("error", "notch-cuts-through", { at, subject: n.id, measured: n.depthMm, limit: spine - edge });
  }
  if (ramp) {
    const end = ramp.fromMm + ramp.lengthMm + ramp.riseMm;
    const at = { x: ramp.fromMm, y: bladeEdges(blade, ramp.fromMm)[1] };
    if (end > lengthMm) report("error", "ramp-off-blade", { at, measured: end, limit: lengthMm });
  }
  if (bolster) {
    const at = { x: 0, y: bolster.aboveMm };
    if (bolster.lengthMm >= lengthMm)
      report("error", "bolster-longer-than-blade", { at, measured: bolster.lengthMm, limit: lengthMm });
    if (bolster.widthMm <= spineMm)
      report("error", "bolster-inside-blade", { at, measured: bolster.widthMm, limit: spineMm });
  }
}

function checkFullers(blade: Blade, report: Report): void {
  const { fullers, lengthMm } = blade;
  for (const f of fullers) {
    const middle = (f.fromMm + f.toMm) / 2;
    const [edge, spine] = bladeEdges(blade, middle);
    const at = { x: middle, y: (edge + spine) / 2 };
    const more = { at, subject: f.id };
    if (!(f.toMm > f.fromMm) || f.toMm > lengthMm) {
      report("error", "fuller-off-blade", {
        ...more,
        measured: f.toMm,
        limit: f.toMm > lengthMm ? lengthMm : f.fromMm,
      });
      continue;
    }
    if (f.depthMm > f.radiusMm)
      report("warning", "fuller-deeper-than-radius", { ...more, measured: f.depthMm, limit: f.radiusMm });
    const side = f.sides === "left" ? "left" : "right";
    const off = fullerStations(f).find((x) => fullerBorders(blade, f, side, x) === null);
    if (off !== undefined) {
      const [low, high] = bladeEdges(blade, off);
      report("error", "fuller-off-blade", { at: { x: off, y: (low + high) / 2 }, subject: f.id });
      continue;
    }
    const thin = thinnestIn(blade, f);
    if (!(thin.mm > 0))
      report("error", "fuller-cuts-through", {
        at: { x: thin.x, y: thin.y },
        subject: f.id,
        measured: thin.mm,
        limit: 0,
      });
  }
  fullers.forEach((f, i) => {
    for (const g of fullers.slice(i + 1)) {
      const web = leastWeb(blade, f, g);
      if (web && web.mm <= 0)
        report("error", "fullers-meet", {
          at: { x: web.x, y: web.y },
          subject: g.id,
          measured: web.mm,
          limit: 0,
        });
    }
  });
}
