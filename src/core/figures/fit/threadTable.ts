import { screwSizes, tapDrillMm } from "../../base/units/screws";
import { THREADS } from "../../base/units/threads";
import { DRILLS } from "./drillSets";
import { nearestDrill } from "./pickDrill";

/** Threads with what is drilled, turned and keyed for each: the table beside the drill press. */
export function threadTable() {
  return THREADS.map((t) => {
    const tapMm = tapDrillMm(t);
    return { ...t, tapMm, tapDrill: nearestDrill(tapMm, DRILLS), sizes: screwSizes(t) };
  });
}
