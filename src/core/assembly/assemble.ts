import type { Contour } from "../curve/contour";
import { type Profile, profileThrough } from "../curve/profile";
import type { Design, Fastener, PieceRole, ScalesHandle, StackHandle } from "../design/schema";
import { bladeRegion } from "../solids/bladeRegion";
import { drillRegion } from "../solids/drill";
import { type Line, layerRegion, lineAt, shifted } from "../solids/layer";
import { type LoftSide, loftRegion } from "../solids/loft";
import type { Region } from "../solids/region";
import { sectionOf } from "../solids/section";
import { slabRegion } from "../solids/slab";
import { groundBlade } from "./groundBlade";
import { guardOutline } from "./guardOutline";
import { handleOutline } from "./handleOutline";
import { hiddenHole, hiddenTangHalf, hiddenTangOutline } from "./hiddenTang";
import type { Assembly, MaterialShare, Part, PartGroup } from "./types";

/** Half a full tang's thickness along x: the spine's, or falling straight from front to butt; a hidden tang's own. */
export function tangHalf(design: Design, buttX: number): Line {
  const { tang, blade } = design;
  if (tang.kind === "hidden") return hiddenTangHalf(tang);
  const taper = tang.taper;
  if (!taper || !(buttX < 0)) return { at0: (taper?.frontMm ?? blade.spineMm) / 2, slope: 0 };
  return { at0: taper.frontMm / 2, slope: (taper.frontMm - taper.buttMm) / 2 / -buttX };
}

/** Station of the handle's own front: behind the guard, or at the datum without one. */
export function handleFront(design: Design): number {
  return design.guard ? -design.guard.thicknessMm : 0;
}

/** Where a bevel of the front face cuts: the height of its plane at x, one side, above the centre plane. */
function bevelCap(
  handle: ScalesHandle,
  front: number,
  crownAt: (x: number) => number,
): (x: number) => number {
  const bevel = handle.frontBevel;
  if (!bevel) return () => Number.POSITIVE_INFINITY;
  const from = front - bevel.lengthMm;
  const crown = crownAt(from);
  const fall = Math.tan((bevel.angleDeg * Math.PI) / 180);
  return (x) => (x < from ? Number.POSITIVE_INFINITY : crown - (x - from) * fall);
}

/** What the building of an assembly passes round. */
interface Building {
  readonly design: Design;
  readonly outline: Contour;
  /** Stations that the handle lies between. */
  readonly behind: readonly [number, number];
  readonly crown: Profile;
  /** Half the tang's thickness. */
  readonly half: Line;
  put(region: Region): number;
  add(group: PartGroup, id: string, name: string, made: readonly MaterialShare[], ...of: number[]): void;
}

const all = (materialId: string): MaterialShare[] => [{ materialId, share: 1 }];
const filled = (materialId: string | null): MaterialShare[] => (materialId ? all(materialId) : []);

function beginning(design: Design, regions: Region[], parts: Part[]): Building {
  const outline = handleOutline(design.handle);
  return {
    design,
    outline,
    behind: [outline.xRange[0], handleFront(design)],
    crown: profileThrough(design.handle.plan.map((p) => ({ x: p.xMm, v: p.halfMm }))),
    half: tangHalf(design, outline.xRange[0]),
    put: (region) => regions.push(region) - 1,
    add: (group, id, name, made, ...of) => parts.push({ id, name, group, made, regions: of }),
  };
}

/**
 * Turns a design into the parts that occupy its space. Never fails: a dimension that cannot be built is drawn as
 * near as it can be, and the review names it.
 */
export function assemble(design: Design): Assembly {
  const regions: Region[] = [];
  const parts: Part[] = [];
  const b = beginning(design, regions, parts);
  const { blade, tang, handle, guard } = design;
  const body = b.put(bodyRegion(b));
  const tangRegion = b.put(
    tang.kind === "full"
      ? slabRegion(b.outline, b.half, [b.behind[0], 0])
      : slabRegion(hiddenTangOutline(tang), b.half, [b.behind[0], 0]),
  );
  for (const f of design.fasteners) addFastener(b, f, body);
  if (tang.kind === "full") {
    for (const hole of tang.holes) {
      const drill = b.put(drillRegion({ xMm: hole.xMm, yMm: hole.yMm, radiusMm: hole.diameterMm / 2 }));
      b.add("handle", hole.id, "Tang hole fill", filled(hole.fill), drill, tangRegion);
    }
  }
  b.add("blade", "blade", "Blade", all(blade.steel), b.put(bladeRegion(groundBlade(blade))));
  if (tang.kind === "full") b.add("blade", "tang", "Tang", all(blade.steel), tangRegion);
  else {
    // Flush with the handle behind the guard; in the guard it fills its slot.
    b.add("blade", "tang", "Tang", all(blade.steel), tangRegion, body);
    const slot = guard && b.put(layerRegion(null, null, [b.behind[1], 0]));
    if (slot !== null)
      b.add("blade", "tang-in-guard", "Tang in the guard", all(blade.steel), tangRegion, slot);
  }
  if (guard) b.add("guard", "guard", "Guard", all(guard.material), b.put(guardRegion(b)));
  if (tang.kind === "hidden") {
    const hole = hiddenHole(tang, b.behind[1]);
    b.add(
      "handle",
      "tang-hole",
      "Tang hole fill",
      filled(tang.hole.fill),
      b.put(slabRegion(hole.outline, hole.half, b.behind)),
      body,
    );
  }
  if (handle.kind === "scales") addScales(b, handle, body);
  else addPieces(b, handle, body);
  return { regions, parts };
}

