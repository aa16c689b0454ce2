import { sectionOutline } from "../../figures/pieces/frontOutline";
import type { Loop } from "../../geometry/contours/loop";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { asLoops } from "./follows";

/** The finished handle's section at a station, to cut a gauge by. */
export interface Gauge {
  readonly behindMm: number;
  readonly outlines: readonly Loop[];
}

/** Shares of the handle's length at which gauges are made. */
const SHARES = [0.1, 0.35, 0.6, 0.85];

/** Sections of the finished handle, front first, x to the right of a holder and y to the spine; none of a bare tang. */
export function gauges(design: Design): Gauge[] {
  if (design.handle.kind === "bare") return [];
  const { frontX, buttX, body } = layoutOf(design);
  return SHARES.map((share) => {
    const x = frontX - share * (frontX - buttX);
    return { behindMm: -x, outlines: asLoops(sectionOutline([body], x)) };
  }).filter((g) => g.outlines.length > 0);
}
