"use client";
import { Box } from "@chakra-ui/react";
import { printLength, printMass } from "@/core/units/print";
import type { PartWeight } from "@/core/weigh/report";
import { BalanceMark } from "../drawing/BalanceMark";
import type { Scale } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { color } from "../theme";
import { useBench, useWeighed } from "./BenchContext";

const BAR_PX = 16;
const TINT: Record<PartWeight["group"], string> = {
  blade: color("oxide"),
  guard: color("bronze"),
  handle: color("straw"),
  fasteners: color("violet"),
};

interface Bar {
  readonly xPx: number;
  readonly pieces: readonly PartWeight[];
  readonly massG: number;
}

/**
 * Each part a bar at its own centre of mass, as tall as it is heavy, on a beam that rests on the balance point. Parts
 * that would stand on the same spot stand on each other.
 */
export function MomentStrip({
  scale,
  top,
  height,
  width,
}: {
  scale: Scale;
  top: number;
  height: number;
  width: number;
}) {
  const { units } = useBench();
  const weighed = useWeighed();
  const report = weighed.weighing?.ok ? weighed.weighing.report : null;
  const beamY = top + height - 34;
  if (!report) {
    return (
      <DrawnText x={width / 2} y={top + height / 2} anchor="middle" size={15}>
        {weighed.weighing ? "No weight: mend the design first" : "weighing…"}
      </DrawnText>
    );
  }
  const bars = gather(report.parts, scale);
  const tallest = Math.max(...bars.map((b) => b.massG), 1e-9);
  const pxPerG = (beamY - top - 44) / tallest;
  const balanceX = scale.originX + report.balanceMm * scale.pxPerMm;
  const ends = bars.map((b) => b.xPx);
  return (
    <g role="group" aria-label="Moment strip: parts by mass at their centres of mass">
      {bars.map((bar) => {
        let y = beamY - 3;
        return (
          <g key={bar.pieces[0].id}>
            {bar.pieces.map((p) => {
              const h = Math.max(0.75, p.massG * pxPerG);
              y -= h;
              return (
                <rect
                  key={p.id}
                  x={bar.xPx - BAR_PX / 2}
                  y={y}
                  width={BAR_PX}
                  height={h}
                  fill={TINT[p.group]}
                  stroke={color("sheet")}
                  strokeWidth="0.75"
                >
                  <title>{`${p.name}: ${printMass(p.massG, units)} at ${printLength(p.centreMm[0], units)}`}</title>
                </rect>
              );
            })}
            <BarName bar={bar} y={y} bars={bars} beamY={beamY} />
          </g>
        );
      })}
      <rect
        x={Math.min(...ends, balanceX) - 26}
        y={beamY - 3}
        width={Math.max(...ends, balanceX) - Math.min(...ends, balanceX) + 52}
        height="5"
        rx="1"
        fill={color("ink")}
      />
      <BalanceMark x={balanceX} y={beamY + 2} />
      <DrawnText x={balanceX} y={beamY + 31} anchor="middle" size={14} bold tint="bronze">
        {printLength(report.balanceMm, units)}
      </DrawnText>
    </g>
  );
}

/** px that a name over a bar is wide at most. */
const NAME_PX = 64;

/**
 * Name and mass over a bar, or at its side where a taller one stands close by; a small bar hemmed in goes without
 * (its tooltip and the parts table have it).
 */
function BarName({ bar, y, bars, beamY }: { bar: Bar; y: number; bars: readonly Bar[]; beamY: number }) {
  const { units } = useBench();
  const taller = (side: 1 | -1) =>
    bars.some(
      (b) => b.massG > bar.massG && (b.xPx - bar.xPx) * side > 0 && Math.abs(b.xPx - bar.xPx) < NAME_PX,
    );
  const [left, right] = [taller(-1), taller(1)];
  const beside = left || right;
  const room = beamY - y > 40 && bar.xPx > (right ? 2 * NAME_PX : 0);
  if ((left && right) || (beside && !room)) return null;
  const x = bar.xPx + (left ? BAR_PX / 2 + 5 : right ? -BAR_PX / 2 - 5 : 0);
  return (
    <DrawnText
      x={x}
      y={beside ? y + 12 : y - 20}
      anchor={left ? "start" : right ? "end" : "middle"}
      tint="ink"
    >
      {barName(bar)}
      <tspan x={x} dy="15" fill={color("graphite")}>
        {printMass(bar.massG, units)}
      </tspan>
    </DrawnText>
  );
}

/** Names of a bar's parts without their sides and numbers, the heaviest first; several of one name in the plural. */
function barName({ pieces }: Bar): string {
  const counts = new Map<string, number>();
  for (const p of pieces) {
    const stem = p.name.replace(/, (left|right)$/, "").replace(/ \d$/, "");
    counts.set(stem, (counts.get(stem) ?? 0) + 1);
  }
  const names = [...counts].map(([stem, n]) => (n > 1 && !stem.endsWith("fill") ? `${stem}s` : stem));
  const whole = names.join(", ");
  if (whole.length <= 18) return whole;
  const two = names.slice(0, 2).join(", ");
  return names.length > 2 && two.length <= 18 ? `${two} …` : `${names[0]} …`;
}

/** Stacks parts whose bars would overlap, heaviest at the bottom, at their common centre. */
function gather(parts: readonly PartWeight[], scale: Scale): Bar[] {
  const sorted = [...parts].filter((p) => p.massG > 0).sort((a, b) => a.centreMm[0] - b.centreMm[0]);
  const bars: PartWeight[][] = [];
  const at = (ps: readonly PartWeight[]) => {
    const mass = ps.reduce((s, p) => s + p.massG, 0);
    return scale.originX + (ps.reduce((s, p) => s + p.massG * p.centreMm[0], 0) / mass) * scale.pxPerMm;
  };
  for (const p of sorted) {
    const last = bars[bars.length - 1];
    if (last && at([p]) - at(last) < BAR_PX) last.push(p);
    else bars.push([p]);
  }
  return bars.map((ps) => ({
    xPx: at(ps),
    pieces: ps.sort((a, b) => b.massG - a.massG),
    massG: ps.reduce((s, p) => s + p.massG, 0),
  }));
}

/** What the colours of the bars stand for. */
export function StripKey() {
  return (
    <Box display="flex" flexDirection="column" gap="1" fontSize="sm" color="graphite">
      {(["blade", "guard", "handle", "fasteners"] as const).map((g) => (
        <Box key={g} display="flex" alignItems="center" gap="1.5">
          <Box w="10px" h="10px" style={{ background: TINT[g] }} />
          {g}
        </Box>
      ))}
    </Box>
  );
}
