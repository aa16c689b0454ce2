"use client";
import { Box, Flex, Stack, Text } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { ScrolledPart } from "../kit/Columns";
import { useDesign, useWeighing } from "../session/BenchContext";
import { BalanceDrawing } from "./BalanceDrawing";
import { GhostBar } from "./GhostBar";
import { GripsSection } from "./GripsSection";
import type { Ghost } from "./ghost";
import { LeversSection } from "./LeversSection";
import { MotionSection } from "./MotionSection";
import { SpreadSection } from "./SpreadSection";
import { TargetSection } from "./TargetSection";
import { TuneSection } from "./TuneSection";

/** Whether the knife is right for its use, why it balances there, and what would move it. */
export function BalanceView() {
  const design = useDesign();
  const weighing = useWeighing();
  const [tried, setTried] = useState<Ghost | null>(null);
  const ghost = tried?.of === design ? tried : null;
  const scroller = useRef<HTMLDivElement>(null);
  const report = weighing?.ok ? weighing.report : null;
  return (
    <Flex direction="column" flex="1" minW="0" minH={{ lg: "0" }}>
      <Box
        bg="sheet"
        borderBottomWidth="1px"
        flexShrink="0"
        px={{ base: "2", sm: "6" }}
        py="1"
        data-testid="in-sight"
      >
        <Stack gap="1" maxW="1180px" mx="auto">
          <BalanceDrawing report={report} ghost={ghost?.design ?? null} sheet={() => scroller.current} />
          {ghost && <GhostBar ghost={ghost} onEnd={() => setTried(null)} />}
        </Stack>
      </Box>
      <ScrolledPart ref={scroller} data-testid="balance-sheet">
        <Stack gap="8" maxW="1180px" mx="auto">
          <TargetSection report={report} />
          <GripsSection report={report} />
          {!report && <Text color="fault">There is nothing to balance until the design can be built.</Text>}
          {report && (
            <>
              <MotionSection report={report} />
              <LeversSection onTry={setTried} />
              <TuneSection onTry={setTried} />
              <SpreadSection />
            </>
          )}
        </Stack>
      </ScrolledPart>
    </Flex>
  );
}
