import { length, material } from "../../base/record/fields";
import { layerRegion } from "../../geometry/solids/layer";
import { rodRegion } from "../../geometry/solids/turned";
import { fittingKind } from "./kind";

/** Two register pins along the axis, over and under the tang, half in the guard and half in the handle. */
export const dowels = fittingKind({
  kind: "dowels",
  fields: { diameterMm: length(0.5, 10), lengthMm: length(1, 60), spreadMm: length(1, 150), material },
  start: () => ({ diameterMm: 1.6, lengthMm: 8, spreadMm: 18, material: "stainless-304" }),
  precedence: "first",
  group: "fasteners",
  minutes: 20,
  seen: "hidden",
  build: (f, site) => {
    const [butt, rear] = site.span;
    for (const side of [1, -1]) {
      const y = site.tangY + (side * f.spreadMm) / 2;
      const half = f.lengthMm / 2;
      const rod = site.put(rodRegion(rear - half, rear + Math.min(half, -rear), y, f.diameterMm / 2));
      site.add(f.material, rod, site.put(layerRegion(null, null, [butt, 0])));
    }
  },
  faults: ({ diameterMm, spreadMm }, { guard, bar, span, tangY }) => {
    const reach = (spreadMm + diameterMm) / 2;
    const near = (spreadMm - diameterMm) / 2;
    const out = Math.max(tangY + reach - guard.aboveMm, -guard.belowMm - (tangY - reach));
    const into = bar ? Math.max(bar.high - (tangY + near), tangY - near - bar.low) : -1;
    const at = (y: number) => ({ x: span[1], y: tangY + y });
    return [
      ...(out < 0 ? [] : [{ rule: "dowel-off-guard" as const, at: at(reach), measured: out, limit: 0 }]),
      ...(into < 0 ? [] : [{ rule: "dowel-in-tang" as const, at: at(near), measured: into, limit: 0 }]),
    ];
  },
  points: (f, { span, tangY }) => [
    {
      at: { x: span[1] - f.lengthMm / 2, y: tangY + f.spreadMm / 2 },
      x: { field: "lengthMm", zero: span[1], per: -2 },
      y: { field: "spreadMm", zero: tangY, per: 2, either: true },
    },
  ],
  bores: (f, { span: [, rear], tangY }) =>
    [1, -1].map((side) => ({
      use: "dowel",
      nominalMm: f.diameterMm,
      wantedMm: f.diameterMm,
      yMm: tangY + (side * f.spreadMm) / 2,
      rearMm: rear - f.lengthMm / 2,
      frontMm: rear + Math.min(f.lengthMm / 2, -rear),
    })),
});
