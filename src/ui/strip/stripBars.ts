import type { PartWeight } from "@/core/weigh/report";
import { partStem } from "@/words/parts";

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
  const names = [...counts].map(([stem, n]) => (n > 1 && !stem.endsWith("fill") ? `${stem}s` : stem));
  const whole = names.join(", ");
  if (whole.length <= 18) return whole;
  const two = names.slice(0, 2).join(", ");
  return names.length > 2 && two.length <= 18 ? `${two} …` : `${names[0]} …`;
}

/** Every part in the order that the arrow keys go: bars from butt to tip, each from the beam up. */
export function partsInOrder(bars: readonly Bar[]): readonly PartWeight[] {
  return bars.flatMap((b) => b.pieces);
}