/** The whole handle of a design as a solid by itself. */
export function handleBody(design: Design): Region {
  return bodyRegion(beginning(design, [], []));
}

/** The whole handle as its maker contours it. */
function bodyRegion({ design, outline, behind, crown, half }: Building): Region {
  const { handle } = design;
  const section = sectionOf(handle.roundness);
  const sectionAt = () => section;
  if (handle.kind === "stack") {
    const side: LoftSide = { crown, land: () => 0, cap: () => Number.POSITIVE_INFINITY };
    return loftRegion({ outline, xRange: behind, right: side, left: side, sectionAt, stations: [] });
  }
  const linersMm = handle.liners.reduce((sum, l) => sum + l.thicknessMm, 0);
  const side = (scaleMm: number): LoftSide => {
    const stock = shifted(half, linersMm + scaleMm);
    const bevel = bevelCap(handle, behind[1], (x) => Math.min(crown.at(x), lineAt(stock, x)));
    return { crown, land: (x) => lineAt(half, x), cap: (x) => Math.min(bevel(x), lineAt(stock, x)) };
  };
  return loftRegion({
    outline,
    xRange: behind,
    right: side(handle.right.thicknessMm),
    left: side(handle.left.thicknessMm),
    sectionAt,
    stations: handle.frontBevel ? [behind[1] - handle.frontBevel.lengthMm] : [],
  });
}

function guardRegion({ design }: Building): Region {
  const guard = design.guard!;
  const crown: Profile = { knots: [], at: () => guard.widthMm / 2 };
  const side: LoftSide = { crown, land: () => 0, cap: () => Number.POSITIVE_INFINITY };
  const section = sectionOf(guard.roundness);
  const xRange: [number, number] = [-guard.thicknessMm, 0];
  return loftRegion({
    outline: guardOutline(guard),
    xRange,
    right: side,
    left: side,
    sectionAt: () => section,
    stations: [],
  });
}

function addScales(b: Building, handle: ScalesHandle, body: number): void {
  for (const mirror of [false, true]) {
    const word = mirror ? "left" : "right";
    const between = (from: number, to: number | null): Region => {
      const near = shifted(b.half, from, mirror);
      const far = to === null ? null : shifted(b.half, to, mirror);
      return mirror ? layerRegion(far, near, b.behind) : layerRegion(near, far, b.behind);
    };
    let from = 0;
    handle.liners.forEach((liner, i) => {
      const name = handle.liners.length > 1 ? `Liner ${i + 1}, ${word}` : `Liner, ${word}`;
      const to = from + liner.thicknessMm;
      b.add("handle", `liner-${i + 1}-${word}`, name, all(liner.material), body, b.put(between(from, to)));
      from = to;
    });
    const scale = mirror ? handle.left : handle.right;
    b.add("handle", `scale-${word}`, `Scale, ${word}`, all(scale.material), body, b.put(between(from, null)));
  }
}

/** Names of a stack's pieces, in reports and on screen alike. */
export const PIECE_NAMES: Record<PieceRole, string> = {
  ferrule: "Ferrule",
  spacer: "Spacer",
  washer: "Washer",
  block: "Block",
  "butt-plate": "Butt plate",
  pommel: "Pommel",
};

/** Stations that a stack's pieces stand between, front first; the last reaches to the butt. */
export function pieceStations(handle: StackHandle, front: number, butt: number): [number, number][] {
  let from = front;
  return handle.pieces.map((p, i) => {
    const to = i === handle.pieces.length - 1 ? butt : Math.max(butt, from - p.lengthMm);
    const range: [number, number] = [to, from];
    from = to;
    return range;
  });
}

function addPieces(b: Building, handle: StackHandle, body: number): void {
  const stations = pieceStations(handle, b.behind[1], b.behind[0]);
  handle.pieces.forEach((p, i) => {
    b.add(
      "handle",
      p.id,
      PIECE_NAMES[p.role],
      all(p.material),
      body,
      b.put(layerRegion(null, null, stations[i])),
    );
  });
}

function addFastener(b: Building, f: Fastener, body: number): void {
  const outer = b.put(drillRegion({ xMm: f.xMm, yMm: f.yMm, radiusMm: f.diameterMm / 2 }));
  if (f.kind === "pin") b.add("fasteners", f.id, "Pin", all(f.material), outer, body);
  else if (f.kind === "patterned-pin")
    b.add("fasteners", f.id, "Patterned pin", patternShares(f), outer, body);
  else {
    const bore = b.put(drillRegion({ xMm: f.xMm, yMm: f.yMm, radiusMm: f.boreMm / 2 }));
    b.add("fasteners", `${f.id}-bore`, "Lanyard bore", [], bore, body);
    b.add("fasteners", f.id, "Lanyard tube", all(f.material), outer, body);
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
