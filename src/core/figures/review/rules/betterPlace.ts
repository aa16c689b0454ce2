import { roundTo } from "../../../base/number";
import { SAME_PLACE_MM } from "../../../base/tolerances";
import { holesOf } from "../../../knife/design/openings";
import type { Design } from "../../../knife/design/schema";
import { type Bore, edgeDistance, webOf } from "../../../knife/layout/bores";
import type { Fix } from "../types";
import type { RuleContext } from "./context";

/** Room that a bore of a kind wants: to the edge in mm, and to its neighbours. */
export interface Wanted {
  readonly toEdgeMm: number;
  readonly webMm: number;
  /** Station that it must not stand ahead of. */
  readonly behindMm?: number;
}

/** How far a fix looks for a better place, mm; by half a millimetre close by, farther off by whole ones. */
const REACH_MM = 16;
const CLOSE_MM = 5;

/** Ways to move, the shortest first. */
const MOVES: readonly (readonly [number, number])[] = (() => {
  const moves: [number, number][] = [];
  for (let i = -2 * REACH_MM; i <= 2 * REACH_MM; i++)
    for (let j = -2 * REACH_MM; j <= 2 * REACH_MM; j++) {
      const far = Math.hypot(i, j) / 2;
      const whole = i % 2 === 0 && j % 2 === 0;
      if (far <= CLOSE_MM || (far <= REACH_MM && whole)) moves.push([i / 2, j / 2]);
    }
  return moves.sort((a, b) => Math.hypot(...a) - Math.hypot(...b));
})();

/** Smaller rounds than this are not worth remembering; what is ruled out is so by clearly more than rounding, mm. */
const LEAST_RULED_OUT_MM = 0.75;
const CLEARLY_MM = SAME_PLACE_MM;

/** The nearest place to a bore that has the room it wants, or null of none within reach. */
export function betterPlace(c: RuleContext, bore: Bore, wanted: Wanted) {
  // Distances change by no more than the way that is gone: round a place that is too near an edge or a neighbour, no
  // place is better within as much as is missing there.
  const ruledOut: { readonly dx: number; readonly dy: number; readonly within: number }[] = [];
  for (const [dx, dy] of MOVES) {
    if (ruledOut.some((r) => Math.hypot(dx - r.dx, dy - r.dy) < r.within)) continue;
    const at = { ...bore, xMm: bore.xMm + dx, yMm: bore.yMm + dy };
    if (wanted.behindMm !== undefined && at.xMm > -wanted.behindMm) continue;
    const web = webOf(at, c.bores);
    const missing = Math.max(
      web === null ? 0 : wanted.webMm - web,
      wanted.toEdgeMm - edgeDistance(c.edge, at.xMm, at.yMm),
    );
    if (missing <= 0) return { x: at.xMm, y: at.yMm };
    if (missing > LEAST_RULED_OUT_MM) ruledOut.push({ dx, dy, within: missing - CLEARLY_MM });
  }
  return null;
}

/** The fix that moves a fastener or a hole there; null of what is neither, and of no place. */
export function moveTo(design: Design, id: string, to: { x: number; y: number } | null): Fix | null {
  if (!to) return null;
  const pin = design.fasteners.findIndex((f) => f.id === id);
  const hole = holesOf(design).findIndex((h) => h.id === id);
  const at = pin >= 0 ? `fasteners.${pin}` : hole >= 0 ? `tang.holes.${hole}` : null;
  if (!at) return null;
  return {
    kind: "set",
    changes: [
      { path: `${at}.xMm`, value: roundTo(to.x, 2) },
      { path: `${at}.yMm`, value: roundTo(to.y, 2) },
    ],
  };
}
