import { straight } from "../curve/bezier";
import { contourOf } from "../curve/contour";
import { curveThrough } from "../curve/spline";
import type { Guard } from "../design/schema";
import { whole } from "../fasteners/kind";
import { type AnyFittingKind, fittingsOn } from "../guardFittings/registry";
import { fittingPlace } from "../layout/fittingPlace";
import { guardWidth } from "../layout/guard";
import { importedRegions } from "../layout/imported";
import { plateNaming } from "../layout/itemNames";
import { layerRegion } from "../solids/layer";
import { plateRegion } from "../solids/plate";
import { sectionOf } from "../solids/section";
import { evenLoft } from "../solids/turned";
import type { AssemblyBuilder } from "./builder";

/** A domed face keeps this share of its height and width flat in the middle, for the shoulder to seat on. */
export const DOME_SEAT = 0.6;

/** A stretch of a plate: regions that together are it, the plate whole first. */
export interface PlateStretch {
  readonly plate: number;
  readonly of: readonly number[];
}

/** The plates of a guard in their stretches, without what is taken from them. */
export function plateStretches(b: AssemblyBuilder, guard: Guard): PlateStretch[] {
  if (guard.mesh)
    return b.putAll(importedRegions(b.design.meshes, guard.mesh, 0)).map((of) => ({ plate: 0, of }));
  const width = guardWidth(guard);
  const dome = Math.min(guard.domeMm, b.layout.guardMm);
  return b.layout.guardPlates.flatMap(({ fromMm, toMm, outline }, plate) => {
    const face = b.put(plateRegion(outline, width));
    const stretches: PlateStretch[] = [];
    if (dome > fromMm) stretches.push({ plate, of: [face, b.put(domeCap(guard, dome))] });
    if (dome < toMm) {
      const behind: [number, number] = [outline.xRange[0], dome > 0 ? -dome : outline.xRange[1]];
      const rest = b.put(layerRegion(null, null, behind));
      stretches.push({ plate, of: dome > 0 ? [face, rest] : [face] });
    }
    return stretches;
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

/** The plates, each with its own material and weight. */
export function addGuard(b: AssemblyBuilder, guard: Guard, stretches: readonly PlateStretch[]): void {
  const several = guard.plates.length > 1 && !guard.mesh;
  for (const { plate, of } of stretches) {
    const { material, printed } = guard.plates[plate];
    const naming = plateNaming(b.layout.design, plate);
    const key = { kind: "guard", number: several ? plate + 1 : null, ...naming } as const;
    b.addPrinted(printed, "guard", key, whole(material), ...of);
  }
}

/** The fittings that take their space first, or those that take what is left. */
export function addFittings(
  b: AssemblyBuilder,
  guard: Guard,
  stretches: readonly PlateStretch[],
  precedence: AnyFittingKind["precedence"],
): void {
  const place = fittingPlace(b.layout);
  if (!place) return;
  for (const { kind, fitting } of fittingsOn(guard)) {
    if (kind.precedence !== precedence) continue;
    kind.build(fitting, {
      ...place,
      plates: stretches.map((s) => s.of),
      put: (region) => b.put(region),
      add: (material, ...of) =>
        b.add(kind.group, { kind: "fitting", sort: kind.kind }, material ? whole(material) : [], ...of),
    });
  }
}
