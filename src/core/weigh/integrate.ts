import type { Assembly } from "../assembly/types";
import type { ClosingZone, Slice } from "../solids/region";
import { SAME_STATION_MM } from "../tolerances";
import { gaussRule } from "./gauss";
import { addCut, addRay, type CutSums, type Moments, noMoments, noSums } from "./moments";

/** How finely to integrate. Points of a panel grow with its length; both directions have a floor and a ceiling. */
export interface Fineness {
  readonly xPointsPerMm: number;
  readonly xPoints: readonly [number, number];
  readonly yPointsPerMm: number;
  readonly yPoints: readonly [number, number];
  readonly zonePoints: number;
  /** Every panel is cut into this many equal ones. */
  readonly split: number;
}

/** Reaches 1e-5 in volume and 0.005 mm in balance against closed forms; docs/method.md has the measurements. */
export const DEFAULT_FINENESS: Fineness = {
  xPointsPerMm: 0.15,
  xPoints: [2, 10],
  yPointsPerMm: 0.1,
  yPoints: [4, 7],
  zonePoints: 7,
  split: 1,
};

/**
 * Volume, centroid and second moments of every part, by the order of `assembly.parts`.
 *
 * A ray along z at each (x, y) meets every region in one stretch; parts take theirs by precedence. Rays stand at
 * Gauss–Legendre points of panels whose ends are the breakpoints that the regions declare, with substitutions where a
 * surface closes like a root. Parts outside all regions come out as zero.
 */
export function integrate(assembly: Assembly, fineness: Fineness = DEFAULT_FINENESS): Moments[] {
  const { regions, parts } = assembly;
  const partRegions = parts.map((p) => p.regions);
  const moments = parts.map((p) => {
    const [a, b] = commonRange(p.regions.map((r) => regions[r].xRange));
    return noMoments(a < b ? (a + b) / 2 : 0);
  });
  const sums = parts.map(noSums);
  const low = new Float64Array(regions.length);
  const high = new Float64Array(regions.length);
  const inside = new Uint8Array(regions.length);
  const slices: (Slice | null)[] = new Array(regions.length).fill(null);
  const taken = new Taken();
  // What the panel at hand meets: parts in order of precedence, and the regions that they name.
  const here: number[] = [];
  const needed: number[] = [];
  let extra = 0;

  for (const panel of xPanels(assembly)) {
    forPoints(panel, fineness, (x, wx) => {
      for (let r = 0; r < regions.length; r++) {
        const [x0, x1] = regions[r].xRange;
        slices[r] = x > x0 && x < x1 ? regions[r].sliceAt(x) : null;
      }
      const ys = yPanels(slices);
      for (let k = 0; k + 1 < ys.length; k++) overPanel(ys[k], ys[k + 1]);
      for (let i = 0; i < parts.length; i++) addCut(moments[i], sums[i], x, wx);
    });
  }
  return moments;

  function overPanel(y0: number, y1: number): void {
    const zone = meet((y0 + y1) / 2);
    if (here.length === 0) return;
    if (!zone) {
      const [least, most] = fineness.yPoints;
      const n = extra + Math.min(most, Math.ceil(least + (y1 - y0) * fineness.yPointsPerMm));
      overRule(n, y0, y1, shareOut);
      return;
    }
    const s0 = zone.toParameter(y0);
    const s1 = zone.toParameter(y1);
    overRule(fineness.zonePoints + extra, Math.min(s0, s1), Math.max(s0, s1), (s, w) => {
      const y = zone.place(s);
      shareOut(y, w * zone.stretch);
    });
  }

  function overRule(n: number, from: number, to: number, visit: (t: number, w: number) => void): void {
    const { nodes, weights } = gaussRule(n);
    const half = (to - from) / 2 / fineness.split;
    for (let k = 0; k < fineness.split; k++) {
      const middle = from + half * (2 * k + 1);
      for (let i = 0; i < n; i++) visit(middle + half * nodes[i], half * weights[i]);
    }
  }

  /** Finds the parts and regions that a panel about y meets, and the closing zone that covers it, if any. */
  function meet(y: number): ClosingZone | null {
    here.length = 0;
    needed.length = 0;
    extra = 0;
    for (let r = 0; r < slices.length; r++) {
      const s = slices[r];
      inside[r] = s !== null && (s.ys === null || within(s.ys, y)) ? 1 : 0;
    }
    for (let i = 0; i < partRegions.length; i++)
      if (partRegions[i].every((r) => inside[r] === 1)) here.push(i);
    for (let r = 0; r < slices.length; r++) {
      if (inside[r] === 1 && here.some((i) => partRegions[i].includes(r))) {
        needed.push(r);
        extra = Math.max(extra, slices[r]!.extraPoints);
      }
    }
    for (const r of needed) for (const z of slices[r]!.zones) if (y > z.y0 && y < z.y1) return z;
    return null;
  }

  /** Gives each part what the earlier ones leave of its stretch of the ray. */
  function shareOut(y: number, w: number): void {
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
      for (let j = 0; j < of.length; j++) {
        const r = of[j];
        if (low[r] > z0) z0 = low[r];
        if (high[r] < z1) z1 = high[r];
      }
      if (z1 > z0) taken.claim(z0, z1, sums[i], w, y);
    }
  }
}

/** The stretches of one ray that are already filled, ascending and apart. */
class Taken {
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private count = 0;

  clear(): void {
    this.count = 0;
  }

