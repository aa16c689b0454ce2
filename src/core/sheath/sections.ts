import { sectionShapes } from "../figures/views/section";
import type { Point } from "../geometry/curve/bezier";
import type { Assembly } from "../knife/parts/types";
import type { SectionPoint } from "./room";

/** A knife cut across at a station: its outer points on either side, laid over each other, mm. */
export interface Station {
  readonly xMm: number;
  readonly points: readonly SectionPoint[];
  readonly highY: number;
  readonly lowY: number;
}

/** What leather feels of a knife at a station: whichever side stands farther out counts; null where there is nothing. */
export function stationAt(assembly: Assembly, xMm: number): Station | null {
  const points = sectionShapes(assembly, xMm)
    .filter((s) => s.material !== null)
    .flatMap((s) => s.points.map(([y, z]) => ({ y, z: Math.abs(z) })));
  if (points.length === 0) return null;
  const ys = points.map((p) => p.y);
  return {
    xMm,
    points,
    highY: ys.reduce((a, b) => Math.max(a, b)),
    lowY: ys.reduce((a, b) => Math.min(a, b)),
  };
}

/** Of a station and those ahead of it, which all have to go past it: how high and how low the room has to reach. */
export function passed(
  stations: readonly Station[],
): readonly { readonly highY: number; readonly lowY: number }[] {
  let [highY, lowY] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  return [...stations]
    .reverse()
    .map((s) => {
      [highY, lowY] = [Math.max(highY, s.highY), Math.min(lowY, s.lowY)];
      return { highY, lowY };
    })
    .reverse();
}

/** Stations that a knife's outline is drawn by. */
const OUTLINE_STATIONS = 300;

/** A knife's outline as it is seen from the side, between two stations: the highest and the lowest of all that it has there. */
export function seenBetween(assembly: Assembly, fromMm: number, toMm: number): readonly Point[] {
  const stations = Array.from({ length: OUTLINE_STATIONS }, (_, i) =>
    stationAt(assembly, fromMm + ((i + 0.5) / OUTLINE_STATIONS) * (toMm - fromMm)),
  ).filter((s) => s !== null);
  return [
    ...stations.map((s) => ({ x: s.xMm, y: s.highY })),
    ...[...stations].reverse().map((s) => ({ x: s.xMm, y: s.lowY })),
  ];
}
