import { polyline } from "../../geometry/curve/crossing";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { assembleBare } from "../../knife/assembly/bareBlade";
import type { Design } from "../../knife/design/schema";
import { bladeReaches } from "../../knife/layout/bladeParts";
import { layoutOf } from "../../knife/layout/layout";
import { bareBladeOf } from "../../knife/starts/starts";

/** Along the knife, across its height, and across its thickness. */
export interface Size {
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** Diameter of the rod that a hidden tang runs out into of itself, mm; 0 of none. */
function ownRodMm(tang: Exclude<Design["tang"], { kind: "full" }>): number {
  if (tang.kind !== "hidden" || endKindOf(tang.end).rodStock(tang.end)) return 0;
  const rod = endKindOf(tang.end).rod(tang.end);
  return rod?.ofTang ? rod.diameterMm : 0;
}

/** Bar or sheet that blade and tang are cut out of in one, without room to shape. */
export function bladeBox(design: Design): Size {
  const { blade, tang } = design;
  const { bladeOutline, outline, barOutline } = layoutOf(design);
  const { regions, parts } = assembleBare(bareBladeOf(design));
  // A rod that a tang runs out into is cut out of the same bar.
  const ends = parts.flatMap((p) =>
    p.key.kind === "tang" ? p.regions.map((r) => regions[r].xRange[0]) : [],
  );
  const taper = tang.kind === "full" ? tang.taper : null;
  const thick =
    tang.kind === "full"
      ? [taper?.frontMm ?? 0, taper?.buttMm ?? 0]
      : [tang.frontThicknessMm, tang.endThicknessMm, ownRodMm(tang)];
  const contours = [bladeOutline, tang.kind === "full" ? outline : barOutline].flatMap((c) => c ?? []);
  const ys = [...contours.flatMap((c) => polyline(c.cubics, 24).map((p) => p.y)), ...bladeReaches(blade)];
  return {
    lengthMm: bladeOutline.xRange[1] - Math.min(0, ...ends),
    heightMm: Math.max(...ys) - Math.min(...ys),
    thicknessMm: Math.max(blade.spineMm, blade.bolster?.widthMm ?? 0, ...thick),
  };
}
