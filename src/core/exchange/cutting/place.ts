import type { Layer } from "../../geometry/contours/drawing";
import { boxOf, circleLoop, mapped } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";

/** The box that a layer takes up; null of an empty one. */
export const layerBox = (l: Layer) =>
  boxOf([...l.loops, ...l.circles.map((c) => circleLoop(c.x, c.y, c.radiusMm))]);

/** Turns to the left by so many quarters. */
export const QUARTERS = [0, 1, 2, 3] as const;
export type Quarters = (typeof QUARTERS)[number];

/** A layer moved so that the lower left corner of its box is at a place, on its own or turned by quarters to the left. */
export function placed(layer: Layer, at: Point, quarters: Quarters = 0, name = layer.name): Layer {
  const box = layerBox(layer);
  if (!box) return { ...layer, name };
  const { x0, x1, y0, y1 } = box;
  const from = (p: Point): Point => {
    switch (quarters) {
      case 0:
        return { x: p.x - x0, y: p.y - y0 };
      case 1:
        return { x: y1 - p.y, y: p.x - x0 };
      case 2:
        return { x: x1 - p.x, y: y1 - p.y };
      case 3:
        return { x: p.y - y0, y: x1 - p.x };
    }
  };
  const to = (p: Point): Point => {
    const { x, y } = from(p);
    return { x: at.x + x, y: at.y + y };
  };
  return {
    name,
    loops: layer.loops.map((l) => mapped(l, to, false)),
    circles: layer.circles.map((c) => ({ ...to(c), radiusMm: c.radiusMm })),
    centres: layer.centres.map(to),
  };
}

/** Layers one over the other with a gap between, the first at the bottom left. */
export function stacked(layers: readonly Layer[], gapMm: number): Layer[] {
  let y = 0;
  return layers.map((l) => {
    const box = layerBox(l);
    const at = { x: 0, y };
    if (box) y += box.y1 - box.y0 + gapMm;
    return placed(l, at);
  });
}
