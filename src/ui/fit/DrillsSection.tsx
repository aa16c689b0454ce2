"use client";
import { Button, Text } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import { printLength } from "@/core/base/units/print";
import type { BoreOwner } from "@/core/figures/fit/boreNeeds";
import type { Drill } from "@/core/figures/fit/drillSets";
import type { DrillListRow, FitFigures } from "@/core/figures/fit/fitFigures";
import { type HoleGroup, holeGroups, wayOf } from "@/core/figures/fit/holeGroups";
import { threadTable } from "@/core/figures/fit/threadTable";
import { type PartRef, partRefOfItem } from "@/core/figures/review/partRefs";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { BORE_WORDS, FIT_WORDS, ownerWords } from "@/words/fit";
import { cutName } from "@/words/parts";
import { holeWords } from "@/words/sheets";
import { ChoiceAt } from "../bound/bound";
import { DrillChoice } from "../fields/DrillChoice";
import { Figures, Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";
import { PartNote } from "../workshop/PartNote";

/** Where on the knife it is that a hole is drilled for; null of what is nowhere on it. */
function partRefOfOwner(design: Design, owner: BoreOwner): PartRef | null {
  switch (owner.kind) {
    case "fitting":
      return `fitting:${owner.sort}`;
    case "butt-nut":
    case "butt-screw":
    case "butt-cap":
      return "tang-end";
    case "tang-hole":
      return "tang";
    default:
      return partRefOfItem(design, owner);
  }
}

/** Sizes of drills as they are read: in thousandths where inches are, whether or not a maker reads fractions. */
function useDrillSizes() {
  const units = useUnits();
  const system = units === "metric" ? "metric" : "inch";
  const size = (mm: number) => printLength(mm, system, 2);
  return {
    units,
    size,
    both: (d: Drill) =>
      system === "metric"
        ? [size(d.mm), `${d.inch.toFixed(4)} in`]
        : [`${d.inch.toFixed(4)} in`, printLength(d.mm, "metric", 2)],
    off: (mm: number | null) =>
      mm === null ? "–" : `${mm > 0 ? "+" : ""}${printLength(mm, system, system === "metric" ? 3 : 2)}`,
  };
}

/** What to drill with: by use, its drill as sold, and the nearest that is there. */
export function DrillsSection({ fit }: { fit: FitFigures }) {
  const [threads, setThreads] = useState(false);
  return (
    <Section id="drills" title="Drills and holes" settings={<DrillSettings />}>
      <DrillTable fit={fit} />
      <HoleTable fit={fit} />
      <Note>
        In order of drilling: the tang before hardening; then the second scale through the first, a pin in
        each finished hole before the next; taps after their holes, counterbores last. Clamp the work on a
        backing board; never hold a blade by hand.
      </Note>
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        aria-expanded={threads}
        onClick={() => setThreads(!threads)}
      >
        Table of threads, tapping drills and keys
      </Button>
      {threads && <ThreadTable />}
    </Section>
  );
}

function DrillTable({ fit }: { fit: FitFigures }) {
  const design = useDesign();
  const { size, both, off } = useDrillSizes();
  const partial = design.workshop.drills.own.length > 0;
  return (
    <Figures
      label="Drills and holes"
      rows={fit.bores}
      keyOf={(b) => `${b.use}-${b.nominalMm}-${b.thread}`}
      none="Nothing to drill."
      partRefsOf={(b) => b.owners.flatMap((o) => partRefOfOwner(design, o) ?? [])}
      columns={[
        { name: "Order", of: (b: DrillListRow) => fit.bores.indexOf(b) + 1 },
        { name: "Hole", of: (b) => `${BORE_WORDS[b.use]}${b.thread ? ` ${b.thread}` : ""}` },
        { name: "For", of: (b) => ownerWords(b.owners) },
        { name: "Size", number: true, of: (b) => size(b.wantedMm) },
        {
          name: "Drill",
          number: true,
          of: (b) => (
            <>
              <b>{b.drill?.name ?? "none fits"}</b>
              {b.drill && (
                <Text as="span" color="graphite" fontSize="sm" ms="2">
                  {both(b.drill).join(" · ")}
                </Text>
              )}
            </>
          ),
        },
        { name: "Clearance", number: true, of: (b) => off(b.clearanceMm) },
        ...(partial
          ? [
              {
                name: "You have",
                number: true,
                of: (b: DrillListRow) => (b.owned ? `${b.owned.name} (${off(b.ownedClearanceMm)})` : "none"),
              },
            ]
          : []),
      ]}
    />
  );
}

function HoleTable({ fit }: { fit: FitFigures }) {
  const design = useDesign();
  const { units } = useDrillSizes();
  const groups = useMemo(() => holeGroups(design, fit.holes), [design, fit]);
  return (
    <Figures
      label="Holes, piece by piece"
      rows={groups}
      keyOf={(g) => `${g.holes[0].piece}-${wayOf(g.holes[0])}`}
      none=""
      partRefsOf={(g) => g.holes.flatMap((h) => partRefOfOwner(design, h.owner) ?? [])}
      columns={[
        { name: "Piece", of: (g: HoleGroup) => cutName(g.key) },
        { name: "Count", number: true, of: (g) => g.count },
        { name: "Hole, for what, size and depth", of: (g) => holeWords(g.holes, units) },
      ]}
    />
  );
}

function ThreadTable() {
  const { size } = useDrillSizes();
  return (
    <>
      <Figures
        label="Threads"
        rows={threadTable()}
        keyOf={(t) => t.name}
        none=""
        columns={[
          { name: "Thread", of: (t) => t.name },
          { name: "Diameter", number: true, of: (t) => size(t.diameterMm) },
          { name: "Tapping drill", number: true, of: (t) => `${t.tapDrill?.name} (${size(t.tapMm)})` },
          { name: "Head", number: true, of: (t) => (t.sizes ? size(t.sizes.headMm) : "–") },
          { name: "Key", number: true, of: (t) => t.sizes?.key ?? "–" },
          { name: "Nut", number: true, of: (t) => (t.sizes ? size(t.sizes.nutAcrossMm) : "–") },
        ]}
      />
      <Note>
        Metric: drill = diameter − pitch (ISO 68-1, ISO 261). Unified: 75 % of the full thread (ASME B1.1).
        Heads and keys: ISO 4762, ASME B18.3; nuts: ISO 4032, ASME B18.2.2 and B18.6.3; from memory.
      </Note>
    </>
  );
}

function DrillSettings() {
  const { edit } = useBench();
  const drills = useDesign((d) => d.workshop.drills);
  return (
    <>
      <ChoiceAt at="fitUp.pinFit" names={FIT_WORDS} />
      <Text fontWeight="600">Drill sets</Text>
      <PartNote part="drills" />
      <DrillChoice drills={drills} onChange={(to) => edit({ code: "set", path: "workshop.drills", to })} />
    </>
  );
}
