import { upToTenth } from "../../base/number";
import { length, material } from "../../base/record/fields";
import { fastenerKind, whole } from "./kind";
import { addPlugs, barrelled, plug, seatMm, startSeatMm } from "./seated";

/** Two halves, the screw of one in the barrel of the other, each with a wide head in a counterbore. */
export const sleeveBolt = fastenerKind({
  kind: "sleeve-bolt",
  stem: "bolt",
  fields: {
    // Of the barrel.
    diameterMm: length(1, 40),
    seatMm,
    headMm: length(2, 60),
    headThicknessMm: length(0.2, 20),
    screwMm: length(0.5, 30),
    screwLengthMm: length(0.5, 100),
    material,
    plug,
  },
  start: (tangMm) => ({
    diameterMm: 4.7,
    seatMm: startSeatMm(tangMm, 4.7),
    headMm: 7.9,
    headThicknessMm: 2.2,
    screwMm: 2.6,
    // A diameter and a little more beyond the middle.
    screwLengthMm: upToTenth(startSeatMm(tangMm, 4.7) + 3),
    material: "brass-360",
    plug: null,
  }),
  build: (f, site) => {
    const materials = whole(f.material);
    // The screw comes from the right head through the barrel; the rest of the barrel's bore stays empty.
    const bore = site.round(f.screwMm);
    const end = Math.max(-f.seatMm, f.seatMm - f.screwLengthMm);
    site.add(null, materials, bore, site.between(end, f.seatMm), site.body);
    site.add("bore", [], bore, site.between(-f.seatMm, end), site.body);
    site.add(null, materials, site.round(f.diameterMm), site.between(-f.seatMm, f.seatMm), site.body);
    const head = site.round(f.headMm);
    const top = f.seatMm + f.headThicknessMm;
    for (const at of site.bothSides(f.seatMm, top)) site.add(null, materials, head, at, site.body);
    addPlugs(site, head, top, f.plug);
  },
  ...barrelled,
  sizes: (f) => [
    [f.screwMm, f.diameterMm],
    [f.diameterMm, f.headMm],
  ],
  // It may not reach the bottom of the other half's head.
  screwRoom: (f) => ({ lengthMm: f.screwLengthMm, roomMm: 2 * f.seatMm }),
  seat: (f) => ({
    seatMm: f.seatMm,
    counterboreMm: f.headMm,
    headMm: f.headThicknessMm,
    threadMm: f.screwMm,
    // A barrel is tapped from its middle on: what of the screw passes the middle holds.
    engagedMm: Math.max(0, Math.min(f.screwLengthMm - f.seatMm, f.seatMm)),
    threadIn: null,
    screwLengthMm: f.screwLengthMm,
    keyed: false,
  }),
  moreThread: (f, missingMm) => {
    const screwLengthMm = upToTenth(f.screwLengthMm + missingMm);
    return screwLengthMm <= 2 * f.seatMm ? { screwLengthMm } : null;
  },
  face: (f) =>
    f.plug
      ? [{ shape: "disc", radiusMm: f.headMm / 2, material: f.plug }]
      : [
          { shape: "disc", radiusMm: f.headMm / 2, material: f.material },
          { shape: "circle", radiusMm: f.diameterMm / 2, hidden: false },
        ],
});
