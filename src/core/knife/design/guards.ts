import { withFitting } from "../../kinds/guardFittings/registry";
import { round } from "./create";
import type { Design, Guard } from "./schema";

/** Forms that a guard can begin from. */
export const GUARD_FORMS = [
  "oval",
  "straight",
  "single-quillon",
  "double-quillon",
  "s-curve",
  "lower-lug",
  "disc",
  "finger-notch",
] as const;
export type GuardForm = (typeof GUARD_FORMS)[number];

/** A guard of a form, a little taller than the handle's front; its plates, collar and slot are those it had. */
export function guardOfForm(form: GuardForm, design: Design): Guard {
  const nodes = design.handle.outline;
  const up = Math.max(4, nodes[0].yMm);
  const down = Math.max(4, -nodes[nodes.length - 1].yMm);
  const width = 2 * Math.max(...design.handle.plan.map((p) => p.halfMm)) + 1;
  const boss = round(Math.max(up, down));
  const had = design.guard;
  const plain: Guard = {
    plates: had?.plates ?? [{ material: "brass-360", thicknessMm: 6, printed: null }],
    aboveMm: round(up + 1),
    belowMm: round(down + 7),
    widthMm: round(width),
    roundness: 0.8,
    bossMm: boss,
    armWidthMm: null,
    sweepAboveMm: 0,
    sweepBelowMm: 0,
    endShare: 1,
    domeMm: 0,
    slot: had?.slot ?? { clearanceMm: 0, fill: null },
    fittings: withFitting(had?.fittings ?? [], "notch", null),
    mesh: null,
    face: had?.face ?? null,
  };
  const arm = round(Math.min(width, Math.max(4, 0.4 * width)));
  if (form === "straight") return { ...plain, roundness: 0 };
  if (form === "single-quillon")
    return { ...plain, aboveMm: round(up + 1.5), belowMm: round(down + 22), armWidthMm: arm, endShare: 0.8 };
  if (form === "double-quillon")
    return { ...plain, aboveMm: round(up + 22), belowMm: round(down + 22), armWidthMm: arm, endShare: 0.8 };
  if (form === "s-curve") {
    const arms = { aboveMm: round(up + 22), belowMm: round(down + 22), armWidthMm: arm, endShare: 0.7 };
    return { ...plain, ...arms, sweepAboveMm: -9, sweepBelowMm: 9 };
  }
  if (form === "lower-lug")
    return { ...plain, aboveMm: round(up + 0.5), belowMm: round(down + 12), roundness: 0.5 };
  if (form === "disc") {
    const r = round(Math.max(width, up + down) / 2 + 6);
    return { ...plain, aboveMm: r, belowMm: r, widthMm: round(2 * r), roundness: 1 };
  }
  if (form === "finger-notch")
    return {
      ...plain,
      belowMm: round(down + 16),
      roundness: 0.5,
      fittings: withFitting(plain.fittings, "notch", { kind: "notch", radiusMm: 9, depthMm: 9 }),
    };
  return plain;
}

/** A guard to begin from: an oval. */
export function newGuard(design: Design): Guard {
  return guardOfForm("oval", design);
}
