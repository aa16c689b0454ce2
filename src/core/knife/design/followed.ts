import { isLocked } from "./marks";
import type { Design } from "./schema";

type Tang = Design["tang"];

/**
 * A design after an edit of its blade's thickness: a tang that was as thick as the blade where they meet is so again, and
 * no thicker behind. What its maker set otherwise, or locked, stays.
 */
export function followingBlade(before: Design, after: Design): Design {
  const [was, is] = [before.blade.spineMm, after.blade.spineMm];
  if (was === is || after.tang !== before.tang) return after;
  const tang = asThickAs(after.tang, was, is, (path) => isLocked(after, path));
  return tang === after.tang ? after : { ...after, tang };
}

function asThickAs(tang: Tang, was: number, is: number, locked: (path: string) => boolean): Tang {
  const next = (value: number, path: string, most: number) => {
    if (locked(path)) return value;
    return value === was ? is : Math.min(value, most);
  };
  if (tang.kind !== "full") {
    if (tang.frontThicknessMm !== was || locked("tang.frontThicknessMm")) return tang;
    const endThicknessMm = next(tang.endThicknessMm, "tang.endThicknessMm", is);
    return { ...tang, frontThicknessMm: is, endThicknessMm };
  }
  const { taper } = tang;
  if (taper?.frontMm !== was || locked("tang.taper.frontMm")) return tang;
  return { ...tang, taper: { frontMm: is, buttMm: next(taper.buttMm, "tang.taper.buttMm", is) } };
}
