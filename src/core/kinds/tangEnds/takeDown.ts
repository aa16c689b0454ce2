import { length, material } from "../../base/record/fields";
import { hexRodRegion, rodRegion } from "../../geometry/solids/turned";
import { whole } from "../fasteners/kind";
import { sizesOfThread, socketHeadSizes, threadFields, threadRadius } from "../fasteners/thread";
import { BEHIND_BUTT_MM, type EndFault, sizesFault, tangEndKind } from "./kind";

/** Room round a butt screw's shank, mm on the radius. Common practice, no source. */
const SCREW_ROOM_MM = 0.25;

/** A socket screw from the butt into the tapped end of the tang. */
export const takeDown = tangEndKind({
  kind: "take-down",
  fields: {
    ...threadFields,
    engagedMm: length(0.5, 100),
    seatMm: length(0.5, 300),
    headMm: length(2, 60),
    headLengthMm: length(0.5, 40),
    socketMm: length(0.5, 30),
    counterboreMm: length(2, 80),
    material,
  },
  start: (steel) => ({
    // Thin enough to be tapped into the end of a usual bar.
    diameterMm: 3,
    pitchMm: 0.5,
    engagedMm: 10,
    seatMm: 12,
    headMm: 5.5,
    headLengthMm: 3,
    socketMm: 2.5,
    counterboreMm: 6,
    material: steel,
  }),
  build: (e, site) => {
    const { buttX, endX, yMm: y } = site;
    const seat = buttX + e.seatMm;
    const materials = whole(e.material);
    const tip = endX + e.engagedMm;
    site.add("socket", [], hexRodRegion(seat - e.headLengthMm, seat - e.headLengthMm / 2, y, e.socketMm));
    site.add("screw", materials, rodRegion(seat - e.headLengthMm, seat, y, e.headMm / 2));
    if (tip > seat) site.add("screw", materials, rodRegion(seat, tip, y, threadRadius(e)));
    const rear = Math.min(buttX, seat - e.headLengthMm) - BEHIND_BUTT_MM;
    site.hollow("counterbore", rear, seat, e.counterboreMm / 2);
    if (endX > seat) site.hollow("bore", seat, endX, e.diameterMm / 2 + SCREW_ROOM_MM);
  },
  faults: (e, place) => {
    const { endX, buttX, yMm, endAcrossMm } = place;
    const seat = buttX + e.seatMm;
    const faults: EndFault[] = sizesFault(
      [
        ...sizesOfThread(e),
        [e.diameterMm, e.headMm],
        [e.socketMm * 1.1547, e.headMm],
        [e.headMm, e.counterboreMm],
      ],
      place,
    );
    if (!(e.diameterMm < endAcrossMm))
      faults.push({
        rule: "screw-wider-than-tang",
        severity: "error",
        at: { x: endX, y: yMm },
        measured: e.diameterMm,
        limit: endAcrossMm,
      });
    if (!(endX > seat))
      faults.push({
        rule: "screw-misses-tang",
        severity: "error",
        at: { x: buttX, y: yMm },
        measured: endX,
        limit: seat,
      });
    return faults;
  },
  points: (e, { endX, buttX, yMm }) => [
    {
      id: "screw-seat",
      at: { x: buttX + e.seatMm, y: yMm + e.counterboreMm / 2 },
      field: "seatMm",
      zero: buttX,
      per: 1,
    },
    { id: "screw-tip", at: { x: endX + e.engagedMm, y: yMm }, field: "engagedMm", zero: endX, per: 1 },
  ],
  bores: (e, { buttX, endX, yMm }) => {
    const seat = buttX + e.seatMm;
    return [
      {
        use: "tap",
        nominalMm: e.diameterMm,
        wantedMm: null,
        pitchMm: e.pitchMm,
        yMm,
        rearMm: endX,
        frontMm: endX + e.engagedMm,
        inTang: true,
      },
      {
        use: "clearance",
        nominalMm: e.diameterMm,
        wantedMm: e.diameterMm + 2 * SCREW_ROOM_MM,
        yMm,
        rearMm: seat,
        frontMm: Math.max(seat, endX),
      },
      {
        use: "counterbore",
        nominalMm: e.counterboreMm,
        wantedMm: e.counterboreMm,
        yMm,
        rearMm: Math.min(buttX, seat - e.headLengthMm) - BEHIND_BUTT_MM,
        frontMm: seat,
      },
    ];
  },
  thread: (e, { endX, yMm, steel }) => ({
    at: { x: endX, y: yMm },
    engagedMm: e.engagedMm,
    diameterMm: e.diameterMm,
    threadIn: steel,
    field: "engagedMm",
  }),
  threadSizes: (_, thread) => socketHeadSizes(thread),
  hardware: "butt-screw",
  minutes: 45,
  beforeHardening: true,
  comesApart: true,
  rod: (e) => ({ diameterMm: e.diameterMm, ofTang: false }),
});
