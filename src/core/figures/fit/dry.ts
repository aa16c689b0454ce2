import { kindOf } from "../../kinds/fasteners/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { pinsTang } from "../../knife/design/newParts";
import type { Design, Fastener } from "../../knife/design/schema";
import { unglued } from "../../knife/starts/constructions";

/**
 * Whether what a knife's screws hold together is put together dry, so that it can be taken apart: a hidden tang that is
 * pulled up by a screw from the butt, scales that nothing but screws hold. Not where its maker glues them as well.
 */
export function isDry(design: Design): boolean {
  if (design.fitUp.screwedToo) return false;
  const { tang, fasteners } = design;
  if (tang.kind === "hidden") return endKindOf(tang.end).comesApart;
  const holding = fasteners.filter((f) => f.kind !== "lanyard-tube");
  return holding.length > 0 && holding.every((f) => !kindOf(f).glued);
}

/** What would keep a dry knife from being taken apart: glue round its tang, and pins through tang and handle. */
export interface Holds {
  readonly glued: boolean;
  readonly pins: readonly Fastener[];
}

/** What holds a take-down together for good; null of a knife that is not one, or that is glued on purpose. */
export function holdsOf(design: Design): Holds | null {
  const { tang } = design;
  if (tang.kind !== "hidden" || !isDry(design)) return null;
  const apart = unglued(design);
  const glued = JSON.stringify([apart.tang, apart.guard]) !== JSON.stringify([design.tang, design.guard]);
  const pins = design.fasteners.filter((f) => pinsTang(tang, f));
  return glued || pins.length > 0 ? { glued, pins } : null;
}
