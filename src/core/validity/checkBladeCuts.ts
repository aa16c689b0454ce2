import type { Blade, Design, Fuller } from "../design/schema";
import { bladeEdges, notchRound } from "../layout/bladeParts";
import { groundBlade } from "../layout/groundBlade";
import { bladeFacesAt } from "../solids/bladeRegion";
import { isOn, spineThickness } from "../solids/groundBlade";
import type { Report } from "./types";

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
      report("warning", "bolster-inside-blade", { at, measured: bolster.widthMm, limit: spineMm });
  }
}

/** Stations that a groove is looked at. */
const STEPS = 24;

/** A groove on one side at one station: its two borders, or null where one of them is off the blade. */
function borders(
  blade: Blade,
  f: Fuller,
  side: "right" | "left",
  x: number,
): readonly [number, number] | null {
  const faces = bladeFacesAt(groundBlade(blade), x);
  const marks = (faces?.[side].marks ?? []).filter((m) => m.of === `fuller:${f.id}`).map((m) => m.y);
  return marks.length > 1 ? [Math.min(...marks), Math.max(...marks)] : null;
}

function stationsOf({ fromMm, toMm }: Fuller): number[] {
  return Array.from({ length: STEPS }, (_, i) => fromMm + ((toMm - fromMm) * (i + 0.5)) / STEPS);
}

function checkFullers(blade: Blade, report: Report): void {
  const { fullers, lengthMm } = blade;
  const ground = groundBlade(blade);
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
    const off = stationsOf(f).find((x) => borders(blade, f, side, x) === null);
    if (off !== undefined) {
      const [low, high] = bladeEdges(blade, off);
      report("error", "fuller-off-blade", { at: { x: off, y: (low + high) / 2 }, subject: f.id });
      continue;
    }
    const thin = stationsOf(f)
      .map((x) => ({ x, ...thinnest(ground, x) }))
      .reduce((least, now) => (now.mm < least.mm ? now : least));
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

/** Where the blade is thinnest at a station inside its fullers, mm. */
function thinnest(ground: ReturnType<typeof groundBlade>, x: number): { mm: number; y: number } {
  const faces = bladeFacesAt(ground, x);
  if (!faces) return { mm: Number.POSITIVE_INFINITY, y: 0 };
  const ys = [...faces.right.marks, ...faces.left.marks]
    .filter((m) => m.of.startsWith("fuller:"))
    .map((m) => m.y);
  if (ys.length === 0) return { mm: Number.POSITIVE_INFINITY, y: 0 };
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  let least = { mm: Number.POSITIVE_INFINITY, y: low };
  for (let i = 1; i < 32; i++) {
    const y = low + ((high - low) * i) / 32;
    const mm = faces.right.half(y) + faces.left.half(y);
    if (mm < least.mm) least = { mm, y };
  }
  return least;
}

/** What is left between two grooves of one side where they come nearest; null where no side has both. */
export function leastWeb(blade: Blade, f: Fuller, g: Fuller): { mm: number; x: number; y: number } | null {
  const [from, to] = [Math.max(f.fromMm, g.fromMm), Math.min(f.toMm, g.toMm)];
  if (!(to > from)) return null;
  let least: { mm: number; x: number; y: number } | null = null;
  for (const side of ["right", "left"] as const) {
    if (!isOn(f.sides, side) || !isOn(g.sides, side)) continue;
    for (let i = 0; i < STEPS; i++) {
      const x = from + ((to - from) * (i + 0.5)) / STEPS;
      const [a, b] = [borders(blade, f, side, x), borders(blade, g, side, x)];
      if (!a || !b) continue;
      const [lower, upper] = a[0] + a[1] < b[0] + b[1] ? [a, b] : [b, a];
      const mm = upper[0] - lower[1];
      if (!least || mm < least.mm) least = { mm, x, y: (upper[0] + lower[1]) / 2 };
    }
  }
  return least;
}
