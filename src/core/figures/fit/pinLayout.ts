import { degrees } from "../../base/number";
import { remembered } from "../../base/record/remembered";
import { kindOf } from "../../kinds/fasteners/registry";
import type { Design, Fastener } from "../../knife/design/schema";
import { boresOf, edgeDistance, edgeOf, webOf, widestBore } from "../../knife/layout/bores";
import { layoutOf } from "../../knife/layout/layout";
import { type ItemName, itemNames } from "../../knife/shapes/itemNames";

/** Where one fastener stands, and what is left round its hole. */
export interface PinPlace {
  readonly id: string;
  readonly kind: Fastener["kind"];
  readonly name: ItemName;
  readonly diameterMm: number;
  /** Widest bore, of a head or a nut. */
  readonly widestMm: number;
  readonly behindMm: number;
  readonly aboveAxisMm: number;
  /** Height over the lower and under the upper edge of the handle at its station. */
  readonly fromLowerEdgeMm: number;
  readonly fromUpperEdgeMm: number;
  /** From its centre to the nearest edge of the handle. */
  readonly toEdgeMm: number;
  /** Material between its hole and the edge. */
  readonly rimMm: number;
  /** Material between its hole and the nearest other one, or null of a single one. */
  readonly webMm: number | null;
  /** From surface to surface through the handle. */
  readonly throughMm: number;
  /** Length to cut, with what is left proud on each side. */
  readonly blankMm: number;
}

/** Every fastener by its place from the front, the first first. */
export const pinLayout = remembered((design: Design): readonly PinPlace[] => {
  const edge = edgeOf(design);
  const { outline, surfaceAt } = layoutOf(design);
  const bores = boresOf(design);
  const names = itemNames(design);
  const { pinProudShare } = design.fitUp;
  return [...design.fasteners]
    .sort((a, b) => b.xMm - a.xMm)
    .map((f): PinPlace => {
      const ys = outline.cut(f.xMm);
      const toEdgeMm = edgeDistance(edge, f.xMm, f.yMm);
      const through = surfaceAt(f.xMm, f.yMm, "right") + surfaceAt(f.xMm, f.yMm, "left");
      const own = kindOf(f).lengthMm(f) ?? through + 2 * pinProudShare * f.diameterMm;
      return {
        id: f.id,
        kind: f.kind,
        name: names.get(f.id) ?? { kind: "fastener", sort: f.kind },
        diameterMm: f.diameterMm,
        widestMm: widestBore(f),
        behindMm: -f.xMm,
        aboveAxisMm: f.yMm,
        fromLowerEdgeMm: ys.length > 1 ? f.yMm - ys[0] : 0,
        fromUpperEdgeMm: ys.length > 1 ? ys[ys.length - 1] - f.yMm : 0,
        toEdgeMm,
        rimMm: toEdgeMm - widestBore(f) / 2,
        webMm: webOf(bores.find((o) => o.id === f.id)!, bores),
        throughMm: through,
        blankMm: own,
      };
    });
});

/** From one hole to the next: what a drilling jig is set to, and what of that is along the axis. */
export interface Pitch {
  readonly apartMm: number;
  readonly alongMm: number;
}

/** Distances between neighbouring fasteners, from the front. */
export function jigPitches(places: readonly PinPlace[]): Pitch[] {
  return places.slice(1).map((p, i) => {
    const alongMm = p.behindMm - places[i].behindMm;
    return { alongMm, apartMm: Math.hypot(alongMm, p.aboveAxisMm - places[i].aboveAxisMm) };
  });
}

/**
 * Angle each face of a tapered tang leans by, degrees, and the shim under the butt end that holds the centre plane
 * level while it is drilled, mm. Null of a tang that does not taper.
 */
export function taperShim(design: Design): { angleDeg: number; shimMm: number } | null {
  const { tang } = design;
  if (tang.kind !== "full" || !tang.taper) return null;
  const { buttX, frontX } = layoutOf(design);
  const length = frontX - buttX;
  const fall = (tang.taper.frontMm - tang.taper.buttMm) / 2;
  if (!(length > 0)) return null;
  return { angleDeg: degrees(Math.atan2(fall, length)), shimMm: fall };
}
