import type { Cubic, Point } from "@/core/geometry/curve/bezier";

/** The box round a product seen from the side, mm. */
export interface Extent {
  readonly xLow: number;
  readonly xHigh: number;
  readonly yLow: number;
  readonly yHigh: number;
}

/** From the knife's mm to the drawing's px: x to the right, y up in mm and down in px. */
export interface Scale {
  readonly pxPerMm: number;
  /** px of the datum and of the axis. */
  readonly originX: number;
  readonly originY: number;
}

export function toPx(scale: Scale, x: number, y: number): [number, number] {
  return [scale.originX + x * scale.pxPerMm, scale.originY - y * scale.pxPerMm];
}

export function toMm(scale: Scale, px: number, py: number): Point {
  return { x: (px - scale.originX) / scale.pxPerMm, y: (scale.originY - py) / scale.pxPerMm };
}

function fixed(n: number): string {
  return n.toFixed(2);
}

function pair(scale: Scale, p: Point): string {
  const [x, y] = toPx(scale, p.x, p.y);
  return `${fixed(x)} ${fixed(y)}`;
}

/** SVG path data of a run of joined cubics, closed on request. */
export function cubicPath(cubics: readonly Cubic[], scale: Scale, close = true): string {
  if (cubics.length === 0) return "";
  const curves = cubics.map((c) => `C${pair(scale, c.b)} ${pair(scale, c.c)} ${pair(scale, c.d)}`);
  return `M${pair(scale, cubics[0].a)}${curves.join("")}${close ? "Z" : ""}`;
}

/** SVG path data of a chord line. */
export function chordPath(points: readonly Point[], scale: Scale, close = true): string {
  if (points.length === 0) return "";
  return `M${points.map((p) => pair(scale, p)).join("L")}${close ? "Z" : ""}`;
}
