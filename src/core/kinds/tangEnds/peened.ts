import { clamp } from "../../base/number";
import { length } from "../../base/record/fields";
import { sectionOf } from "../../geometry/solids/section";
import { domedBlockRegion } from "../../geometry/solids/turned";
import { tangEndKind } from "./kind";

/** Through and hammered over at the butt into a head. */
export const peened = tangEndKind({
  kind: "peened",
  fields: { headMm: length(1, 80), proudMm: length(0.1, 20) },
  start: () => ({ headMm: 8, proudMm: 1.5 }),
  barLengthMm: (reachMm) => reachMm + 1,
  buildBehind: (e, site) => {
    const heights: [number, number] = [site.yMm - e.headMm / 2, site.yMm + e.headMm / 2];
    const across = e.headMm * clamp(site.halfThicknessMm / site.halfHeightMm, 0.5, 1);
    const stations: [number, number] = [site.buttX - e.proudMm, site.buttX];
    site.addToTang(domedBlockRegion(stations, heights, across, e.proudMm, sectionOf(1)), "peened-head");
  },
  faults: (_, { endX, buttX, yMm }) =>
    endX > buttX
      ? [
          {
            rule: "thread-too-short",
            severity: "warning",
            at: { x: buttX, y: yMm },
            measured: endX,
            limit: buttX,
          },
        ]
      : [],
  minutes: 30,
  peened: true,
});
