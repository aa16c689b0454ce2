import { sameData } from "../../base/sameData";
import type { Cubic } from "../curve/bezier";
import type { Contour } from "../curve/contour";
import type { Region } from "./region";

/** Whether two regions are known to have the same cuts wherever their outlines are the same. */
export function sameButOutline(a: Region, b: Region): boolean {
  if (a === b) return true;
  if (a.kind !== b.kind || !a.from || !b.from || !a.outline !== !b.outline) return false;
  return sameData(a.from, b.from);
}

/** Whether two outlines are the same between two stations, or neither is there. */
export function sameOutline(
  a: Contour | undefined,
  b: Contour | undefined,
  from: number,
  to: number,
): boolean {
  if (a === b) return true;
  if (!a || !b) return false;
  const [mine, theirs] = [a, b].map(({ cubics }) => cubics.filter((c) => reaches(c, from, to)));
  return sameData(mine, theirs);
}

/** Whether a curve may come between two stations: it stays among its control points. */
function reaches({ a, b, c, d }: Cubic, from: number, to: number): boolean {
  return Math.min(a.x, b.x, c.x, d.x) <= to && Math.max(a.x, b.x, c.x, d.x) >= from;
}
