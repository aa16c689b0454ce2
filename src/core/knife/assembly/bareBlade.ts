import { radians } from "../../base/number";
import { remembered } from "../../base/record/remembered";
import { slotContour } from "../../geometry/curve/shapes";
import { bladeRegion } from "../../geometry/solids/bladeRegion";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { prismRegion } from "../../geometry/solids/prism";
import type { Region } from "../../geometry/solids/region";
import { slabRegion } from "../../geometry/solids/slab";
import { whole } from "../../kinds/fasteners/kind";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { tangFace } from "../constructions/tangs/registry";
import type { BareBlade } from "../design/schema";
import { bladeAdditions, notchRegions } from "../layout/bladeParts";
import { groundBlade } from "../layout/groundBlade";
import { type PartKey, partId } from "../parts/partKey";
import type { Assembly, Part } from "../parts/types";
import { barTangRegion } from "../shapes/bar";
import { barEndPlace } from "../shapes/endPlace";
import { handleCurve, handleOutline } from "../shapes/handleOutline";
import { insetOutline } from "../shapes/insetOutline";
import { recessRegions } from "../shapes/recess";

/** A blade with its tang by itself: what is bored, cut and hollowed out of it, then blade and tang, whole. */
export const assembleBare = remembered(({ blade, tang, outline: nodes, bores }: BareBlade): Assembly => {
  const regions: Region[] = [];
  const parts: Part[] = [];
  const put = (region: Region) => regions.push(region) - 1;
  const add = (key: PartKey, made: readonly string[], ...of: readonly Region[]) =>
    parts.push({
      key,
      id: partId(key),
      group: "blade",
      materials: made.flatMap(whole),
      regions: of.map(put),
    });
  const round = (xMm: number, yMm: number, diameterMm: number) =>
    cylinderRegion({ xMm, yMm, radiusMm: diameterMm / 2 });
  bores.forEach(({ xMm, yMm, diameterMm }, i) => {
    const key = { kind: "fastener", sort: "pin", id: String(i), component: "bore" } as const;
    add(key, [], round(xMm, yMm, diameterMm));
  });
  const outline = handleOutline({ outline: nodes });
  const butt = outline.xRange[0];
  const face = tangFace({ tang, blade }, butt);
  if (tang.kind === "full") {
    for (const h of tang.holes)
      add({ kind: "hole", sort: h.purpose, id: h.id }, [], round(h.xMm, h.yMm, h.diameterMm));
    for (const s of tang.slots) {
      const border = slotContour({ x: s.xMm, y: s.yMm }, s.lengthMm, s.widthMm, radians(s.angleDeg));
      add({ kind: "slot", id: s.id }, [], prismRegion(border));
    }
    const { recess } = tang;
    const inset = recess && insetOutline(handleCurve(nodes), recess.rimMm, -recess.fromMm);
    if (recess && inset)
      for (const of of recessRegions(recess, inset, face)) add({ kind: "recess" }, [], ...of);
  }
  for (const n of blade.notches) add({ kind: "blade-notch", id: n.id }, [], ...notchRegions(blade, n));
  for (const region of [bladeRegion(groundBlade(blade)), ...bladeAdditions(blade)])
    add({ kind: "blade" }, [blade.steel], region);
  const steel = [blade.steel];
  if (tang.kind === "full") {
    const end = tang.short ? Math.max(butt, -tang.short.lengthMm) : butt;
    add({ kind: "tang" }, steel, slabRegion(outline, face, [end, 0]));
    return { regions, parts };
  }
  add({ kind: "tang" }, steel, barTangRegion(tang));
  if (tang.kind === "hidden") {
    // A rod that the bar runs out into is the tang's own; screws, nuts and heads come later.
    const end = endKindOf(tang.end);
    end.build(tang.end, {
      ...barEndPlace(tang, blade.steel, butt, -butt),
      addToTang: (region) => add({ kind: "tang" }, steel, region),
      add: () => undefined,
      hollow: () => undefined,
    });
  }
  return { regions, parts };
});
