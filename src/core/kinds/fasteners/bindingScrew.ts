import { upToTenth } from "../../base/number";
import { length, material } from "../../base/record/fields";
import { fastenerKind, whole } from "./kind";
import { barrelled, seatMm, startSeatMm } from "./seated";

/**
 * A hollow post with a wide flat head, tapped from its open end, and a slotted screw with a like head into it: heads
 * let in to their seats and left in sight, so that the scales come off again. The slots are not weighed.
 */
export const bindingScrew = fastenerKind({
  kind: "binding-screw",
  stem: "binding",
  fields: {
    // Of the post.
    diameterMm: length(1, 40),
    seatMm,
    headMm: length(2, 60),
    headThicknessMm: length(0.2, 20),
    screwMm: length(0.5, 30),
    screwLengthMm: length(0.5, 100),
    // How deep the post is bored and tapped.
    boreDepthMm: length(0.5, 100),
    material,
  },
  start: (tangMm) => ({
    diameterMm: 4.8,
    seatMm: startSeatMm(tangMm, 4.8),
    headMm: 9.5,
    headThicknessMm: 1.2,
    screwMm: 3,
    screwLengthMm: 6,
    boreDepthMm: 8,
    material: "stainless-304",
  }),
  build: (f, site) => {
    const materials = whole(f.material);
    const [seat, top] = [f.seatMm, f.seatMm + f.headThicknessMm];
    // The screw comes from the right; behind its tip the tapped bore stays empty, and behind that the post is solid.
    const bore = site.round(f.screwMm);
    const [tip, bottom] = [seat - f.screwLengthMm, seat - f.boreDepthMm];
    site.add(null, materials, bore, site.between(tip, seat), site.body);
    if (bottom < tip) site.add("bore", [], bore, site.between(bottom, tip), site.body);
    site.add(null, materials, site.round(f.diameterMm), site.between(-seat, seat), site.body);
    const head = site.round(f.headMm);
    for (const at of site.bothSides(seat, top)) site.add(null, materials, head, at, site.body);
    for (const at of site.bothSides(top, null)) site.add("counterbore", [], head, at, site.body);
  },
  ...barrelled,
  sizes: (f) => [
    [f.screwMm, f.diameterMm],
    [f.diameterMm, f.headMm],
    // The screw's tip may not stand on the bottom of its bore.
    [f.screwLengthMm, f.boreDepthMm],
    // Nor may the bore come out at the post's own head.
    [f.boreDepthMm, 2 * f.seatMm + f.headThicknessMm],
  ],
  seat: (f) => ({
    seatMm: f.seatMm,
    counterboreMm: f.headMm,
    headMm: f.headThicknessMm,
    threadMm: f.screwMm,
    engagedMm: Math.min(f.screwLengthMm, f.boreDepthMm),
    threadIn: f.material,
    screwLengthMm: f.screwLengthMm,
    keyed: false,
  }),
  moreThread: (f, missingMm) => {
    const screwLengthMm = upToTenth(f.screwLengthMm + missingMm);
    const boreDepthMm = Math.max(f.boreDepthMm, upToTenth(screwLengthMm + 1));
    return boreDepthMm <= 2 * f.seatMm ? { screwLengthMm, boreDepthMm } : null;
  },
  face: (f) => [
    { shape: "disc", radiusMm: f.headMm / 2, material: f.material },
    { shape: "slot", lengthMm: f.headMm * 0.9 },
  ],
});
