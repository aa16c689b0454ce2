"use client";
import { memo, useMemo } from "react";
import { partLoops } from "@/core/figures/review/partRefs";
import type { Design } from "@/core/knife/design/schema";
import { chordPath, type Scale, toPx } from "../drawing/path";
import { color } from "../kit/theme";
import { useBenchState } from "../session/BenchContext";

/** Marks on a side view what is referred to: its outline, or a ring round a place. */
export const HighlightMarks = memo(function HighlightMarks({
  design,
  scale,
}: {
  design: Design;
  scale: Scale;
}) {
  const highlighted = useBenchState((s) => s.highlighted);
  const loops = useMemo(
    () => highlighted?.partRefs.flatMap((s) => partLoops(design, s)) ?? [],
    [highlighted, design],
  );
  if (!highlighted) return null;
  const at = highlighted.at && toPx(scale, highlighted.at.x, highlighted.at.y);
  return (
    <g pointerEvents="none" data-testid="highlighted" data-marked={highlighted.partRefs.join(" ")}>
      {loops.map((loop, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: loops are identified by their order
          key={i}
          d={chordPath(loop, scale)}
          fill={color("oxide")}
          fillOpacity="0.28"
          stroke={color("oxide")}
          strokeWidth="2"
        />
      ))}
      {at && <circle cx={at[0]} cy={at[1]} r="11" fill="none" stroke={color("oxide")} strokeWidth="2.5" />}
    </g>
  );
});
