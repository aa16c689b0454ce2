"use client";
import { printLength } from "@/core/base/units/print";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import { useUnits } from "@/store/settings";
import { itemWords } from "@/words/fasteners";

import { Figures, Note, Section } from "../report/Section";

/** Bolts and screws: how deep to counterbore, what is left under and over the heads, and what to buy. */
export function BoltsSection({ fit }: { fit: FitFigures }) {
  const units = useUnits();
  const length = (mm: number) => printLength(mm, units, 2);
  const both = ([right, left]: readonly [number, number]) =>
    Math.abs(right - left) < 0.005 ? length(right) : `${length(right)} · ${length(left)}`;
  return (
    <Section id="bolts" title="Bolts and screws">
      <Figures
        label="Bolts and screws"
        rows={fit.seats}
        keyOf={(s) => s.id}
        none="No bolts or screws with heads."
        partRefsOf={(s) => [`fastener:${s.id}`]}
        columns={[
          { name: "Fastener", of: (s) => itemWords(s.name) },
          { name: "Seat to seat", number: true, of: (s) => length(s.seatToSeatMm) },
          {
            name: "Counterbore",
            number: true,
            of: (s) => `${length(s.counterboreMm)} × ${both(s.depthFromStockMm)}`,
          },
          { name: "Under the head", number: true, of: (s) => length(s.underHeadMm) },
          { name: "Over the seat", number: true, of: (s) => both(s.overSeatMm) },
          { name: "Over the head", number: true, of: (s) => both(s.overHeadMm) },
          {
            name: "Engaged",
            number: true,
            of: (s) => `${length(s.engagedMm)} of ${length(s.engagedWantedMm)}`,
          },
          { name: "Screw", number: true, of: (s) => length(s.screwLengthMm) },
          { name: "Key", of: (s) => s.key ?? "–" },
        ]}
      />
      <Note>
        Counterbores are measured from the flat stock; over seat and head is what the finished surface leaves
        at that very partRef, right · left. Below zero a head stands proud and is dressed away. Keep epoxy out
        of the threads.
      </Note>
    </Section>
  );
}
