import { bladeFacesAt } from "../../geometry/solids/bladeRegion";
import { isOn } from "../../geometry/solids/groundBlade";
import type { DrawnBlade, Fuller } from "../design/schema";
import { groundBlade } from "./groundBlade";

/** A place on a blade, and what was measured there, mm. */
export interface MeasuredAt {
  readonly mm: number;
  readonly x: number;
  readonly y: number;
}

/** Stations that a groove is looked at. */
const STEPS = 24;

/** A groove on one side at one station: its two borders, or null where one of them is off the blade. */
export function fullerBorders(
  blade: DrawnBlade,
  f: Fuller,
  side: "right" | "left",
  x: number,
): readonly [number, number] | null {
  const faces = bladeFacesAt(groundBlade(blade), x);
  const marks = (faces?.[side].marks ?? []).filter((m) => m.of === `fuller:${f.id}`).map((m) => m.y);
  return marks.length > 1 ? [Math.min(...marks), Math.max(...marks)] : null;
}

/** Stations along a groove, none at its very ends. */
export function fullerStations({ fromMm, toMm }: Fuller): number[] {
  return Array.from({ length: STEPS }, (_, i) => fromMm + ((toMm - fromMm) * (i + 0.5)) / STEPS);
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
export function leastWeb(blade: DrawnBlade, f: Fuller, g: Fuller): MeasuredAt | null {
  const [from, to] = [Math.max(f.fromMm, g.fromMm), Math.min(f.toMm, g.toMm)];
  if (!(to > from)) return null;
  let least: MeasuredAt | null = null;
  for (const side of ["right", "left"] as const) {
    if (!isOn(f.sides, side) || !isOn(g.sides, side)) continue;
    for (let i = 0; i < STEPS; i++) {
      const x = from + ((to - from) * (i + 0.5)) / STEPS;
      const [a, b] = [fullerBorders(blade, f, side, x), fullerBorders(blade, g, side, x)];
      if (!a || !b) continue;
      const [lower, upper] = a[0] + a[1] < b[0] + b[1] ? [a, b] : [b, a];
      const mm = upper[0] - lower[1];
      if (!least || mm < least.mm) least = { mm, x, y: (upper[0] + lower[1]) / 2 };
    }
  }
  return least;
}

/** Where a groove leaves the blade thinnest. */
export function thinnestIn(blade: DrawnBlade, f: Fuller): MeasuredAt {
  const ground = groundBlade(blade);
  return fullerStations(f)
    .map((x) => ({ x, ...thinnest(ground, x) }))
    .reduce((least, now) => (now.mm < least.mm ? now : least));
}
