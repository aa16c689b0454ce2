import { cubicX, cubicY } from "../curve/bezier";
import type { Contour } from "../curve/contour";
import { signChanges } from "../curve/roots";

/** Stations where the joint x = `atMm` + y·tan(tilt) crosses an outline. */
export function jointStations(outline: Contour, atMm: number, tiltDeg: number): number[] {
  const lean = Math.tan((tiltDeg * Math.PI) / 180);
  return outline.cubics.flatMap((c) =>
    signChanges((t) => cubicX(c, t) - atMm - lean * cubicY(c, t), 0, 1, 12).map((t) => cubicX(c, t)),
  );
}
