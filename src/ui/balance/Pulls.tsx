"use client";
import { Box, Flex, Text } from "@chakra-ui/react";
import { memo } from "react";
import { printLength, type UnitSystem } from "@/core/base/units/print";
import { groupPulls, type Pull, partPulls } from "@/core/figures/weigh/pulls";
import type { MassReport } from "@/core/figures/weigh/report";
import { outside } from "@/core/knife/design/uses";
import { useUnits } from "@/store/settings";
import { small } from "@/words/grammar";
import { partName } from "@/words/parts";
import { GROUP_WORDS } from "@/words/pulls";
import { useWidth } from "../kit/useSize";
import { useSettledDesign } from "../session/BenchContext";
import { MomentStrip } from "../strip/MomentStrip";
import { StripProvider } from "../strip/StripContext";
import { StripKey } from "../strip/StripKey";
import { balanceScale } from "./BalanceDrawing";

/** Height of the strip, and its width until it is laid out, px. */
const STRIP = { width: 660, height: 236 };

/** Why it balances where it does: what pulls which way, and what one thing pulls hardest away from the window. */
export const Pulls = memo(function Pulls({ report }: { report: MassReport }) {
  const design = useSettledDesign();
  const units = useUnits();
  const [frame, width] = useWidth<HTMLDivElement>(STRIP.width);
  const scale = balanceScale(design, width);
  return (
    <StripProvider>
      <Text data-testid="why">{whyWords(report, design.use.balanceMm, units)}</Text>
      <Flex gap="3">
        <Box ref={frame} flex="1" minW="0">
          <svg width={width} height={STRIP.height} style={{ display: "block" }} aria-label="What pulls where">
            <MomentStrip
              report={report}
              units={units}
              scale={scale}
              top={10}
              width={width}
              height={STRIP.height - 10}
              window={design.use.balanceMm}
            />
          </svg>
        </Box>
        <Box flexShrink="0" alignSelf="end">
          <StripKey report={report} units={units} />
        </Box>
      </Flex>
    </StripProvider>
  );
});

/** The strongest group each way; outside the window, the single part that pulls hardest the wrong way. */
function whyWords(
  report: MassReport,
  window: { readonly low: number; readonly high: number },
  units: UnitSystem,
): string {
  const groups = groupPulls(report).map((g) => ({ ...g, name: GROUP_WORDS[g.group] }));
  const parts = partPulls(report).map((p) => ({ ...p, name: partName(p.part.key) }));
  const off = outside(report.balanceMm, window);
  const said = [
    hardest("Most of what brings it forward", groups, 1),
    hardest("Most of what takes it back", groups, -1),
    off !== 0 && hardest("The one part that pulls hardest out of the window", parts, off > 0 ? 1 : -1),
  ];
  return said.flatMap((s) => s || []).join(" ");

  function hardest(lead: string, list: readonly (Pull & { name: string })[], sign: 1 | -1) {
    const first = [...list].sort((a, b) => sign * ((b.addsMm ?? 0) - (a.addsMm ?? 0)))[0];
    if (!first?.addsMm || Math.sign(first.addsMm) !== sign) return null;
    return `${lead}: ${small(first.name)}, ${printLength(Math.abs(first.addsMm), units)}.`;
  }
}
