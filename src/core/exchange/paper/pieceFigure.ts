import type { Layer } from "../../geometry/contours/drawing";
import { boxOf, circleLoop, mapped } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { cross, type Figure, type Item } from "./item";
import { textWidthMm } from "./letters";
import { wrapped } from "./wrapped";

/** Length of a centre mark's strokes beyond its hole, mm. */
const BEYOND_MM = 1.5;
const TEXT_MM = 3;
/** Letters beside holes: their size, how far off the rim, and where that is along the diagonal, mm. */
const LETTER_MM = 2.6;
const LETTER_GAP_MM = 0.4;
const DIAGONAL = Math.SQRT1_2;
const LINE_MM = TEXT_MM * 1.3;

/** A hole that is drilled into a part, with the letter of its line; one that does not go through is dashed. */
export interface MarkedHole {
  readonly x: number;
  readonly y: number;
  readonly radiusMm: number;
  readonly blind: boolean;
  readonly letter: string;
}

/** A part at its own size with what is written under it; `axis` draws the handle's axis and the datum through it. */
export function pieceFigure(
  layer: Layer,
  says: readonly string[],
  axis: boolean,
  marked: readonly MarkedHole[] = [],
): Figure & { readonly toPaper: (p: Point) => Point } {
  const rounds = [...layer.circles, ...marked].map((c) => circleLoop(c.x, c.y, c.radiusMm));
  const box = boxOf([...layer.loops, ...rounds]) ?? {
    x0: 0,
    y0: 0,
    x1: 0,
    y1: 0,
  };
  const toPaper = ({ x, y }: Point): Point => ({ x: x - box.x0, y: box.y1 - y });
  const [w, h] = [box.x1 - box.x0, box.y1 - box.y0];
  const room = Math.max(w, ...says.map((s) => Math.min(textWidthMm(s, TEXT_MM), LEAST_TEXT_MM)));
  const lines = says.flatMap((s) => wrapped(s, TEXT_MM, room));
  const items: Item[] = [
    ...layer.loops.map((l): Item => ({ kind: "loop", pen: "cut", loop: mapped(l, toPaper, true) })),
    ...layer.circles.flatMap((c): Item[] => [
      { kind: "circle", pen: "cut", ...toPaper(c), radiusMm: c.radiusMm },
      ...cross(toPaper(c), c.radiusMm + BEYOND_MM, "centre"),
    ]),
    ...layer.centres.flatMap((c) => cross(toPaper(c), BEYOND_MM, "centre")),
    ...marked.flatMap((m, i): Item[] => {
      const at = toPaper(m);
      // Letters of holes about one middle stand beside each other.
      const before = marked.slice(0, i).filter((o) => o.x === m.x && o.y === m.y).length;
      const widest = Math.max(...marked.filter((o) => o.x === m.x && o.y === m.y).map((o) => o.radiusMm));
      return [
        ...(m.blind ? [{ kind: "circle", pen: "hidden", ...at, radiusMm: m.radiusMm } as const] : []),
        ...(m.blind && before === 0 ? cross(at, BEYOND_MM, "centre") : []),
        {
          kind: "text",
          x: at.x + widest * DIAGONAL + LETTER_GAP_MM + before * LETTER_MM,
          y: at.y - widest * DIAGONAL - LETTER_GAP_MM,
          text: m.letter,
          sizeMm: LETTER_MM,
          anchor: "start",
        },
      ];
    }),
    ...(axis ? axes(box, toPaper) : []),
    ...lines.map(
      (text, i): Item => ({
        kind: "text",
        x: 0,
        y: h + 2 + (i + 0.9) * LINE_MM,
        text,
        sizeMm: TEXT_MM,
        anchor: "start",
        bold: i === 0,
      }),
    ),
  ];
  return { items, widthMm: room, heightMm: h + 2 + lines.length * LINE_MM + 1, toPaper };
}

/** What is written under a narrow part may be this wide before it is put in lines, mm. */
const LEAST_TEXT_MM = 55;

function axes(box: { x0: number; y0: number; x1: number; y1: number }, toPaper: (p: Point) => Point): Item[] {
  const lines: Item[] = [];
  const line = (a: Point, b: Point) =>
    lines.push({ kind: "line", pen: "centre", points: [toPaper(a), toPaper(b)] });
  if (box.y0 < 0 && box.y1 > 0) line({ x: box.x0, y: 0 }, { x: box.x1, y: 0 });
  if (box.x0 < 0 && box.x1 > 0) line({ x: 0, y: box.y0 }, { x: 0, y: box.y1 });
  return lines;
}
