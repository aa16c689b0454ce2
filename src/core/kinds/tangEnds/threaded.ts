import { rodRegion } from "../../geometry/solids/turned";
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

/** The bar runs out into a round, threaded rod that carries a nut. */
export const threaded = tangEndKind({
  kind: "threaded",
  fields: nuttedFields,
  start: nuttedStart,
  // The bar stops short of its rod.
  barLengthMm: (reachMm) => reachMm - 25,
  build: (e, site) => {
    site.addToTang(rodRegion(site.endX - e.rodMm, site.endX, site.yMm, threadRadius(e)));
    buildNut(e, site);
  },
  faults: nutFaults,
  points: nutPoints,
  bores: nutBores,
  thread: nutThread,
  threadSizes: nutSizes,
  hardware: "butt-nut",
  minutes: 35,
  rod: (e) => ({ diameterMm: e.diameterMm, ofTang: true }),
  letIn: (e) => e.seatMm > 0,
});
