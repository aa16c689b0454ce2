import type { Point } from "../curve/bezier";
import type { Contour } from "../curve/contour";
import { signChanges } from "../curve/roots";
import { INSIDE_MM } from "../tolerances";
import { faceHeight, type Grind, type GrindCut, groundThickness } from "./grind";
import type { Region } from "./region";
import { curvedSlice, flatSlice, type Slice } from "./slice";

export interface GroundBlade {
  readonly outline: Contour;
  readonly lengthMm: number;
  readonly ricassoMm: number;
  readonly grind: Grind;
  readonly stockMm: number;
  readonly tipMm: number;
  readonly edgeMm: number;
  readonly taperFromMm: number;
}

/** Spine thickness at x: the stock's until the distal taper begins, then straight to the tip's. */
export function spineThickness(blade: GroundBlade, x: number): number {
  const run = blade.lengthMm - blade.taperFromMm;
  if (!(x > blade.taperFromMm) || !(run > 0)) return blade.stockMm;
  return blade.stockMm + ((blade.tipMm - blade.stockMm) * (x - blade.taperFromMm)) / run;
}

/**
 * The blade ahead of the datum: unground up to the ricasso's end, ground from there. Symmetrical about the centre
 * plane, but for a single bevel, whose flat face stays where the stock's face was.
 */
export function bladeRegion(blade: GroundBlade): Region {
  const { outline, grind, lengthMm } = blade;
  const ricasso = Math.min(blade.ricassoMm, lengthMm);
  const plain = (x: number) => ({ x, below: false, above: false });
  const heightAt = (x: number) => {
    const ys = outline.cut(x);
    return ys.length > 1 ? ys[ys.length - 1] - ys[0] : 0;
  };
  const topped =
    grind.kind === "full-flat"
      ? []
      : signChanges((x) => heightAt(x) - grind.heightMm, ricasso, lengthMm - INSIDE_MM, 64);
  const edgeMeetsSpine = signChanges((x) => spineThickness(blade, x) - blade.edgeMm, ricasso, lengthMm, 8);
  return {
    kind: "blade",
    outline,
    from: [{ ...blade, outline: null }],
    xRange: [0, lengthMm],
    breaks: [...outline.breaks, ...[ricasso, blade.taperFromMm, ...topped, ...edgeMeetsSpine].map(plain)],
    sliceAt: (x) => {
      const ys = outline.cut(x);
      return x < ricasso ? flatSlice(ys, -blade.stockMm / 2, blade.stockMm / 2) : groundSlice(blade, ys, x);
    },
  };
}

/** The line where ground face and flat meet, from the ricasso toward the tip, as points; empty for a full flat grind. */
export function grindLine(blade: GroundBlade): Point[] {
  const { grind, ricassoMm, lengthMm, outline } = blade;
  if (grind.kind === "full-flat" || !(ricassoMm < lengthMm)) return [];
  const points: Point[] = [];
  for (let i = 0; i <= 60; i++) {
    const x = ricassoMm + ((lengthMm - ricassoMm) * (i + 0.001)) / 60.01;
    const ys = outline.cut(x);
    if (ys.length > 1 && ys[ys.length - 1] - ys[0] > grind.heightMm)
      points.push({ x, y: ys[0] + grind.heightMm });
  }
  return points;
}

function groundSlice(blade: GroundBlade, ys: readonly number[], x: number): Slice {
  const edgeY = ys[0] ?? 0;
  const height = ys.length > 1 ? ys[ys.length - 1] - edgeY : 0;
  const spineMm = spineThickness(blade, x);
  const cut: GrindCut = {
    spineMm,
    edgeMm: Math.min(blade.edgeMm, spineMm),
    faceMm: faceHeight(blade.grind, height),
  };
  const thickness = (y: number) => groundThickness(blade.grind, cut, y - edgeY);
  const { grind, stockMm } = blade;
  const flatFace =
    grind.kind === "single-bevel" ? (grind.side === "right" ? -stockMm / 2 : stockMm / 2) : null;
  return curvedSlice({
    ys,
    creases: [edgeY + cut.faceMm],
    low: (y) => (flatFace === null ? -thickness(y) / 2 : flatFace < 0 ? flatFace : flatFace - thickness(y)),
    high: (y) => (flatFace === null ? thickness(y) / 2 : flatFace < 0 ? flatFace + thickness(y) : flatFace),
  });
}
