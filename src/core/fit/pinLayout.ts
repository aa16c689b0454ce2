import { beginning } from "../assembly/building";
import { handleFront } from "../assembly/guards";
import { bodyRegion, surfaceAt } from "../assembly/handleBody";
import { handleOutline } from "../assembly/handleOutline";
import { polyline, signedDistance } from "../curve/crossing";
import type { Design, Fastener } from "../design/schema";
import { holesOf } from "../review/openings";

/** Chords that an outline's edge is measured on, a segment: within two hundredths of a millimetre of the curve. */
const CHORDS = 14;

/** Where one fastener stands, and what is left round its hole. */
export interface PinPlace {
  readonly id: string;
  readonly kind: Fastener["kind"];
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

/** Widest bore of a fastener in the handle, mm. */
export function widestBore(f: Fastener): number {
  if (f.kind === "sleeve-bolt") return Math.max(f.headMm, f.diameterMm);
  if (f.kind === "cap-screw" || f.kind === "nutted-rod") return Math.max(f.counterboreMm, f.diameterMm);
  return f.diameterMm;
}

/** The handle's edge as a run of chords. */
export function edgeOf(design: Design) {
  return polyline(handleOutline(design.handle).cubics, CHORDS);
}

/** Distance from a place inside the handle to its nearest edge; below zero outside. */
export function edgeDistance(edge: ReturnType<typeof edgeOf>, xMm: number, yMm: number): number {
  return -signedDistance(edge, { x: xMm, y: yMm });
}

/** Round holes through the handle or the tang: centre and diameter. */
export function boresOf(design: Design): { id: string; xMm: number; yMm: number; diameterMm: number }[] {
  return [
    ...design.fasteners.map((f) => ({ id: f.id, xMm: f.xMm, yMm: f.yMm, diameterMm: widestBore(f) })),
    ...holesOf(design)
      .filter((h) => h.purpose !== "old-pin")
      .map(({ id, xMm, yMm, diameterMm }) => ({ id, xMm, yMm, diameterMm })),
  ];
}

/** Material between one bore and the nearest other, mm, or null of a single one. */
export function webOf(
  bore: ReturnType<typeof boresOf>[number],
  all: ReturnType<typeof boresOf>,
): number | null {
  const gaps = all
    .filter((o) => o.id !== bore.id)
    .map((o) => Math.hypot(o.xMm - bore.xMm, o.yMm - bore.yMm) - (o.diameterMm + bore.diameterMm) / 2);
  return gaps.length > 0 ? Math.min(...gaps) : null;
}

/** Every fastener by its place from the front, the first first. */
export function pinLayout(design: Design): PinPlace[] {
  const edge = edgeOf(design);
  const body = bodyRegion(beginning(design));
  const outline = handleOutline(design.handle);
  const bores = boresOf(design);
  const { pinProudShare } = design.fitUp;
  return [...design.fasteners]
    .sort((a, b) => b.xMm - a.xMm)
    .map((f): PinPlace => {
      const ys = outline.cut(f.xMm);
      const toEdgeMm = edgeDistance(edge, f.xMm, f.yMm);
      const through = surfaceAt(body, f.xMm, f.yMm) + surfaceAt(body, f.xMm, f.yMm, true);
      const own = f.kind === "blind-pin" ? f.lengthMm : through + 2 * pinProudShare * f.diameterMm;
      return {
        id: f.id,
        kind: f.kind,
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
}

/** Distances between neighbouring fasteners along the axis: what a drilling jig is set to. */
export function jigPitches(places: readonly PinPlace[]): number[] {
  return places.slice(1).map((p, i) => p.behindMm - places[i].behindMm);
}

/**
 * Angle each face of a tapered tang leans by, degrees, and the shim under the butt end that holds the centre plane
 * level while it is drilled, mm. Null of a tang that does not taper.
 */
export function taperShim(design: Design): { angleDeg: number; shimMm: number } | null {
  const { tang, handle } = design;
  if (tang.kind !== "full" || !tang.taper) return null;
  const length = handleFront(design) - handleOutline(handle).xRange[0];
  const fall = (tang.taper.frontMm - tang.taper.buttMm) / 2;
  if (!(length > 0)) return null;
  return { angleDeg: (Math.atan2(fall, length) * 180) / Math.PI, shimMm: fall };
}
