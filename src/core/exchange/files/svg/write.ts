import type { Drawing } from "../../../geometry/contours/drawing";
import { arcOf, boxOf, circleLoop, type Loop } from "../../../geometry/contours/loop";

/** Room round a drawing, and half the length of a centre mark's strokes, mm. */
const MARGIN_MM = 5;
const MARK_MM = 1.5;
/** Lines are so wide, mm: the cut follows their middle. */
const LINE_MM = 0.1;

const n = (value: number) => String(Math.round(value * 1e4) / 1e4 + 0);

/** A closed outline as path data, y downward: straight pieces and arcs of circles. */
export function pathData(loop: Loop): string {
  const [first] = loop;
  const pieces = loop.map((a, i) => {
    const b = loop[(i + 1) % loop.length];
    const round = arcOf(a, b);
    if (!round) return `L${n(b.x)} ${n(-b.y)}`;
    const angle = round.to - round.from;
    const large = Math.abs(angle) > Math.PI ? 1 : 0;
    // With y downward, what turns left turns the other way.
    return `A${n(round.radius)} ${n(round.radius)} 0 ${large} ${angle > 0 ? 0 : 1} ${n(b.x)} ${n(-b.y)}`;
  });
  return `M${n(first.x)} ${n(-first.y)}${pieces.join("")}Z`;
}

/** A drawing as SVG text whose width and height are its true size in millimetres; one group a part. */
export function writeSvg({ layers }: Drawing): string {
  const loops = layers.flatMap((l) => [
    ...l.loops,
    ...l.circles.map((c) => circleLoop(c.x, c.y, c.radiusMm)),
  ]);
  const box = boxOf(loops) ?? { x0: 0, y0: 0, x1: 0, y1: 0 };
  const [w, h] = [box.x1 - box.x0 + 2 * MARGIN_MM, box.y1 - box.y0 + 2 * MARGIN_MM];
  const groups = layers.map((l) =>
    [
      `  <g id="${l.name}">`,
      ...l.loops.map((loop) => `    <path d="${pathData(loop)}"/>`),
      ...l.circles.map((c) => `    <circle cx="${n(c.x)}" cy="${n(-c.y)}" r="${n(c.radiusMm)}"/>`),
      ...l.centres.map(
        (c) =>
          `    <path class="mark" d="M${n(c.x - MARK_MM)} ${n(-c.y)}h${2 * MARK_MM}M${n(c.x)} ${n(-c.y - MARK_MM)}v${2 * MARK_MM}"/>`,
      ),
      "  </g>",
    ].join("\n"),
  );
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}mm" height="${n(h)}mm" viewBox="${n(box.x0 - MARGIN_MM)} ${n(-box.y1 - MARGIN_MM)} ${n(w)} ${n(h)}" fill="none" stroke="#000" stroke-width="${LINE_MM}">`,
    ...groups,
    "</svg>",
    "",
  ].join("\n");
}
