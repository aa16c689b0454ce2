import { length, material } from "../../base/record/fields";
import { fastenerKind, whole } from "./kind";

/** A tube through the handle for a thong. */
export const lanyardTube = fastenerKind({
  kind: "lanyard-tube",
  stem: "thong",
  fields: { diameterMm: length(1, 40), boreMm: length(0.3, 39), material },
  start: () => ({ diameterMm: 6.35, boreMm: 4.75, material: "brass-260" }),
  build: (f, site) => {
    site.add("bore", [], site.round(f.boreMm), site.body);
    site.add(null, whole(f.material), site.round(f.diameterMm), site.body);
  },
  widestMm: (f) => f.diameterMm,
  bores: (f) => [{ use: "pin", nominalMm: f.diameterMm, wantedMm: null }],
  stock: (f) => ({ kind: "tube", material: f.material }),
  fault: (f) =>
    f.boreMm < f.diameterMm
      ? null
      : { rule: "bore-not-inside-tube", measured: f.boreMm, limit: f.diameterMm },
  face: (f) => [
    { shape: "disc", radiusMm: f.diameterMm / 2, material: f.material },
    { shape: "disc", radiusMm: f.boreMm / 2, material: null },
  ],
});
