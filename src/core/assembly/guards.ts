import { straight } from "../curve/bezier";
import { contourOf } from "../curve/contour";
import type { Profile } from "../curve/profile";
import { curveThrough } from "../curve/spline";
import type { Guard } from "../design/schema";
import { guardOutline, guardWidth } from "../layout/guard";
import { importedRegions } from "../layout/imported";
import { faceRegion } from "../solids/face";
import { layerRegion, lineAt } from "../solids/layer";
import { type LoftSide, loftRegion } from "../solids/loft";
import { sectionOf } from "../solids/section";
import { evenLoft, rodRegion } from "../solids/turned";
import { type AssemblyBuilder, all } from "./builder";
import { printedShare } from "./printed";

/** A domed face keeps this share of its height and width flat in the middle, for the shoulder to seat on. */
export const DOME_SEAT = 0.6;

/** Housings of each plate: regions that together are the plate, one list for each piece of it. */
export function guardHousings(b: AssemblyBuilder, guard: Guard): { plate: number; of: number[] }[] {
  if (guard.mesh)
    return importedRegions(b.design.meshes, guard.mesh, 0).map((of) => ({
      plate: 0,
      of: of.map((r) => b.put(r)),
    }));
  const width = guardWidth(guard);
  const dome = Math.min(guard.domeMm, b.layout.guardMm);
  return b.layout.guardPlates.flatMap(({ fromMm, toMm, outline }, i) => {
    const whole = b.put(faceRegion(outline, width));
    const pieces: { plate: number; of: number[] }[] = [];
    if (dome > fromMm) {
      const cap = b.put(domeCap(guard, dome));
      pieces.push({ plate: i, of: [whole, cap] });
    }
    if (dome < toMm) {
      const behind = b.put(
        layerRegion(null, null, [outline.xRange[0], dome > 0 ? -dome : outline.xRange[1]]),
      );
      pieces.push({ plate: i, of: dome > 0 ? [whole, behind] : [whole] });
    }
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
export function addNotch(b: AssemblyBuilder, guard: Guard, housings: readonly { of: number[] }[]): void {
  if (!guard.notch) return;
  const { radiusMm, depthMm } = guard.notch;
  const y = -guard.belowMm + depthMm - radiusMm;
  const [x0, x1] = guardOutline(guard).xRange;
  const bite = b.put(rodRegion(x0 - 1, x1 + 1, y, radiusMm));
  for (const { of } of housings) b.add("guard", "guard-notch", "Finger notch", [], bite, ...of);
}

/** The plates, each with its own material and weight. */
export function addGuard(
  b: AssemblyBuilder,
  guard: Guard,
  housings: readonly { plate: number; of: number[] }[],
): void {
  const several = guard.plates.length > 1 && !guard.mesh;
  for (const { plate, of } of housings) {
    const { material, printed } = guard.plates[plate];
    // The first region is the plate whole; the others part it.
    const share = printedShare(printed, [b.region(of[0])]);
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
export function addCollar(b: AssemblyBuilder, guard: Guard): void {
  if (!guard.collar) return;
  const { lengthMm, wallMm, material } = guard.collar;
  const [butt, front] = b.layout.span;
  const rear = Math.max(butt, front - lengthMm);
  if (!(front > rear)) return;
  const stations = [0, 0.25, 0.5, 0.75, 1].map((t) => front - 1e-6 + (rear - front + 2e-6) * t);
  const ys = stations.map((x) => b.layout.outline.cut(x));
  if (ys.some((cut) => cut.length < 2)) return;
  const end = (i: number) => i === 0 || i === stations.length - 1;
  const top = stations.map((x, i) => ({ x, y: ys[i][ys[i].length - 1] + wallMm, corner: end(i) }));
  const bottom = stations.map((x, i) => ({ x, y: ys[i][0] - wallMm, corner: end(i) })).reverse();
  const run = curveThrough([...top, ...bottom]);
  const outline = contourOf([...run, straight(run[run.length - 1].d, run[0].a)]);
  const side = (crown: Profile): LoftSide => ({
    crown: { knots: crown.knots, at: (x) => crown.at(x) + wallMm },
    land: (x) => wallMm + (b.design.handle.kind === "scales" ? lineAt(b.layout.tangFace, x) : 0),
    cap: () => Number.POSITIVE_INFINITY,
  });
  const { sections } = b.layout;
  const region = loftRegion({
    outline,
    xRange: [rear, front],
    right: side(b.layout.crowns.right),
    left: side(b.layout.crowns.left),
    sectionAt: sections.at,
    stations: sections.stations,
  });
  b.add("guard", "collar", "Collar", all(material), b.put(region));
}

/** Register pins across the joint of guard and handle, over and under the tang. */
export function addDowels(b: AssemblyBuilder, guard: Guard): void {
  if (!guard.dowels) return;
  const { diameterMm, lengthMm, spreadMm, material } = guard.dowels;
  const middle = b.design.tang.kind === "full" ? 0 : b.design.tang.yMm;
  const rear = b.layout.frontX;
  for (const side of [1, -1]) {
    const y = middle + (side * spreadMm) / 2;
    const rod = b.put(
      rodRegion(rear - lengthMm / 2, rear + Math.min(lengthMm / 2, -rear), y, diameterMm / 2),
    );
    const room = b.putLevels(null, null, [b.layout.buttX, 0]);
    b.add("fasteners", "dowels", "Dowels, guard", all(material), rod, room);
  }
}
