import { plainBladeForm } from "./bladeForm";
import { type HandleMeasures, outlineFrom, planFrom, round } from "./create";
import type { Blade, Design, Fastener, OutlinePoint, UseKind } from "./schema";
import { withUse } from "./uses";

type Place = readonly [xMm: number, yMm: number, corner?: "corner"];

/** Points of an outline, front last, in mm. */
export function points(run: "spine" | "edge", ...places: readonly Place[]): OutlinePoint[] {
  return places.map(([xMm, yMm, corner], i) => ({
    id: `${run}-${i + 1}`,
    xMm,
    yMm,
    corner: corner === "corner",
  }));
}

/** The plain knife with another blade; everything that is not said is as a field knife has it, without cuts. */
export function withBlade(design: Design, change: Partial<Blade>): Design {
  return { ...design, blade: { ...design.blade, ...plainBladeForm(), ...change } };
}

/** A handle of those measures, its pins moved to where their shares of its length are. */
export function withHandle(
  design: Design,
  m: HandleMeasures,
  halves: readonly [number, number, number, number],
  roundness = 0.7,
): Design {
  const plan = planFrom(m.lengthMm, halves, roundness);
  return { ...design, handle: { ...design.handle, outline: outlineFrom(m), plan } };
}

/** Pins of a diameter at shares of the handle's length, at heights over the axis. */
export function pins(
  lengthMm: number,
  diameterMm: number,
  ...places: readonly (readonly [number, number])[]
): Fastener[] {
  return places.map(([share, yMm], i) => ({
    id: `pin-${i + 1}`,
    kind: "pin",
    xMm: round(-share * lengthMm),
    yMm,
    diameterMm,
    material: "brass-360",
  }));
}

/** A full tang that falls to a share of its thickness, with holes in the middle of its height. */
export function lightened(design: Design, share: number, stations: readonly number[]): Design {
  if (design.tang.kind !== "full") return design;
  const { spineMm } = design.blade;
  const holes = stations.map((xMm, i) => ({
    id: `hole-${i + 1}`,
    xMm,
    yMm: -1.5,
    diameterMm: 8,
    fill: "epoxy",
    purpose: "lighten" as const,
  }));
  const taper = { frontMm: spineMm, buttMm: round(share * spineMm) };
  return { ...design, tang: { ...design.tang, taper, holes } };
}

export const used = (design: Design, kind: UseKind): Design => ({
  ...design,
  use: withUse(design.use, kind),
});

export const flat = (heightMm: number): Blade["grind"] => ({
  kind: "partial-flat",
  heightMm,
  along: [],
  angleDeg: null,
});

/** The heights of a blade at its shoulder: the spine's over the axis, and from there down to the edge's. */
export function heights(spineOverAxisMm: number, ricassoHeightMm: number) {
  return { spineOverAxisMm, ricassoHeightMm };
}

/** Scales of a thickness on both sides. */
export function scaled(design: Design, thicknessMm: number): Design {
  const { handle } = design;
  if (handle.kind !== "scales") return design;
  return {
    ...design,
    handle: {
      ...handle,
      right: { ...handle.right, thicknessMm },
      left: { ...handle.left, thicknessMm },
    },
  };
}
