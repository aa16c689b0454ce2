"use client";
import { useMemo } from "react";
import { printLength } from "@/core/base/units/print";
import { grindStages, hollowTools } from "@/core/figures/fit/grinding";
import { useUnits } from "@/store/settings";
import { HOLLOW_WORDS, hollowToolWords } from "@/words/grinding";
import { LengthAt } from "../bound/bound";
import { LengthList } from "../bound/LengthList";
import { Fact, Figures, Note, Section } from "../report/Section";
import { useDesign } from "../session/BenchContext";
import { PartNote } from "../workshop/PartNote";

/** The grind line before hardening and after, and the tool for each hollow. */
export function GrindingSection() {
  const design = useDesign();
  const units = useUnits();
  const length = (mm: number, digits = 1) => printLength(mm, units, digits);
  const { stages, tools } = useMemo(
    () => ({ stages: grindStages(design), tools: hollowTools(design) }),
    [design],
  );
  const [first] = stages;
  return (
    <Section
      id="grinding"
      title="Grinding"
      settings={
        <>
          <LengthAt at="fitUp.grinding.softEdgeMm" />
          <LengthAt at="fitUp.grinding.flatsMm" />
          <PartNote part="grinders" />
          <LengthList at="workshop.grinders.wheelsMm" mayBeEmpty />
          <LengthList at="workshop.grinders.filesMm" mayBeEmpty />
        </>
      }
    >
      {first ? (
        <>
          <Fact name="Grind line, behind">
            {length(first.softMm)} over the edge before hardening, {length(first.finishedMm)} finished
          </Fact>
          <Fact name="Once the flats are ground">{length(first.flattedMm)}</Fact>
          <Fact name="Bevel there">{first.angleDeg.toFixed(2)}°</Fact>
        </>
      ) : (
        <Fact name="Grind">This blade is not ground.</Fact>
      )}
      <Figures
        label="Hollows and their tools"
        rows={tools}
        keyOf={(t) => `${t.of}-${t.xMm}-${t.radiusMm}`}
        none="Nothing is hollowed."
        columns={[
          { name: "Hollow", of: (t) => HOLLOW_WORDS[t.of] },
          {
            name: "Where",
            number: true,
            of: (t) => `${length(Math.abs(t.xMm))} ${t.xMm < 0 ? "behind" : "ahead"}`,
          },
          { name: "Tightest radius", number: true, of: (t) => length(t.radiusMm) },
          { name: "Largest tool that fits", of: (t) => hollowToolWords(t.tool, (mm) => length(mm, 0)) },
        ]}
      />
      <Note>
        Ground thin before hardening an edge warps or cracks: about a coin's thickness is left. A sheet for
        the grinder, with thicknesses to measure, is under Sheets.
      </Note>
    </Section>
  );
}
