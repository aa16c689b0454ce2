import { expect } from "vitest";
import { newDesign } from "../design/create";
import { plainKnife } from "../design/plainKnife.fixtures";
import type { Design, Fastener, FullTang, HiddenTang } from "../design/schema";
import { withTang } from "../starts/constructions";

export const sound = newDesign("Sedge");
export const full = plainKnife(sound);
export const hidden = plainKnife(withTang(sound, "hidden"));

export const slab = (change: Partial<FullTang>): Design => ({
  ...full,
  tang: { ...(full.tang as FullTang), ...change },
});
/** A straight bar of 60 × 12 × 4 mm in a tight hole, on the axis. */
export const bar = (change: Partial<HiddenTang> = {}, of: Design = hidden): Design => ({
  ...of,
  tang: {
    ...(of.tang as HiddenTang),
    lengthMm: 60,
    yMm: 0,
    frontHeightMm: 12,
    endHeightMm: 12,
    frontThicknessMm: 4,
    endThicknessMm: 4,
    hole: { kind: "broached", clearanceMm: 0, deeperMm: 0, fill: null },
    ...change,
  },
});
export const fastened = (f: Fastener): Design => ({ ...full, fasteners: [f] });
export const at = { xMm: -50, yMm: 0 };
export const near = (value: number | undefined, exact: number, within = 1e-5) =>
  expect(Math.abs((value ?? 0) / exact - 1)).toBeLessThan(within);
