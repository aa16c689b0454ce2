import type { Assembly } from "../../knife/parts/types";
import { aboutOrigin, addMoments, type Moments, scaledMoments } from "./moments";
import { printedInside } from "./printedInside";
import { workedLoss } from "./workedLoss";

/**
 * Moments of the material that the parts are made of: of a printed part its wall whole, and of what lies inside it the
 * infill's share; of one whose face is not smooth without what is missing there. The very list that was given where there
 * are none of either.
 */
export function materialMoments(
  assembly: Assembly,
  moments: readonly Readonly<Moments>[],
): readonly Readonly<Moments>[] {
  const printed = new Map<string, number>();
  assembly.parts.forEach(({ id, printed: how }, i) => {
    if (how && !printed.has(id)) printed.set(id, i);
  });
  const worked = new Map<string, number>();
  assembly.parts.forEach(({ id, worked: face }, i) => {
    if (face && !worked.has(id)) worked.set(id, i);
  });
  if (printed.size === 0 && worked.size === 0) return moments;
  const material = [...moments];
  for (const [id, i] of printed) {
    const { infillShare, wallMm } = assembly.parts[i].printed!;
    if (infillShare >= 1) continue;
    // Without a wall all of it is inside, in however many places it is.
    if (!(wallMm > 0)) {
      assembly.parts.forEach((p, k) => {
        if (p.id === id) material[k] = scaledMoments(moments[k], infillShare);
      });
      continue;
    }
    const empty = aboutOrigin(printedInside(assembly, id, wallMm), moments[i].originX);
    const left = { ...moments[i] };
    addMoments(left, scaledMoments(empty, infillShare - 1));
    material[i] = left;
  }
  for (const [id, i] of worked) {
    const lost = aboutOrigin(workedLoss(assembly, id, assembly.parts[i].worked!), material[i].originX);
    // Never more than there is: what would be is said to be cut too deep.
    const share = Math.min(1, material[i].v / Math.max(lost.v, Number.MIN_VALUE));
    const left = { ...material[i] };
    addMoments(left, scaledMoments(lost, -share));
    material[i] = left;
  }
  return material;
}
