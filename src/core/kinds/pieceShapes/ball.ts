import { length } from "../../base/record/fields";
import { ballRegion } from "../../geometry/solids/turned";
import { pieceShapeKind, roundPoints } from "./kind";

/** A ball, its rear at the piece's. */
export const ball = pieceShapeKind({
  kind: "ball",
  fields: { diameterMm: length(2, 150), yMm: length(-300, 300) },
  start: ({ heightMm, yMm }) => ({ diameterMm: heightMm, yMm }),
  regions: ({ diameterMm, yMm }, range) => {
    const r = diameterMm / 2;
    return [ballRegion({ x: range[0] + r, y: yMm }, r, range)];
  },
  points: roundPoints,
});
