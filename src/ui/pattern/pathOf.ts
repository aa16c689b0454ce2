import type { Point } from "@/core/geometry/curve/bezier";

/** Chords as path data, y downward. */
export const pathOf = (points: readonly Point[], closed: boolean): string =>
  `M${points.map(({ x, y }) => `${x.toFixed(3)} ${(0 - y).toFixed(3)}`).join("L")}${closed ? "Z" : ""}`;
