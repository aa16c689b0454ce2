import { INSIDE_MM } from "../../base/tolerances";
import type { Point } from "../curve/bezier";
import { signChanges } from "../curve/roots";
import { type BladeFace, type FaceLine, plungeReach, plungeX } from "./bladeFace";
import { facesAt, plungeHeight, plungeStations } from "./bladeRegion";
import { type BladeSide, type GroundBlade, isOn, runOutMm } from "./groundBlade";

/** Stations that a line on the face is drawn by. */
const LINE_STEPS = 90;

/** One line on a blade's face as it is seen from that side. */
export interface DrawnLine {
  readonly of: FaceLine;
  readonly points: readonly Point[];
}

/**
 * The lines on one side of the blade: where the ground face ends, the ridge, the false edge, fullers and the plunge, each
 * from the butt to the tip.
 */
export function faceLines(blade: GroundBlade, side: BladeSide): DrawnLine[] {
  const plungeY = plungeHeight(blade);
  const [first] = plungeStations(blade, plungeY);
  const { outline, lengthMm } = blade;
  const last = Math.max(lengthMm, outline.xRange[1]);
  const stations = new Set<number>();
  const fullers = blade.fullers.filter((f) => isOn(f.sides, side));
  const from = Math.max(INSIDE_MM, Math.min(first, ...fullers.map((f) => f.fromMm)));
  for (let i = 0; i <= LINE_STEPS; i++)
    stations.add(from + ((last - from) * (i + 0.001)) / (LINE_STEPS + 0.01));
  // The ends of grooves are round: their lines crowd there.
  for (const f of fullers)
    for (const t of [0.002, 0.02, 0.08, 0.2, 0.5, 1]) {
      const out = t * runOutMm(f);
      stations.add(f.fromMm + out).add(f.toMm - out);
    }
  const found = new Map<string, Point[]>();
  for (const x of [...stations].filter((x) => x >= from && x < last).sort((a, b) => a - b)) {
    const ys = outline.cut(x);
    if (ys.length < 2) continue;
    const faces = facesAt(blade, ys, x, x < first ? Number.NaN : plungeY);
    const seen = new Map<FaceLine, number>();
    for (const { of, y } of [...faces[side].marks].sort((a, b) => a.y - b.y)) {
      if (of === "plunge") continue;
      const nth = seen.get(of) ?? 0;
      seen.set(of, nth + 1);
      const key = `${of} ${nth}`;
      const line = found.get(key) ?? [];
      line.push({ x, y });
      found.set(key, line);
    }
  }
  const lines: DrawnLine[] = [...found].map(([key, points]) => ({
    of: key.split(" ")[0] as FaceLine,
    points,
  }));
  return [...closedFullers(lines), ...plungeLine(blade, plungeY)];
}

/** The two borders of a groove as one loop. */
function closedFullers(lines: readonly DrawnLine[]): DrawnLine[] {
  const rest = lines.filter((l) => !l.of.startsWith("fuller:"));
  const ids = [...new Set(lines.filter((l) => l.of.startsWith("fuller:")).map((l) => l.of))];
  return [
    ...rest,
    ...ids.map((of) => {
      const [lower, upper] = lines.filter((l) => l.of === of);
      return {
        of,
        points: upper ? [...lower.points, ...[...upper.points].reverse(), lower.points[0]] : lower.points,
      };
    }),
  ];
}

/** The plunge's radius ends where the face is no farther over the grind's own, mm. */
const RADIUS_ENDS_MM = 1e-3;

/** The plunge line, and where its radius ends. */
function plungeLine(blade: GroundBlade, plungeY: number): DrawnLine[] {
  const { ricassoMm, lengthMm, plunge } = blade;
  if (!(ricassoMm > 0) || ricassoMm >= lengthMm) return [];
  const ys = blade.outline.cut(Math.min(ricassoMm + INSIDE_MM, lengthMm - INSIDE_MM));
  if (ys.length < 2) return [];
  const top = ys[ys.length - 1];
  const line: Point[] = [plungeY, top].map((y) => ({ x: plungeX(blade, plungeY, y), y }));
  const drawn: DrawnLine[] = [{ of: "plunge", points: line }];
  if (!(plunge.radiusMm > 0)) return drawn;
  const points: Point[] = [];
  for (let i = 0; i <= 12; i++) {
    const y = plungeY + ((top - plungeY) * i) / 12;
    const x0 = plungeX(blade, plungeY, y);
    const reach = plungeReach(blade);
    const face = (x: number): BladeFace => facesAt(blade, blade.outline.cut(x), x, plungeY).right;
    // The radius ends where the face is no longer over the grind's own.
    const plain = { ...blade, plunge: { ...plunge, radiusMm: 0 } };
    const over = (x: number) =>
      face(x).half(y) - facesAt(plain, blade.outline.cut(x), x, plungeY).right.half(y) - RADIUS_ENDS_MM;
    const [end] = reach > 0 ? signChanges(over, x0 + INSIDE_MM, x0 + reach + INSIDE_MM, 4) : [];
    points.push({ x: end ?? x0, y });
  }
  return [...drawn, { of: "plunge", points }];
}
