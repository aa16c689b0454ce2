"use client";
import { printLength } from "@/core/base/units/print";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import { useUnits } from "@/store/settings";

import { DATUM_HELP } from "@/words/balance";
import { LengthAt, YesAt } from "../bound/bound";
import { Fact, Figures, Note, Section } from "../report/Section";
import { PartNote } from "../workshop/PartNote";

/** The handle against the hand it is for. */
export function HandSection({ fit: { hand } }: { fit: FitFigures }) {
  const units = useUnits();
  const length = (mm: number) => printLength(mm, units);
  return (
    <Section
      id="hand"
      title="Hand and section"
      settings={
        <>
          <PartNote part="handMm" />
          <LengthAt at="workshop.handMm" help="Across the knuckles." />
          <YesAt at="fitUp.thrust" />
        </>
      }
    >
      <Fact name="Grip">
        {length(hand.gripMm)} long; the hand wants {length(hand.wantedMm)} or a little more
      </Fact>
      <Figures
        label="Sections along the handle"
        rows={hand.girths}
        keyOf={(g) => g.behindMm.toFixed(1)}
        none=""
        place={(g) => ({ x: -g.behindMm, y: 0 })}
        columns={[
          { name: "Behind the front", help: DATUM_HELP, number: true, of: (g) => length(g.behindMm) },
          { name: "Height", number: true, of: (g) => length(g.heightMm) },
          { name: "Thickness", number: true, of: (g) => length(g.thicknessMm) },
          { name: "Girth", number: true, of: (g) => length(g.girthMm) },
          { name: "Height : thickness", number: true, of: (g) => g.ratio.toFixed(2) },
        ]}
      />
      {hand.bevel && (
        <Fact name="Front bevel">
          cut it {length(hand.bevel.cutMm)} long on the stock: contouring takes {length(hand.bevel.lostMm)},{" "}
          {length(hand.bevel.leftMm)} is left
        </Fact>
      )}
      <Note>Finish the front faces to the last grit before glue-up: they cannot be reached after.</Note>
    </Section>
  );
}
