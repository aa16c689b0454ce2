import type { Design } from "../../knife/design/schema";
import { withHeelHeight } from "../../knife/layout/bladeLengths";
import { handleLength, withHandleLength } from "../../knife/layout/handleLengths";

/** A size that may come out different: how to change it, and by how much it may be off (two standard deviations). */
export interface Dimension {
  readonly id: string;
  readonly offMm: number;
  readonly apply: (design: Design, byMm: number) => Design;
}

type Apply = Dimension["apply"];

const spine: Apply = (d, by) => ({
  ...d,
  blade: {
    ...d.blade,
    spineMm: d.blade.spineMm + by,
    tipThicknessMm: d.blade.tipThicknessMm + by,
    taper: d.blade.taper.map((p) => ({ ...p, thicknessMm: p.thicknessMm + by })),
  },
});

const heel: Apply = (d, by) => ({ ...d, blade: withHeelHeight(d.blade, d.blade.heelHeightMm + by) });

const tangThickness: Apply = (d, by) => {
  if (d.tang.kind === "full") return d;
  const { frontThicknessMm, endThicknessMm } = d.tang;
  return {
    ...d,
    tang: { ...d.tang, frontThicknessMm: frontThicknessMm + by, endThicknessMm: endThicknessMm + by },
  };
};

/** The first of several sheets, thicker. */
const thicker = <S extends { readonly thicknessMm: number }>(sheets: readonly S[], by: number): S[] =>
  sheets.map((s, i) => (i === 0 ? { ...s, thicknessMm: s.thicknessMm + by } : s));

const guardThickness: Apply = (d, by) =>
  d.guard ? { ...d, guard: { ...d.guard, plates: thicker(d.guard.plates, by) } } : d;

const guardSize: Apply = (d, by) =>
  d.guard
    ? { ...d, guard: { ...d.guard, widthMm: d.guard.widthMm + by, belowMm: d.guard.belowMm + by / 2 } }
    : d;

const handleThickness: Apply = (d, by) => ({
  ...d,
  handle: {
    ...d.handle,
    plan: d.handle.plan.map((p) => ({
      ...p,
      halfMm: p.halfMm + by / 2,
      leftHalfMm: p.leftHalfMm === null ? null : p.leftHalfMm + by / 2,
    })),
  },
});

const handleLonger: Apply = (d, by) => ({
  ...d,
  handle: withHandleLength(d.handle, "length", (handleLength(d.handle, "length") ?? 0) + by),
});

const linerThickness: Apply = (d, by) =>
  d.handle.kind === "scales" ? { ...d, handle: { ...d.handle, liners: thicker(d.handle.liners, by) } } : d;

/** Sizes of metal, and of what is shaped by hand. */
export function dimensionsOf(design: Design): Dimension[] {
  const { blade, tang, handle, guard, use } = design;
  const metal = use.toleranceMm;
  const shaped = use.shapingMm;
  const plates = guard !== null && !guard.mesh;
  const [liner] = handle.kind === "scales" ? handle.liners : [];
  const all: readonly (readonly [boolean, Dimension])[] = [
    [!blade.measured, { id: "spine", offMm: metal, apply: spine }],
    [!blade.measured, { id: "heel", offMm: shaped, apply: heel }],
    [tang.kind !== "full", { id: "tang", offMm: metal, apply: tangThickness }],
    [plates, { id: "guard-thickness", offMm: metal, apply: guardThickness }],
    [plates, { id: "guard-size", offMm: shaped, apply: guardSize }],
    [true, { id: "handle-thickness", offMm: shaped, apply: handleThickness }],
    [true, { id: "handle-length", offMm: shaped, apply: handleLonger }],
    [
      liner !== undefined,
      {
        id: "liner-thickness",
        offMm: Math.min(metal, (liner?.thicknessMm ?? 0) / 2),
        apply: linerThickness,
      },
    ],
  ];
  return all.filter(([there, { offMm }]) => there && offMm > 0).map(([, dimension]) => dimension);
}
