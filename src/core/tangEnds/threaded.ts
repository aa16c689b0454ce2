import { whole } from "../fasteners/kind";
import { hexNutSizes, sizesOfThread, threadFields, threadRadius } from "../fasteners/thread";
import { upToTenth } from "../number";
import { choice, group, length, material } from "../record/fields";
import { sectionOf } from "../solids/section";
import { domedBlockRegion, hexRodRegion, rodRegion } from "../solids/turned";
import { ROUNDING } from "../tolerances";
import { BEHIND_BUTT_MM, sizesFault, tangEndKind } from "./kind";

export const NUT_STYLES = ["hex", "round", "domed"] as const;

/** The bar runs out into a round, threaded rod that carries a nut. */
export const threaded = tangEndKind({
  kind: "threaded",
  fields: {
    ...threadFields,
    rodMm: length(1, 300),
    nut: group({
      style: choice(NUT_STYLES),
      acrossMm: length(2, 80),
      lengthMm: length(0.5, 80),
      material,
    }),
    // How far ahead of the butt the nut's seat lies; 0 leaves it proud.
    seatMm: length(0, 100),
    counterboreMm: length(2, 100),
  },
  start: () => ({
    diameterMm: 4,
    pitchMm: 0.7,
    rodMm: 30,
    nut: { style: "round", acrossMm: 10, lengthMm: 6, material: "brass-360" },
    seatMm: 4,
    counterboreMm: 10.5,
  }),
  // The bar stops short of its rod.
  barLengthMm: (reachMm) => reachMm - 25,
  build: (e, site) => {
    const { yMm: y } = site;
    const seat = site.buttX + e.seatMm;
    site.addToTang(rodRegion(site.endX - e.rodMm, site.endX, y, threadRadius(e)));
    const materials = whole(e.nut.material);
    const rear = seat - e.nut.lengthMm;
    const r = e.nut.acrossMm / 2;
    site.add(
      "nut",
      materials,
      e.nut.style === "hex" ? hexRodRegion(rear, seat, y, e.nut.acrossMm) : rodRegion(rear, seat, y, r),
    );
    if (e.nut.style === "domed")
      site.add(
        "nut",
        materials,
        domedBlockRegion([rear - r, rear], [y - r, y + r], e.nut.acrossMm, r, sectionOf(1)),
      );
    if (e.seatMm > 0) site.hollow("counterbore", site.buttX - BEHIND_BUTT_MM, seat, e.counterboreMm / 2);
  },
  faults: (e, place) => {
    const { nut } = e;
    const widest = nut.style === "hex" ? (nut.acrossMm * 2) / Math.sqrt(3) : nut.acrossMm;
    const pairs: (readonly [number, number])[] = [...sizesOfThread(e), [e.diameterMm, nut.acrossMm]];
    if (e.seatMm > 0) pairs.push([widest, e.counterboreMm]);
    const reaches = place.endX - e.rodMm;
    const needed = place.buttX + e.seatMm - nut.lengthMm;
    const at = { x: place.buttX, y: place.yMm };
    return [
      ...sizesFault(pairs, place),
      ...(reaches > needed + ROUNDING
        ? [{ rule: "thread-too-short", severity: "warning", at, measured: reaches, limit: needed } as const]
        : []),
    ];
  },
  points: (e, { endX, buttX, yMm }) => [
    { id: "rod-end", at: { x: endX - e.rodMm, y: yMm }, field: "rodMm", zero: endX, per: -1 },
    {
      id: "nut-seat",
      at: { x: buttX + e.seatMm, y: yMm + e.counterboreMm / 2 },
      field: "seatMm",
      zero: buttX,
      per: 1,
    },
  ],
  bores: (e) =>
    e.seatMm > 0 ? [{ use: "counterbore", nominalMm: e.counterboreMm, wantedMm: e.counterboreMm }] : [],
  thread: (e, { buttX, yMm }) => ({
    at: { x: buttX + e.seatMm, y: yMm },
    engagedMm: e.nut.lengthMm,
    diameterMm: e.diameterMm,
    threadIn: e.nut.material,
    nut: e.nut.style === "hex",
    field: "nut.lengthMm",
  }),
  threadSizes: (e, thread) => {
    const of = (acrossMm: number, lengthMm: number, counterboreMm: number) => ({
      "nut.acrossMm": acrossMm,
      "nut.lengthMm": lengthMm,
      counterboreMm,
    });
    if (e.nut.style === "hex") {
      const hex = hexNutSizes(thread);
      return hex && of(hex.nutAcrossMm, hex.nutLengthMm, hex.counterboreMm);
    }
    // A turned nut is made to the thread. Common practice, no source.
    const acrossMm = upToTenth(2.5 * thread.diameterMm);
    return of(acrossMm, upToTenth(1.5 * thread.diameterMm), acrossMm + 0.5);
  },
  hardware: "butt-nut",
  minutes: 35,
  rod: (e) => ({ diameterMm: e.diameterMm, ofTang: true }),
  letIn: (e) => e.seatMm > 0,
});
