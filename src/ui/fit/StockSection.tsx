"use client";
import { Button, Flex, SimpleGrid } from "@chakra-ui/react";
import { roundTo } from "@/core/base/number";
import { ROUNDING } from "@/core/base/tolerances";
import { printLength, printLengthBare } from "@/core/base/units/print";
import type { Size } from "@/core/figures/fit/bladeStock";
import type { FitFigures } from "@/core/figures/fit/fitFigures";
import type { CutPiece } from "@/core/figures/fit/stockList";
import { partRefOf, partRefsOfMaterial } from "@/core/figures/review/partRefs";
import { useUnits } from "@/store/settings";
import { MADE_WORDS, SIZE_WORDS } from "@/words/fit";
import { cutName, numbered } from "@/words/parts";
import { LengthAt } from "../bound/bound";
import { ItemCard } from "../bound/ItemCard";
import { useMaterialOf } from "../kit/materials";
import { Figures, Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";
import { PartNote } from "../workshop/PartNote";

/** What to saw, against what is there. */
export function StockSection({ fit }: { fit: FitFigures }) {
  return (
    <Section
      id="stock"
      title="Stock to cut"
      settings={
        <>
          <PartNote part="saw" />
          <LengthAt at="workshop.saw.kerfMm" />
          <LengthAt at="workshop.saw.allowanceMm" />
        </>
      }
    >
      <CutTable fit={fit} />
      <StatedStock fit={fit} />
      <RodTable fit={fit} />
      <WrapNotes fit={fit} />
      <Flex>
        <Note>
          Length × height × thickness. Scales come as a matched pair: mark left and right, and the way of the
          grain, before the saw. Keep a spare.
        </Note>
      </Flex>
    </Section>
  );
}

/** What a material is called. */
function useMaterialName(): (id: string) => string {
  const materialOf = useMaterialOf();
  return (id) => materialOf(id)?.name ?? id;
}

/** What is marked on a piece before it is sawn. */
const marksOf = (p: CutPiece) =>
  [
    p.discs ? `${p.discs.count} discs` : "",
    p.pair ? "matched, L and R" : "",
    p.grain ? "grain lengthwise" : "",
  ]
    .filter(Boolean)
    .join("; ");

function CutTable({ fit }: { fit: FitFigures }) {
  const name = useMaterialName();
  const units = useUnits();
  const size = (s: Size) =>
    [s.lengthMm, s.heightMm, s.thicknessMm].map((mm) => printLengthBare(mm, units, 1)).join(" × ");
  return (
    <Figures
      label="Stock to cut"
      rows={fit.cut}
      keyOf={(p) => p.id}
      none="Nothing to cut."
      partRefsOf={(p) => [partRefOf(p.key)]}
      columns={[
        { name: "Piece", of: (p) => cutName(p.key) },
        { name: "Material", of: (p) => name(p.material) },
        { name: "Finished", number: true, of: (p) => size(p.finishedMm) },
        {
          name: "Saw to",
          number: true,
          of: (p) => (p.made === "sawn" ? <b>{size(p.sawnMm)}</b> : MADE_WORDS[p.made]),
        },
        { name: "Mark", of: marksOf },
        { name: "Stock", of: (p) => <InHand piece={p} /> },
      ]}
    />
  );
}

/** Whether what is there is big enough for a piece; the way to say what is. */
function InHand({ piece: p }: { piece: CutPiece }) {
  const { edit } = useBench();
  const units = useUnits();
  if (p.made !== "sawn") return "–";
  if (!p.have)
    return (
      <Button
        size="2xs"
        variant="outline"
        aria-label={`State the stock for ${cutName(p.key)}`}
        onClick={() =>
          edit({ code: "add", list: "fitUp.stock.have", item: { piece: p.id, ...rounded(p.sawnMm) } })
        }
      >
        I have …
      </Button>
    );
  const short = SIZES.filter((of) => (p.shortMm?.[of] ?? 0) > ROUNDING);
  if (short.length === 0) return "big enough";
  return short
    .map((of) => `${SIZE_WORDS[of]} ${printLengthBare(p.shortMm?.[of] ?? 0, units, 1)} too small`)
    .join(", ");
}

/** The sizes of what was said to be there. */
function StatedStock({ fit }: { fit: FitFigures }) {
  const { edit } = useBench();
  const have = useDesign((d) => d.fitUp.stock.have);
  if (have.length === 0) return null;
  const called = (id: string) => {
    const there = fit.cut.find((p) => p.id === id);
    return there ? cutName(there.key) : id;
  };
  return (
    <SimpleGrid minChildWidth="280px" gap="3">
      {have.map((h, i) => (
        <ItemCard
          key={h.piece}
          id={`stock-${i}`}
          title={called(h.piece)}
          onRemove={() => edit({ code: "remove", list: "fitUp.stock.have", at: i })}
        >
          <LengthAt at={`fitUp.stock.have.${i}.lengthMm`} />
          <LengthAt at={`fitUp.stock.have.${i}.heightMm`} />
          <LengthAt at={`fitUp.stock.have.${i}.thicknessMm`} />
        </ItemCard>
      ))}
    </SimpleGrid>
  );
}

function RodTable({ fit }: { fit: FitFigures }) {
  const design = useDesign();
  const name = useMaterialName();
  const units = useUnits();
  if (fit.rods.length === 0) return null;
  return (
    <Figures
      label="Rod to cut"
      rows={fit.rods}
      keyOf={(r) => `${r.kind}-${r.material}-${r.diameterMm}`}
      none=""
      partRefsOf={(r) => partRefsOfMaterial(design, r.material).filter((s) => s.startsWith("fastener:"))}
      columns={[
        {
          name: "Rod",
          of: (r) => `${ROD_WORDS[r.kind]}${name(r.material)}, ${printLengthBare(r.diameterMm, units, 2)}`,
        },
        { name: "Pieces", number: true, of: (r) => r.count },
        { name: "Total length", number: true, of: (r) => printLengthBare(r.lengthMm, units, 1) },
      ]}
    />
  );
}

function WrapNotes({ fit: { wraps } }: { fit: FitFigures }) {
  const name = useMaterialName();
  const units = useUnits();
  return wraps.map((wrap, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a wrap is its place among them
    <Note key={i}>
      {numbered("Wrap", wraps.length > 1 ? i + 1 : null)}: {name(wrap.material)}, {Math.round(wrap.turns)}{" "}
      turns, {printLength(wrap.lengthMm, units, 0)} on the handle; buy {printLength(wrap.buyMm, units, 0)}{" "}
      with both ends.
    </Note>
  ));
}

const SIZES = ["lengthMm", "heightMm", "thicknessMm"] as const;
const ROD_WORDS = { rod: "", tube: "Tube, ", "patterned-rod": "Patterned, " } as const;

const rounded = (s: Size) => ({
  lengthMm: Math.max(1, Math.ceil(s.lengthMm)),
  heightMm: Math.max(0.5, Math.ceil(s.heightMm * 2) / 2),
  thicknessMm: Math.max(0.05, roundTo(s.thicknessMm, 2)),
});
