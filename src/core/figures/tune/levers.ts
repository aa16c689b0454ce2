import { keepsLocks } from "../../knife/design/marks";
import type { Design } from "../../knife/design/schema";
import { fittingLevers } from "./fittingLevers";
import type { Lever } from "./lever";
import { materialLevers } from "./materialLevers";
import { steelLevers } from "./steelLevers";

/** Every change that could be made to this knife, lengths first; none that would change what its maker has locked. */
export function leversOf(design: Design): Lever[] {
  const levers = [...steelLevers(design), ...fittingLevers(design), ...materialLevers(design)];
  if (design.locked.length === 0) return levers;
  return levers.flatMap((lever): Lever[] => {
    const apply: Lever["apply"] = (d, amount) => {
      const next = lever.apply(d, amount);
      return next && keepsLocks(d, next) ? next : null;
    };
    const moves = [lever.step, -lever.step].some(
      (amount) => amount >= lever.low && amount <= lever.high && apply(design, amount) !== null,
    );
    return moves ? [{ ...lever, apply }] : [];
  });
}

/** The design with several levers moved, in the order of their list; null where one of them has no meaning. */
export function withLevers(design: Design, amounts: ReadonlyMap<string, number>): Design | null {
  let next: Design | null = design;
  for (const lever of leversOf(design)) {
    const amount = amounts.get(lever.id);
    if (amount === undefined || amount === 0 || !next) continue;
    next = lever.apply(next, amount);
  }
  return next;
}
