import { lineAt } from "../../../geometry/solids/line";
import { slabRegion } from "../../../geometry/solids/slab";
import { filled, whole } from "../../../kinds/fasteners/kind";
import { round } from "../../design/create";
import type { FramedTang } from "../../design/schema";
import type { Report } from "../../parts/faults";
import { single } from "../../parts/workpiece";
import { barHalf, roomRegion } from "../../shapes/bar";
import type { Layout } from "../../shapes/types";
import { addBar, barOf, checkWalls, newRoom, TANG_HOLE } from "./bars";
import type { TangKindOf } from "./kind";

/** A stick let into a frame of the handle's outline, between two scales. */
export const framed: TangKindOf<FramedTang> = {
  kind: "framed",
  begin: (design) => {
    const bar = barOf(design);
    return {
      kind: "framed",
      ...bar,
      frame: { material: "nickel-silver", thicknessMm: round(bar.frontThicknessMm + 1) },
      hole: newRoom(),
    };
  },
  face: ({ frame }) => ({ at0: frame.thicknessMm / 2, slope: 0 }),
  holes: (tang, frontX) => [roomRegion(tang, tang.hole.clearanceMm, tang.hole.deeperMm, frontX)],
  faults: (tang, layout, report) => checkFramed(layout, tang, report),
  buildInside: () => undefined,
  build: (tang, b, site) => addBar(b, tang, site, () => undefined),
  buildAround: ({ hole: { fill }, frame: { material } }, b, { body }) => {
    const rooms = b.layout.tangHoles.map((region) => b.put(region));
    const frame = b.put(slabRegion(b.layout.outline, b.layout.tangFace, b.layout.span));
    for (const room of rooms) b.add("handle", TANG_HOLE, filled(fill), room, frame, body);
    b.add("handle", { kind: "frame" }, whole(material), frame, body);
  },
  pieces: ({ frame: { material, thicknessMm } }) => [
    single({ kind: "frame" }, material, { form: "slab", thicknessMm }),
  ],
  gluedParts: () => 1,
  minutes: () => ({ tang: 25, frame: 45 }),
};

function checkFramed(layout: Layout, tang: FramedTang, report: Report): void {
  const { frontX: front } = layout;
  const half = barHalf(tang);
  const measured = 2 * Math.max(lineAt(half, front), lineAt(half, -tang.lengthMm));
  const limit = tang.frame.thicknessMm;
  if (!(measured < limit))
    report("error", "tang-thicker-than-frame", { at: { x: front, y: tang.yMm }, measured, limit });
  checkWalls(layout, [layout.body], -tang.lengthMm - tang.hole.deeperMm, false, report);
}
