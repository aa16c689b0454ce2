import { roundTo } from "../../base/number";
import { lineAt } from "../../geometry/solids/line";
import { kindOf, newFastener } from "../../kinds/fasteners/registry";
import type { Design, Fastener, FastenerKind } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { linersThickness } from "../../knife/shapes/scales";
import { openSpots } from "../fit/openSpot";
import { faultsOf } from "../weigh/faults";
import { applyFix } from "./fixes";
import { mendsOf } from "./mends";
import { reviewDesign } from "./reviewDesign";
import type { Finding } from "./types";

/** What stands against a design: its faults, which weigh most, and the rules' warnings. */
interface Against {
  readonly faults: number;
  readonly warnings: number;
}

function against(design: Design): Against {
  const faults = faultsOf(design).filter((f) => f.severity === "error").length;
  const warnings =
    faults > 0 ? 0 : reviewDesign(design, true).findings.filter((f) => f.severity !== "note").length;
  return { faults, warnings };
}

/** Thickness of what lies between the scales at a station: tang or frame, and liners. */
function betweenScalesMm(design: Design, xMm: number): number {
  const { handle } = design;
  const liners = handle.kind === "scales" ? linersThickness(handle) : 0;
  return roundTo(2 * (lineAt(layoutOf(design).tangFace, xMm) + liners), 2);
}

/**
 * A new fastener of a kind where the rules have nothing against it, or least: on the middle line, as clear of edges and
 * other holes as may be, in the usual sizes, or in those that suit its place.
 */
export function placedFastener(design: Design, kind: FastenerKind, id: string): Fastener {
  const made = (at: { readonly xMm: number; readonly yMm: number }) =>
    newFastener(kind, id, at, betweenScalesMm(design, at.xMm));
  const first = made({ xMm: 0, yMm: 0 });
  const before = against(design);
  let best: ({ fastener: Fastener } & Against) | null = null;
  for (const partRef of openSpots(design, kindOf(first).widestMm(first))) {
    const fastener = made(partRef);
    const now = against({ ...design, fasteners: [...design.fasteners, fastener] });
    if (now.faults <= before.faults && now.warnings <= before.warnings) return fastener;
    if (!best || isLess(now, best)) best = { fastener, ...now };
  }
  return fitted(design, best?.fastener ?? first, before);
}

/** So many of its sizes are set, one after the other, at the most. */
const MOST_FITTED = 4;

/** A new fastener with its own sizes set by the fixes of what stands against it, as long as that gets less. */
function fitted(design: Design, fastener: Fastener, before: Against): Fastener {
  const withIt = (f: Fastener): Design => ({ ...design, fasteners: [...design.fasteners, f] });
  let [best, now] = [fastener, against(withIt(fastener))];
  for (let n = 0; n < MOST_FITTED && (now.faults > before.faults || now.warnings > before.warnings); n++) {
    const next = withIt(best);
    // Fixes cost a review each: only of what is said of it.
    const isOfIt = (f: Finding) => f.severity !== "note" && f.subject === best.id;
    if (now.faults <= before.faults && !reviewDesign(next, true).findings.some(isOfIt)) break;
    const findings = now.faults > before.faults ? mendsOf(next) : reviewDesign(next).findings;
    const offers = findings.filter(isOfIt).flatMap((f) => f.fixes ?? []);
    let better: { fastener: Fastener; against: Against } | null = null;
    for (const { fix } of offers) {
      const fixed = applyFix(next, fix).fasteners.find((f) => f.id === best.id);
      // What else a fix changes, and another kind, are the maker's to decide.
      if (fixed?.kind !== best.kind) continue;
      const then = against(withIt(fixed));
      if (isLess(then, better?.against ?? now)) better = { fastener: fixed, against: then };
    }
    if (!better) break;
    [best, now] = [better.fastener, better.against];
  }
  return best;
}

const isLess = (a: Against, b: Against) =>
  a.faults < b.faults || (a.faults === b.faults && a.warnings < b.warnings);
