import { radians } from "../../../base/number";
import { slotContour } from "../../../geometry/curve/shapes";
import { cylinderRegion } from "../../../geometry/solids/cylinder";
import { lineAt } from "../../../geometry/solids/line";
import { prismRegion } from "../../../geometry/solids/prism";
import { slabRegion } from "../../../geometry/solids/slab";
import { filled, whole } from "../../../kinds/fasteners/kind";
import { plainFullTang } from "../../design/create";
import type { FullTang } from "../../design/schema";
import type { AssemblyBuilder } from "../../parts/builder";
import type { Report } from "../../parts/faults";
import type { PartKey } from "../../parts/partKey";
import { single } from "../../parts/workpiece";
import { itemNaming } from "../../shapes/itemNames";
import { recessRegions } from "../../shapes/recess";
import type { Layout } from "../../shapes/types";
import { TANG } from "./bars";
import type { TangKindOf } from "./kind";

/** A slab of the handle's own outline, level or tapered, with openings, or ending early. */
export const full: TangKindOf<FullTang> = {
  kind: "full",
  begin: plainFullTang,
  face: ({ taper }, { spineMm }, buttX) =>
    taper && buttX < 0
      ? { at0: taper.frontMm / 2, slope: (taper.frontMm - taper.buttMm) / 2 / -buttX }
      : { at0: (taper?.frontMm ?? spineMm) / 2, slope: 0 },
  holes: () => [],
  faults: (tang, layout, report) => checkFull(layout, tang, report),
  buildInside: (tang, b) => addOpenings(b, tang),
  build: (tang, b) => addFullTang(b, tang),
  buildAround: () => undefined,
  pieces: ({ short }) =>
    short ? [single({ kind: "tang-rest", sort: short.behind }, short.material, { form: "slab" })] : [],
  gluedParts: ({ short }) => (short ? 1 : 0),
  minutes: ({ holes, slots, taper, recess, short }) => ({
    "tang-holes": 4 * (holes.filter((h) => h.purpose !== "old-pin").length + slots.length * 4),
    "tang-taper": taper ? 30 : 0,
    "tang-recess": recess ? 25 : 0,
    tang: short ? 30 : 0,
  }),
};

function slab(b: AssemblyBuilder, from: number): number {
  return b.put(slabRegion(b.layout.outline, b.layout.tangFace, [from, 0]));
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

function checkFull(layout: Layout, { recess, short }: FullTang, report: Report): void {
  if (recess) checkRecess(layout, recess, report);
  const limit = -layout.buttX;
  if (short && short.lengthMm >= limit)
    report("warning", "tang-not-short", { at: { x: layout.buttX, y: 0 }, measured: short.lengthMm, limit });
}

function checkRecess(layout: Layout, recess: NonNullable<FullTang["recess"]>, report: Report): void {
  const at = { x: -recess.fromMm, y: 0 };
  const { recess: outline, tangFace } = layout;
  if (!outline) {
    report("error", "recess-no-room", { at, measured: recess.rimMm });
    return;
  }
  const thin = Math.min(lineAt(tangFace, outline.xRange[0]), lineAt(tangFace, outline.xRange[1]));
  if (!(recess.depthMm < thin))
    report("error", "recess-cuts-through", { at, measured: recess.depthMm, limit: thin });
}
