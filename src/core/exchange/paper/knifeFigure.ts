import { seenSides } from "../../figures/views/seenSides";
import type { Point } from "../../geometry/curve/bezier";
import { faceLines } from "../../geometry/solids/faceLines";
import { materialsIn } from "../../knife/design/materials";
import type { Design } from "../../knife/design/schema";
import { placedMark } from "../../knife/layout/bladeMarks";
import { layoutOf } from "../../knife/layout/layout";
import type { Side } from "../../knife/parts/partKey";
import type { Figure, Item } from "./item";

/** How much of a material's tint is left on paper: steel is drawn lighter, so that the lines of its grind show. */
const TINT_SHARE = { steel: 0.35, other: 0.75 } as const;
/** Of a mark on the blade. */
const MARK_TINT = "#404040";
const NO_TINT = "#d9d9d9";

/** A tint mixed with the paper's white. */
function onPaper(tint: string, share: number): string {
  const mixed = [1, 3, 5].map((at) => {
    const value = Number.parseInt(tint.slice(at, at + 2), 16);
    return Math.round(255 - share * (255 - value))
      .toString(16)
      .padStart(2, "0");
  });
  return `#${mixed.join("")}`;
}

/** The whole knife from one side in its materials, as large as the room is, at its own size at most. */
export function knifeFigure(
  design: Design,
  side: Side,
  roomMm: { readonly widthMm: number; readonly heightMm: number },
): Figure & { readonly scale: number } {
  const materialOf = materialsIn(design);
  const seen = seenSides(design, side);
  const all = seen.flatMap((s) => s.loops.flat());
  const [xs, ys] = [all.map((p) => p.x), all.map((p) => p.y)];
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [y0, y1] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(1, roomMm.widthMm / (x1 - x0), roomMm.heightMm / (y1 - y0));
  // From its left side a knife points the other way.
  const to = (p: Point): Point => ({
    x: (side === "right" ? p.x - x0 : x1 - p.x) * scale,
    y: (y1 - p.y) * scale,
  });
  const items: Item[] = seen.flatMap(({ material, loops }): Item[] => {
    const found = materialOf(material);
    const share = found?.class === "steel" ? TINT_SHARE.steel : TINT_SHARE.other;
    const drawn = loops.map((l) => l.map(to));
    return [
      { kind: "fill", loops: drawn, tint: found ? onPaper(found.tint, share) : NO_TINT },
      ...drawn.map((l): Item => ({ kind: "line", pen: "mark", points: [...l, l[0]] })),
    ];
  });
  const grind = faceLines(layoutOf(design).blade, side).map(
    (l): Item => ({ kind: "line", pen: "guide", points: l.points.map(to) }),
  );
  const marks = design.blade.marks
    .filter((m) => m.side === side)
    .map(
      (m): Item => ({
        kind: "fill",
        loops: placedMark(design.blade, m).map((l) => l.map(to)),
        tint: MARK_TINT,
      }),
    );
  return {
    items: [...items, ...grind, ...marks],
    widthMm: (x1 - x0) * scale,
    heightMm: (y1 - y0) * scale,
    scale,
  };
}
