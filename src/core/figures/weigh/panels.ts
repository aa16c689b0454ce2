import { clamp } from "../../base/number";
import { SAME_STATION_MM } from "../../base/tolerances";
import { gaussRule } from "../../geometry/curve/gauss";
import type { Slice } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";

/** A stretch of x without a break inside. */
export interface Panel {
  readonly a: number;
  readonly b: number;
  /** Stations at or near the lower and the upper end beside which something closes like a root, or null. */
  readonly rootLow: number | null;
  readonly rootHigh: number | null;
}

/** Cuts the length of an assembly at every break that its regions declare. */
export function xPanels(assembly: Assembly): Panel[] {
  const plain = (x: number) => ({ x, below: false, above: false });
  const breaks = assembly.regions
    .flatMap((r) => [...r.breaks, ...r.xRange.map(plain)])
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

/**
 * Calls `visit` at n Gauss points of each of `split` equal parts of a panel, with weights in mm. Beside a root the
 * points stand evenly in its square root; between two, in the angle of a half circle.
 */
export function forPoints(
  panel: Panel,
  n: number,
  split: number,
  visit: (x: number, w: number) => void,
): void {
  const { a, b, rootLow, rootHigh } = panel;
  const over = (from: number, to: number, xAt: (t: number) => number, jacobian: (t: number) => number) =>
    overRule(n, split, Math.min(from, to), Math.max(from, to), (t, w) => visit(xAt(t), w * jacobian(t)));
  if (rootLow !== null && rootHigh !== null) {
    const half = (rootHigh - rootLow) / 2;
    const middle = (rootHigh + rootLow) / 2;
    const phi = (x: number) => Math.asin(clamp((x - middle) / half, -1, 1));
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
      Math.sqrt(rootHigh - a),
      Math.sqrt(rootHigh - b),
      (t) => rootHigh - t * t,
      (t) => 2 * t,
    );
  } else overRule(n, split, a, b, visit);
}

/** Calls `visit` at n Gauss points of each of `split` equal parts of [from, to], with their weights. */
export function overRule(
  n: number,
  split: number,
  from: number,
  to: number,
  visit: (t: number, w: number) => void,
): void {
  const { nodes, weights } = gaussRule(n);
  const half = (to - from) / 2 / split;
  for (let k = 0; k < split; k++) {
    const middle = from + half * (2 * k + 1);
    for (let i = 0; i < n; i++) visit(middle + half * nodes[i], half * weights[i]);
  }
}

/** All y at which anything changes across one cut, ascending. `active` lists the regions that may have a slice. */
export function yPanels(
  slices: readonly (Slice | null)[],
  active: readonly number[] = slices.map((_, r) => r),
): number[] {
  const found: number[] = [];
  const levels: number[] = [];
  let curved = 0;
  for (const r of active) {
    const s = slices[r];
    if (!s) continue;
    const { ys, creases, zones } = s;
    if (ys) for (let i = 0; i < ys.length; i++) found.push(ys[i]);
    for (let i = 0; i < creases.length; i++) found.push(creases[i]);
    for (let i = 0; i < zones.length; i++) found.push(zones[i].y0, zones[i].y1);
    for (const z of s.levels) if (!levels.includes(z)) levels.push(z);
    if (!s.flat) curved++;
  }
  if (curved > 0)
    for (const r of active) {
      const s = slices[r];
      if (s && !s.flat) for (const z of levels) for (const y of s.crossings?.(z) ?? []) found.push(y);
    }
  sortAscending(found);
  let kept = 0;
  for (let i = 0; i < found.length; i++)
    if (kept === 0 || found[i] - found[kept - 1] > SAME_STATION_MM) found[kept++] = found[i];
  found.length = kept;
  return found;
}

/** By insertion: quicker than the library's for the few numbers of a cut. */
function sortAscending(list: number[]): void {
  if (list.length > MANY) {
    list.sort((a, b) => a - b);
    return;
  }
  for (let i = 1; i < list.length; i++) {
    const v = list[i];
    let k = i - 1;
    for (; k >= 0 && list[k] > v; k--) list[k + 1] = list[k];
    list[k + 1] = v;
  }
}

const MANY = 64;

/** The regions that may be met in a cut at x, by their numbers. */
export function activeAt(regions: Assembly["regions"], x: number): number[] {
  const active: number[] = [];
  regions.forEach(({ xRange: [from, to] }, r) => {
    if (x > from && x < to) active.push(r);
  });
  return active;
}
