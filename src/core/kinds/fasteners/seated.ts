import { upToTenth } from "../../base/number";
import { fill, length } from "../../base/record/fields";
import { type CrossBore, type FaceMark, type FastenerSite, filled } from "./kind";

/** Heads are seated so far outside the centre plane; what stands over the handle's surface is dressed flush. */
export const seatMm = length(0.3, 100);
/** What closes a counterbore over a head. */
export const plug = fill;
/** Least that a seat begins outside the tang, mm. */
const SEAT_OUTSIDE_MM = 4;

/** Where a seat begins, from the centre plane: as much under the head as the bolt is thick, and a little more. */
export const startSeatMm = (tangMm: number, diameterMm: number): number =>
  upToTenth(tangMm / 2 + Math.max(SEAT_OUTSIDE_MM, diameterMm + 0.1));

/** What closes the counterbores on both sides over their heads. */
export function addPlugs(site: FastenerSite, bore: number, fromMm: number, material: string | null): void {
  for (const at of site.bothSides(fromMm, null)) site.add("plug", filled(material), bore, at, site.body);
}

/** What shows over a head: its plug, or the open counterbore with what stands in it. */
export function counterboreFace(
  counterboreMm: number,
  plugged: string | null,
  ...open: readonly FaceMark[]
): FaceMark[] {
  const disc = { shape: "disc", radiusMm: counterboreMm / 2 } as const;
  return plugged ? [{ ...disc, material: plugged }] : [{ ...disc, material: null }, ...open];
}

/** Width over the corners of a hexagon, by its width across flats. */
export const overCorners = (acrossMm: number) => (acrossMm * 2) / Math.sqrt(3);

interface Barrelled {
  readonly diameterMm: number;
  readonly seatMm: number;
  readonly headMm: number;
}

/** What holds for every barrel with a head at each end: bought as a set, not glued, a hole for each of its diameters. */
export const barrelled = {
  widestMm: (f: Barrelled) => Math.max(f.headMm, f.diameterMm),
  bores: (f: Barrelled): CrossBore[] => [
    { use: "barrel", nominalMm: f.diameterMm, wantedMm: f.diameterMm, heights: [0, f.seatMm] },
    { use: "counterbore", nominalMm: f.headMm, wantedMm: f.headMm, heights: [f.seatMm, null] },
  ],
  stock: () => ({ kind: "hardware" }) as const,
  glued: false,
};
