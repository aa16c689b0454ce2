import { GRIP_BEHIND_MM, newGrip } from "./grips";
import type { Use, UseKind } from "./schema";

/** A window of balance (mm from the datum, + ahead) and of weight (g). */
interface Window {
  readonly balance: readonly [number, number];
  readonly mass: readonly [number, number];
}

/** What each use wishes for. Common practice and a matter of taste; figures from memory. */
const WINDOWS: Record<Exclude<UseKind, "own">, Window> = {
  "kitchen-slicer": { balance: [0, 30], mass: [120, 240] },
  paring: { balance: [-40, -5], mass: [40, 90] },
  hunting: { balance: [-20, 0], mass: [110, 220] },
  field: { balance: [-20, 0], mass: [140, 300] },
  chopper: { balance: [25, 75], mass: [300, 650] },
  fighter: { balance: [-15, 0], mass: [180, 350] },
  fillet: { balance: [-50, -5], mass: [80, 180] },
  carving: { balance: [-50, -5], mass: [50, 140] },
  sword: { balance: [70, 150], mass: [700, 1400] },
};

/** What a use proposes; "own" keeps the windows that were there. */
export function withUse(use: Use, kind: UseKind): Use {
  if (kind === "own") return { ...use, kind };
  const { balance, mass } = WINDOWS[kind];
  return {
    ...use,
    kind,
    balanceMm: { low: balance[0], high: balance[1] },
    massG: { low: mass[0], high: mass[1] },
  };
}

/** A field knife's, before its maker says otherwise. */
export function plainUse(): Use {
  return withUse(
    {
      kind: "own",
      balanceMm: { low: 0, high: 0 },
      massG: { low: 1, high: 1 },
      grips: [newGrip("grip-1", "Working", -GRIP_BEHIND_MM)],
      toleranceMm: 0.1,
      shapingMm: 0.4,
    },
    "field",
  );
}

/** How far a value lies outside a window; 0 inside, below zero under it. */
export function outside(
  value: number,
  { low, high }: { readonly low: number; readonly high: number },
): number {
  if (value < low) return value - low;
  return value > high ? value - high : 0;
}
