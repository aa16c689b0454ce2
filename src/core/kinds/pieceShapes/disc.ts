import { length } from "../../base/record/fields";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { layerRegion } from "../../geometry/solids/layer";
import { pieceShapeKind, roundPoints } from "./kind";

/** A coin on edge, in the plane of the blade. */
export const disc = pieceShapeKind({
  kind: "disc",
  fields: { diameterMm: length(2, 150), widthMm: length(1, 100), yMm: length(-300, 300) },
  start: ({ heightMm, widthMm, yMm }) => ({ diameterMm: heightMm + 6, widthMm, yMm }),
  regions: ({ diameterMm, widthMm, yMm }, range) => {
    const r = diameterMm / 2;
    const sides = layerRegion({ at0: -widthMm / 2, slope: 0 }, { at0: widthMm / 2, slope: 0 }, range);
    return [cylinderRegion({ xMm: range[0] + r, yMm, radiusMm: r }), sides];
  },
  points: roundPoints,
});
