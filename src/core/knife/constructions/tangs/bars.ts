import { INSIDE_MM } from "../../../base/tolerances";
import { layerRegion } from "../../../geometry/solids/layer";
import type { Region } from "../../../geometry/solids/region";
import { filled, whole } from "../../../kinds/fasteners/kind";
import { round } from "../../design/create";
import { handleReach } from "../../design/handleParts";
import type { Bar, Design } from "../../design/schema";
import type { AssemblyBuilder } from "../../parts/builder";
import type { Report } from "../../parts/faults";
import type { PartKey } from "../../parts/partKey";
import { barTangRegion, roomRegion } from "../../shapes/bar";
import type { Layout } from "../../shapes/types";
import { wallEnd } from "../../shapes/wallEnd";
import type { TangSite } from "./kind";

export const TANG: PartKey = { kind: "tang" };
export const TANG_HOLE: PartKey = { kind: "tang-hole" };

/** A bar to begin from: two thirds of the handle long, half of its front high. */
function newBar(design: Design): Bar {
  const nodes = design.handle.outline;
  const front = nodes[0].yMm - nodes[nodes.length - 1].yMm;
  return {
    lengthMm: round((2 / 3) * handleReach(design)),
    yMm: round((nodes[0].yMm + nodes[nodes.length - 1].yMm) / 2),
    frontHeightMm: round(front / 2),
    endHeightMm: round(front / 3.5),
    frontThicknessMm: design.blade.spineMm,
    endThicknessMm: round(design.blade.spineMm * 0.8),
    frontCornerMm: 0,
    endCornerMm: 0,
    shoulderRadiusMm: 1,
  };
}

export function barOf(design: Design): Bar {
  const { tang } = design;
  if (tang.kind === "full") return newBar(design);
  return {
    lengthMm: tang.lengthMm,
    yMm: tang.yMm,
    frontHeightMm: tang.frontHeightMm,
    endHeightMm: tang.endHeightMm,
    frontThicknessMm: tang.frontThicknessMm,
    endThicknessMm: tang.endThicknessMm,
    frontCornerMm: tang.frontCornerMm,
    endCornerMm: tang.endCornerMm,
    shoulderRadiusMm: tang.shoulderRadiusMm,
  };
}

export const newRoom = () => ({ clearanceMm: 0.5, deeperMm: 3, fill: "epoxy" });

/** A bar in what stands round it and in the guard, what stands behind it, and what fills the guard's slot. */
export function addBar(
  b: AssemblyBuilder,
  tang: Bar,
  { housings, plates }: Pick<TangSite, "housings" | "plates">,
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

/**
 * Follows the border of a hole along the handle, in every direction of the section; the last rounding of a through
 * hole is left out.
 */
export function checkWalls(
  layout: Layout,
  solids: readonly Region[],
  bottom: number,
  through: boolean,
  report: Report,
): void {
  const { buttX: butt, frontX: front, tangHoles: holes } = layout;
  const goesOut = through || bottom <= butt;
  const end = goesOut ? wallEnd(layout) : Math.max(butt, bottom);
  let worst = { wall: Number.POSITIVE_INFINITY, x: front, y: 0 };
  for (let i = 0; i <= 24; i++) {
    const x = front - INSIDE_MM + ((end - front + 2 * INSIDE_MM) * i) / 24;
    const cuts = solids.map((s) => (x > s.xRange[0] && x < s.xRange[1] ? s.sliceAt(x) : null));
    for (const hole of holes) {
      const h = x > hole.xRange[0] && x < hole.xRange[1] ? hole.sliceAt(x) : null;
      if (!h?.ys || h.ys.length < 2) continue;
      const [low, high] = [h.ys[0], h.ys[h.ys.length - 1]];
      for (let k = 0; k <= 8; k++) {
        const y = low + ((high - low) * k) / 8;
        const inside = cuts.filter((c) => c?.ys && y > c.ys[0] && y < c.ys[c.ys.length - 1]);
        const wall =
          inside.length > 0
            ? Math.max(...inside.map((c) => Math.min(c!.high(y) - h.high(y), h.low(y) - c!.low(y))))
            : -1;
        if (wall < worst.wall) worst = { wall, x, y };
      }
    }
  }
  if (!(worst.wall > 0)) {
    const at = { x: worst.x, y: worst.y };
    report("error", "tang-hole-breaks-out", { at, measured: worst.wall, limit: 0 });
  }
}
