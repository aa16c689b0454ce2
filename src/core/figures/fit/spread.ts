import { roundTo } from "../../base/number";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";

type Moves = readonly { readonly id: string; readonly xMm: number; readonly yMm: number }[];

const tenth = (mm: number) => roundTo(mm, 1) + 0;

/** Height half way between the handle's edges at a station. */
function middleAt(design: Design, x: number): number {
  const ys = layoutOf(design).outline.cut(x);
  return ys.length > 1 ? tenth((ys[0] + ys[ys.length - 1]) / 2) : 0;
}

const byStation = (design: Design) => [...design.fasteners].sort((a, b) => b.xMm - a.xMm);

/** Every fastener moved up or down to the handle's middle line. */
export function alignedToMiddle(design: Design): Moves {
  return design.fasteners.map((f) => ({ id: f.id, xMm: f.xMm, yMm: middleAt(design, f.xMm) }));
}

/** Fasteners between the first and the last spread evenly, each moved with the middle line. Fewer than three stay. */
export function evenlySpread(design: Design): Moves {
  const pins = byStation(design);
  if (pins.length < 3) return [];
  const [first, last] = [pins[0].xMm, pins[pins.length - 1].xMm];
  return pins.slice(1, -1).map((f, i) => {
    const xMm = tenth(first + ((last - first) * (i + 1)) / (pins.length - 1));
    return { id: f.id, xMm, yMm: tenth(f.yMm + middleAt(design, xMm) - middleAt(design, f.xMm)) };
  });
}

/** The last fastener as far from the butt as the first is from the front, the others mirrored likewise. */
export function mirrored(design: Design): Moves {
  const pins = byStation(design);
  const { frontX: front, buttX: butt } = layoutOf(design);
  const half = Math.floor(pins.length / 2);
  return pins.slice(0, half).map((f, i) => {
    const twin = pins[pins.length - 1 - i];
    const xMm = tenth(butt + (front - f.xMm));
    return { id: twin.id, xMm, yMm: tenth(twin.yMm + middleAt(design, xMm) - middleAt(design, twin.xMm)) };
  });
}
