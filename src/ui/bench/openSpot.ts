import { handleOutline } from "@/core/assembly/handleOutline";
import { polyline, signedDistance } from "@/core/curve/crossing";
import type { Design } from "@/core/design/schema";
import { holesOf } from "@/core/review/openings";

/** A place on the handle's middle line where a hole of that diameter clears the edges and every other hole best. */
export function openSpot(design: Design, diameterMm: number): { xMm: number; yMm: number } {
  const outline = handleOutline(design.handle);
  const edge = polyline(outline.cubics, 12);
  const others = [...design.fasteners, ...holesOf(design)];
  const [front, butt] = [0, outline.xRange[0]];
  let best = { xMm: butt / 2, yMm: 0, room: Number.NEGATIVE_INFINITY };
  for (let i = 1; i < 40; i++) {
    const xMm = Math.round((front + ((butt - front) * i) / 40) * 2) / 2;
    const ys = outline.cut(xMm);
    if (ys.length < 2) continue;
    const yMm = Math.round(ys[0] + ys[ys.length - 1]) / 2;
    const gaps = others.map((o) => Math.hypot(o.xMm - xMm, o.yMm - yMm) - o.diameterMm / 2);
    const room = Math.min(-signedDistance(edge, { x: xMm, y: yMm }), ...gaps) - diameterMm / 2;
    if (room > best.room) best = { xMm, yMm, room };
  }
  return { xMm: best.xMm, yMm: best.yMm };
}

/** "pin-3" where pin-1 and pin-2 are taken. */
export function freeId(stem: string, taken: readonly { readonly id: string }[]): string {
  let n = 1;
  while (taken.some((t) => t.id === `${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
