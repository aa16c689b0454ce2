import { polyline, signedDistance } from "../curve/crossing";
import { holesOf } from "../design/openings";
import type { Design } from "../design/schema";
import { layoutOf } from "../layout/layout";

/** Where a hole has the most room on the handle's middle line, and how much that is. */
function roomiest(design: Design, diameterMm: number, fromMm: number) {
  const { outline } = layoutOf(design);
  const edge = polyline(outline.cubics, 12);
  const others = [...design.fasteners, ...holesOf(design)];
  const [front, butt] = [0, outline.xRange[0]];
  let best = { xMm: butt / 2, yMm: 0, room: Number.NEGATIVE_INFINITY };
  for (let i = 1; i < 40; i++) {
    const xMm = Math.round((front + ((butt - front) * i) / 40) * 2) / 2;
    const ys = outline.cut(xMm);
    if (ys.length < 2 || -xMm < fromMm) continue;
    const yMm = Math.round(ys[0] + ys[ys.length - 1]) / 2;
    const gaps = others.map((o) => Math.hypot(o.xMm - xMm, o.yMm - yMm) - o.diameterMm / 2);
    const room = Math.min(-signedDistance(edge, { x: xMm, y: yMm }), ...gaps) - diameterMm / 2;
    if (room > best.room) best = { xMm, yMm, room };
  }
  return best;
}

/**
 * A place on the handle's middle line where a hole of that diameter clears the edges and every other hole best. With
 * `least`, only one that begins so far behind the datum and leaves such a rim and webs all round; else null.
 */
export function openSpot(design: Design, diameterMm: number): { xMm: number; yMm: number };
export function openSpot(
  design: Design,
  diameterMm: number,
  least: { readonly rimMm: number; readonly fromMm: number },
): { xMm: number; yMm: number } | null;
export function openSpot(
  design: Design,
  diameterMm: number,
  least?: { readonly rimMm: number; readonly fromMm: number },
): { xMm: number; yMm: number } | null {
  const { xMm, yMm, room } = roomiest(design, diameterMm, least?.fromMm ?? 0);
  return least && !(room >= Math.max(least.rimMm, diameterMm / 2)) ? null : { xMm, yMm };
}

/** "pin-3" where pin-1 and pin-2 are taken. */
export function freeId(stem: string, taken: readonly { readonly id: string }[]): string {
  let n = 1;
  while (taken.some((t) => t.id === `${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
