import simplify from "simplify-js";
import type { Point } from "../curve/bezier";
import { evenOdd } from "./clip";
import { boxOf, straightLoop } from "./loop";

/** A drawing of filled outlines has so many corners at most, and is written in so many letters. */
export const MOST_ART_POINTS = 4000;
export const LONGEST_ART = 80_000;
/** How far a corner may lie from the middle, heights. */
const FARTHEST = 60;

/** While outlines are cleaned they are so high, mm. */
const CLEANED_AT_MM = 100;
/** Corners that a straight line passes this near are left out, of a drawing so high, mm; more where there are too many. */
const FIRST_SIMPLER_MM = 0.1;

/** Filled outlines of a drawing one high, its middle at 0, 0: x to the right and y up; what lies in an odd number is filled. */
export type Art = readonly (readonly Point[])[];

export type ArtReading =
  | { readonly ok: true; readonly art: Art; readonly heightMm: number }
  | { readonly ok: false; readonly code: "no-area" | "too-long" };

/** Closed lines as a drawing one high; `heightMm` is what they measured. Nothing that has an area: an error. */
export function artOf(loops: readonly (readonly Point[])[]): ArtReading {
  const box = boxOf(loops.map(straightLoop));
  if (!box || !Object.values(box).every(Number.isFinite) || !(box.y1 > box.y0))
    return { ok: false, code: "no-area" };
  const scale = CLEANED_AT_MM / (box.y1 - box.y0);
  if (!(box.x1 - box.x0 <= 2 * FARTHEST * (box.y1 - box.y0))) return { ok: false, code: "too-long" };
  const large = loops.map((l) => l.map((p) => ({ x: (p.x - box.x0) * scale, y: (p.y - box.y0) * scale })));
  // Few enough before they are cleaned as well: that takes the longer the more of them cross.
  const simpler = simplified(evenOdd(simplified(large, 2 * MOST_ART_POINTS)), MOST_ART_POINTS);
  const own = boxOf(simpler.map(straightLoop));
  if (!own || !(own.y1 - own.y0 > 0)) return { ok: false, code: "no-area" };
  const high = own.y1 - own.y0;
  const [x, y] = [(own.x0 + own.x1) / 2, (own.y0 + own.y1) / 2];
  return {
    ok: true,
    art: simpler.map((l) => l.map((p) => ({ x: (p.x - x) / high, y: (p.y - y) / high }))),
    heightMm: high / scale,
  };
}

/** Lines by so many corners at most, as near to what they were as that allows. */
function simplified(loops: readonly (readonly Point[])[], most: number): Point[][] {
  for (let mm = FIRST_SIMPLER_MM; ; mm *= 2) {
    const simpler = loops.flatMap((l) => {
      const run = l.length > 2 ? simplify([...l, l[0]], mm, true).slice(0, -1) : [];
      return run.length > 2 ? [run] : [];
    });
    if (simpler.reduce((sum, l) => sum + l.length, 0) <= most) return simpler;
  }
}

/** The same as text: path data of straight closed runs, "M0 0L1 0L1 1Z". */
export const printArt = (art: Art): string =>
  art
    .map((l) => `${l.map((p, i) => `${i === 0 ? "M" : "L"}${short(p.x)} ${short(p.y)}`).join("")}Z`)
    .join("");

const short = (v: number) => String(Math.round(v * 1e4) / 1e4 + 0);

/** A run of three corners or more. Every repeat begins with a letter that ends the one before: nothing can backtrack. */
const CORNER = /([ML])(-?\d{1,3}(?:\.\d{1,6})?) (-?\d{1,3}(?:\.\d{1,6})?)|Z/y;

/** What `printArt` wrote; null of anything else, of too many corners, and of one that lies too far off. */
export function readArt(text: string): Art | null {
  if (text.length > LONGEST_ART) return null;
  const loops: Point[][] = [];
  let open: Point[] | null = null;
  let corners = 0;
  let at = 0;
  while (at < text.length) {
    CORNER.lastIndex = at;
    const found = CORNER.exec(text);
    if (!found) return null;
    at += found[0].length;
    const [, letter, x, y] = found;
    if (letter === undefined) {
      if (!open || open.length < 3) return null;
      loops.push(open);
      open = null;
      continue;
    }
    if ((letter === "M") !== (open === null)) return null;
    const p = { x: Number(x), y: Number(y) };
    if (Math.max(Math.abs(p.x), Math.abs(p.y)) > FARTHEST || ++corners > MOST_ART_POINTS) return null;
    if (open) open.push(p);
    else open = [p];
  }
  return open || loops.length === 0 ? null : loops;
}
