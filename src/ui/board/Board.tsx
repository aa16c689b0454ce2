"use client";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { clamp } from "@/core/base/number";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { knifeExtent } from "../drawing/extent";
import { Hatches } from "../drawing/Hatches";
import type { Extent, Scale } from "../drawing/path";
import { Ruler } from "../drawing/Ruler";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";
import { useLatest } from "../kit/useLatest";
import { useSize } from "../kit/useSize";
import {
  useBench,
  useBenchState,
  useDesign,
  useDragging,
  useReport,
  useSettledDesign,
  useStep,
  useWeighing,
} from "../session/BenchContext";
import { MomentStrip } from "../strip/MomentStrip";
import { StripProvider } from "../strip/StripContext";
import { StripKey } from "../strip/StripKey";
import { PlaceEditor } from "./PlaceEditor";
import { PlanView, planTarget } from "./PlanView";
import { SectionView } from "./SectionView";
import { SideView, sideTarget } from "./SideView";

const SECTION_PX = 172;
/** Height of what leads to the other view, over the section, px. */
const OTHER_PX = 30;
const MARGIN_PX = 34;
const STRIP_MOST_PX = 380;
/** On a board narrower than this the section stands under the drawing, px; which is no higher than so, but for its strip. */
const STACKED_BELOW_PX = 600;
const STACKED_HIGH_PX = 720;
const STACKED_STRIP_PX = 220;

/**
 * The drawing: side view, view from above and moment strip over one x axis, and the section beside the side view.
 */
export function Board({ other }: { other: ReactNode }) {
  const { setSelected } = useBench();
  const units = useUnits();
  const step = useStep();
  // While a point is dragged the drawing keeps its scale, so that the point stays under the pointer.
  const settled = useSettledDesign();
  const [frame, size] = useSize<HTMLDivElement>({ width: 760, height: 620 });
  const [editing, setEditing] = useState<string | null>(null);

  // biome-ignore lint/correctness/useExhaustiveDependencies: another step puts the editor away
  useEffect(() => setEditing(null), [step]);

  const layout = useMemo(() => layoutOf(settled, size), [settled, size]);
  const { extent, width, side, plan, isStacked } = layout;
  const height = isStacked
    ? layout.stripTop + STACKED_STRIP_PX
    : Math.max(size.height, layout.stripTop + 160);

  return (
    <StripProvider>
      <div ref={frame} className="board" data-stacked={isStacked || undefined}>
        <div className="board-drawing" style={{ width }}>
          <svg
            width={width}
            height={height}
            onPointerDown={(e) => {
              if (e.target === e.currentTarget) {
                setSelected(null);
                setEditing(null);
              }
            }}
            aria-label="Drawing of the knife"
            role="group"
            data-testid="drawing"
          >
            <Hatches />
            <DrawnText x={10} y={18} bold>
              Right side
            </DrawnText>
            <DrawnText x={width - 10} y={layout.planTop + 4} anchor="end" bold>
              From above
            </DrawnText>
            <Station scale={side} extent={extent} bottom={layout.stripTop - 16} />
            <line
              x1={side.originX}
              x2={side.originX}
              y1={22}
              y2={Math.min(height, layout.stripTop + STRIP_MOST_PX) - 30}
              stroke={color("graphite")}
              strokeDasharray="14 4 2 4"
            />
            <PlanView scale={plan} onEdit={setEditing} />
            <SideView scale={side} width={width} bottomPx={layout.sideBottom + 4} onEdit={setEditing} />
            <Ruler scale={side} y={layout.rulerY} fromMm={extent.xLow} toMm={extent.xHigh} units={units} />
            <Strip
              scale={side}
              top={layout.stripTop}
              height={Math.min(STRIP_MOST_PX, height - layout.stripTop)}
              width={width}
            />
          </svg>
          {editing && (
            <Editor key={editing} id={editing} side={side} plan={plan} onClose={() => setEditing(null)} />
          )}
        </div>
        <div className="board-side" style={{ width: isStacked ? "100%" : SECTION_PX }}>
          <div style={{ height: OTHER_PX, padding: "3px 8px 0" }}>{other}</div>
          <SectionView
            pxPerMm={side.pxPerMm}
            axisY={side.originY - OTHER_PX}
            width={SECTION_PX - 1}
            height={layout.sideBottom + 30 - OTHER_PX}
            xRange={[extent.xLow, extent.xHigh]}
          />
          <div className="board-key">
            <Key />
          </div>
        </div>
      </div>
    </StripProvider>
  );
}