  /** Adds the free pieces of [z0, z1] to the sums, then fills it. */
  claim(z0: number, z1: number, c: CutSums, w: number, y: number): void {
    const { from, to } = this;
    let first = 0;
    while (first < this.count && to[first] < z0) first++;
    let at = z0;
    let last = first;
    let start = z0;
    let end = z1;
    for (; last < this.count && from[last] <= z1; last++) {
      if (from[last] > at) addRay(c, w, y, at, from[last]);
      if (to[last] > at) at = to[last];
      if (from[last] < start) start = from[last];
      if (to[last] > end) end = to[last];
    }
    if (z1 > at) addRay(c, w, y, at, z1);
    const merged = last - first;
    if (merged === 0) {
      for (let k = this.count; k > first; k--) {
        from[k] = from[k - 1];
        to[k] = to[k - 1];
      }
    } else if (merged > 1) {
      for (let k = last; k < this.count; k++) {
        from[k - merged + 1] = from[k];
        to[k - merged + 1] = to[k];
      }
    }
    from[first] = start;
    to[first] = end;
    this.count += 1 - merged;
  }
}

interface Panel {
  readonly a: number;
  readonly b: number;
  /** Stations at or near the lower and the upper end beside which something closes like a root, or null. */
  readonly rootLow: number | null;
  readonly rootHigh: number | null;
}

function commonRange(ranges: readonly (readonly [number, number])[]): [number, number] {
  return [Math.max(...ranges.map((r) => r[0])), Math.min(...ranges.map((r) => r[1]))];
}

function xPanels(assembly: Assembly): Panel[] {
  const breaks = assembly.regions
    .flatMap((r) => [...r.breaks, ...r.xRange.map((x) => ({ x, below: false, above: false }))])
    .filter((b) => Number.isFinite(b.x))
    .sort((l, r) => l.x - r.x);
  const merged: { x: number; below: boolean; above: boolean }[] = [];
  for (const b of breaks) {
    const last = merged[merged.length - 1];
    if (last && b.x - last.x < SAME_STATION_MM) {
      last.below ||= b.below;
      last.above ||= b.above;
    } else merged.push({ ...b });
  }
  return merged.slice(1).map((to, i) => {
    const a = merged[i].x;
    const b = to.x;
    // A root just outside the panel spoils it nearly as much as one at its end.
    const near = b - a;
    const low = merged.findLast((m) => m.above && m.x <= a && a - m.x < near);
    const high = merged.find((m) => m.below && m.x >= b && m.x - b < near);
    return { a, b, rootLow: low?.x ?? null, rootHigh: high?.x ?? null };
  });
}

/** Calls `visit` at the points of a panel in x, with their weights. */
function forPoints(panel: Panel, fineness: Fineness, visit: (x: number, w: number) => void): void {
  const { a, b, rootLow, rootHigh } = panel;
  const length = b - a;
  const [least, most] = fineness.xPoints;
  const roots = rootLow !== null && rootHigh !== null ? 4 : rootLow !== null || rootHigh !== null ? 1 : 0;
  const n = Math.min(most, Math.ceil(least + roots + length * fineness.xPointsPerMm));
  const over = (from: number, to: number, at: (t: number) => number, stretch: (t: number) => number) => {
    const rule = gaussRule(n);
    const width = (to - from) / fineness.split;
    for (let k = 0; k < fineness.split; k++) {
      for (let i = 0; i < n; i++) {
        const t = from + width * (k + (rule.nodes[i] + 1) / 2);
        visit(at(t), (Math.abs(width) * rule.weights[i] * stretch(t)) / 2);
      }
    }
  };
  if (rootLow !== null && rootHigh !== null) {
    // x = middle + half·sin φ: smooth at both roots.
    const half = (rootHigh - rootLow) / 2;
    const middle = (rootHigh + rootLow) / 2;
    const phi = (x: number) => Math.asin(Math.max(-1, Math.min(1, (x - middle) / half)));
    over(
      phi(a),
      phi(b),
      (t) => middle + half * Math.sin(t),
      (t) => half * Math.cos(t),
    );
  } else if (rootLow !== null) {
    over(
      Math.sqrt(a - rootLow),
      Math.sqrt(b - rootLow),
      (t) => rootLow + t * t,
      (t) => 2 * t,
    );
  } else if (rootHigh !== null) {
    over(
      Math.sqrt(rootHigh - b),
      Math.sqrt(rootHigh - a),
      (t) => rootHigh - t * t,
      (t) => 2 * t,
    );
  } else
    over(
      a,
      b,
      (t) => t,
      () => 1,
    );
}

/** All y at which anything changes across this cut, ascending. */
function yPanels(slices: readonly (Slice | null)[]): number[] {
  const found: number[] = [];
  const levels: number[] = [];
  for (const s of slices) {
    if (!s) continue;
    if (s.ys) found.push(...s.ys);
    found.push(...s.creases);
    for (const z of s.zones) found.push(z.y0, z.y1);
    for (const z of s.levels) if (!levels.includes(z)) levels.push(z);
  }
  for (const s of slices) if (s) for (const z of levels) found.push(...s.crossings(z));
  found.sort((a, b) => a - b);
  return found.filter((y, i) => i === 0 || y - found[i - 1] > SAME_STATION_MM);
}

function within(ys: readonly number[], y: number): boolean {
  for (let i = 0; i + 1 < ys.length; i += 2) if (y > ys[i] && y < ys[i + 1]) return true;
  return false;
}
