import { clamp } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { signChanges } from "../../geometry/curve/roots";
import { ClosingZone, ROUND } from "../../geometry/solids/closingZone";
import { plateRegion } from "../../geometry/solids/plate";
import type { Region } from "../../geometry/solids/region";
import { curvedSlice } from "../../geometry/solids/slice";
import { whole } from "../../kinds/fasteners/kind";
import type { FittingSite } from "../../kinds/guardFittings/kind";
import { type AnyFittingKind, fittingsOn } from "../../kinds/guardFittings/registry";
import type { Guard } from "../design/schema";
import { fittingPlace } from "../layout/fittingPlace";
import { guardFaceAt, guardOutline, guardWidth } from "../layout/guard";
import type { AssemblyBuilder } from "../parts/builder";
import { importedRegions } from "../shapes/imported";
import { plateNaming } from "../shapes/itemNames";
import { workedAs } from "../shapes/textures";

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
    return b
      .putAll(importedRegions(b.design.meshes, guard.mesh, guard.mesh.xMm))
      .map((of) => ({ plate: 0, of }));
  const width = guardWidth(guard);
  const dome = Math.min(guard.domeMm, b.layout.guardMm);
  return b.layout.guardPlates.flatMap(({ fromMm, toMm, outline }, plate) => {
    if (!(dome > fromMm)) return [{ plate, of: [b.put(plateRegion(outline, width))] }];
    const between = (from: number, to: number) => b.put(plateRegion(guardOutline(guard, from, to), width));
    const domed = { plate, of: [between(fromMm, Math.min(toMm, dome)), b.put(domeCap(guard, dome))] };
    return dome < toMm ? [domed, { plate, of: [between(dome, toMm)] }] : [domed];
  });
}

/** Places along a domed front that are looked at for where its ellipses end. */
const DOME_SAMPLES = 24;
const DOME_RINGS = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];

/**
 * What a domed front leaves, within the dome's depth: ellipses about the middle of the guard's height that shrink toward
 * the front face, down to its flat seat. Depth runs as the plates do: from the front face at each height, so that arms that
 * are swept keep theirs.
 */
function domeCap(guard: Guard, dome: number): Region {
  const mid = (guard.aboveMm - guard.belowMm) / 2;
  const tall = (guard.aboveMm + guard.belowMm) / 2;
  const outline = guardOutline(guard, 0, dome);
  /** The square of the half width at (x, y), as a share of half the guard's width; below zero there is nothing. */
  const square = (x: number, y: number) => {
    const [rear, front] = [guardFaceAt(guard, dome, y), guardFaceAt(guard, 0, y)];
    const share = clamp((x - rear) / (front - rear), 0, 1);
    return 1 + share * (DOME_SEAT * DOME_SEAT - 1) - ((y - mid) / tall) ** 2;
  };
  const stretches = (x: number): number[] => {
    const ys = outline.cut(x);
    const found: number[] = [];
    for (let k = 0; k + 1 < ys.length; k += 2) {
      const ends = [
        ys[k],
        ...signChanges((y) => square(x, y), ys[k] + INSIDE_MM, ys[k + 1] - INSIDE_MM, DOME_SAMPLES),
        ys[k + 1],
      ];
      for (let i = 0; i + 1 < ends.length; i++)
        if (square(x, (ends[i] + ends[i + 1]) / 2) > 0) found.push(ends[i], ends[i + 1]);
    }
    return found;
  };
  const half = (x: number, y: number) => (guard.widthMm / 2) * Math.sqrt(Math.max(0, square(x, y)));
  return {
    kind: "loft",
    outline,
    // More than its faces follow from, but nothing less.
    from: ["dome-cap", dome, { ...guard, plates: null, slot: null }],
    xRange: outline.xRange,
    // It bends all along: a mesh of it has rings at these, too.
    breaks: [
      ...outline.breaks,
      ...DOME_RINGS.map((share) => ({ x: -dome * share, below: false, above: false })),
    ],
    sliceAt: (x) => {
      const ys = stretches(x);
      if (ys.length === 0) return null;
      const zones: ClosingZone[] = [];
      for (let k = 0; k + 1 < ys.length; k += 2) {
        const [middle, reach] = [(ys[k] + ys[k + 1]) / 2, (ys[k + 1] - ys[k]) / 2];
        zones.push(new ClosingZone(middle, reach, 1, ROUND), new ClosingZone(middle, reach, -1, ROUND));
      }
      // Where the arms begin to lean.
      const creases = [-guard.bossMm, guard.bossMm];
      return curvedSlice({ ys, creases, zones, low: (y) => -half(x, y), high: (y) => half(x, y) });
    },
  };
}

/** The plates, each with its own material and weight. */
export function addGuard(b: AssemblyBuilder, guard: Guard, stretches: readonly PlateStretch[]): void {
  const several = guard.plates.length > 1 && !guard.mesh;
  for (const { plate, of } of stretches) {
    const { material, printed } = guard.plates[plate];
    const worked = plate === 0 ? workedAs(guard.face, "front") : null;
    const naming = plateNaming(b.layout.design, plate);
    const key = { kind: "guard", number: several ? plate + 1 : null, ...naming } as const;
    b.addMade({ printed, worked }, "guard", key, whole(material), ...of);
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
    const add: FittingSite["addSide"] = (side, material, ...of) =>
      b.add(kind.group, { kind: "fitting", sort: kind.kind, side }, material ? whole(material) : [], ...of);
    kind.build(fitting, {
      ...place,
      plates: stretches.map((s) => s.of),
      put: (region) => b.put(region),
      add: (material, ...of) => add(null, material, ...of),
      addSide: add,
    });
  }
}
