import { count } from "../../base/record/fields";
import { boxContour } from "../../geometry/curve/shapes";
import { FACET_COUNTS, facetedSection } from "../../geometry/solids/section";
import { evenLoft } from "../../geometry/solids/turned";
import { acrossButt, acrossFields, acrossPoints, pieceShapeKind } from "./kind";

/** A block with flats all round. */
export const faceted = pieceShapeKind({
  kind: "faceted",
  fields: { ...acrossFields, facets: count(FACET_COUNTS) },
  start: (butt) => ({ ...acrossButt(butt), facets: 8 }),
  regions: (s, [x0, x1]) => [
    evenLoft(boxContour(x0, x1, -s.belowMm, s.aboveMm), () => s.widthMm / 2, facetedSection(s.facets)),
  ],
  points: acrossPoints,
});
