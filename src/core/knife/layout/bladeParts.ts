import { clamp } from "../../base/number";
import { INSIDE_MM } from "../../base/tolerances";
import { polygonContour } from "../../geometry/curve/shapes";
import { cylinderRegion } from "../../geometry/solids/cylinder";
import { spineThickness } from "../../geometry/solids/groundBlade";
import { layerRegion } from "../../geometry/solids/layer";
import type { Cylinder, Region } from "../../geometry/solids/region";
import { sectionOf } from "../../geometry/solids/section";
import { flatSlice } from "../../geometry/solids/slice";
import { evenLoft } from "../../geometry/solids/turned";
import type { BladeNotch, DrawnBlade, IntegralBolster, Ramp } from "../design/schema";
import { bladeOutline } from "./bladeOutline";
import { groundBlade } from "./groundBlade";

/** A notch goes through the steel and so far beyond, mm. */
const BEYOND_MM = 1;

/** The blade's edges at a station, mm: the lowest and the highest; both 0 where it has none. */
export function bladeEdges(blade: DrawnBlade, x: number): readonly [number, number] {
  const { xRange, cut } = bladeOutline(blade);
  const ys = cut(clamp(x, xRange[0] + INSIDE_MM, xRange[1] - INSIDE_MM));
  return ys.length > 1 ? [ys[0], ys[ys.length - 1]] : [0, 0];
}

/** The round that a notch is cut by. */
export function notchRound(blade: DrawnBlade, { xMm, radiusMm, depthMm }: BladeNotch): Cylinder {
  return { xMm, yMm: bladeEdges(blade, xMm)[0] + depthMm - radiusMm, radiusMm };
}

/** A notch as a round along z, ahead of the datum. */
export function notchRegions(blade: DrawnBlade, notch: BladeNotch): Region[] {
  const round = notchRound(blade, notch);
  const { xMm, radiusMm } = round;
  // No wider than the steel there, and none behind the datum.
  const half = Math.max(blade.spineMm, blade.bolster?.widthMm ?? 0) / 2 + BEYOND_MM;
  const across = { at0: half, slope: 0 };
  const room = layerRegion({ at0: -half, slope: 0 }, across, [Math.max(0, xMm - radiusMm), xMm + radiusMm]);
  return [cylinderRegion(round), room];
}

/** How high a thumb ramp stands over the spine at a station, mm: in a parabola to its crest, and down at 45°. */
export function rampRise({ fromMm, lengthMm, riseMm }: Ramp, x: number): number {
  const crest = fromMm + lengthMm;
  if (!(x > fromMm) || !(x < crest + riseMm)) return 0;
  return x < crest ? riseMm * ((x - fromMm) / lengthMm) ** 2 : riseMm - (x - crest);
}

/** What a thumb ramp adds over the spine, as thick as the spine there. */
export function rampRegion(blade: DrawnBlade, ramp: Ramp): Region {
  const ground = groundBlade(blade);
  const crest = ramp.fromMm + ramp.lengthMm;
  const xRange: [number, number] = [ramp.fromMm, Math.min(crest + ramp.riseMm, blade.lengthMm)];
  const plain = (x: number) => ({ x, below: false, above: false });
  return {
    kind: "slab",
    outline: ground.outline,
    from: [ramp, { ...ground, outline: null }],
    xRange,
    breaks: [...ground.outline.breaks, plain(crest), plain(ground.taperFromMm)],
    sliceAt: (x) => {
      const [, top] = bladeEdges(blade, x);
      const rise = rampRise(ramp, x);
      const half = spineThickness(ground, x) / 2;
      return rise > 0 ? flatSlice([top, top + rise], -half, half) : null;
    },
  };
}

/** An integral bolster's outline from the side: straight from its rear face to the blade's edges at its front. */
export function bolsterCorners(blade: DrawnBlade, { lengthMm, aboveMm, belowMm }: IntegralBolster) {
  const [low, high] = bladeEdges(blade, lengthMm);
  return [
    { x: 0, y: -belowMm },
    { x: lengthMm, y: Math.min(low, high - INSIDE_MM) },
    { x: lengthMm, y: high },
    { x: 0, y: aboveMm },
  ];
}

/** Half the bolster's width at a station: it runs into the blade in a parabola that is level there. */
export function bolsterHalf({ lengthMm, widthMm, frontWidthMm }: IntegralBolster, x: number): number {
  const back = 1 - clamp(x / lengthMm, 0, 1);
  return (frontWidthMm + (widthMm - frontWidthMm) * back * back) / 2;
}

/** An integral bolster, of which the blade is a part. */
export function bolsterRegion(blade: DrawnBlade, bolster: IntegralBolster): Region {
  const outline = polygonContour(bolsterCorners(blade, bolster));
  const half = (x: number) => bolsterHalf(bolster, x);
  return evenLoft(outline, half, sectionOf(bolster.roundness), undefined, ["integral-bolster", bolster]);
}

/** Heights that a thumb ramp and an integral bolster reach, over and under the outline; none of a blade without them. */
export function bladeReaches(blade: DrawnBlade): number[] {
  const { ramp, bolster } = blade;
  return [
    ...(ramp ? [bladeEdges(blade, ramp.fromMm + ramp.lengthMm)[1] + ramp.riseMm] : []),
    ...(bolster ? [bolster.aboveMm, -bolster.belowMm] : []),
  ];
}

/** What belongs to the blade beside its own outline, in the blade's steel. */
export function bladeAdditions(blade: DrawnBlade): Region[] {
  return [
    ...(blade.bolster ? [bolsterRegion(blade, blade.bolster)] : []),
    ...(blade.ramp ? [rampRegion(blade, blade.ramp)] : []),
  ];
}
