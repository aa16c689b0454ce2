import type { Point } from "../curve/bezier";
import { polyline } from "../curve/crossing";
import type { Design } from "../design/schema";
import { widestBore } from "../layout/bores";
import { layoutOf } from "../layout/layout";
import { assembleDrawn } from "../views/drawn";
import { extraShapes } from "../views/extras";
import type { Figure, Item, Pen } from "./item";

const CHORDS = 20;

/** The whole knife from its right side, as large as the room is, at its own size at most. */
export function knifeFigure(
  design: Design,
  roomMm: { readonly widthMm: number; readonly heightMm: number },
): Figure & { readonly scale: number } {
  const layout = layoutOf(design);
  const runs: { points: Point[]; pen: Pen }[] = [];
  const put = (points: readonly Point[], pen: Pen) => runs.push({ points: [...points, points[0]], pen });
  const blade = polyline(layout.bladeOutline.cubics, CHORDS);
  put(blade, "cut");
  put(polyline(layout.outline.cubics, CHORDS), "cut");
  if (layout.guardOutline) put(polyline(layout.guardOutline.cubics, CHORDS), "cut");
  if (layout.barOutline) put(polyline(layout.barOutline.cubics, CHORDS), "hidden");
  for (const extra of extraShapes(design, assembleDrawn(design)))
    for (const loop of extra.loops) put(loop, extra.hidden ? "hidden" : "mark");
  const all = runs.flatMap((r) => r.points);
  const [xs, ys] = [all.map((p) => p.x), all.map((p) => p.y)];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(1, roomMm.widthMm / (x1 - x0), roomMm.heightMm / (y1 - y0));
  const to = (p: Point): Point => ({ x: (p.x - x0) * scale, y: (y1 - p.y) * scale });
  const items: Item[] = [
    ...runs.map(({ points, pen }): Item => ({ kind: "line", pen, points: points.map(to) })),
    ...design.fasteners.map(
      (f): Item => ({
        kind: "circle",
        pen: "mark",
        ...to({ x: f.xMm, y: f.yMm }),
        radiusMm: (widestBore(f) / 2) * scale,
      }),
    ),
  ];
  return { items, widthMm: (x1 - x0) * scale, heightMm: (y1 - y0) * scale, scale };
}
