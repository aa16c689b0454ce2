import { arcOf, type Loop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { arc } from "../../geometry/curve/shapes";
import type { Item } from "./item";
import type { Page } from "./page";

/** A step of a path: to a place, straight on to one, along a cubic to one, or back to where it began. */
export type Step = readonly ["M" | "L", Point] | readonly ["C", Point, Point, Point] | readonly ["Z"];

/** Where each place of a page is printed, so that it comes out true: farther from its middle by so much. */
export function corrected(
  { widthMm, heightMm }: Pick<Page, "widthMm" | "heightMm">,
  by: { x: number; y: number },
) {
  return ({ x, y }: Point): Point => ({
    x: widthMm / 2 + (x - widthMm / 2) * by.x,
    y: heightMm / 2 + (y - heightMm / 2) * by.y,
  });
}

/** What is drawn of an item as a path; arcs as cubics within 5e-6 of their radius. Writing is none. */
export function stepsOf(item: Exclude<Item, { kind: "text" }>): Step[] {
  if (item.kind === "line") return item.points.map((p, i) => [i === 0 ? "M" : "L", p] as const);
  if (item.kind === "fill")
    return item.loops.flatMap((l): Step[] => [...l.map((p, i) => [i === 0 ? "M" : "L", p] as const), ["Z"]]);
  if (item.kind === "circle") {
    const { x, y, radiusMm: r } = item;
    const cubics = arc({ x, y }, r, r, 0, 2 * Math.PI);
    return [["M", cubics[0].a], ...cubics.map(({ b, c, d }) => ["C", b, c, d] as const), ["Z"]];
  }
  return loopSteps(item.loop);
}

function loopSteps(loop: Loop): Step[] {
  const steps = loop.flatMap((a, i): Step[] => {
    const next = loop[(i + 1) % loop.length];
    const round = arcOf(a, next);
    if (!round) return [["L", next]];
    return arc(round.centre, round.radius, round.radius, round.from, round.to).map(
      ({ b, c, d }) => ["C", b, c, d] as const,
    );
  });
  return [["M", loop[0]], ...steps, ["Z"]];
}

/** The same steps with every place moved by a map. */
export const mappedSteps = (steps: readonly Step[], to: (p: Point) => Point): Step[] =>
  steps.map((s): Step => {
    if (s[0] === "Z") return s;
    if (s[0] === "C") return ["C", to(s[1]), to(s[2]), to(s[3])];
    return [s[0], to(s[1])];
  });
