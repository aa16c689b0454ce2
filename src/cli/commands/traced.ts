import type { Found } from "@/core/exchange/pattern/found";
import { boxOf, straightLoop } from "@/core/geometry/contours/loop";
import { Refusal } from "../refusal";

/** A shape as the shell tells it. */
export function shapeSaid(shape: Found) {
  const { id, kind, layer } = shape;
  if (shape.kind === "circle")
    return { id, kind, layer, x: shape.x, y: shape.y, diameterMm: 2 * shape.radiusMm };
  const box = boxOf([straightLoop(shape.points)]);
  const size = box ? { widthMm: box.x1 - box.x0, heightMm: box.y1 - box.y0 } : {};
  return shape.kind === "open"
    ? { id, kind, layer, ...size, gapMm: shape.gapMm }
    : { id, kind, layer, ...size, areaMm2: shape.areaMm2, ...(shape.aside ? { aside: shape.aside } : {}) };
}

/** Shapes with the one first that was picked by its id, where one was. */
export function pickedFirst(shapes: readonly Found[], id: string | undefined): readonly Found[] {
  if (id === undefined) return shapes;
  const picked = shapes.find((s) => s.id === id);
  if (picked?.kind === "outline")
    return [{ ...picked, aside: undefined }, ...shapes.filter((s) => s !== picked)];
  const outlines = shapes.filter((s) => s.kind === "outline").map((s) => s.id);
  throw new Refusal(
    outlines.length > 0
      ? `--pick is one of the outlines ${outlines.join(", ")}, not "${id}"`
      : "--pick finds no outline: none is closed",
  );
}
