"use client";
import { memo, useMemo } from "react";
import type { Design } from "@/core/design/schema";
import { spotLoops } from "@/core/review/spots";
import { useBenchState } from "../bench/BenchContext";
import { chordPath, type Scale, toPx } from "../drawing/path";
import { color } from "../theme";

/** Marks on a side view what is spoken of: its outline, or a ring round a place. */
export const SpokenMarks = memo(function SpokenMarks({ design, scale }: { design: Design; scale: Scale }) {
  const spoken = useBenchState((s) => s.spoken);
  const loops = useMemo(() => spoken?.spots.flatMap((s) => spotLoops(design, s)) ?? [], [spoken, design]);
  if (!spoken) return null;
  const at = spoken.at && toPx(scale, spoken.at.x, spoken.at.y);
  return (
    <g pointerEvents="none" data-testid="spoken" data-marked={spoken.spots.join(" ")}>
      {loops.map((loop, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: loops are told by their order
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
