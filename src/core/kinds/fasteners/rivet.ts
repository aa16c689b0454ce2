import { choice, length, material } from "../../base/record/fields";
import { domeRegion } from "../../geometry/solids/dome";
import { fastenerKind, whole } from "./kind";

export const RIVET_HEADS = ["domed", "flat"] as const;

/** A seat is never nearer to the centre plane than this, mm: the shaft between two heads has a length. */
const LEAST_SEAT_MM = 0.1;

/** A shaft through both sides, peened over; its heads stand on the surface, let in by so much. */
export const rivet = fastenerKind({
  kind: "rivet",
  stem: "rivet",
  fields: {
    diameterMm: length(0.3, 40),
    style: choice(RIVET_HEADS),
    headMm: length(0.5, 60),
    headHeightMm: length(0.1, 20),
    letInMm: length(0, 20),
    material,
  },
  start: () => ({
    diameterMm: 3.2,
    style: "domed",
    headMm: 6,
    headHeightMm: 1.6,
    letInMm: 0.4,
    material: "brass-260",
  }),
  build: (f, site) => {
    const materials = whole(f.material);
    const sides = ["right", "left"] as const;
    const [right, left] = sides.map((side) => Math.max(LEAST_SEAT_MM, site.surface(side) - f.letInMm));
    site.add(null, materials, site.round(f.diameterMm), site.between(-left, right));
    for (const [seat, mirror] of [[right, false] as const, [left, true] as const]) {
      if (f.style === "domed") {
        const on = { xMm: f.xMm, yMm: f.yMm, radiusMm: f.headMm / 2 };
        site.add(null, materials, site.put(domeRegion(on, seat, f.headHeightMm, mirror)));
        continue;
      }
      const [low, high] = mirror ? [-seat - f.headHeightMm, -seat] : [seat, seat + f.headHeightMm];
      site.add(null, materials, site.round(f.headMm), site.between(low, high));
    }
  },
  widestMm: (f) => f.diameterMm,
  bores: (f) => [
    { use: "pin", nominalMm: f.diameterMm, wantedMm: null },
    ...(f.letInMm > 0
      ? [{ use: "counterbore" as const, nominalMm: f.headMm, wantedMm: f.headMm, letInMm: f.letInMm }]
      : []),
  ],
  stock: (f) => ({ kind: "rod", material: f.material }),
  peened: true,
  sizes: (f) => [[f.diameterMm, f.headMm]],
  face: (f) => [
    { shape: "disc", radiusMm: f.headMm / 2, material: f.material },
    { shape: "circle", radiusMm: f.diameterMm / 2, hidden: false },
  ],
});
