import { downToTenth, upToTenth } from "../../base/number";
import { length, material } from "../../base/record/fields";
import { hexContour } from "../../geometry/curve/shapes";
import { fastenerKind, whole } from "./kind";
import { addPlugs, counterboreFace, overCorners, plug, seatMm, startSeatMm } from "./seated";
import { sizesOfThread, socketHeadSizes, threadFields, threadRadius } from "./thread";

/** A threaded insert through the tang, a cap screw into it from each side. */
export const capScrew = fastenerKind({
  kind: "cap-screw",
  stem: "screw",
  fields: {
    // Of the screws.
    ...threadFields,
    seatMm,
    headMm: length(2, 60),
    headLengthMm: length(0.5, 40),
    socketMm: length(0.5, 30),
    // Under the head.
    screwLengthMm: length(1, 100),
    counterboreMm: length(2, 80),
    insertMm: length(1, 40),
    insertLengthMm: length(0.5, 100),
    material,
    insertMaterial: material,
    plug,
  },
  // Thin enough for two of them to find their thread in one insert.
  start: (tangMm) => ({
    diameterMm: 2.5,
    pitchMm: 0.45,
    seatMm: startSeatMm(tangMm, 2.5),
    headMm: 4.5,
    headLengthMm: 2.5,
    socketMm: 2,
    screwLengthMm: downToTenth(startSeatMm(tangMm, 2.5) - 0.2),
    counterboreMm: 5,
    insertMm: 4,
    insertLengthMm: tangMm + 1.5,
    material: "stainless-304",
    insertMaterial: "stainless-304",
    plug: null,
  }),
  build: (f, site) => {
    const materials = whole(f.material);
    const socket = site.prism(hexContour({ x: f.xMm, y: f.yMm }, f.socketMm));
    const top = f.seatMm + f.headLengthMm;
    // A socket is about half as deep as the head is long. Common practice, no source.
    for (const at of site.bothSides(top - f.headLengthMm / 2, top))
      site.add("socket", [], socket, at, site.body);
    const head = site.round(f.headMm);
    for (const at of site.bothSides(f.seatMm, top)) site.add(null, materials, head, at, site.body);
    // Two screws from opposite sides may not pass each other: each ends at the middle at the latest.
    const end = Math.max(0, f.seatMm - f.screwLengthMm);
    const shank = site.round(2 * threadRadius(f));
    for (const at of site.bothSides(end, f.seatMm)) site.add(null, materials, shank, at, site.body);
    const reach = site.between(-f.insertLengthMm / 2, f.insertLengthMm / 2);
    if (end > 0) site.add("bore", [], shank, site.between(-end, end), reach, site.body);
    site.add("insert", whole(f.insertMaterial), site.round(f.insertMm), reach, site.body);
    addPlugs(site, site.round(f.counterboreMm), f.seatMm, f.plug);
  },
  tangBoreMm: (f) => f.insertMm,
  widestMm: (f) => Math.max(f.counterboreMm, f.diameterMm),
  bores: (f) => [
    { use: "insert", nominalMm: f.insertMm, wantedMm: f.insertMm, heights: [0, f.insertLengthMm / 2] },
    // A tenth more than the screw lets it pass. Common practice, no source.
    {
      use: "clearance",
      nominalMm: f.diameterMm,
      wantedMm: f.diameterMm * 1.1,
      heights: [f.insertLengthMm / 2, f.seatMm],
    },
    {
      use: "counterbore",
      nominalMm: f.counterboreMm,
      wantedMm: f.counterboreMm,
      heights: [f.seatMm, null],
    },
    { use: "tap", nominalMm: f.diameterMm, wantedMm: null, pitchMm: f.pitchMm, heights: "bought" },
  ],
  stock: () => ({ kind: "hardware" }),
  glued: false,
  sizes: (f) => [
    ...sizesOfThread(f),
    [f.diameterMm, f.insertMm],
    [f.diameterMm, f.headMm],
    [f.headMm, f.counterboreMm],
    [overCorners(f.socketMm), f.headMm],
    // The heads bear on their seats, not on the insert.
    [f.insertLengthMm, 2 * f.seatMm],
  ],
  threadSizes: (_, thread) => {
    const head = socketHeadSizes(thread);
    return head && { ...head, insertMm: Math.ceil(3 * thread.diameterMm) / 2 };
  },
  // Two screws from opposite sides meet in the middle.
  screwRoom: (f) => ({ lengthMm: f.screwLengthMm, roomMm: f.seatMm }),
  seat: (f) => ({
    seatMm: f.seatMm,
    counterboreMm: f.counterboreMm,
    headMm: f.headLengthMm,
    threadMm: f.diameterMm,
    // What of the screw lies in the insert.
    engagedMm: Math.max(0, f.insertLengthMm / 2 - Math.max(0, f.seatMm - f.screwLengthMm)),
    threadIn: f.insertMaterial,
    screwLengthMm: f.screwLengthMm,
    keyed: true,
  }),
  moreThread: (f, missingMm, wantedMm) => {
    const screwLengthMm = upToTenth(f.screwLengthMm + missingMm);
    // Two screws meet in the middle at the latest.
    if (screwLengthMm <= f.seatMm && f.insertLengthMm / 2 >= wantedMm) return { screwLengthMm };
    return { screwLengthMm: upToTenth(f.seatMm), insertLengthMm: upToTenth(2 * wantedMm) };
  },
  insert: (f) => ({ lengthMm: f.insertLengthMm, field: "insertLengthMm" }),
  face: (f) =>
    counterboreFace(
      f.counterboreMm,
      f.plug,
      { shape: "disc", radiusMm: f.headMm / 2, material: f.material },
      { shape: "hexagon", acrossMm: f.socketMm, material: null },
    ),
});
