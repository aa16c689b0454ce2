import type { PartWeight } from "@/core/figures/weigh/report";
import { partStem } from "@/words/parts";
import { type Box, firstFree, overlap, textWidth } from "../drawing/labels";

/** Width of a bar, px. */
export const BAR_PX = 16;

/** Parts that stand on one spot of the strip. */
export interface Bar {
  readonly xPx: number;
  /** From the beam up, the heaviest first. */
  readonly pieces: readonly PartWeight[];
  readonly massG: number;
}

/** Stacks parts whose bars would overlap, heaviest at the bottom, at their common centre; from the butt to the tip. */
export function barsOf(parts: readonly PartWeight[], xPxOf: (mm: number) => number): Bar[] {
  const sorted = [...parts].filter((p) => p.massG > 0).sort((a, b) => a.centreMm[0] - b.centreMm[0]);
  const bars: PartWeight[][] = [];
  const mass = (ps: readonly PartWeight[]) => ps.reduce((s, p) => s + p.massG, 0);
  const at = (ps: readonly PartWeight[]) =>
    xPxOf(ps.reduce((s, p) => s + p.massG * p.centreMm[0], 0) / mass(ps));
  for (const p of sorted) {
    const last = bars[bars.length - 1];
    if (last && at([p]) - at(last) < BAR_PX) last.push(p);
    else bars.push([p]);
  }
  return bars.map((ps) => ({
    xPx: at(ps),
    pieces: ps.sort((a, b) => b.massG - a.massG),
    massG: mass(ps),
  }));
}

/** Names of a bar's parts without their sides and numbers, the heaviest first; several of one name in the plural. */
export function barName({ pieces }: Bar): string {
  const counts = new Map<string, number>();
  for (const p of pieces) {
    const stem = partStem(p.key);
    counts.set(stem, (counts.get(stem) ?? 0) + 1);
  }
  const names = [...counts].map(([stem, n]) => (n > 1 && !stem.endsWith("fill") ? pluralOf(stem) : stem));
  const whole = names.join(", ");
  if (whole.length <= 18) return whole;
  return `${names[0]} and ${names.length - 1} more`;
}

/** Size of the letters over the bars, px; a name and a mass stand one over the other. */
export const NAME_SIZE = 13;
const LABEL_PX = 31;

/**
 * Where each bar's name and mass stand: over its bar, or beside its top; never over a bar or each other. Heaviest bars choose
 * first; a bar without a free place goes without, for its read-out and the table of parts have it.
 */
export function labelsOf(
  bars: readonly Bar[],
  nameOf: (bar: Bar) => readonly string[],
  place: { readonly beamY: number; readonly pxPerG: number; readonly width: number },
  taken: readonly Box[] = [],
): ReadonlyMap<Bar, Box> {
  const { beamY, pxPerG, width } = place;
  const blocks: Box[] = bars.map(({ xPx, massG }) => {
    const h = massG * pxPerG + 3;
    return { x: xPx - BAR_PX / 2, y: beamY - h, w: BAR_PX, h };
  });
  const labels = new Map<Bar, Box>();
  const byMass = bars.map((bar, i) => ({ bar, block: blocks[i] })).sort((a, b) => b.bar.massG - a.bar.massG);
  for (const { bar, block } of byMass) {
    const w = Math.max(...nameOf(bar).map((t) => textWidth(t, NAME_SIZE))) + 4;
    const size = { w, h: LABEL_PX };
    const over = block.y - LABEL_PX - 3;
    const beside = Math.min(block.y, beamY - LABEL_PX - 4);
    const standing = [...blocks, ...labels.values(), ...taken];
    const places = [
      { x: bar.xPx - w / 2, y: over, ...size },
      { x: bar.xPx - BAR_PX / 2, y: over, ...size },
      { x: bar.xPx + BAR_PX / 2 - w, y: over, ...size },
      { x: bar.xPx + BAR_PX / 2 + 4, y: beside, ...size },
      { x: bar.xPx - BAR_PX / 2 - 4 - w, y: beside, ...size },
      // Higher up only with a free way down to its bar.
      ...[1, 2, 3]
        .map((k) => ({ x: bar.xPx - w / 2, y: over - k * LABEL_PX, ...size }))
        .filter(({ y }) => {
          const way = { x: bar.xPx - 1, y: y + LABEL_PX, w: 2, h: block.y - y - LABEL_PX };
          return !standing.some((t) => overlap(way, t) && t !== block);
        }),
    ];
    const free = firstFree(places, standing, {
      x: 2,
      y: 0,
      w: width - 4,
      h: beamY - 4,
    });
    if (free) labels.set(bar, free);
  }
  return labels;
}

/** Every part in the order that the arrow keys go: bars from butt to tip, each from the beam up. */
export function partsInOrder(bars: readonly Bar[]): readonly PartWeight[] {
  return bars.flatMap((b) => b.pieces);
}

const pluralOf = (stem: string) => (stem.endsWith("half") ? stem.replace(/f$/, "ves") : `${stem}s`);
