import { roundTo } from "../../base/number";
import { lineAt } from "../../geometry/solids/line";
import { kindOf, newFastener } from "../../kinds/fasteners/registry";
import type { Design, Fastener, FastenerKind } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { linersThickness } from "../../knife/shapes/scales";
import { openSpots } from "../fit/openSpot";
import { faultsOf } from "../weigh/faults";
import { reviewDesign } from "./reviewDesign";

/** What stands against a design: its faults, which weigh most, and the rules' warnings. */
function against(design: Design): { faults: number; warnings: number } {
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
 * other holes as may be.
 */
export function placedFastener(design: Design, kind: FastenerKind, id: string): Fastener {
  const made = (at: { readonly xMm: number; readonly yMm: number }) =>
    newFastener(kind, id, at, betweenScalesMm(design, at.xMm));
  const first = made({ xMm: 0, yMm: 0 });
  const before = against(design);
  let best: { fastener: Fastener; faults: number; warnings: number } | null = null;
  for (const partRef of openSpots(design, kindOf(first).widestMm(first))) {
    const fastener = made(partRef);
    const now = against({ ...design, fasteners: [...design.fasteners, fastener] });
    if (now.faults <= before.faults && now.warnings <= before.warnings) return fastener;
    if (!best || now.faults < best.faults || (now.faults === best.faults && now.warnings < best.warnings))
      best = { fastener, ...now };
  }
  return best?.fastener ?? first;
}
