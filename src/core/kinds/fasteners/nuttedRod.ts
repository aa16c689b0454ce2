import { upToTenth } from "../../base/number";
import { length, material } from "../../base/record/fields";
import { hexContour } from "../../geometry/curve/shapes";
import { fastenerKind, whole } from "./kind";
import { addPlugs, counterboreFace, overCorners, plug, seatMm, startSeatMm } from "./seated";
import { hexNutSizes, sizesOfThread, threadFields, threadRadius } from "./thread";

/** A threaded rod with a hex nut in a counterbore at each end. */
export const nuttedRod = fastenerKind({
  kind: "nutted-rod",
  stem: "rod",
  fields: {
    ...threadFields,
    seatMm,
    nutAcrossMm: length(2, 60),
    nutLengthMm: length(0.5, 40),
    counterboreMm: length(2, 80),
    material,
    plug,
  },
  start: (tangMm) => ({
    diameterMm: 4,
    pitchMm: 0.7,
    seatMm: startSeatMm(tangMm, 4),
    nutAcrossMm: 7,
    nutLengthMm: 3.2,
    counterboreMm: 8.2,
    material: "stainless-304",
    plug: null,
  }),
  build: (f, site) => {
    const materials = whole(f.material);
    const top = f.seatMm + f.nutLengthMm;
    site.add(null, materials, site.round(2 * threadRadius(f)), site.between(-top, top), site.body);
    const nut = site.prism(hexContour({ x: f.xMm, y: f.yMm }, f.nutAcrossMm));
    for (const at of site.bothSides(f.seatMm, top)) site.add(null, materials, nut, at, site.body);
    addPlugs(site, site.round(f.counterboreMm), f.seatMm, f.plug);
  },
  widestMm: (f) => Math.max(f.counterboreMm, f.diameterMm),
  bores: (f) => [
    { use: "rod", nominalMm: f.diameterMm, wantedMm: null },
    {
      use: "counterbore",
      nominalMm: f.counterboreMm,
      wantedMm: f.counterboreMm,
      heights: [f.seatMm, null],
    },
  ],
  stock: () => ({ kind: "hardware" }),
  sizes: (f) => [
    ...sizesOfThread(f),
    [f.diameterMm, f.nutAcrossMm],
    [overCorners(f.nutAcrossMm), f.counterboreMm],
  ],
  threadSizes: (_, thread) => hexNutSizes(thread),
  seat: (f) => ({
    seatMm: f.seatMm,
    counterboreMm: f.counterboreMm,
    headMm: f.nutLengthMm,
    threadMm: f.diameterMm,
    engagedMm: f.nutLengthMm,
    threadIn: f.material,
    nut: true,
    screwLengthMm: 2 * (f.seatMm + f.nutLengthMm),
    keyed: false,
  }),
  moreThread: (_, __, wantedMm) => ({ nutLengthMm: upToTenth(wantedMm) }),
  face: (f) =>
    counterboreFace(
      f.counterboreMm,
      f.plug,
      { shape: "hexagon", acrossMm: f.nutAcrossMm, material: f.material },
      { shape: "disc", radiusMm: f.diameterMm / 2, material: f.material },
    ),
});
