import { polygonHull } from "d3-polygon";
import { radians } from "../../base/number";
import { remembered } from "../../base/record/remembered";
import { type Art, readArt } from "../../geometry/contours/art";
import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import type { BladeMark, DrawnBlade } from "../design/schema";
import { bladeEdges } from "./bladeParts";

const outlinesOf = remembered((mark: BladeMark): Art => readArt(mark.art) ?? []);

/** The middle of a mark in the knife's frame. */
export const markMiddle = (blade: DrawnBlade, { xMm, downMm }: BladeMark): Point => ({
  x: xMm,
  y: bladeEdges(blade, xMm)[1] - downMm,
});

/** A mark's filled outlines in the knife's frame: one on the left side is read from there, toward the butt. */
export function placedMark(blade: DrawnBlade, mark: BladeMark): Point[][] {
  const { heightMm, turnedDeg, side } = mark;
  const middle = markMiddle(blade, mark);
  const [cos, sin] = [Math.cos(radians(turnedDeg)), Math.sin(radians(turnedDeg))];
  const ahead = side === "right" ? 1 : -1;
  return outlinesOf(mark).map((line) =>
    line.map(({ x, y }) => ({
      x: middle.x + ahead * heightMm * (x * cos - y * sin),
      y: middle.y + heightMm * (x * sin + y * cos),
    })),
  );
}

/** The convex outline round a mark, counter-clockwise. */
export function aroundMark(outlines: readonly (readonly Point[])[]): Point[] {
  const hull = polygonHull(outlines.flatMap((l) => l.map(({ x, y }): [number, number] => [x, y])));
  return (hull ?? []).map(([x, y]) => ({ x, y }));
}

/** How long and how high a mark is, as it is read, mm. */
export function sizeOfMark(mark: BladeMark): { readonly widthMm: number; readonly heightMm: number } {
  const { heightMm } = mark;
  const xs = outlinesOf(mark).flatMap((l) => l.map((p) => p.x));
  return { widthMm: xs.length > 0 ? (Math.max(...xs) - Math.min(...xs)) * heightMm : 0, heightMm };
}

/** What a mark fills, mm². */
export const markAreaMm2 = (mark: BladeMark): number =>
  Math.abs(outlinesOf(mark).reduce((sum, l) => sum + signedArea(straightLoop(l)), 0)) * mark.heightMm ** 2;
