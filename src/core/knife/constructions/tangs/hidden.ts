import { ROUNDING } from "../../../base/tolerances";
import { lineAt } from "../../../geometry/solids/line";
import { rodRegion } from "../../../geometry/solids/turned";
import { filled, whole } from "../../../kinds/fasteners/kind";
import type { EndComponent, EndSite } from "../../../kinds/tangEnds/kind";
import { endKindOf } from "../../../kinds/tangEnds/registry";
import type { HiddenTang } from "../../design/schema";
import type { AssemblyBuilder, Stretches } from "../../parts/builder";
import type { Report } from "../../parts/faults";
import type { PartKey } from "../../parts/partKey";
import { type EndFace, FACE_MM, single, type Workpiece } from "../../parts/workpiece";
import { barDiagonal, barHalf, barHeight, blockHoleRegions, holeBottom } from "../../shapes/bar";
import { endPlace } from "../../shapes/endPlace";
import type { Layout } from "../../shapes/types";
import { addBar, barOf, checkWalls, newRoom, TANG, TANG_HOLE } from "./bars";
import type { TangKindOf } from "./kind";

/** Minutes that each way of making the block's hole takes. Rough figures of our own to begin from. */
const HOLE_MIN = { broached: 60, burned: 35, milled: 45, drilled: 40 } as const;

/** A stick in a block or in pieces one behind the other, that ends in one of several ways. */
export const hidden: TangKindOf<HiddenTang> = {
  kind: "hidden",
  begin: (design) => ({
    kind: "hidden",
    ...barOf(design),
    hole: { kind: "broached", ...newRoom() },
    end: { kind: "plain" },
  }),
  face: barHalf,
  holes: (tang, frontX) => blockHoleRegions(tang, tang.hole, frontX),
  faults: (tang, layout, report) => checkHidden(layout, tang, report),
  buildInside: ({ end }, b, { housings }) => {
    const site = endSite(b, housings);
    if (site) endKindOf(end).build(end, site);
  },
  build: (tang, b, site) =>
    addBar(b, tang, site, () => {
      const end = endSite(b, site.housings);
      if (end) endKindOf(tang.end).buildBehind(tang.end, end);
    }),
  buildAround: ({ hole: { fill } }, b, { housings }) => {
    for (const hole of b.layout.tangHoles.map((region) => b.put(region)))
      b.addIn(housings, "handle", TANG_HOLE, filled(fill), hole);
  },
  pieces: capPieces,
  gluedParts: () => 0,
  minutes: ({ end, hole }) => ({
    tang: 25,
    "tang-end": endKindOf(end).minutes,
    "tang-hole": HOLE_MIN[hole.kind],
  }),
};

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

function capPieces({ end }: HiddenTang, layout: Layout): Workpiece[] {
  const place = endPlace(layout);
  const sawn = endKindOf(end).sawn(end);
  if (!sawn || !place) return [];
  const front: EndFace = { tiltDeg: 0, stationAt: () => place.buttX - FACE_MM };
  const ends = { front, rear: null };
  return [single({ kind: "tang-end", component: sawn.component }, sawn.material, { ends })];
}

function checkHidden(layout: Layout, tang: HiddenTang, report: Report): void {
  const { frontX: front } = layout;
  const solids = [layout.plainBody, ...layout.shapedPieces.flatMap((s) => s.stretches.flat())];
  const bottom = holeBottom(tang, tang.hole, front);
  checkWalls(layout, solids, bottom, endKindOf(tang.end).through, report);
  checkFit(tang, front, Math.min(...solids.map((s) => s.xRange[0])), report);
  const place = endPlace(layout);
  const faults = place ? endKindOf(tang.end).faults(tang.end, place) : [];
  for (const { severity, rule, ...where } of faults) report(severity, rule, where);
}

/** A milled or drilled hole that the bar does not go into. */
function checkFit(tang: HiddenTang, front: number, rear: number, report: Report): void {
  const { hole } = tang;
  if (hole.kind === "broached" || hole.kind === "burned") return;
  const end = Math.max(-tang.lengthMm, rear);
  const deep = front - holeBottom(tang, hole, front);
  if (deep < front - end) {
    const at = { x: front - deep, y: tang.yMm };
    report("warning", "tang-does-not-fit-hole", { at, measured: deep, limit: front - end });
    return;
  }
  for (let i = 0; i <= 12; i++) {
    const x = front + ((end - front) * i) / 12;
    const [tall, thick] = [barHeight(tang, x), 2 * lineAt(barHalf(tang), x)];
    const depth = front - x;
    const stages = hole.kind === "drilled" ? hole.stages.filter((s) => s.depthMm >= depth - ROUNDING) : [];
    // One round hole is as wide as the bar's diagonal; a row of them is opened between and at its ends.
    if (stages.length > 0 && stages.every((s) => s.count === 1)) {
      const [measured, limit] = [barDiagonal(tang, x), Math.max(...stages.map((s) => s.bitMm))];
      if (measured <= limit + ROUNDING) continue;
      report("warning", "tang-does-not-fit-hole", { at: { x, y: tang.yMm }, measured, limit });
      return;
    }
    const high =
      hole.kind === "milled"
        ? hole.heightMm
        : Math.max(0, ...stages.map((s) => s.bitMm + (s.count - 1) * s.pitchMm));
    const wide = hole.kind === "milled" ? hole.widthMm : Math.max(0, ...stages.map((s) => s.bitMm));
    if (tall > high || thick > wide) {
      const [measured, limit] = tall > high ? [tall, high] : [thick, wide];
      report("warning", "tang-does-not-fit-hole", { at: { x, y: tang.yMm }, measured, limit });
      return;
    }
  }
}
