"use client";
import { Fragment, useMemo } from "react";
import { printLength } from "@/core/base/units/print";
import { dynamics } from "@/core/figures/weigh/dynamics";
import type { MassReport } from "@/core/figures/weigh/report";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { datumWords } from "@/words/balance";
import { DragPoint } from "../board/DragPoint";
import { BalanceMark } from "../drawing/BalanceMark";
import { knifeExtent } from "../drawing/extent";
import { Hatches } from "../drawing/Hatches";
import { KnifeSide } from "../drawing/KnifeSide";
import { type Scale, toPx } from "../drawing/path";
import { Ruler } from "../drawing/Ruler";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";
import { useWidth } from "../kit/useSize";
import { useBench, useDesign, useSettledDesign } from "../session/BenchContext";
import { HighlightMarks } from "../sight/HighlightMarks";
import { PickTargets } from "../sight/PickTargets";
import { goToPart } from "../sight/useHighlight";

/** Until it is laid out, px. */
const WIDTH = 1100;
const TALLEST = 120;

/** The scale of the balance bench's drawings: the knife in the middle, its whole length. */
export function balanceScale(design: Design, width: number): Scale {
  const e = knifeExtent(design);
  const pxPerMm = Math.min(width / (e.xHigh - e.xLow + 30), TALLEST / (e.yHigh - e.yLow + 4));
  return {
    pxPerMm,
    originX: (width - (e.xHigh - e.xLow) * pxPerMm) / 2 - e.xLow * pxPerMm,
    originY: (e.yHigh + 2) * pxPerMm + 8,
  };
}

/** The knife over its balance window, with its grip points, which can be dragged, and its centre of percussion. */
export function BalanceDrawing(props: {
  report: MassReport | null;
  ghost: Design | null;
  /** What is scrolled under it. */
  sheet: () => Element | null;
}) {
  const { report, ghost, sheet } = props;
  const { edit } = useBench();
  const { grips, balanceMm: window } = useDesign((d) => d.use);
  // Nothing but the grip point is dragged here: the knife itself need not be drawn again meanwhile.
  const design = useSettledDesign();
  const units = useUnits();
  const e = useMemo(() => knifeExtent(design), [design]);
  const [frame, width] = useWidth<HTMLDivElement>(WIDTH);
  const scale = useMemo(() => balanceScale(design, width), [design, width]);
  const side = (e.yHigh - e.yLow + 4) * scale.pxPerMm;
  const x = (mm: number) => toPx(scale, mm, 0)[0];
  const { low, high } = window;
  const percussion = report ? dynamics(report, grips[0].xMm).percussionMm : null;
  const base = side + 14;
  const isAlone = grips.length === 1;
  return (
    <div ref={frame}>
      {/* biome-ignore lint/a11y/useSemanticElements: a drawing with a point to drag is no field set */}
      <svg
        width={width}
        height={base + 58}
        role="group"
        aria-label="Knife over its balance window"
        data-testid="balance-drawing"
      >
        <Hatches />
        <rect
          x={x(low)}
          y={2}
          width={Math.max(2, x(high) - x(low))}
          height={base + 20}
          fill={color("straw")}
          opacity="0.22"
          data-testid="balance-window"
        />
        <KnifeSide design={design} scale={scale} />
        <HighlightMarks design={design} scale={scale} />
        <PickTargets design={design} scale={scale} onPick={(partRef) => goToPart(sheet(), partRef)} />
        {ghost && (
          <g opacity="0.45" pointerEvents="none" data-testid="ghost">
            <KnifeSide design={ghost} scale={scale} line={2} />
          </g>
        )}
        <Ruler scale={scale} y={base + 22} fromMm={e.xLow} toMm={e.xHigh} units={units} />
        {report && (
          <BalanceAt xPx={x(report.balanceMm)} base={base} says={printLength(report.balanceMm, units)} />
        )}
        {percussion !== null && percussion > e.xLow && percussion < e.xHigh && (
          <PercussionAt xPx={x(percussion)} axisPx={scale.originY} />
        )}
        {grips.map(({ id, name, xMm }, i) => (
          <Fragment key={id}>
            <GripLabel xPx={x(xMm)} axisPx={scale.originY} says={isAlone ? "grip" : name} row={i % 2} />
            <DragPoint
              id={id}
              at={{ x: xMm, y: 0 }}
              scale={scale}
              label={`Grip point${isAlone ? "" : ` “${name}”`}: ${printLength(-xMm, units)} behind ${datumWords(design)}`}
              onMove={(to, gesture) => edit({ code: "move-grip", gripId: id, xMm: to.x }, { gesture })}
              onEdit={() => undefined}
            />
          </Fragment>
        ))}
      </svg>
    </div>
  );
}

function BalanceAt({ xPx, base, says }: { xPx: number; base: number; says: string }) {
  return (
    <>
      <BalanceMark x={xPx} y={base} />
      <DrawnText x={xPx} y={base + 54} size={13} bold anchor="middle" tint="bronze">
        {says}
      </DrawnText>
    </>
  );
}

function PercussionAt({ xPx, axisPx }: { xPx: number; axisPx: number }) {
  const [left, above, under] = [xPx - 5, axisPx - 9, axisPx + 9];
  return (
    <g>
      <path
        d={`M${xPx} ${axisPx - 14}v28M${left} ${above}l5 -5l5 5M${left} ${under}l5 5l5 -5`}
        fill="none"
        stroke={color("violet")}
        strokeWidth="2"
      />
      <DrawnText x={xPx + 9} y={axisPx - 8} size={12}>
        percussion
      </DrawnText>
    </g>
  );
}

/** Letters of a grip's name that are drawn, and how wide one is, px. */
const LETTERS = 14;
const LETTER_PX = 6.6;

/** What a grip is called, over its point or, of every second one, under it. */
function GripLabel({ xPx, axisPx, says, row }: { xPx: number; axisPx: number; says: string; row: number }) {
  const text = says.length > LETTERS ? `${says.slice(0, LETTERS - 1)}…` : says;
  const width = text.length * LETTER_PX + 8;
  const top = row === 0 ? axisPx - 25 : axisPx + 10;
  return (
    <>
      <rect
        x={xPx - width / 2}
        y={top}
        width={width}
        height="15"
        rx="2"
        fill={color("sheet")}
        opacity="0.9"
      />
      <DrawnText x={xPx} y={top + 12} size={12} anchor="middle">
        {text}
      </DrawnText>
    </>
  );
}
