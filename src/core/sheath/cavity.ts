import { joined } from "../geometry/contours/clip";
import type { Point } from "../geometry/curve/bezier";
import { squareFoldMm } from "./fold";
import { betweenWelts, fromFold } from "./room";
import { passed, type Station } from "./sections";
import type { SheathSettings } from "./settings";

/** Room all round that lies outside of every pattern, mm: what is grown is cut off there. */
export const FAR_MM = 80;
/** Half the room between the edges at the very end, mm, and so many stations before it say how they run. */
const POINT_MM = 0.5;
const TANGENT_STATIONS = 5;

/** Flat heights of the welt's inner edges over and under the knife, at each station. */
export interface Edges {
  readonly foldY: number | null;
  readonly over: readonly number[];
  readonly under: readonly number[];
}

export function edgesOf(stations: readonly Station[], settings: SheathSettings): Edges {
  const { style, clearanceMm, weltThickMm, leatherMm, neutral } = settings;
  const room = passed(stations);
  if (style === "two-panel") {
    const found = stations.map((s, i) =>
      betweenWelts(s.points, room[i].highY + clearanceMm, room[i].lowY - clearanceMm, weltThickMm),
    );
    return {
      foldY: null,
      over: found.map((f) => f.atY + f.overMm),
      under: found.map((f) => f.atY - f.underMm),
    };
  }
  // A fold is straight: it runs along the highest point of what it covers.
  const top = Math.max(...room.map((r) => r.highY));
  const spine = stations.find((s) => s.highY > top - 0.5 && s.xMm > 0) ?? stations[0];
  const half = Math.max(...spine.points.filter((p) => p.y > spine.highY - 0.5).map((p) => p.z));
  // What the leather's own thickness takes of a quarter turn; the way over the spine is in the room.
  const quarter = squareFoldMm(0, leatherMm, neutral) / 2;
  const foldY = top + squareFoldMm(2 * half, leatherMm, neutral) / 2;
  // What is ahead goes past: the panel is nowhere narrower than before it.
  let widest = 0;
  const under = [...stations.keys()]
    .reverse()
    .map((i) => {
      widest = Math.max(widest, fromFold(stations[i].points, top, room[i].lowY - clearanceMm, weltThickMm));
      return foldY - quarter - widest;
    })
    .reverse();
  return { foldY, over: stations.map(() => foldY), under };
}

/** The room inside of a sheath, flat, open beyond its throat and its fold; and where its point is. */
export interface Cavity {
  readonly outlines: readonly (readonly Point[])[];
  readonly tip: Point;
}

/** The room between the edges, from a throat to so far ahead of the knife's tip. */
export function cavityOf(
  stations: readonly Station[],
  { foldY, over, under }: Edges,
  throatMm: number,
  endMm: number,
): Cavity {
  const last = stations.length - 1;
  const line = (ys: readonly number[]) => stations.map((s, i) => ({ x: s.xMm, y: ys[i] }));
  const middle = foldY === null ? (under[last] + over[last]) / 2 : stations[last].lowY;
  // Past the tip the edges run on as they come, and end a little apart.
  const goesOn = (ys: readonly number[], wall: (a: number, b: number) => number, least: number): number => {
    const before = Math.max(0, last - TANGENT_STATIONS);
    const slope = (ys[last] - ys[before]) / (stations[last].xMm - stations[before].xMm);
    return wall(ys[last] + slope * (endMm - stations[last].xMm), least);
  };
  const lower = [
    { x: throatMm - FAR_MM, y: under[0] },
    ...line(under),
    { x: endMm, y: goesOn(under, Math.min, middle - POINT_MM) },
  ];
  const farUp = Math.max(...over) + FAR_MM;
  const upper =
    foldY === null
      ? [
          { x: endMm, y: goesOn(over, Math.max, middle + POINT_MM) },
          ...line(over).reverse(),
          { x: throatMm - FAR_MM, y: over[0] },
        ]
      : [
          { x: endMm, y: farUp },
          { x: throatMm - FAR_MM, y: farUp },
        ];
  return { outlines: joined([[...lower, ...upper]]), tip: { x: endMm, y: middle } };
}
