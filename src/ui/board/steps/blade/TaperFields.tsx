"use client";
import { isDouble } from "@/core/geometry/solids/grind";
import { spineThickness } from "@/core/geometry/solids/groundBlade";
import { round } from "@/core/knife/design/create";
import { groundBlade } from "@/core/knife/layout/groundBlade";
import { LengthAt } from "../../../bound/bound";
import { useBench, useDesign } from "../../../session/BenchContext";
import { Group } from "../Group";
import { PointList } from "./HeightsAlong";

/** Thickness at the spine, or at a double edge's ridge: even, in a straight taper, or by points. */
export function TaperFields() {
  const { session } = useBench();
  const { taper, double } = useDesign(({ blade }) => ({
    taper: blade.taper,
    double: isDouble(blade.grind),
  }));
  const make = (id: string) => {
    const { blade } = session.getState().design;
    const last = taper.reduce((most, p) => Math.max(most, p.xMm), blade.taperFromMm);
    const xMm = round((last + blade.lengthMm) / 2);
    return { id, xMm, thicknessMm: round(spineThickness(groundBlade(blade), xMm)) };
  };
  return (
    <Group title="Thickness">
      <LengthAt at="blade.spineMm" label={double ? "Ridge" : "Spine"} />
      <LengthAt at="blade.taperFromMm" />
      <LengthAt at="blade.tipThicknessMm" label={double ? "Ridge at the tip" : "Spine at the tip"} />
      <PointList
        at="blade.taper"
        points={taper}
        most={12}
        valueKey="thicknessMm"
        valueLabel="thickness"
        addLabel="Thickness at a station"
        make={make}
        what="Taper"
      />
    </Group>
  );
}
