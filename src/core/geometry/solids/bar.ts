import { INSIDE_MM } from "../../base/tolerances";
import type { Contour } from "../curve/contour";
import { signChanges } from "../curve/roots";
import { ClosingZone, ROUND } from "./closingZone";
import { type Line, lineAt } from "./line";
import type { Region } from "./region";
import { slabRegion } from "./slab";
import { curvedSlice, NONE, type Slice } from "./slice";

/**
 * A bar of a closed outline, centred on the blade's plane, with the long corners of its section rounded: `half` is
 * its half thickness along x and `corner` the radius, held to what the section has room for. mm.
 */
export function barRegion(
  outline: Contour,
  half: Line,
  corner: Line,
  xRange: readonly [number, number],
): Region {
  const flat = slabRegion(outline, half, xRange);
  if (!(corner.at0 > 0) && corner.slope === 0) return flat;
  const heightAt = (x: number) => {
    const ys = outline.cut(x);
    return ys.length > 1 ? ys[ys.length - 1] - ys[0] : 0;
  };
  const [from, to] = [flat.xRange[0] + INSIDE_MM, flat.xRange[1] - INSIDE_MM];
  // Where the section has just the room for its corners, and where they begin or end.
  const held = [
    (x: number) => lineAt(corner, x) - lineAt(half, x),
    (x: number) => lineAt(corner, x) - heightAt(x) / 2,
    (x: number) => lineAt(corner, x),
  ].flatMap((room) => signChanges(room, from, to, 8));
  return {
    ...flat,
    kind: "bar",
    from: [half, corner, xRange],
    breaks: [...flat.breaks, ...held.map((x) => ({ x, below: true, above: true }))],
    sliceAt: (x) => {
      const slice = flat.sliceAt(x);
      const ys = slice?.ys;
      if (!slice || !ys || ys.length < 2) return slice;
      const h = lineAt(half, x);
      const r = Math.min(lineAt(corner, x), h, (ys[ys.length - 1] - ys[0]) / 2);
      return r > 0 ? rounded(ys, h, r) : slice;
    },
  };
}

function rounded(ys: readonly number[], h: number, r: number): Slice {
  const [low, high] = [ys[0], ys[ys.length - 1]];
  const top = (y: number): number => {
    const inside = r - Math.min(y - low, high - y);
    return inside <= 0 ? h : h - r + Math.sqrt(Math.max(0, r * r - inside * inside));
  };
  return curvedSlice({
    ys,
    creases: [low + r, high - r],
    levels: [-h, h],
    crossings: (z) => {
      const up = Math.abs(z) - (h - r);
      if (!(up > 0) || !(up < r)) return NONE;
      const inside = r - Math.sqrt(r * r - up * up);
      return [low + inside, high - inside];
    },
    zones: [new ClosingZone(low + r, r, -1, ROUND), new ClosingZone(high - r, r, 1, ROUND)],
    low: (y) => -top(y),
    high: top,
  });
}
