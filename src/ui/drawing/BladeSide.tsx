import { useId } from "react";
import { grindLines } from "@/core/figures/views/grindLines";
import type { Point } from "@/core/geometry/curve/bezier";
import type { Design } from "@/core/knife/design/schema";
import { placedMark } from "@/core/knife/layout/bladeMarks";
import { bladeEdges, bolsterCorners, notchRound, rampRise } from "@/core/knife/layout/bladeParts";
import { layoutOf } from "@/core/knife/layout/layout";
import { color } from "../kit/theme";
import { disc } from "./FastenerFace";
import { Filled } from "./Filled";
import { chordPath, cubicPath, type Scale } from "./path";

interface BladeSideProps {
  readonly design: Design;
  readonly scale: Scale;
  readonly line: number;
}

/** The blade from its right side: its outline with what is cut into it, and the lines that grinding leaves on its face. */
export function BladeSide({ design, scale, line }: BladeSideProps) {
  const id = useId();
  const { blade } = design;
  const layout = layoutOf(design);
  const outline = cubicPath(layout.bladeOutline.cubics, scale);
  const notches = blade.notches.map((n) => {
    const { xMm, yMm, radiusMm } = notchRound(blade, n);
    return { id: n.id, d: disc(scale, xMm, yMm, radiusMm) };
  });
  const { right, leftOnly: hidden } = grindLines(design);
  return (
    <g>
      {notches.length > 0 && (
        <>
          <mask id={`${id}-cut`} maskUnits="userSpaceOnUse" x="-4000" y="-4000" width="12000" height="12000">
            <rect x="-4000" y="-4000" width="12000" height="12000" fill="white" />
            {notches.map((n) => (
              <path key={n.id} d={n.d} fill="black" />
            ))}
          </mask>
          <clipPath id={`${id}-blade`}>
            <path d={outline} />
          </clipPath>
        </>
      )}
      <g mask={notches.length > 0 ? `url(#${id}-cut)` : undefined}>
        <Filled d={outline} material={blade.steel} line={line} />
        {blade.ramp && <Filled d={chordPath(rampLoop(design), scale)} material={blade.steel} line={line} />}
        {hidden.map((l, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: several lines of one kind
            key={`left-${l.of}-${i}`}
            d={chordPath(l.points, scale, false)}
            fill="none"
            stroke={color("ink")}
            strokeWidth={line * 0.6}
            strokeDasharray="4 3"
          />
        ))}
        {right.map((l, i) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: several lines of one kind
            key={`${l.of}-${i}`}
            d={chordPath(l.points, scale, false)}
            fill="none"
            stroke={color("ink")}
            strokeWidth={line * 0.6}
            data-line={l.of}
          />
        ))}
        {blade.marks.map((m) => (
          <path
            key={m.id}
            d={placedMark(blade, m)
              .map((l) => chordPath(l, scale))
              .join(" ")}
            fillRule="evenodd"
            data-mark={m.id}
            {...(m.side === "right"
              ? { fill: color("ink"), fillOpacity: 0.75 }
              : // Of the left side, seen through the steel.
                { fill: "none", stroke: color("ink"), strokeWidth: line * 0.5, strokeDasharray: "3 2" })}
          />
        ))}
      </g>
      {notches.map((n) => (
        <path
          key={n.id}
          d={n.d}
          clipPath={`url(#${id}-blade)`}
          fill="none"
          stroke={color("ink")}
          strokeWidth={line}
        />
      ))}
      {blade.bolster && (
        <Filled
          opaque
          d={chordPath(bolsterCorners(blade, blade.bolster), scale)}
          material={blade.steel}
          line={line}
        />
      )}
    </g>
  );
}

/** Stations that a thumb ramp is drawn by. */
const RAMP_STEPS = 24;

function rampLoop({ blade }: Design): Point[] {
  const { ramp } = blade;
  if (!ramp) return [];
  const crest = ramp.fromMm + ramp.lengthMm;
  const end = Math.min(crest + ramp.riseMm, blade.lengthMm);
  const xs = Array.from(
    { length: RAMP_STEPS + 1 },
    (_, i) => ramp.fromMm + ((end - ramp.fromMm) * i) / RAMP_STEPS,
  );
  const at = (x: number) => bladeEdges(blade, x)[1];
  const top = [...xs, crest]
    .filter((x) => x <= end)
    .sort((a, b) => a - b)
    .map((x) => ({ x, y: at(x) + rampRise(ramp, x) }));
  return [...top, ...[...xs].reverse().map((x) => ({ x, y: at(x) }))];
}
