"use client";
import { Flex, Link, Stack, Text } from "@chakra-ui/react";
import { useRef } from "react";
import { Columns, LeadingColumn, ScrolledPart } from "../kit/Columns";
import { UnderWay } from "../kit/UnderWay";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { useDesign, useWeighing } from "../session/BenchContext";
import { KnifeInSight } from "../sight/KnifeInSight";
import { BoltsSection } from "./BoltsSection";
import { CautionsSection } from "./CautionsSection";
import { DrillsSection } from "./DrillsSection";
import { FindingsSection } from "./FindingsSection";
import { GlueSection } from "./GlueSection";
import { GrindingSection } from "./GrindingSection";
import { HandSection } from "./HandSection";
import { LayoutSection } from "./LayoutSection";
import { SlotSection } from "./SlotSection";
import { StockSection } from "./StockSection";
import { StrengthSection } from "./StrengthSection";
import { WallsSection } from "./WallsSection";

const SECTIONS = [
  { id: "findings", name: "Findings" },
  { id: "drills", name: "Drills and holes" },
  { id: "layout", name: "Pin layout" },
  { id: "grinding", name: "Grinding" },
  { id: "slot", name: "Guard slot" },
  { id: "bolts", name: "Bolts and screws" },
  { id: "walls", name: "Walls" },
  { id: "glue", name: "Glue" },
  { id: "stock", name: "Stock to cut" },
  { id: "hand", name: "Hand and section" },
  { id: "strength", name: "Strength, movement" },
  { id: "cautions", name: "Cautions" },
] as const;

/** Everything to measure, drill, cut and mix: a sheet to take to the bench, with the settings it follows from. */
export function FitView() {
  const design = useDesign();
  const weighing = useWeighing();
  const sound = weighing?.ok ?? false;
  const { answer: fit, failed, isLoading } = useWorkerQuery(sound ? design : null, (s, d) => s.fit(d));
  const scroller = useRef<HTMLDivElement>(null);
  return (
    <Columns>
      <LeadingColumn
        aria-label="Sections of the fit-up sheet"
        width="184px"
        px={{ base: "3", lg: "4" }}
        py={{ base: "2", lg: "4" }}
        columnGap="4"
        rowGap="2"
      >
        {SECTIONS.map((s) => (
          <Link key={s.id} href={`#${s.id}`} color="ink">
            {s.name}
          </Link>
        ))}
      </LeadingColumn>
      <Flex direction="column" flex="1" minW="0">
        <KnifeInSight sheet={() => scroller.current} tallestPx={176} />
        <ScrolledPart ref={scroller} data-testid="fit-sheet" css={{ scrollBehavior: "auto" }}>
          <Stack gap="8">
            <FindingsSection />
            {!sound && (
              <Text color="fault">
                There is nothing to fit until the design can be built: fix what the findings name first.
              </Text>
            )}
            {sound && failed && (
              <Text color="fault" role="alert">
                The sheet could not be worked out for the knife as it is
                {fit ? "; what stands below is of before its last change" : ""}. Change anything, or open this
                view again, to try once more.
              </Text>
            )}
            <UnderWay on={sound && isLoading} says="Working out the sheet …" />
            {sound && fit && (
              <>
                <DrillsSection fit={fit} />
                <LayoutSection fit={fit} />
                <GrindingSection />
                <SlotSection fit={fit} />
                <BoltsSection fit={fit} />
                <WallsSection fit={fit} />
                <GlueSection fit={fit} />
                <StockSection fit={fit} />
                <HandSection fit={fit} />
                <StrengthSection fit={fit} />
              </>
            )}
            <CautionsSection />
          </Stack>
        </ScrolledPart>
      </Flex>
    </Columns>
  );
}
