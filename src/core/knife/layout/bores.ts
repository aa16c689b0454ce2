import { remembered } from "../../base/record/remembered";
import type { Point } from "../../geometry/curve/bezier";
import { polyline, signedDistance } from "../../geometry/curve/crossing";
import { kindOf } from "../../kinds/fasteners/registry";
import { holesOf } from "../design/openings";
import type { Design, Fastener } from "../design/schema";
import { handleOutline } from "../shapes/handleOutline";

/** Chords that an outline's edge is measured on, a segment: within two hundredths of a millimetre of the curve. */
const CHORDS = 14;

/** A round hole through the handle or the tang: its centre, and its widest diameter. */
export interface Bore {
  readonly id: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

/** Widest bore of a fastener in the handle, mm. */
export function widestBore(f: Fastener): number {
  return kindOf(f).widestMm(f);
}

/** Round holes through the handle or the tang; old pins' are filled, and none. */
export const boresOf = remembered((design: Design): readonly Bore[] => [
  ...design.fasteners.map((f) => ({ id: f.id, xMm: f.xMm, yMm: f.yMm, diameterMm: widestBore(f) })),
  ...holesOf(design)
    .filter((h) => h.purpose !== "old-pin")
    .map(({ id, xMm, yMm, diameterMm }) => ({ id, xMm, yMm, diameterMm })),
]);

/** Material between one bore and the nearest other, mm, or null of a single one. */
export function webOf(bore: Bore, all: readonly Bore[]): number | null {
  const gaps = all
    .filter((o) => o.id !== bore.id)
    .map((o) => Math.hypot(o.xMm - bore.xMm, o.yMm - bore.yMm) - (o.diameterMm + bore.diameterMm) / 2);
  return gaps.length > 0 ? Math.min(...gaps) : null;
}

/** The handle's edge as a run of chords. */
export const edgeOf = remembered((design: Design): readonly Point[] =>
  polyline(handleOutline(design.handle).cubics, CHORDS),
);

/** Distance from a place inside the handle to its nearest edge; below zero outside. */
export function edgeDistance(edge: readonly Point[], xMm: number, yMm: number): number {
  return -signedDistance(edge, { x: xMm, y: yMm });
}
