import { integrate } from "../../figures/weigh/integrate";
import { straight } from "../curve/bezier";
import { contourOf } from "../curve/contour";
import { bladeRegion } from "./bladeRegion";
import type { GroundBlade } from "./groundBlade";

/** Straight-sided outline through corners, in mm. */
export function outlineOf(...corners: readonly (readonly [number, number])[]) {
  const p = corners.map(([x, y]) => ({ x, y }));
  return contourOf(p.map((a, i) => straight(a, p[(i + 1) % p.length])));
}

/** A bar 100 long and 30 high of 4 mm stock, as it comes, with what is ground into it. */
export function bar(change: Partial<GroundBlade> = {}, lengthMm = 100, heightMm = 30): GroundBlade {
  return {
    outline: outlineOf([0, heightMm], [lengthMm, heightMm], [lengthMm, 0], [0, 0]),
    lengthMm,
    ricassoMm: 0,
    grind: { kind: "none" },
    leftGrind: null,
    stockMm: 4,
    tipMm: 4,
    edgeMm: 0,
    taperFromMm: 0,
    taper: [],
    plunge: { sweepDeg: 0, radiusMm: 0 },
    swedge: null,
    fullers: [],
    sharpenedDeg: null,
    ...change,
  };
}

/** Volume of a blade by itself, mm³, and where its centre lies, mm. */
export function measured(blade: GroundBlade) {
  const part = {
    id: "a",
    key: { kind: "blade" },
    group: "blade",
    materials: [{ materialId: "x", share: 1 }],
    regions: [0],
  } as const;
  const [m] = integrate({ regions: [bladeRegion(blade)], parts: [part] });
  return { mm3: m.v, x: m.originX + m.x / m.v, y: m.y / m.v, z: m.z / m.v };
}
