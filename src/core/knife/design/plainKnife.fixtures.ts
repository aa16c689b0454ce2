import { planFrom } from "./create";
import type { Design } from "./schema";

/**
 * A knife with a handle without rounding or taper, 100 × 24 × 20 mm, a tang without a fillet at its shoulder, and no pins:
 * every part has a closed form.
 */
export function plainKnife(of: Design): Design {
  const corner = (id: string, xMm: number, yMm: number) => ({
    id,
    role: "free" as const,
    xMm,
    yMm,
    corner: true,
  });
  const outline = [corner("a", 0, 12), corner("b", -100, 12), corner("c", -100, -12), corner("d", 0, -12)];
  const shape = { outline, plan: planFrom(100, [10, 10, 10, 10], 0) };
  const handle =
    of.handle.kind === "scales" ? { ...of.handle, ...shape, frontBevel: null } : { ...of.handle, ...shape };
  const tang = of.tang.kind === "full" ? of.tang : { ...of.tang, shoulderRadiusMm: 0 };
  return { ...of, tang, handle, fasteners: [] };
}