interface EditorProps {
  readonly id: string;
  readonly side: Scale;
  readonly plan: Scale;
  readonly onClose: () => void;
}

/** The numbers of the point that is being typed; gone with its point. */
function Editor({ id, side, plan, onClose }: EditorProps) {
  const { edit } = useBench();
  const design = useDesign();
  const step = useStep();
  const target = sideTarget(id, side, design, step, edit) ?? planTarget(id, plan, design, step, edit);
  return target && <PlaceEditor target={target} onClose={onClose} />;
}

/** Where each view stands: all over one x axis, as large as the room allows. */
function layoutOf(design: Design, size: { readonly width: number; readonly height: number }) {
  const e = knifeExtent(design);
  const isStacked = size.width < STACKED_BELOW_PX;
  const width = Math.max(320, isStacked ? size.width : size.width - SECTION_PX);
  // With the section under it the drawing is as high as it likes.
  const room = isStacked ? STACKED_HIGH_PX : size.height;
  const shaped =
    design.handle.kind === "stack"
      ? design.handle.pieces.flatMap((p) => (p.shape && "widthMm" in p.shape ? [p.shape.widthMm] : []))
      : [];
  const halves = design.handle.plan.map((p) => 2 * Math.max(p.halfMm, p.leftHalfMm ?? 0));
  const thick = Math.max(design.guard?.widthMm ?? 0, ...halves, ...shaped);
  const rows = 30 + 44 + 34 + 150;
  const pxPerMm = Math.max(
    0.4,
    Math.min((width - 2 * MARGIN_PX) / (e.xHigh - e.xLow), (room - rows) / (e.yHigh - e.yLow + thick)),
  );
  const left = (width - (e.xHigh - e.xLow) * pxPerMm) / 2;
  const sideTop = 30;
  const sideBottom = sideTop + (e.yHigh - e.yLow) * pxPerMm;
  const rulerY = sideBottom + 20;
  const planTop = rulerY + 34;
  const planBottom = planTop + thick * pxPerMm;
  const side = { pxPerMm, originX: left - e.xLow * pxPerMm, originY: sideTop + e.yHigh * pxPerMm };
  return {
    extent: e,
    width,
    isStacked,
    side,
    plan: { ...side, originY: (planTop + planBottom) / 2 },
    sideBottom,
    rulerY,
    planTop,
    stripTop: planBottom + 26,
  };
}

/** The strip of the last weighing; a weighing draws nothing again but this. */
function Strip(place: { scale: Scale; top: number; height: number; width: number }) {
  const window = useDesign((d) => d.use.balanceMm);
  const units = useUnits();
  const weighing = useWeighing();
  const strip = { units, window, follows: useDragging(), ...place };
  if (weighing?.ok) return <MomentStrip report={weighing.report} {...strip} />;
  return (
    <DrawnText x={place.width / 2} y={place.top + place.height / 2} anchor="middle" size={15}>
      {weighing ? "No weight: the design cannot be built as it is" : "weighing…"}
    </DrawnText>
  );
}

function Key() {
  const units = useUnits();
  const report = useReport();
  return report && <StripKey report={report} units={units} />;
}

/**
 * The line at the section's station. It listens for the pointer by itself, so that hovering draws nothing again but it
 * and the section.
 */
function Station({ scale, extent, bottom }: { scale: Scale; extent: Extent; bottom: number }) {
  const { setStationMm } = useBench();
  const stationMm = useBenchState((s) => s.stationMm);
  const line = useRef<SVGLineElement>(null);
  const limits = useLatest({ scale, extent });
  useEffect(() => {
    const svg = line.current?.ownerSVGElement;
    const hover = (e: PointerEvent) => {
      if (!svg || e.buttons !== 0) return;
      const { scale: s, extent: x } = limits.current;
      const at = (e.clientX - svg.getBoundingClientRect().left - s.originX) / s.pxPerMm;
      setStationMm(clamp(Math.round(at * 2) / 2, x.xLow, x.xHigh));
    };
    svg?.addEventListener("pointermove", hover);
    return () => svg?.removeEventListener("pointermove", hover);
  }, [setStationMm, limits]);
  const x = scale.originX + stationMm * scale.pxPerMm;
  return (
    <line
      ref={line}
      x1={x}
      x2={x}
      y1={8}
      y2={bottom}
      stroke={color("line")}
      strokeWidth="1"
      strokeDasharray="2 3"
    />
  );
}
