import { bladeOutline } from "@/core/assembly/bladeOutline";
import { handleOutline } from "@/core/assembly/handleOutline";
import { cubicY } from "@/core/curve/bezier";
import type { Design } from "@/core/design/schema";

/** The box round a knife seen from the side, mm. */
export interface Extent {
  readonly xLow: number;
  readonly xHigh: number;
  readonly yLow: number;
  readonly yHigh: number;
}

export function knifeExtent(design: Design): Extent {
  const blade = bladeOutline(design.blade);
  const handle = handleOutline(design.handle);
  const ys = [...blade.cubics, ...handle.cubics].flatMap((c) =>
    [0, 0.25, 0.5, 0.75, 1].map((t) => cubicY(c, t)),
  );
  return {
    xLow: Math.min(handle.xRange[0], 0),
    xHigh: Math.max(blade.xRange[1], handle.xRange[1]),
    yLow: Math.min(...ys, -(design.guard?.belowMm ?? 0)),
    yHigh: Math.max(...ys, design.guard?.aboveMm ?? 0),
  };
}
