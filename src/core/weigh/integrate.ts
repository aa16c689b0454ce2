import type { Assembly, Part } from "../assembly/types";
import type { ClosingZone } from "../solids/closingZone";
import type { Slice } from "../solids/slice";
import { commonRange } from "./commonRange";
import { addCut, addFlat, addMoments, addRay, type Moments, noMoments, noSums } from "./moments";
import type { PanelMemory } from "./panelMemory";
import { forPoints, overRule, type Panel, xPanels, yPanels } from "./panels";
import { Presence } from "./presence";
import { type Piece, Taken } from "./taken";

/** How finely to integrate. Points of a panel grow with its length, up to a ceiling. */
export interface Fineness {
  readonly xPointsPerMm: number;
  /** Least and most points of a panel in x. */
  readonly xPoints: readonly [number, number];
  readonly yPointsPerMm: number;
  readonly yPoints: readonly [number, number];
  /** Least points of a closing zone, and those of a whole one. */
  readonly zonePoints: readonly [number, number];
  /** Every panel is cut into this many equal ones. */
  readonly split: number;
}

/** Reaches 1e-5 in volume and 0.005 mm in balance against closed forms; docs/method.md has the measurements. */
export const DEFAULT_FINENESS: Fineness = {
  xPointsPerMm: 0.1,
  xPoints: [2, 10],
  yPointsPerMm: 0.3,
  yPoints: [2, 6],
  zonePoints: [2, 6],
  split: 1,
};

/** Points beyond the usual for a panel that two curved surfaces share. */
const MEETING_POINTS = 2;

/** A piece of a part on every ray of one y-panel, bounded by two surfaces: 2r is region r's lower face, 2r + 1 its upper. */
interface Stretch {
  part: number;
  z0: number;
  z1: number;
  surface0: number;
  surface1: number;
}

/**
 * Volume, centroid and second moments of every part, by the order of `assembly.parts`.
 *
 * A ray along z at each (x, y) meets every region in one stretch; parts take theirs by precedence. Rays stand at
 * Gauss–Legendre points of panels whose ends are the breakpoints that the regions declare, with substitutions where a
 * surface closes like a root. Parts outside all regions come out as zero, and so do those that are not `wanted`: where
 * none of the others is, nothing is worked out. With a `memory`, where all are wanted, only panels that it does not know
 * are integrated; the answer is the same to the last digit.
 */
