import { length, material } from "../../base/record/fields";
import { fastenerKind, whole } from "./kind";

/** A rod through the handle, flush with both sides. */
export const pin = fastenerKind({
  kind: "pin",
  stem: "pin",
  fields: { diameterMm: length(0.3, 40), material },
  start: () => ({ diameterMm: 6.35, material: "brass-360" }),
  build: (f, site) => site.add(null, whole(f.material), site.round(f.diameterMm), site.body),
  widestMm: (f) => f.diameterMm,
  bores: (f) => [{ use: "pin", nominalMm: f.diameterMm, wantedMm: null }],
  stock: (f) => ({ kind: "rod", material: f.material }),
  plainRod: true,
  face: (f) => [{ shape: "disc", radiusMm: f.diameterMm / 2, material: f.material }],
});
