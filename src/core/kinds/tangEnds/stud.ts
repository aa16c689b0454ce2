import { length, material } from "../../base/record/fields";
import { rodRegion } from "../../geometry/solids/turned";
import { whole } from "../fasteners/kind";
import { threadRadius } from "../fasteners/thread";
import { tangEndKind } from "./kind";
import {
  buildNut,
  nutBores,
  nutFaults,
  nutPoints,
  nutSizes,
  nutThread,
  nuttedFields,
  nuttedStart,
} from "./nutted";

/** A brazed lap is at least so many times as long as the thinner of the two is thick. Common practice, from memory. */
const LAPS = 3;

/** A threaded stud of its own, let into the end of the tang and brazed there, with a nut on it. */
export const stud = tangEndKind({
  kind: "stud",
  fields: { ...nuttedFields, lapMm: length(1, 100), material },
  start: () => ({ ...nuttedStart(), lapMm: 15, material: "mild-steel" }),
  barLengthMm: (reachMm) => reachMm - 25,
  build: (e, site) => {
    const stud = rodRegion(site.endX - e.rodMm, site.endX + e.lapMm, site.yMm, threadRadius(e));
    site.add("stud", whole(e.material), stud);
    buildNut(e, site);
  },
  faults: (e, place) => {
    const limit = LAPS * Math.min(2 * place.halfThicknessMm, e.diameterMm);
    const at = { x: place.endX, y: place.yMm };
    const faults = nutFaults(e, place);
    if (e.lapMm < limit)
      faults.push({ rule: "lap-too-short", severity: "warning", at, measured: e.lapMm, limit });
    return faults;
  },
  points: (e, place) => [
    ...nutPoints(e, place),
    {
      id: "stud-lap",
      at: { x: place.endX + e.lapMm, y: place.yMm },
      field: "lapMm",
      zero: place.endX,
      per: 1,
    },
  ],
  bores: (e, place) => nutBores(e, place),
  thread: (e, place) => nutThread(e, place),
  threadSizes: (e, thread) => nutSizes(e, thread),
  hardware: "butt-nut",
  rodStock: (e) => ({ material: e.material, diameterMm: e.diameterMm, lengthMm: e.rodMm + e.lapMm }),
  minutes: 60,
  rod: (e) => ({ diameterMm: e.diameterMm, ofTang: true }),
  letIn: (e) => e.seatMm > 0,
});
