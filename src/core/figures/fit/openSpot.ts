import { polyline, signedDistance } from "../../geometry/curve/crossing";
import { holesOf } from "../../knife/design/openings";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";

interface HolePlace {
  readonly xMm: number;
  readonly yMm: number;
}

/** Places are tried on so many stations. */
const STATIONS = 40;

/** Places for a hole on the handle's middle line and, of a hidden tang, on the tang's, those with the most room first. */
function placesByRoom(design: Design, diameterMm: number, fromMm: number): (HolePlace & { room: number })[] {
  const { outline } = layoutOf(design);
  const edge = polyline(outline.cubics, 12);
  const others = [...design.fasteners, ...holesOf(design)];
  const [front, butt] = [0, outline.xRange[0]];
  const places: (HolePlace & { room: number })[] = [];
  for (let i = 1; i < STATIONS; i++) {
    const xMm = Math.round((front + ((butt - front) * i) / STATIONS) * 2) / 2;
    const ys = outline.cut(xMm);
    if (ys.length < 2 || -xMm < fromMm) continue;
    const middle = Math.round(ys[0] + ys[ys.length - 1]) / 2;
    const heights = design.tang.kind === "full" ? [middle] : [middle, design.tang.yMm];
    for (const yMm of heights) {
      const gaps = others.map((o) => Math.hypot(o.xMm - xMm, o.yMm - yMm) - o.diameterMm / 2);
      const room = Math.min(-signedDistance(edge, { x: xMm, y: yMm }), ...gaps) - diameterMm / 2;
      places.push({ xMm, yMm, room });
    }
  }
  return places.sort((a, b) => b.room - a.room);
}

/**
 * Places for a hole of that diameter, the one that clears the edges and every other hole best first; each a few
 * millimetres from those before it.
 */
export function openSpots(design: Design, diameterMm: number): HolePlace[] {
  const apart: HolePlace[] = [];
  for (const { xMm, yMm } of placesByRoom(design, diameterMm, 0))
    if (apart.every((s) => Math.hypot(s.xMm - xMm, s.yMm - yMm) >= APART_MM)) apart.push({ xMm, yMm });
  return apart;
}

/** So far apart places are worth being tried by themselves, mm. */
const APART_MM = 3;

/**
 * A place where a hole of that diameter clears the edges and every other hole best. With `least`, only one that begins so
 * far behind the datum and leaves such a rim and webs all round; else null.
 */
export function openSpot(design: Design, diameterMm: number): HolePlace;
export function openSpot(
  design: Design,
  diameterMm: number,
  least: { readonly rimMm: number; readonly fromMm: number },
): HolePlace | null;
export function openSpot(
  design: Design,
  diameterMm: number,
  least?: { readonly rimMm: number; readonly fromMm: number },
): HolePlace | null {
  const [best] = placesByRoom(design, diameterMm, least?.fromMm ?? 0);
  if (!best) return least ? null : { xMm: layoutOf(design).outline.xRange[0] / 2, yMm: 0 };
  const { xMm, yMm, room } = best;
  return least && !(room >= Math.max(least.rimMm, diameterMm / 2)) ? null : { xMm, yMm };
}

/** "pin-3" where pin-1 and pin-2 are taken. */
export function freeId(stem: string, taken: readonly { readonly id: string }[]): string {
  let n = 1;
  while (taken.some((t) => t.id === `${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
