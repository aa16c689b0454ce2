"use client";
import { Box } from "@chakra-ui/react";
import { useMemo } from "react";
import { useUnits } from "@/store/settings";
import { knifeExtent } from "../drawing/extent";
import { Hatches } from "../drawing/Hatches";
import { KnifeSide } from "../drawing/KnifeSide";
import { Ruler } from "../drawing/Ruler";
import { useWidth } from "../kit/useSize";
import { useDesign } from "../session/BenchContext";
import { HighlightMarks } from "./HighlightMarks";
import { ItemNumbers } from "./ItemNumbers";
import { PickTargets } from "./PickTargets";
import { goToPart } from "./useHighlight";

const MARGIN_PX = 22;
const RULER_PX = 26;

/**
 * The knife over a sheet that scrolls: numbered as the sheet's rows are; what a row or a finding refers to is marked on it,
 * and a part that is picked on it brings up what is said of it.
 */
export function KnifeInSight({ sheet, tallestPx }: { sheet: () => Element | null; tallestPx: number }) {
  const design = useDesign();
  const units = useUnits();
  const [frame, width] = useWidth<HTMLDivElement>(900);
  const e = useMemo(() => knifeExtent(design), [design]);
  const scale = useMemo(() => {
    const pxPerMm = Math.min(
      (width - 2 * MARGIN_PX) / (e.xHigh - e.xLow),
      (tallestPx - RULER_PX - 22) / (e.yHigh - e.yLow),
    );
    return {
      pxPerMm,
      originX: (width - (e.xHigh - e.xLow) * pxPerMm) / 2 - e.xLow * pxPerMm,
      originY: 12 + e.yHigh * pxPerMm,
    };
  }, [e, width, tallestPx]);
  const bottom = 12 + (e.yHigh - e.yLow) * scale.pxPerMm;
  return (
    <Box ref={frame} bg="sheet" borderBottomWidth="1px" flexShrink="0" data-testid="in-sight">
      {/* biome-ignore lint/a11y/useSemanticElements: a drawing is no field set */}
      <svg
        width={width}
        height={bottom + RULER_PX + 6}
        role="group"
        aria-label="The knife from its right side"
        style={{ display: "block" }}
      >
        <Hatches />
        <KnifeSide design={design} scale={scale} />
        <HighlightMarks design={design} scale={scale} />
        <PickTargets design={design} scale={scale} onPick={(partRef) => goToPart(sheet(), partRef)} />
        <ItemNumbers design={design} scale={scale} />
        <Ruler scale={scale} y={bottom + 6} fromMm={e.xLow} toMm={e.xHigh} units={units} />
      </svg>
    </Box>
  );
}
