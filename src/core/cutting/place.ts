import type { Layer } from "../contours/drawing";
import { boxOf, circleLoop, mapped } from "../contours/loop";
import type { Point } from "../curve/bezier";

/** The box that a layer takes up; null of an empty one. */
export const layerBox = (l: Layer) =>
  boxOf([...l.loops, ...l.circles.map((c) => circleLoop(c.x, c.y, c.radiusMm))]);

/** A layer moved so that the lower left corner of its box is at a place, on its own or turned a quarter to the left. */
export function placed(layer: Layer, at: Point, quarter: boolean, name = layer.name): Layer {
  const box = layerBox(layer);
  if (!box) return { ...layer, name };
  const to = (p: Point): Point =>
    quarter
      ? { x: at.x + box.y1 - p.y, y: at.y + p.x - box.x0 }
      : { x: at.x + p.x - box.x0, y: at.y + p.y - box.y0 };
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
    return placed(l, at, false);
  });
}
