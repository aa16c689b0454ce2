import { produce } from "immer";
import { putAt } from "../../base/record/path";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import type { Draft } from "../draft";
import { planPoints, sidePoints } from "../points/pointsOf";
import { type BenchPoint, type PointName, setHeld } from "../points/types";

/** The drawing that a point stands on, the step of the bench that shows it, and what it is called there. */
export interface PointPlace {
  readonly view: "side" | "plan";
  readonly step: string;
  readonly id: string;
}

interface OfPoint extends PointPlace {
  readonly name: PointName;
}

const pointAt = (design: Design, { view, step, id }: PointPlace): BenchPoint | undefined =>
  (view === "side" ? sidePoints(design, step, id) : planPoints(design, step)).find((p) => p.id === id);

const withPoint = (design: Design, place: PointPlace, by: (point: BenchPoint, d: Draft<Design>) => void) => {
  const point = pointAt(design, place);
  return point ? produce(design, (d) => by(point, d as Draft<Design>)) : design;
};

/** Edits of points on the drawings. */
export const POINT_EDITS = {
  "move-point": (design: Design, { to, ...place }: OfPoint & Readonly<{ to: Point }>) =>
    withPoint(design, place, (point, d) => point.move(d, to)),
  /** A number that belongs to a point, typed. */
  "type-point": (design: Design, { path, to, ...place }: OfPoint & Readonly<{ path: string; to: number }>) =>
    withPoint(design, place, (point, d) => {
      putAt(d, path, to);
      point.after?.(d);
    }),
  "remove-point": (design: Design, place: OfPoint) =>
    withPoint(design, place, (point, d) => point.remove?.(d)),
  "move-grip": (design: Design, { gripId, xMm }: Readonly<{ gripId: string; xMm: number }>) => {
    const at = design.use.grips.findIndex((g) => g.id === gripId);
    return at < 0 ? design : produce(design, (d) => setHeld(d as Draft<Design>, `use.grips.${at}.xMm`, xMm));
  },
};
