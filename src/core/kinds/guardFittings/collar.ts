import { length, material } from "../../base/record/fields";
import { grownRegion } from "../../geometry/solids/grownRegion";
import { fittingKind } from "./kind";

/** A ring behind the guard that the handle's front stands in: its wall is as thick all round the handle's section. */
export const collar = fittingKind({
  kind: "collar",
  fields: { lengthMm: length(0.5, 60), wallMm: length(0.2, 20), material },
  start: (guardMaterial) => ({ lengthMm: 6, wallMm: 1.2, material: guardMaterial }),
  precedence: "last",
  seen: "outside",
  build: ({ lengthMm, wallMm, material: of }, site) => {
    const [butt, front] = site.span;
    const within = site.handleOver([Math.max(butt, front - lengthMm), front]);
    site.add(of, site.put(grownRegion(within, wallMm)));
  },
  points: ({ lengthMm }, { span }) => [
    { at: { x: span[1] - lengthMm, y: -6 }, x: { field: "lengthMm", zero: span[1], per: -1 } },
  ],
});
