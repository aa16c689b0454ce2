"use client";
import { printLength, printMass } from "@/core/base/units/print";
import { useUnits } from "@/store/settings";
import type { Column } from "../cost/column";
import { BalanceMark } from "../drawing/BalanceMark";
import { knifeExtent } from "../drawing/extent";
import { Hatches } from "../drawing/Hatches";
import { KnifeSide } from "../drawing/KnifeSide";
import { Ruler } from "../drawing/Ruler";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";
import { useWidth } from "../kit/useSize";

/** Until it is laid out, and no wider than so, px. */
const WIDTH = 1128;
/** Room beside the tip for weight and balance. */
const FIGURES_PX = 140;
/** All rows together: what a screen shows at a glance. */
const ALL_ROWS_PX = 470;
const MOST_PX_PER_MM = 3.4;
const ROW_PX = { name: 22, below: 18 };

/** Knives one over the other to one scale, their datums in one line, each with its balance window. */
export function ComparisonDrawing({ columns }: { columns: readonly Column[] }) {
  const units = useUnits();
  const [frame, framePx] = useWidth<HTMLDivElement>(WIDTH);
  const width = Math.min(WIDTH, framePx);
  const extents = columns.map((c) => knifeExtent(c.design));
  const xLow = Math.min(...extents.map((e) => e.xLow));
  const xHigh = Math.max(...extents.map((e) => e.xHigh));
  const tall = extents.reduce((sum, e) => sum + e.yHigh - e.yLow, 0);
  const roomPx = ALL_ROWS_PX - columns.length * (ROW_PX.name + ROW_PX.below);
  // One knife alone need not fill the screen.
  const pxPerMm = Math.min((width - FIGURES_PX - 20) / (xHigh - xLow), roomPx / tall, MOST_PX_PER_MM);
  const originX = 10 - xLow * pxPerMm;
  const figuresX = originX + xHigh * pxPerMm + 24;
  let y = 4;
  const rows = columns.map((column, i) => {
    const e = extents[i];
    const top = y;
    const axis = top + ROW_PX.name + e.yHigh * pxPerMm;
    y = axis - e.yLow * pxPerMm + ROW_PX.below;
    return { column, top, axis, bottom: y, scale: { pxPerMm, originX, originY: axis } };
  });
  return (
    <div ref={frame}>
      <svg
        width={width}
        height={y + 34}
        role="img"
        aria-label={`Side by side: ${columns.map((c) => c.name).join(", ")}`}
        data-testid="beside-drawing"
      >
        <Hatches />
        {rows.map(({ column: { key, name, design, report, broken }, top, bottom, scale }) => {
          const { low, high } = design.use.balanceMm;
          return (
            <g key={key} data-testid="beside-row">
              <rect
                x={originX + low * pxPerMm}
                y={top + ROW_PX.name - 4}
                width={Math.max(2, (high - low) * pxPerMm)}
                height={bottom - top - ROW_PX.name - 2}
                fill={color("straw")}
                opacity="0.2"
              />
              <KnifeSide design={design} scale={scale} line={0.9} />
              {report && (
                <BalanceMark
                  x={originX + report.balanceMm * pxPerMm}
                  y={bottom - ROW_PX.below + 2}
                  size={11}
                />
              )}
              <DrawnText x={10} y={top + 14} bold tint="ink">
                {name}
              </DrawnText>
              <DrawnText x={figuresX} y={scale.originY - 2} size={17} bold tint="oxide">
                {report ? printMass(report.massG, units) : broken ? "cannot be built" : "weighing…"}
              </DrawnText>
              {report && (
                <DrawnText x={figuresX} y={scale.originY + 16} bold tint="bronze">
                  {printLength(report.balanceMm, units)}
                </DrawnText>
              )}
            </g>
          );
        })}
        <line
          x1={originX}
          x2={originX}
          y1={2}
          y2={y + 6}
          stroke={color("graphite")}
          strokeDasharray="14 4 2 4"
          data-testid="datum"
        />
        <Ruler scale={{ pxPerMm, originX, originY: 0 }} y={y + 8} fromMm={xLow} toMm={xHigh} units={units} />
      </svg>
    </div>
  );
}
