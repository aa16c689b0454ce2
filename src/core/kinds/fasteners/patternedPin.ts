import { group, length, material, share } from "../../base/record/fields";
import { type FaceMark, fastenerKind, type Share } from "./kind";

const part = group({ material, share: share(0.01, 0.98) });

/** A tube filled with rods and resin, drawn as six rods round a seventh. */
export const patternedPin = fastenerKind({
  kind: "patterned-pin",
  stem: "pattern",
  // The fill takes the rest of the area.
  fields: { diameterMm: length(1, 40), tube: part, rods: part, fill: material },
  start: () => ({
    diameterMm: 6.35,
    tube: { material: "nickel-silver", share: 0.28 },
    rods: { material: "brass-260", share: 0.38 },
    fill: "epoxy",
  }),
  build: (f, site) => site.add(null, patternShares(f), site.round(f.diameterMm), site.body),
  widestMm: (f) => f.diameterMm,
  bores: (f) => [{ use: "pin", nominalMm: f.diameterMm, wantedMm: null }],
  stock: (f) => ({ kind: "patterned-rod", material: f.tube.material }),
  plainRod: true,
  fault: (f) => {
    const measured = f.tube.share + f.rods.share;
    return measured > 1 ? { rule: "pattern-overfull", measured, limit: 1 } : null;
  },
  face: (f) => {
    const radiusMm = f.diameterMm / 2;
    const inner = radiusMm * Math.sqrt(Math.max(0, 1 - f.tube.share));
    const rod = radiusMm * Math.sqrt(f.rods.share / 7);
    const ring = 0.72 * Math.max(0, inner - rod * 1.05);
    const places = Array.from({ length: 6 }, (_, i): [number, number] => {
      const angle = (i * Math.PI) / 3;
      return [ring * Math.cos(angle), ring * Math.sin(angle)];
    });
    return [
      { shape: "disc", radiusMm, material: f.tube.material },
      { shape: "disc", radiusMm: inner, material: f.fill, line: 0.6 },
      ...[[0, 0] as const, ...places].map(
        (offset): FaceMark => ({
          shape: "disc",
          radiusMm: rod,
          material: f.rods.material,
          line: 0.5,
          offset,
        }),
      ),
    ];
  },
});

interface Pattern {
  readonly tube: { readonly material: string; readonly share: number };
  readonly rods: { readonly material: string; readonly share: number };
  readonly fill: string;
}

/** Shares of tube, rods and fill; the fill takes the rest, and where tube and rods overfill it they are scaled down. */
export function patternShares({ tube, rods, fill }: Pattern): Share[] {
  const taken = tube.share + rods.share;
  const scale = taken > 1 ? 1 / taken : 1;
  return [
    { materialId: tube.material, share: tube.share * scale },
    { materialId: rods.material, share: rods.share * scale },
    { materialId: fill, share: Math.max(0, 1 - taken) },
  ];
}
