import type { Loop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";

/** How a line is drawn: what is cut along, what is marked, what is hidden or only helps the eye. */
export type Pen = "cut" | "mark" | "hidden" | "centre" | "guide" | "rule";

/** Width of each pen's line, mm, and its dashes. A template's lines are no wider than 0.25 mm. Common practice, no source. */
export const PENS: Readonly<
  Record<Pen, { readonly widthMm: number; readonly dashMm?: readonly number[]; readonly grey?: number }>
> = {
  cut: { widthMm: 0.25 },
  mark: { widthMm: 0.18 },
  hidden: { widthMm: 0.18, dashMm: [1.6, 1] },
  centre: { widthMm: 0.13, dashMm: [4, 1, 0.6, 1] },
  guide: { widthMm: 0.13, grey: 0.55 },
  rule: { widthMm: 0.1, grey: 0.7 },
};

/** What stands on a sheet, mm, x to the right and y down from its upper left corner. */
export type Item =
  | { readonly kind: "loop"; readonly loop: Loop; readonly pen: Pen }
  | { readonly kind: "line"; readonly points: readonly Point[]; readonly pen: Pen }
  /** What lies inside an odd number of chord lines, filled with a colour, "#rrggbb". */
  | { readonly kind: "fill"; readonly loops: readonly (readonly Point[])[]; readonly tint: string }
  | {
      readonly kind: "circle";
      readonly x: number;
      readonly y: number;
      readonly radiusMm: number;
      readonly pen: Pen;
    }
  | {
      readonly kind: "text";
      /** Of its baseline. */
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly sizeMm: number;
      readonly anchor: "start" | "middle" | "end";
      readonly bold?: boolean;
    };

/** Items with the room that they take up, their upper left corner at 0, 0. */
export interface Figure {
  readonly items: readonly Item[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** Whether it makes no sense without what follows. */
  readonly leads?: boolean;
}

/** Two strokes that cross in a place, each reaching so far to both sides. */
export const cross = ({ x, y }: Point, reachMm: number, pen: Pen): Item[] => [
  {
    kind: "line",
    pen,
    points: [
      { x: x - reachMm, y },
      { x: x + reachMm, y },
    ],
  },
  {
    kind: "line",
    pen,
    points: [
      { x, y: y - reachMm },
      { x, y: y + reachMm },
    ],
  },
];

/** An item moved by so much. */
export function moved(item: Item, dx: number, dy: number): Item {
  switch (item.kind) {
    case "loop":
      return { ...item, loop: item.loop.map((b) => ({ ...b, x: b.x + dx, y: b.y + dy })) };
    case "fill":
      return { ...item, loops: item.loops.map((l) => l.map((p) => ({ x: p.x + dx, y: p.y + dy }))) };
    case "line":
      return { ...item, points: item.points.map((p) => ({ x: p.x + dx, y: p.y + dy })) };
    default:
      return { ...item, x: item.x + dx, y: item.y + dy };
  }
}
