import { type Cubic, type Point, straight } from "../curve/bezier";
import { type Contour, contourOf } from "../curve/contour";
import { curveThrough } from "../curve/spline";
import type { Design, Guard } from "../design/schema";
import { armedWidth, type FaceWidth, faceRegion, roundedWidth } from "../solids/face";
import { layerRegion, lineAt } from "../solids/layer";
import { type LoftSide, loftRegion } from "../solids/loft";
import { sectionOf } from "../solids/section";
import { evenLoft, rodRegion } from "../solids/turned";
import { all, type Building, putLevels } from "./building";
import { sectionsOf } from "./handleBody";
import { importedRegions } from "./imported";
import { printedShare } from "./printed";

/** A domed face keeps this share of its height and width flat in the middle, for the shoulder to seat on. */
export const DOME_SEAT = 0.6;

/** Thickness of all of a guard's plates. */
export function guardThickness(guard: Guard): number {
  return guard.plates.reduce((sum, p) => sum + p.thicknessMm, 0);
}

/** Station of the handle's own front: behind the guard, or at the datum without one. */
export function handleFront(design: Design): number {
  return design.guard ? -guardThickness(design.guard) : 0;
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
function widthOf(guard: Guard): FaceWidth {
  const { aboveMm, belowMm, widthMm, bossMm, armWidthMm } = guard;
  if (armWidthMm !== null && armWidthMm < widthMm)
    return armedWidth(-belowMm, aboveMm, bossMm, widthMm, armWidthMm);
  return roundedWidth(-belowMm, aboveMm, widthMm, sectionOf(guard.roundness));
}

/** Width of the guard at a height. */
export function guardWidthAt(guard: Guard, y: number): number {
  return 2 * widthOf(guard).half(y);
}

/** Housings of each plate: regions that together are the plate, one list for each piece of it. */
export function guardHousings(b: Building, guard: Guard): { plate: number; of: number[] }[] {
  if (guard.mesh)
    return importedRegions(b.design.meshes, guard.mesh, 0).map((of) => ({
      plate: 0,
      of: of.map((r) => b.put(r)),
    }));
  const width = widthOf(guard);
  const total = guardThickness(guard);
  const dome = Math.min(guard.domeMm, total);
  let from = 0;
  return guard.plates.flatMap((plate, i) => {
    const to = from + plate.thicknessMm;
    const outline = guardOutline(guard, from, to);
    // Stations where a closing end of the face meets the plate's curved sides.
    const whole = b.put(faceRegion(outline, width));
    const pieces: { plate: number; of: number[] }[] = [];
    if (dome > from) {
      const cap = b.put(domeCap(guard, dome));
      pieces.push({ plate: i, of: [whole, cap] });
    }
    if (dome < to) {
      const behind = b.put(
        layerRegion(null, null, [outline.xRange[0], dome > 0 ? -dome : outline.xRange[1]]),
      );
      pieces.push({ plate: i, of: dome > 0 ? [whole, behind] : [whole] });
    }
    from = to;
    return pieces;
  });
}

/** What a domed front leaves: ellipses that shrink toward the front face, down to its flat seat. */
function domeCap(guard: Guard, dome: number) {
  const mid = (guard.aboveMm - guard.belowMm) / 2;
  const tall = (guard.aboveMm + guard.belowMm) / 2;
  const scale = (x: number) => Math.sqrt(1 + ((x + dome) / dome) * (DOME_SEAT * DOME_SEAT - 1));
  const knots = [0, 0.25, 0.5, 0.75, 1].map((t) => -dome * (1 - t));
  const knot = (x: number, side: 1 | -1, corner: boolean) => ({ x, y: mid + side * tall * scale(x), corner });
  const end = (i: number) => i === 0 || i === knots.length - 1;
  const run = curveThrough([
    ...knots.map((x, i) => knot(x, 1, end(i))),
    ...[...knots].reverse().map((x, i) => knot(x, -1, end(i))),
  ]);
  const outline = contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
  return evenLoft(outline, (x) => (guard.widthMm / 2) * scale(Math.min(0, Math.max(-dome, x))), sectionOf(1));
}

/** The index finger's bite out of the lower end, a void. */
export function addNotch(b: Building, guard: Guard, housings: readonly { of: number[] }[]): void {
  if (!guard.notch) return;
  const { radiusMm, depthMm } = guard.notch;
  const y = -guard.belowMm + depthMm - radiusMm;
  const [x0, x1] = guardOutline(guard).xRange;
  const bite = b.put(rodRegion(x0 - 1, x1 + 1, y, radiusMm));
  for (const { of } of housings) b.add("guard", "guard-notch", "Finger notch", [], bite, ...of);
}

/** The plates, each with its own material and weight. */
export function addGuard(
  b: Building,
  guard: Guard,
  housings: readonly { plate: number; of: number[] }[],
): void {
  const several = guard.plates.length > 1 && !guard.mesh;
  for (const { plate, of } of housings) {
    const { material, printed } = guard.plates[plate];
    // The first region is the plate whole; the others part it.
    const share = printedShare(printed, [b.regions[of[0]]]);
    const id = several ? `guard-${plate + 1}` : "guard";
    b.add(
      "guard",
      id,
      several ? `Guard plate ${plate + 1}` : "Guard",
      [{ materialId: material, share }],
      ...of,
    );
  }
}

/** The collar, round the front of the handle: what it reaches beyond the handle's own surface. */
export function addCollar(b: Building, guard: Guard): void {
  if (!guard.collar) return;
  const { lengthMm, wallMm, material } = guard.collar;
  const [butt, front] = b.behind;
  const rear = Math.max(butt, front - lengthMm);
  if (!(front > rear)) return;
  const stations = [0, 0.25, 0.5, 0.75, 1].map((t) => front - 1e-6 + (rear - front + 2e-6) * t);
  const ys = stations.map((x) => b.outline.cut(x));
  if (ys.some((cut) => cut.length < 2)) return;
  const end = (i: number) => i === 0 || i === stations.length - 1;
  const top = stations.map((x, i) => ({ x, y: ys[i][ys[i].length - 1] + wallMm, corner: end(i) }));
  const bottom = stations.map((x, i) => ({ x, y: ys[i][0] - wallMm, corner: end(i) })).reverse();
  const run = curveThrough([...top, ...bottom]);
  const outline = contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
  const side = (crown: Building["right"]): LoftSide => ({
    crown: { knots: crown.knots, at: (x) => crown.at(x) + wallMm },
    land: (x) => wallMm + (b.design.handle.kind === "scales" ? lineAt(b.half, x) : 0),
    cap: () => Number.POSITIVE_INFINITY,
  });
  const sections = sectionsOf(b.design.handle, b.behind);
  const region = loftRegion({
    outline,
    xRange: [rear, front],
    right: side(b.right),
    left: side(b.left),
    sectionAt: sections.at,
    stations: sections.stations,
  });
  b.add("guard", "collar", "Collar", all(material), b.put(region));
}

/** Register pins across the joint of guard and handle, over and under the tang. */
export function addDowels(b: Building, guard: Guard): void {
  if (!guard.dowels) return;
  const { diameterMm, lengthMm, spreadMm, material } = guard.dowels;
  const middle = b.design.tang.kind === "full" ? 0 : b.design.tang.yMm;
  const rear = b.behind[1];
  for (const side of [1, -1]) {
    const y = middle + (side * spreadMm) / 2;
    const rod = b.put(
      rodRegion(rear - lengthMm / 2, rear + Math.min(lengthMm / 2, -rear), y, diameterMm / 2),
    );
    const room = putLevels(b, null, null, [b.behind[0], 0]);
    b.add("fasteners", "dowels", "Dowels, guard", all(material), rod, room);
  }
}