export function integrate(
  assembly: Assembly,
  fineness: Fineness = DEFAULT_FINENESS,
  wanted: (part: Part) => boolean = () => true,
  given: PanelMemory | null = null,
): Moments[] {
  const { regions, parts } = assembly;
  const partRegions = parts.map((p) => p.regions);
  const asked = parts.map(wanted);
  const memory = asked.every((a) => a) ? given : null;
  const ranges = parts.map((p) => commonRange(p.regions.map((r) => regions[r].xRange)));
  const origins = ranges.map(([a, b]) => (a < b ? (a + b) / 2 : 0));
  const moments = origins.map(noMoments);
  const sums = parts.map(noSums);
  const low = new Float64Array(regions.length);
  const high = new Float64Array(regions.length);
  const slices: (Slice | null)[] = new Array(regions.length).fill(null);
  const taken = new Taken();
  const presence = new Presence(partRegions, regions.length);
  // What the panel at hand meets: parts by precedence, the regions they name, and those of them that are curved.
  const { here } = presence;
  const needed: number[] = [];
  const seenAt = new Int32Array(regions.length);
  let seen = 0;
  const curved: number[] = [];
  // A list that is used over and over: as many of it count as are found.
  const stretches: Stretch[] = [];
  let found = 0;
  let extra = 0;
  let rayY = 0;
  let rayWeight = 0;

  memory?.begin(assembly, origins, fineness);
  for (const panel of xPanels(assembly)) {
    // Every region begins and ends at the end of a panel: only these can be met in this one.
    const active: number[] = [];
    const present: number[] = [];
    for (let r = 0; r < regions.length; r++)
      if (regions[r].xRange[0] < panel.b && regions[r].xRange[1] > panel.a) active.push(r);
    for (let i = 0; i < ranges.length; i++)
      if (asked[i] && ranges[i][0] < panel.b && ranges[i][1] > panel.a) present.push(i);
    if (present.length === 0) continue;
    const known = memory?.recall(panel, active, present);
    const within = known ?? present.map((i) => noMoments(origins[i]));
    if (!known) overStations(panel, active, present, within);
    if (!known) memory?.keep(panel, active, present, within);
    for (let k = 0; k < present.length; k++) addMoments(moments[present[k]], within[k]);
  }
  memory?.end();
  return moments;

  /** Adds what of each present part lies in one panel to its moments. */
  function overStations(
    panel: Panel,
    active: readonly number[],
    present: readonly number[],
    within: readonly Moments[],
  ): void {
    forPoints(panel, xPointsOf(panel, fineness), fineness.split, (x, wx) => {
      for (const r of active) {
        const [x0, x1] = regions[r].xRange;
        slices[r] = x > x0 && x < x1 ? regions[r].sliceAt(x) : null;
      }
      const ys = yPanels(slices, active);
      presence.begin(slices, active);
      for (let k = 0; k + 1 < ys.length; k++) overPanel(ys[k], ys[k + 1]);
      for (let k = 0; k < present.length; k++) addCut(within[k], sums[present[k]], x, wx);
    });
  }

  function overPanel(y0: number, y1: number): void {
    const zone = enterPanel((y0 + y1) / 2);
    if (here.length === 0) return;
    // Every surface that can cross another inside the panel is declared by the one curved region there is; with two
    // of them the order along the ray is worked out anew on each.
    const ray = curved.length > 1 ? rayByPrecedence : rayByStretches;
    if (curved.length <= 1) findStretches((y0 + y1) / 2);
    if (curved.length === 0) {
      for (let k = 0; k < found; k++) {
        const s = stretches[k];
        addFlat(sums[s.part], y0, y1, s.z0, s.z1);
      }
      return;
    }
    if (curved.length === 1) addFlatStretches(y0, y1);
    if (zone) {
      const s0 = zone.toParameter(y0);
      const s1 = zone.toParameter(y1);
      const [least, most] = fineness.zonePoints;
      const n = Math.min(most, Math.ceil(least + ((most - least) * Math.abs(s1 - s0)) / zone.span)) + extra;
      overRule(n, fineness.split, Math.min(s0, s1), Math.max(s0, s1), (s, w) => {
        const y = zone.yAt(s);
        ray(y, w * zone.jacobian);
      });
      return;
    }
    const [least, most] = fineness.yPoints;
    const n = extra + Math.min(most, Math.ceil(least + (y1 - y0) * fineness.yPointsPerMm));
    overRule(n, fineness.split, y0, y1, ray);
  }

  /** Finds the parts and regions that a panel about y meets, and the closing zone that covers it, if any. */
  function enterPanel(y: number): ClosingZone | null {
    presence.moveTo(y);
    needed.length = 0;
    curved.length = 0;
    extra = 0;
    seen++;
    for (let k = 0; k < here.length; k++) {
      const of = partRegions[here[k]];
      for (let j = 0; j < of.length; j++) {
        if (seenAt[of[j]] === seen) continue;
        seenAt[of[j]] = seen;
        needed.push(of[j]);
      }
    }
    let zone: ClosingZone | null = null;
    for (const r of needed) {
      const s = slices[r]!;
      if (s.flat) continue;
      curved.push(r);
      extra = Math.max(extra, s.extraPoints);
      for (const z of s.zones) if (y > z.y0 && y < z.y1) zone ??= z;
    }
    // Where two curved surfaces cross inside the panel nothing declares it: more rays make up for that.
    if (curved.length > 1) extra += MEETING_POINTS;
    return zone;
  }

  /** Works out, on the ray at y, which part fills what between which surfaces. */
  function findStretches(y: number): void {
    found = 0;
    forPieces(y, keepStretch);
  }

  /** Adds the stretches that no curved surface bounds, in closed form, and drops them. */
  function addFlatStretches(y0: number, y1: number): void {
    let kept = 0;
    for (let k = 0; k < found; k++) {
      const s = stretches[k];
      if (s.surface0 >> 1 === curved[0] || s.surface1 >> 1 === curved[0]) {
        stretches[k] = stretches[kept];
        stretches[kept++] = s;
      } else addFlat(sums[s.part], y0, y1, s.z0, s.z1);
    }
    found = kept;
  }

  function rayByStretches(y: number, w: number): void {
    const slice = slices[curved[0]]!;
    const lower = 2 * curved[0];
    const zLow = slice.low(y);
    const zHigh = slice.high(y);
    for (let k = 0; k < found; k++) {
      const s = stretches[k];
      const z0 = s.surface0 === lower ? zLow : s.surface0 === lower + 1 ? zHigh : s.z0;
      const z1 = s.surface1 === lower ? zLow : s.surface1 === lower + 1 ? zHigh : s.z1;
      addRay(sums[s.part], w, y, z0, z1);
    }
  }

  function keepStretch(part: number, z0: number, z1: number, surface0: number, surface1: number): void {
    if (found === stretches.length) stretches.push({ part, z0, z1, surface0, surface1 });
    const s = stretches[found++];
    s.part = part;
    s.z0 = z0;
    s.z1 = z1;
    s.surface0 = surface0;
    s.surface1 = surface1;
  }

  function rayByPrecedence(y: number, w: number): void {
    rayY = y;
    rayWeight = w;
    forPieces(y, addPiece);
  }

  function addPiece(part: number, z0: number, z1: number): void {
    addRay(sums[part], rayWeight, rayY, z0, z1);
  }

  /** Gives each part what the earlier ones leave of its stretch of the ray at y. */
  function forPieces(y: number, piece: Piece): void {
    for (let k = 0; k < needed.length; k++) {
      const r = needed[k];
      const s = slices[r]!;
      low[r] = s.low(y);
      high[r] = s.high(y);
    }
    taken.clear();
    for (let k = 0; k < here.length; k++) {
      const i = here[k];
      const of = partRegions[i];
      let z0 = Number.NEGATIVE_INFINITY;
      let z1 = Number.POSITIVE_INFINITY;
      let surface0 = -1;
      let surface1 = -1;
      for (let j = 0; j < of.length; j++) {
        const r = of[j];
        if (low[r] > z0) {
          z0 = low[r];
          surface0 = 2 * r;
        }
        if (high[r] < z1) {
          z1 = high[r];
          surface1 = 2 * r + 1;
        }
      }
      if (z1 > z0) taken.claim(i, z0, z1, surface0, surface1, piece);
    }
  }
}

/** Points of a panel in x. */
export function xPointsOf(panel: Panel, fineness: Fineness): number {
  const { a, b, rootLow, rootHigh } = panel;
  const [least, most] = fineness.xPoints;
  const roots = rootLow !== null && rootHigh !== null ? 4 : rootLow !== null || rootHigh !== null ? 1 : 0;
  return Math.min(most, Math.ceil(least + roots + (b - a) * fineness.xPointsPerMm));
}
