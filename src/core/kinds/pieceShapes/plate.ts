import { length, share } from "../../base/record/fields";
import { sectionOf } from "../../geometry/solids/section";
import { domedBlockRegion } from "../../geometry/solids/turned";
import { acrossButt, acrossFields, acrossPoints, pieceShapeKind } from "./kind";

/** Rectangle to oval from the end; either face may be domed. */
export const plate = pieceShapeKind({
  kind: "plate",
  fields: { ...acrossFields, roundness: share(0, 1), domeMm: length(0, 100), frontDomeMm: length(0, 100) },
  start: (butt) => ({ ...acrossButt(butt), roundness: 0.8, domeMm: 4, frontDomeMm: 0 }),
  regions: (s, range) => [
    domedBlockRegion(
      range,
      [-s.belowMm, s.aboveMm],
      s.widthMm,
      s.domeMm,
      sectionOf(s.roundness),
      s.frontDomeMm,
    ),
  ],
  points: acrossPoints,
});
