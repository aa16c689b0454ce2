import type { Design } from "../../knife/design/schema";
import { withHeelHeight } from "../../knife/layout/bladeLengths";
import { handleLength, withHandleLength } from "../../knife/layout/handleLengths";

/** A size that may come out different: how to change it, and by how much it may be off (two standard deviations). */
export interface Dimension {
  readonly id: string;
  readonly offMm: number;
  readonly apply: (design: Design, byMm: number) => Design;
}

/** Sizes of metal, and of what is shaped by hand. */
export function dimensionsOf(design: Design): Dimension[] {
  const { blade, tang, handle, guard, use } = design;
  const metal = use.toleranceMm;
  const shaped = use.shapingMm;
  const list: Dimension[] = [];
  if (!blade.measured) {
    list.push({
      id: "spine",
      offMm: metal,
      apply: (d, by) => ({
        ...d,
        blade: {
          ...d.blade,
          spineMm: d.blade.spineMm + by,
          tipThicknessMm: d.blade.tipThicknessMm + by,
          taper: d.blade.taper.map((p) => ({ ...p, thicknessMm: p.thicknessMm + by })),
        },
      }),
    });
    list.push({
      id: "heel",
      offMm: shaped,
      apply: (d, by) => ({ ...d, blade: withHeelHeight(d.blade, d.blade.heelHeightMm + by) }),
    });
  }
  if (tang.kind !== "full")
    list.push({
      id: "tang",
      offMm: metal,
      apply: (d, by) =>
        d.tang.kind === "full"
          ? d
          : {
              ...d,
              tang: {
                ...d.tang,
                frontThicknessMm: d.tang.frontThicknessMm + by,
                endThicknessMm: d.tang.endThicknessMm + by,
              },
            },
    });
  if (guard && !guard.mesh) {
    list.push({
      id: "guard-thickness",
      offMm: metal,
      apply: (d, by) =>
        d.guard
          ? {
              ...d,
              guard: {
                ...d.guard,
                plates: d.guard.plates.map((p, i) =>
                  i === 0 ? { ...p, thicknessMm: p.thicknessMm + by } : p,
                ),
              },
            }
          : d,
    });
    list.push({
      id: "guard-size",
      offMm: shaped,
      apply: (d, by) =>
        d.guard
          ? { ...d, guard: { ...d.guard, widthMm: d.guard.widthMm + by, belowMm: d.guard.belowMm + by / 2 } }
          : d,
    });
  }
  list.push({
    id: "handle-thickness",
    offMm: shaped,
    apply: (d, by) => ({
      ...d,
      handle: {
        ...d.handle,
        plan: d.handle.plan.map((p) => ({
          ...p,
          halfMm: p.halfMm + by / 2,
          leftHalfMm: p.leftHalfMm === null ? null : p.leftHalfMm + by / 2,
        })),
      },
    }),
  });
  list.push({
    id: "handle-length",
    offMm: shaped,
    apply: (d, by) => ({
      ...d,
      handle: withHandleLength(d.handle, "length", (handleLength(d.handle, "length") ?? 0) + by),
    }),
  });
  if (handle.kind === "scales" && handle.liners.length > 0)
    list.push({
      id: "liner-thickness",
      offMm: Math.min(metal, handle.liners[0].thicknessMm / 2),
      apply: (d, by) =>
        d.handle.kind === "scales"
          ? {
              ...d,
              handle: {
                ...d.handle,
                liners: d.handle.liners.map((l, i) =>
                  i === 0 ? { ...l, thicknessMm: l.thicknessMm + by } : l,
                ),
              },
            }
          : d,
    });
  return list.filter((d) => d.offMm > 0);
}
