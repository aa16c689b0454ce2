"use client";
import { printLength, printMeasure } from "@/core/base/units/print";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import { partRefsOfMaterial } from "@/core/figures/review/partRefs";
import { useUnits } from "@/store/settings";
import { DATUM_HELP } from "@/words/balance";
import { LengthAt, MeasureAt, ShareAt } from "../bound/bound";
import { useMaterialOf } from "../kit/materials";
import { Fact, Figures, Note, Section } from "../report/Section";
import { useDesign } from "../session/BenchContext";

/** Bending of the tang under stated loads, and how far wood moves over the year. */
export function StrengthSection({ fit: { stress, movement } }: { fit: FitFigures }) {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const design = useDesign();
  const length = (mm: number) => printLength(mm, units, 2);
  return (
    <Section
      id="strength"
      title="Strength and movement"
      settings={
        <>
          <MeasureAt kind="force" at="fitUp.loads.sideN" />
          <MeasureAt kind="force" at="fitUp.loads.edgeN" />
          <LengthAt at="fitUp.loads.atMm" help={DATUM_HELP} />
          <MeasureAt
            kind="stress"
            at="fitUp.loads.yieldMPa"
            help={`At the hardness of the tang, not of the edge.${units === "metric" ? " 10 N is about 1 kg." : ""}`}
          />
          <ShareAt at="fitUp.climate.low" unit="" />
          <ShareAt at="fitUp.climate.high" unit="" />
        </>
      }
    >
      <Fact name="Tang at the front">
        {length(stress.heightMm)} high, {length(stress.thicknessMm)} thick
      </Fact>
      <Fact name="Stress from the side">
        {printMeasure("stress", stress.sideMPa, units)} (corner factor {stress.sideFactor.toFixed(2)})
      </Fact>
      <Fact name="Stress on the edge">
        {printMeasure("stress", stress.edgeMPa, units)} (corner factor {stress.edgeFactor.toFixed(2)})
      </Fact>
      <Fact name="Share of its yield strength">{Math.round(stress.ratio * 100)} %</Fact>
      <Note>
        An estimate by beam theory: it knows nothing of hardness, welds, scratches or shocks. Never pry with a
        knife.
      </Note>
      <Figures
        label="Movement of wood"
        rows={movement}
        keyOf={(m) => m.material}
        none="No wood that moves much."
        partRefsOf={(m) => partRefsOfMaterial(design, m.material)}
        columns={[
          { name: "Wood", of: (m) => materialOf(m.material)?.name ?? m.material },
          { name: "Across", number: true, of: (m) => length(m.acrossMm) },
          { name: "Flat-sawn", number: true, of: (m) => length(m.mostMm) },
          { name: "Quarter-sawn", number: true, of: (m) => length(m.leastMm) },
        ]}
      />
      <Note>
        Over {printLength(0.1, units)} is felt where a scale stands flush with the tang. USDA Wood Handbook,
        values from memory.
      </Note>
    </Section>
  );
}
