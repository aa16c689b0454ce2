import { radians } from "../../base/number";
import { byKind } from "../../base/record/byKind";
import { slotContour } from "../../geometry/curve/shapes";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { layerRegion } from "../../geometry/solids/layer";
import { prismRegion } from "../../geometry/solids/prism";
import { slabRegion } from "../../geometry/solids/slab";
import { rodRegion } from "../../geometry/solids/turned";
import { filled, whole } from "../../kinds/fasteners/kind";
import type { EndComponent, EndSite } from "../../kinds/tangEnds/kind";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Bar, FullTang } from "../design/schema";
import { barTangRegion, roomRegion } from "../layout/bar";
import { endPlace } from "../layout/endPlace";
import { itemNaming } from "../layout/itemNames";
import type { AssemblyBuilder, Stretches } from "./builder";
import type { PartKey } from "./partKey";
import { recessRegions } from "./recess";

const TANG: PartKey = { kind: "tang" };
const TANG_HOLE: PartKey = { kind: "tang-hole" };

/** What stands in the tang and takes its place: holes, slots, recesses; of a bar, screws and nuts at its end. */
export function addInTang(b: AssemblyBuilder, housings: Stretches): void {
  const { tang } = b.design;
  const site = endSite(b, housings);
  byKind(tang, {
    full: (t) => addOpenings(b, t),
    hidden: ({ end }) => site && endKindOf(end).build(end, site),
    framed: () => undefined,
  });
}

function slab(b: AssemblyBuilder, from: number): number {
  return b.put(slabRegion(b.layout.outline, b.layout.tangFace, [from, 0]));
}

/** The tang itself, and what carries on behind a short one. */
export function addTang(b: AssemblyBuilder, housings: Stretches, guard: Stretches): void {
  byKind(b.design.tang, {
    full: (tang) => addFullTang(b, tang),
    framed: (tang) => addBar(b, tang, housings, guard, () => undefined),
    hidden: (tang) =>
      addBar(b, tang, housings, guard, () => {
        const site = endSite(b, housings);
        if (site) endKindOf(tang.end).buildBehind(tang.end, site);
      }),
  });
}

function addFullTang(b: AssemblyBuilder, { short }: FullTang): void {
  const { buttX, outline, tangFace } = b.layout;
  const end = short ? Math.max(buttX, -short.lengthMm) : buttX;
  b.add("blade", TANG, whole(b.design.blade.steel), slab(b, end));
  if (!short || !(end > buttX)) return;
  const rest = b.put(slabRegion(outline, tangFace, [buttX, end]));
  const { behind, material } = short;
  const key: PartKey = { kind: "tang-rest", sort: behind };
  b.add(behind === "weld" ? "blade" : "handle", key, whole(material), rest);
}

/** A bar in what stands round it and in the guard, what stands behind it, and what fills the guard's slot. */
function addBar(
  b: AssemblyBuilder,
  tang: Bar,
  housings: Stretches,
  plates: Stretches,
  addBehind: () => void,
): void {
  const { guard, blade } = b.design;
  const steel = whole(blade.steel);
  const bar = b.put(barTangRegion(tang));
  b.addIn(housings, "blade", TANG, steel, bar);
  if (guard) b.add("blade", TANG, steel, bar, b.put(layerRegion(null, null, [b.layout.frontX, 0])));
  addBehind();
  if (plates.length === 0 || !guard || !(guard.slot.clearanceMm > 0)) return;
  const room = b.put(roomRegion(tang, guard.slot.clearanceMm, 0, 0));
  b.addIn(plates, "guard", { kind: "guard-slot" }, filled(guard.slot.fill), room);
}

/** Where the end of a hidden tang is built. */
function endSite(b: AssemblyBuilder, housings: Stretches): EndSite | null {
  const place = endPlace(b.layout);
  if (!place) return null;
  const keyOf = (component: EndComponent): PartKey => ({ kind: "tang-end", component });
  return {
    ...place,
    addToTang: (region, detail) => {
      const materials = whole(place.steel);
      if (detail) b.addDetail(detail, "blade", TANG, materials, b.put(region));
      else b.add("blade", TANG, materials, b.put(region));
    },
    add: (component, materials, region) =>
      // A cap at the butt pulls like any other; nuts and screws are fasteners.
      b.add(component === "cap" ? "pommel" : "fasteners", keyOf(component), materials, b.put(region)),
    hollow: (component, rearX, seatX, radiusMm) => {
      const bore = b.put(rodRegion(rearX, seatX, place.yMm, radiusMm));
      b.addIn(housings, "handle", keyOf(component), [], bore);
    },
  };
}

/** Holes, slots and recess of a full tang, filled or left empty. */
function addOpenings(b: AssemblyBuilder, tang: FullTang): void {
  const all = slab(b, b.layout.buttX);
  const naming = ({ id }: { readonly id: string }) => itemNaming(b.layout.design, id);
  for (const hole of tang.holes) {
    const drill = b.put(cylinderRegion({ xMm: hole.xMm, yMm: hole.yMm, radiusMm: hole.diameterMm / 2 }));
    b.add(
      "handle",
      { kind: "hole", sort: hole.purpose, id: hole.id, ...naming(hole) },
      filled(hole.fill),
      drill,
      all,
    );
  }
  for (const s of tang.slots) {
    const outline = slotContour({ x: s.xMm, y: s.yMm }, s.lengthMm, s.widthMm, radians(s.angleDeg));
    b.add(
      "handle",
      { kind: "slot", id: s.id, ...naming(s) },
      filled(s.fill),
      b.put(prismRegion(outline)),
      all,
    );
  }
  if (tang.recess) addRecess(b, tang.recess, all);
}

function addRecess(b: AssemblyBuilder, recess: NonNullable<FullTang["recess"]>, all: number): void {
  const outline = b.layout.recess;
  if (!outline) return;
  for (const regions of recessRegions(recess, outline, b.layout.tangFace)) {
    const of = regions.map((r) => b.put(r));
    b.add("handle", { kind: "recess" }, filled(recess.fill), ...of, all);
  }
}

/** What fills the hole round a hidden or a framed tang, and the frame itself. */
export function addTangHole(b: AssemblyBuilder, housings: Stretches, body: number): void {
  const holes = () => b.layout.tangHoles.map((region) => b.put(region));
  byKind(b.design.tang, {
    full: () => undefined,
    hidden: ({ hole: { fill } }) => {
      for (const hole of holes()) b.addIn(housings, "handle", TANG_HOLE, filled(fill), hole);
    },
    framed: ({ hole: { fill }, frame: { material } }) => {
      const rooms = holes();
      const frame = b.put(slabRegion(b.layout.outline, b.layout.tangFace, b.layout.span));
      for (const room of rooms) b.add("handle", TANG_HOLE, filled(fill), room, frame, body);
      b.add("handle", { kind: "frame" }, whole(material), frame, body);
    },
  });
}
