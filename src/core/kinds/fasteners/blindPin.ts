import { length, material } from "../../base/record/fields";
import { fastenerKind, whole } from "./kind";

/** Hidden: through tang and liners, ending inside both scales. */
export const blindPin = fastenerKind({
  kind: "blind-pin",
  stem: "blind",
  fields: { diameterMm: length(0.3, 40), lengthMm: length(0.5, 200), material },
  start: (tangMm) => ({ diameterMm: 4, lengthMm: tangMm + 8, material: "stainless-304" }),
  build: (f, site) => {
    const reach = site.between(-f.lengthMm / 2, f.lengthMm / 2);
    site.add(null, whole(f.material), site.round(f.diameterMm), reach, site.body);
  },
  widestMm: (f) => f.diameterMm,
  bores: (f) => [{ use: "pin", nominalMm: f.diameterMm, wantedMm: null, heights: [0, f.lengthMm / 2] }],
  stock: (f) => ({ kind: "rod", material: f.material }),
  lengthMm: (f) => f.lengthMm,
  plainRod: true,
  face: (f) => [{ shape: "circle", radiusMm: f.diameterMm / 2, hidden: true }],
});
