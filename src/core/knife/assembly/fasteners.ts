import type { Contour } from "../../geometry/curve/contour";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { prismRegion } from "../../geometry/solids/prism";
import type { Region } from "../../geometry/solids/region";
import type { FastenerSite, Share } from "../../kinds/fasteners/kind";
import { type Fastener, kindOf } from "../../kinds/fasteners/registry";
import type { AssemblyBuilder } from "../parts/builder";
import { surfaceAt } from "../shapes/handleBody";
import { itemNaming } from "../shapes/itemNames";
import { aheadOfEnd } from "../shapes/scaleEnd";

/** Levels of a fastener reach so far to both sides of it along the knife, mm: farther than any head. */
const REACH_MM = 50;

/** A fastener's parts, as its kind builds them. */
export function addFastener(b: AssemblyBuilder, f: Fastener, body: number): void {
  const range: [number, number] = [f.xMm - REACH_MM, f.xMm + REACH_MM];
  const between = (low: number | null, high: number | null) => b.putLevels(low, high, range);
  const naming = itemNaming(b.layout.design, f.id);
  const { scaleEnd } = b.layout;
  // On the bare tang behind its scales it ends at the tang's faces.
  const own =
    scaleEnd && aheadOfEnd(scaleEnd, f.xMm, f.yMm) < 0 ? b.put(b.layout.bodyAt(f.xMm, f.yMm)) : body;
  const site: FastenerSite = {
    body: own,
    between,
    round: (diameterMm: number) =>
      b.put(cylinderRegion({ xMm: f.xMm, yMm: f.yMm, radiusMm: diameterMm / 2 })),
    prism: (outline: Contour) => b.put(prismRegion(outline)),
    bothSides: (low, high) => [between(low, high), between(high === null ? null : -high, -low)],
    put: (region: Region) => b.put(region),
    surface: (side) => surfaceAt(b.region(own), f.xMm, f.yMm, side),
    add: (component: string | null, materials: readonly Share[], ...of: readonly number[]) =>
      b.add(
        "fasteners",
        { kind: "fastener", sort: f.kind, id: f.id, component, ...naming },
        materials,
        ...of,
      ),
  };
  kindOf(f).build(f, site);
}
