"use client";
import { type KeyboardEvent, memo, useMemo, useRef } from "react";
import { ROUNDING } from "@/core/base/tolerances";
import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import { type PartPull, partPulls } from "@/core/figures/weigh/pulls";
import type { MassReport } from "@/core/figures/weigh/report";
import type { PartGroup } from "@/core/knife/parts/types";
import { partName } from "@/words/parts";
import { partSentence } from "@/words/pulls";
import { BalanceMark } from "../drawing/BalanceMark";
import type { Box } from "../drawing/labels";
import { type Scale, toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";
import { isPicked, useStrip } from "./StripContext";
import { StripReadout } from "./StripReadout";
import { tipDeg } from "./settle";
import { BAR_PX, type Bar, barName, barsOf, labelsOf, NAME_SIZE, partsInOrder } from "./stripBars";
import { useSettling } from "./useSettling";

export const GROUP_TINT: Record<PartGroup, string> = {
  blade: color("oxide"),
  guard: color("bronze"),
  handle: color("straw"),
  pommel: color("pale"),
  fasteners: color("violet"),
};

interface StripProps {
  readonly report: MassReport;
  readonly units: UnitSystem;
  /** Only along x. */
  readonly scale: Scale;
  readonly top: number;
  readonly height: number;
  readonly width: number;
  /** Where it is wished to balance. */
  readonly window: { readonly low: number; readonly high: number };
  /** A drag is going on: the beam keeps up with it instead of settling. */
  readonly follows?: boolean;
}

/**
 * Each part a bar at its own centre of mass, as tall as it is heavy, on a beam that rests on the balance point. Parts
 * that would stand on the same spot stand on each other. The beam tips and settles as things change; a part that is
 * pointed at, or reached by the arrow keys, says what it does to the balance.
 */
export const MomentStrip = memo(function MomentStrip({
  report,
  units,
  scale,
  top,
  height,
  width,
  window,
  follows = false,
}: StripProps) {
  const beamY = top + height - 34;
  const xOf = (mm: number) => toPx(scale, mm, 0)[0];
  const bars = barsOf(report.parts, xOf);
  const pulls = useMemo(() => new Map(partPulls(report).map((p) => [p.part.id, p])), [report]);
  const tallest = Math.max(...bars.map((b) => b.massG), ROUNDING);
  const pxPerG = (beamY - top - 44) / tallest;
  const ends = [...bars.map((b) => b.xPx), xOf(report.balanceMm)];
  const [from, to] = [Math.min(...ends) - 26, Math.max(...ends) + 26];

  const beam = useRef<SVGGElement>(null);
  const rest = useRef<SVGGElement>(null);
  useSettling(report.balanceMm, follows, (resting) => {
    const x = xOf(resting.atMm);
    beam.current?.setAttribute("transform", `rotate(${tipDeg(resting, report.balanceMm)} ${x} ${beamY})`);
    rest.current?.setAttribute("transform", `translate(${x} ${beamY + 2})`);
  });
  return (
    // biome-ignore lint/a11y/useSemanticElements: bars on a drawing are no field set
    // biome-ignore lint/a11y/noInteractiveElementToNoninteractiveRole: nothing answers here but the bars
    <g role="group" aria-label="Moment strip: parts by mass at their centres of mass" data-testid="strip">
      <rect
        x={xOf(window.low)}
        y={top - 8}
        width={Math.max(2, xOf(window.high) - xOf(window.low))}
        height={beamY - top + 14}
        fill={color("straw")}
        opacity="0.18"
        data-testid="strip-window"
      >
        <title>Balance window</title>
      </rect>
      <g ref={beam} data-testid="beam">
        <Bars bars={bars} pulls={pulls} beamY={beamY} pxPerG={pxPerG} width={width} top={top} units={units} />
        <rect x={from} y={beamY - 3} width={to - from} height="5" rx="1" fill={color("ink")} />
      </g>
      <LeverArm pulls={pulls} balanceMm={report.balanceMm} xOf={xOf} y={beamY + 10} />
      <g ref={rest}>
        <BalanceMark x={0} y={0} />
      </g>
      <DrawnText x={xOf(report.balanceMm)} y={beamY + 31} anchor="middle" size={14} bold tint="bronze">
        {printLength(report.balanceMm, units)}
      </DrawnText>
      <StripReadout report={report} pulls={pulls} units={units} x={width - 10} y={top + 8} />
    </g>
  );
});

/** A bar is met by a finger over this width, px. */
const TOUCHED_PX = 24;

/** Width that the read-out may take, px. */
const READOUT_PX = 200;

interface BarsProps {
  readonly bars: readonly Bar[];
  readonly pulls: ReadonlyMap<string, PartPull>;
  readonly beamY: number;
  readonly pxPerG: number;
  readonly width: number;
  readonly top: number;
  readonly units: UnitSystem;
}

/** The bars, one stop for the Tab key; arrow keys go from part to part. */
function Bars({ bars, pulls, beamY, pxPerG, width, top, units }: BarsProps) {
  const { picked, pick } = useStrip();
  const group = useRef<SVGGElement>(null);
  const order = partsInOrder(bars).map((p) => p.id);
  const here = picked?.kind === "part" && order.includes(picked.id) ? picked.id : order[0];
  // The read-out of what is pointed at stands in the right upper corner.
  const readout = { x: width - READOUT_PX, y: top - 6, w: READOUT_PX, h: 58 };
  const labels = labelsOf(
    bars,
    (bar) => [barName(bar), printMass(bar.massG, units)],
    { beamY, pxPerG, width },
    [readout],
  );
  const keys = (e: KeyboardEvent) => {
    const at = order.indexOf(here);
    const to = {
      ArrowRight: at + 1,
      ArrowUp: at + 1,
      ArrowLeft: at - 1,
      ArrowDown: at - 1,
      Home: 0,
      End: order.length - 1,
    }[e.key];
    if (e.key === "Escape") pick(null);
    if (to === undefined || !order[to]) return;
    e.preventDefault();
    e.stopPropagation();
    group.current?.querySelector<SVGElement>(`[data-part="${order[to]}"]`)?.focus();
  };
  return (
    <g ref={group}>
      {bars.map((bar) => {
        let y = beamY - 3;
        return (
          <g key={bar.pieces[0].id}>
            {bar.pieces.map((p) => {
              const h = Math.max(0.75, p.massG * pxPerG);
              y -= h;
              const pull = pulls.get(p.id);
              const picksIt = () => pick({ kind: "part", id: p.id });
              return (
                // biome-ignore lint/a11y/useSemanticElements: a drawing has no buttons of its own
                <g
                  key={p.id}
                  className="strip-bar"
                  data-part={p.id}
                  opacity={picked && !isPicked(picked, p) ? 0.35 : 1}
                  role="button"
                  tabIndex={p.id === here ? 0 : -1}
                  aria-label={pull ? partSentence(pull, units) : partName(p.key)}
                  onPointerEnter={picksIt}
                  onPointerLeave={() => pick(null)}
                  onKeyDown={keys}
                  onFocus={picksIt}
                  onBlur={() => pick(null)}
                  onClick={picksIt}
                >
                  <rect x={bar.xPx - TOUCHED_PX / 2} y={y} width={TOUCHED_PX} height={h} fill="transparent" />
                  <rect
                    x={bar.xPx - BAR_PX / 2}
                    y={y}
                    width={BAR_PX}
                    height={h}
                    fill={GROUP_TINT[p.group]}
                    stroke={isPicked(picked, p) ? color("ink") : color("sheet")}
                    strokeWidth={isPicked(picked, p) ? 2.5 : 0.75}
                  />
                </g>
              );
            })}
            {labels.get(bar) && <BarName bar={bar} at={labels.get(bar)!} topY={y} units={units} />}
          </g>
        );
      })}
    </g>
  );
}

/** The lever arm of the part that is pointed at, from the balance point to its bar. */
function LeverArm(props: {
  pulls: ReadonlyMap<string, PartPull>;
  balanceMm: number;
  xOf: (mm: number) => number;
  y: number;
}) {
  const { picked } = useStrip();
  const pull = picked?.kind === "part" ? props.pulls.get(picked.id) : undefined;
  if (!pull) return null;
  const [a, b] = [props.xOf(props.balanceMm), props.xOf(pull.atMm)];
  return (
    <path
      d={`M${a} ${props.y}H${b}M${b} ${props.y - 5}v10`}
      stroke={color("graphite")}
      fill="none"
      strokeWidth="1.5"
      data-testid="lever-arm"
    />
  );
}

/** Name and mass of a bar, where they find a place; a line leads down to it from higher up. */
function BarName({ bar, at, topY, units }: { bar: Bar; at: Box; topY: number; units: UnitSystem }) {
  const x = at.x + at.w / 2;
  const below = at.y + at.h;
  return (
    <>
      {topY - below > 12 && (
        <line x1={bar.xPx} x2={bar.xPx} y1={below + 2} y2={topY - 2} stroke={color("line")} />
      )}
      <DrawnText x={x} y={at.y + 12} size={NAME_SIZE} anchor="middle" tint="ink">
        {barName(bar)}
        <tspan x={x} dy="15" fill={color("graphite")}>
          {printMass(bar.massG, units)}
        </tspan>
      </DrawnText>
    </>
  );
}
