import { group, length, material, share } from "../../base/record/fields";
import { sectionOf } from "../../geometry/solids/section";
import { domedBlockRegion, rodRegion } from "../../geometry/solids/turned";
import { type LengthBore, whole } from "../fasteners/kind";
import { sizesOfThread, threadFields, threadRadius } from "../fasteners/thread";
import { type EndFault, sizesFault, tangEndKind } from "./kind";
import { rodBores } from "./nutted";

/** What is left of a cap behind the end of the rod, at least, mm: a tap does not cut to the bottom. Common practice, no source. */
const BOTTOM_MM = 2;

/** The bar runs out into a threaded rod, and the butt cap itself is the nut on it. */
export const capNut = tangEndKind({
  kind: "cap-nut",
  fields: {
    ...threadFields,
    rodMm: length(1, 300),
    cap: group({
      heightMm: length(3, 150),
      widthMm: length(3, 150),
      lengthMm: length(2, 100),
      domeMm: length(0, 100),
      roundness: share(0, 1),
      material,
    }),
  },
  start: () => ({
    diameterMm: 5,
    pitchMm: 0.8,
    rodMm: 33,
    cap: { heightMm: 30, widthMm: 22, lengthMm: 14, domeMm: 6, roundness: 1, material: "brass-360" },
  }),
  barLengthMm: (reachMm) => reachMm - 25,
  build: (e, site) => {
    const { buttX, yMm: y } = site;
    site.addToTang(rodRegion(site.endX - e.rodMm, site.endX, y, threadRadius(e)));
    const { heightMm, widthMm, lengthMm, domeMm, roundness } = e.cap;
    const heights: [number, number] = [y - heightMm / 2, y + heightMm / 2];
    const cap = domedBlockRegion([buttX - lengthMm, buttX], heights, widthMm, domeMm, sectionOf(roundness));
    site.add("cap", whole(e.cap.material), cap);
  },
  faults: (e, place) => {
    const { buttX, endX, yMm } = place;
    const at = { x: buttX, y: yMm };
    const pairs: (readonly [number, number])[] = [
      ...sizesOfThread(e),
      [e.diameterMm, Math.min(e.cap.heightMm, e.cap.widthMm)],
    ];
    const faults: EndFault[] = sizesFault(pairs, place);
    const reaches = endX - e.rodMm;
    if (!(reaches < buttX))
      faults.push({ rule: "thread-too-short", severity: "warning", at, measured: reaches, limit: buttX });
    // The thread ends inside the cap.
    if (e.rodMm - (endX - buttX) > e.cap.lengthMm - BOTTOM_MM)
      faults.push({
        rule: "end-sizes",
        severity: "error",
        at,
        measured: e.rodMm - (endX - buttX),
        limit: e.cap.lengthMm - BOTTOM_MM,
      });
    return faults;
  },
  points: (e, { endX, buttX, yMm }) => [
    { id: "rod-end", at: { x: endX - e.rodMm, y: yMm }, field: "rodMm", zero: endX, per: -1 },
    {
      id: "cap-rear",
      at: { x: buttX - e.cap.lengthMm, y: yMm },
      field: "cap.lengthMm",
      zero: buttX,
      per: -1,
    },
  ],
  bores: (e, place): LengthBore[] => [
    ...rodBores(e, place),
    {
      use: "tap",
      nominalMm: e.diameterMm,
      wantedMm: null,
      pitchMm: e.pitchMm,
      yMm: place.yMm,
      rearMm: Math.min(place.buttX, place.endX - e.rodMm),
      frontMm: place.buttX,
    },
  ],
  thread: (e, { buttX, endX, yMm }) => ({
    at: { x: buttX, y: yMm },
    engagedMm: Math.max(0, e.rodMm - (endX - buttX)),
    diameterMm: e.diameterMm,
    threadIn: e.cap.material,
    field: "rodMm",
  }),
  threadSizes: () => ({}),
  sawn: (e) => ({ component: "cap", material: e.cap.material }),
  minutes: 60,
  comesApart: true,
  rod: (e) => ({ diameterMm: e.diameterMm, ofTang: true }),
});
