import { profileThrough } from "../curve/profile";
import type { Design, Fastener } from "../design/schema";
import { bladeRegion } from "../solids/bladeRegion";
import { drillRegion } from "../solids/drill";
import { type Line, layerRegion, lineAt, shifted } from "../solids/layer";
import { type LoftSide, loftRegion } from "../solids/loft";
import type { Region } from "../solids/region";
import { sectionOf } from "../solids/section";
import { slabRegion } from "../solids/slab";
import { groundBlade } from "./groundBlade";
import { handleOutline } from "./handleOutline";
import type { Assembly, MaterialShare, Part, PartGroup } from "./types";

/** Half the tang's thickness along x: the spine's, or falling straight from front to butt. */
export function tangHalf(design: Design, buttX: number): Line {
  const taper = design.tang.taper;
  if (!taper || !(buttX < 0)) return { at0: (taper?.frontMm ?? design.blade.spineMm) / 2, slope: 0 };
  return { at0: taper.frontMm / 2, slope: (taper.frontMm - taper.buttMm) / 2 / -buttX };
}

/** Where a bevel of the front face cuts: the height of its plane at x, one side, above the centre plane. */
function bevelCap(design: Design, crownAt: (x: number) => number): (x: number) => number {
  const bevel = design.handle.frontBevel;
  if (!bevel) return () => Number.POSITIVE_INFINITY;
  const crown = crownAt(-bevel.lengthMm);
  const fall = Math.tan((bevel.angleDeg * Math.PI) / 180);
  return (x) => (x < -bevel.lengthMm ? Number.POSITIVE_INFINITY : crown - (x + bevel.lengthMm) * fall);
}

/**
 * Turns a design into the parts that occupy its space. Never fails: a dimension that cannot be built is drawn as
 * near as it can be, and the review names it.
 */
export function assemble(design: Design): Assembly {
  const { blade, handle } = design;
  const regions: Region[] = [];
  const parts: Part[] = [];
  const put = (region: Region): number => regions.push(region) - 1;
  const add = (group: PartGroup, id: string, name: string, made: readonly MaterialShare[], ...of: number[]) =>
    parts.push({ id, name, group, made, regions: of });
  const all = (materialId: string): MaterialShare[] => [{ materialId, share: 1 }];

  const outline = handleOutline(handle);
  const behind: [number, number] = [outline.xRange[0], 0];
  const half = tangHalf(design, outline.xRange[0]);
  const linersMm = handle.liners.reduce((sum, l) => sum + l.thicknessMm, 0);
  const crown = profileThrough(handle.plan.map((p) => ({ x: p.xMm, v: p.halfMm })));
  const section = sectionOf(handle.roundness);
  const side = (scaleMm: number): LoftSide => {
    const stock = shifted(half, linersMm + scaleMm);
    const bevel = bevelCap(design, (x) => Math.min(crown.at(x), lineAt(stock, x)));
    return { crown, land: (x) => lineAt(half, x), cap: (x) => Math.min(bevel(x), lineAt(stock, x)) };
  };
  const body = put(
    loftRegion({
      outline,
      xRange: behind,
      right: side(handle.right.thicknessMm),
      left: side(handle.left.thicknessMm),
      sectionAt: () => section,
      stations: handle.frontBevel ? [-handle.frontBevel.lengthMm] : [],
    }),
  );
  const tang = put(slabRegion(outline, half, behind));

  for (const f of design.fasteners) addFastener(f);
  for (const hole of design.tang.holes) {
    const drill = put(drillRegion({ xMm: hole.xMm, yMm: hole.yMm, radiusMm: hole.diameterMm / 2 }));
    add("handle", hole.id, "Tang hole fill", hole.fill ? all(hole.fill) : [], drill, tang);
  }
  add("blade", "blade", "Blade", all(blade.steel), put(bladeRegion(groundBlade(blade))));
  add("blade", "tang", "Tang", all(blade.steel), tang);

  for (const mirror of [false, true]) {
    const word = mirror ? "left" : "right";
    const between = (from: number, to: number | null): Region => {
      const near = shifted(half, from, mirror);
      const far = to === null ? null : shifted(half, to, mirror);
      return mirror ? layerRegion(far, near, behind) : layerRegion(near, far, behind);
    };
    let from = 0;
    handle.liners.forEach((liner, i) => {
      const name = handle.liners.length > 1 ? `Liner ${i + 1}, ${word}` : `Liner, ${word}`;
      const to = from + liner.thicknessMm;
      add("handle", `liner-${i + 1}-${word}`, name, all(liner.material), body, put(between(from, to)));
      from = to;
    });
    const scale = mirror ? handle.left : handle.right;
    add("handle", `scale-${word}`, `Scale, ${word}`, all(scale.material), body, put(between(from, null)));
  }
  return { regions, parts };

  function addFastener(f: Fastener): void {
    const outer = put(drillRegion({ xMm: f.xMm, yMm: f.yMm, radiusMm: f.diameterMm / 2 }));
    if (f.kind === "pin") return void add("fasteners", f.id, "Pin", all(f.material), outer, body);
    if (f.kind === "patterned-pin") {
      return void add("fasteners", f.id, "Patterned pin", patternShares(f), outer, body);
    }
    const bore = put(drillRegion({ xMm: f.xMm, yMm: f.yMm, radiusMm: f.boreMm / 2 }));
    add("fasteners", `${f.id}-bore`, "Lanyard bore", [], bore, body);
    add("fasteners", f.id, "Lanyard tube", all(f.material), outer, body);
  }
}

/** Shares of tube, rods and fill; the fill takes the rest, and where tube and rods overfill it they are scaled down. */
export function patternShares(pin: Extract<Fastener, { kind: "patterned-pin" }>): MaterialShare[] {
  const taken = pin.tube.share + pin.rods.share;
  const scale = taken > 1 ? 1 / taken : 1;
  return [
    { materialId: pin.tube.material, share: pin.tube.share * scale },
    { materialId: pin.rods.material, share: pin.rods.share * scale },
    { materialId: pin.fill, share: Math.max(0, 1 - taken) },
  ];
}
