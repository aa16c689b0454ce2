"use client";
import { Stack, Text } from "@chakra-ui/react";
import { SAME_PLACE_MM } from "@/core/base/tolerances";
import { printLength } from "@/core/base/units/print";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import type { GuardSlot } from "@/core/figures/fit/guardSlot";
import { partRefOf } from "@/core/figures/review/partRefs";
import type { Guard } from "@/core/knife/design/schema";
import { guardWidthAt } from "@/core/knife/layout/guard";
import { useUnits } from "@/store/settings";
import { openingWords } from "@/words/fit";
import { partName } from "@/words/parts";
import { LengthAt } from "../bound/bound";
import { LengthList } from "../bound/LengthList";
import { color } from "../kit/theme";
import { Fact, Figures, Note, Section } from "../report/Section";
import { useDesign } from "../session/BenchContext";
import { PartNote } from "../workshop/PartNote";

/** The slot through the guard: its size, how it is made, and its drawing at full size. */
export function SlotSection({ fit }: { fit: FitFigures }) {
  const design = useDesign();
  const units = useUnits();
  const { slot } = fit;
  const length = (mm: number) => printLength(mm, units, 2);
  if (!slot || !design.guard)
    return (
      <Section id="slot" title="Guard slot">
        <Text color="graphite">No plate guard: no slot through it.</Text>
        <PieceOpenings fit={fit} />
      </Section>
    );
  const over = Math.max(slot.behind.heightMm - slot.heightMm, slot.behind.thicknessMm - slot.thicknessMm);
  return (
    <Section
      id="slot"
      title="Guard slot"
      settings={
        <>
          {design.tang.kind === "full" ? (
            <LengthAt at="fitUp.slotClearanceMm" />
          ) : (
            <LengthAt at="guard.slot.clearanceMm" label="Clearance, each side" />
          )}
          <LengthAt at="fitUp.filingMm" />
          <PartNote part="cuttersMm" />
          <LengthList at="workshop.cuttersMm" />
        </>
      }
    >
      <Stack direction="row" gap="6" align="start">
        <SlotFromFront slot={slot} guard={design.guard} />
        <Stack gap="1.5">
          <Fact name="Tang at the seat">
            {length(slot.tangHeightMm)} × {length(slot.tangThicknessMm)}
          </Fact>
          <Fact name="Slot">
            {length(slot.heightMm)} × {length(slot.thicknessMm)}, {length(slot.depthMm)} through
          </Fact>
          {slot.cornerMm > 0 && <Fact name="Corners">{length(slot.cornerMm)} radius</Fact>}
          <Fact name="Largest behind it">
            {length(slot.behind.heightMm)} × {length(slot.behind.thicknessMm)}
            {over > SAME_PLACE_MM ? ": does not pass" : ": passes"}
          </Fact>
          {(slot.coverAboveMm !== null || slot.coverBelowMm !== null) && (
            <Fact name="Shoulders cover it by">
              {slot.coverAboveMm !== null && `${length(slot.coverAboveMm)} above`}
              {slot.coverAboveMm !== null && slot.coverBelowMm !== null && ", "}
              {slot.coverBelowMm !== null && `${length(slot.coverBelowMm)} below`}
            </Fact>
          )}
          {slot.mill ? (
            <Fact name="Mill">
              {length(slot.mill.cutterMm)} cutter, {length(slot.mill.offsetMm)} to each side of the middle
              line, travel {length(slot.mill.travelMm)}
            </Fact>
          ) : (
            <Fact name="Mill">no cutter is narrower than the slot less what is left for the file</Fact>
          )}
          {slot.chain ? (
            <Fact name={slot.chain.holes > 1 ? "Or chain-drill" : "Or drill"}>
              {slot.chain.holes > 1
                ? `${slot.chain.holes} holes of ${slot.chain.drill.name}, ${length(slot.chain.pitchMm)} apart, then file`
                : `one hole of ${slot.chain.drill.name} in its middle, then file or broach it out: a second does not fit`}
            </Fact>
          ) : (
            <Fact name="Or chain-drill">no drill is narrow enough</Fact>
          )}
        </Stack>
      </Stack>
      <Note>
        Leave the slot a file-stroke tight and fit it by hand; ends left round are filed square to the tang.
        Fit the guard before any hole of the handle is drilled. Spacers and bolsters behind it have the same
        slot.
      </Note>
    </Section>
  );
}

/** Openings of the pieces behind: what the tang, or its rod, comes in by and goes out by. */
function PieceOpenings({ fit }: { fit: FitFigures }) {
  const units = useUnits();
  const length = (mm: number) => printLength(mm, units, 2);
  if (fit.openings.length === 0) return null;
  return (
    <Figures
      label="Openings of pieces"
      rows={fit.openings}
      keyOf={(p) => String(p.number)}
      none=""
      partRefsOf={(p) => [partRefOf(p.key)]}
      columns={[
        { name: "Piece", of: (p) => partName(p.key) },
        { name: "Open at its front", number: true, of: (p) => openingWords(p.front, length) },
        { name: "At its rear", number: true, of: (p) => openingWords(p.rear, length) },
      ]}
    />
  );
}

/** The guard from its front with the slot in it. */
function SlotFromFront({ slot, guard }: { slot: GuardSlot; guard: Guard }) {
  const [wide, tall] = [guard.widthMm + 6, guard.aboveMm + guard.belowMm + 6];
  const middle = wide / 2;
  const top = guard.aboveMm + 3;
  const edge: string[] = [];
  const n = 60;
  for (let i = 0; i <= n; i++) {
    const y = guard.aboveMm - ((guard.aboveMm + guard.belowMm) * i) / n;
    edge.push(`${middle + guardWidthAt(guard, y) / 2} ${top - y}`);
  }
  for (let i = n; i >= 0; i--) {
    const y = guard.aboveMm - ((guard.aboveMm + guard.belowMm) * i) / n;
    edge.push(`${middle - guardWidthAt(guard, y) / 2} ${top - y}`);
  }
  const r = Math.min(slot.cornerMm, slot.thicknessMm / 2);
  const x = middle - slot.thicknessMm / 2;
  const y = top - slot.yMm - slot.heightMm / 2;
  return (
    <Stack gap="1" flexShrink="0">
      <svg
        width={`${wide}mm`}
        height={`${tall}mm`}
        viewBox={`0 0 ${wide} ${tall}`}
        role="img"
        aria-label="Guard from its front with its slot"
      >
        <path d={`M${edge.join("L")}Z`} fill={color("sheet")} stroke={color("ink")} strokeWidth="0.3" />
        <rect
          x={x}
          y={y}
          width={slot.thicknessMm}
          height={slot.heightMm}
          rx={r}
          fill={color("ground")}
          stroke={color("ink")}
          strokeWidth="0.3"
        />
        <path
          d={`M${middle} 0V${tall}M0 ${top}H${wide}`}
          stroke={color("line")}
          strokeWidth="0.2"
          strokeDasharray="4 1 0.6 1"
        />
        {slot.mill && (
          <path
            d={[1, -1]
              .map(
                (s) =>
                  `M${middle + s * slot.mill!.offsetMm} ${y + slot.mill!.cutterMm / 2}v${slot.mill!.travelMm}`,
              )
              .join("")}
            stroke={color("ink")}
            strokeWidth="0.2"
          />
        )}
      </svg>
    </Stack>
  );
}
