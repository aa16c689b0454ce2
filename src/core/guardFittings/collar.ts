import { straight } from "../curve/bezier";
import { contourOf } from "../curve/contour";
import type { Profile } from "../curve/profile";
import { curveThrough } from "../curve/spline";
import { length, material } from "../record/fields";
import { lineAt } from "../solids/layer";
import { type LoftSide, loftRegion } from "../solids/loft";
import { INSIDE_MM } from "../tolerances";
import { fittingKind } from "./kind";

/** Shares of its length at which the collar's outline is read off the handle's. */
const READ_AT = [0, 0.25, 0.5, 0.75, 1];
/** A ring behind the guard that the handle's front stands in: what it reaches beyond the handle's own surface. */
export const collar = fittingKind({
  kind: "collar",
  fields: { lengthMm: length(0.5, 60), wallMm: length(0.2, 20), material },
  start: (guardMaterial) => ({ lengthMm: 6, wallMm: 1.2, material: guardMaterial }),
  precedence: "last",
  seen: "outside",
  build: ({ lengthMm, wallMm, material: of }, site) => {
    const { outline, span, sections, scalesOn } = site;
    const [butt, front] = span;
    const rear = Math.max(butt, front - lengthMm);
    if (!(front > rear)) return;
    const stations = READ_AT.map((t) => front - INSIDE_MM + (rear - front + 2 * INSIDE_MM) * t);
    const ys = stations.map((x) => outline.cut(x));
    if (ys.some((cut) => cut.length < 2)) return;
    const end = (i: number) => i === 0 || i === stations.length - 1;
    const top = stations.map((x, i) => ({ x, y: ys[i][ys[i].length - 1] + wallMm, corner: end(i) }));
    const bottom = stations.map((x, i) => ({ x, y: ys[i][0] - wallMm, corner: end(i) })).reverse();
    const run = curveThrough([...top, ...bottom]);
    const side = (crown: Profile): LoftSide => ({
      crown: { knots: crown.knots, at: (x) => crown.at(x) + wallMm },
      land: (x) => wallMm + (scalesOn ? lineAt(scalesOn, x) : 0),
      cap: () => Number.POSITIVE_INFINITY,
    });
    const region = loftRegion({
      outline: contourOf([...run, straight(run[run.length - 1].d, run[0].a)]),
      xRange: [rear, front],
      right: side(site.crowns.right),
      left: side(site.crowns.left),
      sectionAt: sections.at,
      stations: sections.stations,
    });
    site.add(of, site.put(region));
  },
  points: ({ lengthMm }, { span }) => [
    { at: { x: span[1] - lengthMm, y: -6 }, x: { field: "lengthMm", zero: span[1], per: -1 } },
  ],
});
