import { type Cubic, type Point, straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { armedWidth, type FaceWidth, roundedWidth } from "../../geometry/solids/plate";
import { sectionOf } from "../../geometry/solids/section";
import type { Guard } from "../design/schema";

/** Thickness of all of a guard's plates. */
export function guardThickness(guard: Guard): number {
  return guard.plates.reduce((sum, p) => sum + p.thicknessMm, 0);
}

/** How far the guard's middle plane leans forward at a height: 0 on the boss, then a parabola to each end. */
function armShare(guard: Guard, y: number): number {
  const end = y > 0 ? guard.aboveMm : guard.belowMm;
  const beyond = Math.abs(y) - guard.bossMm;
  return beyond > 0 && end > guard.bossMm ? beyond / (end - guard.bossMm) : 0;
}

/** Station of the face that lies `depthMm` behind the front face in the middle, at a height. */
export function guardFaceAt(guard: Guard, depthMm: number, y: number): number {
  const t = armShare(guard, y) ** 2;
  const sweep = y > 0 ? guard.sweepAboveMm : guard.sweepBelowMm;
  return sweep * t - depthMm * (1 + (guard.endShare - 1) * t);
}

/** One face from its lower end to its upper: exact cubics, as each arm is a parabola. */
function face(guard: Guard, depthMm: number): Cubic[] {
  const boss = { up: Math.min(guard.bossMm, guard.aboveMm), down: Math.min(guard.bossMm, guard.belowMm) };
  const at = (y: number): Point => ({ x: guardFaceAt(guard, depthMm, y), y });
  const arm = (y0: number, y1: number): Cubic => {
    // A parabola x(y) through both ends: the quadratic's middle control point, raised to a cubic's two.
    const [a, m, d] = [at(y0), at((y0 + y1) / 2), at(y1)];
    const mid = { x: 2 * m.x - (a.x + d.x) / 2, y: m.y };
    const to = (p: Point): Point => ({ x: (p.x + 2 * mid.x) / 3, y: (p.y + 2 * mid.y) / 3 });
    return { a, b: to(a), c: to(d), d };
  };
  const run: Cubic[] = [];
  if (guard.belowMm > boss.down) run.push(arm(-guard.belowMm, -boss.down));
  run.push(straight(at(-boss.down), at(boss.up)));
  if (guard.aboveMm > boss.up) run.push(arm(boss.up, guard.aboveMm));
  return run;
}

const turned = (run: readonly Cubic[]): Cubic[] =>
  [...run].reverse().map(({ a, b, c, d }) => ({ a: d, b: c, c: b, d: a }));

/** A plate of the guard from the side, from so far to so far behind the front face; by itself, the whole guard. */
export function guardOutline(guard: Guard, fromMm = 0, toMm = guardThickness(guard)): Contour {
  const front = face(guard, fromMm);
  const rear = turned(face(guard, toMm));
  return contourOf([
    ...front,
    straight(front[front.length - 1].d, rear[0].a),
    ...rear,
    straight(rear[rear.length - 1].d, front[0].a),
  ]);
}

/** How wide the guard is at each height. */
export function guardWidth(guard: Guard): FaceWidth {
  const { aboveMm, belowMm, widthMm, bossMm, armWidthMm } = guard;
  if (armWidthMm !== null && armWidthMm < widthMm)
    return armedWidth(-belowMm, aboveMm, bossMm, widthMm, armWidthMm);
  return roundedWidth(-belowMm, aboveMm, widthMm, sectionOf(guard.roundness));
}

/** Width of the guard at a height. */
export function guardWidthAt(guard: Guard, y: number): number {
  return 2 * guardWidth(guard).half(y);
}
