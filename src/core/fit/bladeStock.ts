import { assembleBare } from "../assembly/bareBlade";
import type { PartKey } from "../assembly/partKey";
import { polyline } from "../curve/crossing";
import type { Design } from "../design/schema";
import { bareBladeOf } from "../design/starts";
import { bladeReaches } from "../layout/bladeParts";
import { layoutOf } from "../layout/layout";
import type { Extent } from "../solids/extent";
import type { Region } from "../solids/region";
import { endKindOf } from "../tangEnds/registry";

/** Along the knife, across its height, and across its thickness. */
export interface Size {
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** The box that holds several. */
export function sizeOf(boxes: readonly Extent[]): Size | null {
  if (boxes.length === 0) return null;
  const over = (k: 0 | 1 | 2) =>
    Math.max(...boxes.map((b) => b[k][1])) - Math.min(...boxes.map((b) => b[k][0]));
  return { lengthMm: over(0), heightMm: over(1), thicknessMm: over(2) };
}

/** What is cut, as space. */
export interface Spaces {
  /** Stretches of what it takes up, each what its regions have in common; of a pair, the right one's. */
  readonly stretches: readonly (readonly Region[])[];
  /** Notches and slots that are cut right through it, the same way. */
  readonly less: readonly (readonly Region[])[];
}

/** A box, and what stands in it. */
export type Boxed = Size & Spaces;

/** Diameter of the rod that a hidden tang runs out into of itself, mm; 0 of none. */
function ownRodMm(tang: Exclude<Design["tang"], { kind: "full" }>): number {
  if (tang.kind !== "hidden" || endKindOf(tang.end).rodStock(tang.end)) return 0;
  const rod = endKindOf(tang.end).rod(tang.end);
  return rod?.ofTang ? rod.diameterMm : 0;
}

/** Bar or sheet that blade and tang are cut out of in one, without room to shape. */
export function bladeBox(design: Design): Boxed {
  const { blade, tang } = design;
  const { bladeOutline, outline, barOutline } = layoutOf(design);
  const { regions, parts } = assembleBare(bareBladeOf(design));
  const spaces = (kinds: readonly PartKey["kind"][]) =>
    parts.filter((p) => kinds.includes(p.key.kind)).map((p) => p.regions.map((r) => regions[r]));
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
    stretches: spaces(["blade", "tang"]),
    less: spaces(["blade-notch", "slot"]),
  };
}
