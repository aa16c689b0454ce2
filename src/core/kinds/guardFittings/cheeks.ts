import { length, material } from "../../base/record/fields";
import { straight } from "../../geometry/curve/bezier";
import { type Contour, contourOf } from "../../geometry/curve/contour";
import { arc } from "../../geometry/curve/shapes";
import { layerRegion } from "../../geometry/solids/layer";
import { prismRegion } from "../../geometry/solids/prism";
import { type FittingPlace, fittingKind } from "./kind";

/**
 * Two sheets beside the guard's own, welded to it, that reach forward along the blade's flats: the guard's plates are the
 * middle one of three then, cut out for the blade. Each sheet has the guard's whole outline and its cheek.
 */
export const cheeks = fittingKind({
  kind: "cheeks",
  fields: {
    lengthMm: length(1, 80),
    aboveMm: length(0.5, 60),
    belowMm: length(0.5, 60),
    thicknessMm: length(0.3, 20),
    middleMm: length(0.5, 30),
    material,
  },
  start: (guardMaterial, place) => {
    // The middle sheet is of the blade's own stock, and the cheeks stay within the guard and its sheets.
    const middleMm = place?.bladeMm ?? 5;
    const most = place ? Math.min(place.guard.aboveMm, place.guard.belowMm) : CHEEK.highMm;
    const sheet = place ? sheetMm({ middleMm }, place) : CHEEK.thickMm;
    return {
      lengthMm: 14,
      aboveMm: Math.min(CHEEK.highMm, Math.max(0.5, most - 1)),
      belowMm: Math.min(CHEEK.highMm, Math.max(0.5, most - 1)),
      thicknessMm: Math.max(0.3, Math.min(CHEEK.thickMm, sheet)),
      middleMm,
      material: guardMaterial,
    };
  },
  precedence: "first",
  minutes: 90,
  shapesGuard: true,
  seen: "outside",
  build: (f, site) => {
    const forward = site.put(prismRegion(cheekOutline(f)));
    const range: [number, number] = [Math.min(site.guardRange[0], site.span[1]) - 1, f.lengthMm + 1];
    for (const side of ["right", "left"] as const) {
      const layer = (from: number, to: number | null) => {
        const at = (z: number) => ({ at0: side === "right" ? z : -z, slope: 0 });
        const far = to === null ? null : at(to);
        return site.put(
          side === "right" ? layerRegion(at(from), far, range) : layerRegion(far, at(from), range),
        );
      };
      const inner = f.middleMm / 2;
      const sheet = layer(inner, null);
      for (const plate of site.plates) site.addSide(side, f.material, ...plate, sheet);
      site.addSide(side, f.material, forward, layer(inner, inner + f.thicknessMm));
    }
  },
  faults: (f, place) => {
    const at = { x: 0, y: 0 };
    const sheet = sheetMm(f, place);
    const { aboveMm, belowMm } = place.guard;
    return [
      ...(f.middleMm < place.bladeMm
        ? [{ rule: "cheeks-thinner-middle" as const, at, measured: f.middleMm, limit: place.bladeMm }]
        : []),
      ...(f.thicknessMm > sheet
        ? [{ rule: "fitting-no-room" as const, at, measured: f.thicknessMm, limit: sheet }]
        : []),
      ...(f.aboveMm > aboveMm || f.belowMm > belowMm
        ? [
            {
              rule: "fitting-no-room" as const,
              at: { x: 0, y: f.aboveMm > aboveMm ? f.aboveMm : -f.belowMm },
              measured: f.aboveMm > aboveMm ? f.aboveMm : f.belowMm,
              limit: f.aboveMm > aboveMm ? aboveMm : belowMm,
            },
          ]
        : []),
    ];
  },
  points: (f) => [
    {
      at: { x: f.lengthMm, y: (f.aboveMm - f.belowMm) / 2 },
      x: { field: "lengthMm", zero: 0, per: 1 },
    },
  ],
  halfMm: sheetMm,
});

/** A cheek to begin from, over and under the axis, and how thick. From memory. */
const CHEEK = { highMm: 7, thickMm: 2 };

/** Thickness of the sheet that each is cut from: what lies beside the middle one where the guard is widest. */
function sheetMm(
  { middleMm }: { readonly middleMm: number },
  { guard }: Pick<FittingPlace, "guard">,
): number {
  return (guard.widthMm - middleMm) / 2;
}

interface CheekSizes {
  readonly lengthMm: number;
  readonly aboveMm: number;
  readonly belowMm: number;
}

/** From the datum forward, as high as said, its end rounded: half an ellipse no deeper than half its height. */
function cheekOutline({ lengthMm, aboveMm, belowMm }: CheekSizes): Contour {
  const half = (aboveMm + belowMm) / 2;
  const round = Math.min(lengthMm, half);
  const middle = { x: lengthMm - round, y: (aboveMm - belowMm) / 2 };
  const end = arc(middle, round, half, -Math.PI / 2, Math.PI / 2);
  const [low, high] = [
    { x: 0, y: -belowMm },
    { x: 0, y: aboveMm },
  ];
  const sides = middle.x > 0 ? [straight(low, end[0].a)] : [];
  const back = middle.x > 0 ? [straight(end[end.length - 1].d, high)] : [];
  return contourOf([...sides, ...end, ...back, straight(high, low)]);
}
