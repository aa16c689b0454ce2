import { round } from "../design/create";
import type { CurvePoint, Design, Half, Lengthwise } from "../design/schema";
import { layoutOf } from "./layout";

/** A joint along the middle of the handle to begin from: straight, what lies below it in another material. */
export function newLengthwise(design: Design): Lengthwise {
  const { buttX, frontX, outline } = layoutOf(design);
  const reach = frontX - buttX;
  const at = (id: string, share: number): CurvePoint => {
    const xMm = round(frontX - share * reach);
    const ys = outline.cut(xMm);
    const yMm = ys.length > 1 ? round((ys[0] + ys[ys.length - 1]) / 2) : 0;
    return { id, xMm, yMm, corner: false };
  };
  return { points: [at("front", 0.1), at("rear", 0.9)], material: "linen-phenolic", divider: null };
}

/** How far metal halves stand out beyond the handle to begin with, and how long they are along it, mm. */
const OUT_MM = 6;
const ALONG_MM = 12;

/** A pair of metal halves at one end to begin from: a block a little higher than the handle, as thick as it. */
export function newHalf(id: string, end: Half["end"], design: Design): Half {
  const { buttX, frontX, outline, surfaceAt, tangAt } = layoutOf(design);
  const [x0, x1] = end === "front" ? [frontX - ALONG_MM, frontX] : [buttX, buttX + ALONG_MM];
  const middle = (x0 + x1) / 2;
  const ys = outline.cut(middle);
  const [low, high] = ys.length > 1 ? [ys[0], ys[ys.length - 1]] : [-10, 10];
  const thick = surfaceAt(middle, (low + high) / 2, "right") - tangAt(middle).halfMm;
  const corner = (name: string, x: number, y: number): CurvePoint => ({
    id: name,
    xMm: round(x),
    yMm: round(y),
    corner: true,
  });
  return {
    id,
    end,
    right: "brass-260",
    left: "brass-260",
    shape: {
      kind: "outline",
      points: [
        corner("front-top", x1, high),
        corner("rear-top", x0, high),
        corner("rear-bottom", x0, low - OUT_MM),
        corner("front-bottom", x1, low - OUT_MM),
      ],
      thicknessMm: Math.max(1, round(thick)),
    },
  };
}

/** Points with one more half way along the longest stretch between two; of a closed outline the last leads to the first. */
export function withPointBetween(
  points: readonly CurvePoint[],
  closed: boolean,
  id: string,
): readonly CurvePoint[] {
  const ends = points.map((p, i) => [p, points[(i + 1) % points.length], i] as const);
  const pairs = closed ? ends : ends.slice(0, -1);
  const far = ([p, q]: (typeof pairs)[number]) => Math.hypot(q.xMm - p.xMm, q.yMm - p.yMm);
  const [p, q, i] = pairs.reduce((best, pair) => (far(pair) > far(best) ? pair : best));
  const middle = { id, xMm: round((p.xMm + q.xMm) / 2), yMm: round((p.yMm + q.yMm) / 2), corner: false };
  return [...points.slice(0, i + 1), middle, ...points.slice(i + 1)];
}
