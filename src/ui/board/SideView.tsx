"use client";
import { printLength } from "@/core/base/units/print";
import { sidePoints } from "@/core/edit/points/pointsOf";
import type { Point } from "@/core/geometry/curve/bezier";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { NODE_WORDS } from "@/words/bladeWords";
import { shownLimits } from "../bound/bound";
import { BalanceMark } from "../drawing/BalanceMark";
import { KnifeSide } from "../drawing/KnifeSide";
import { type Scale, toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";
import {
  useBench,
  useDesign,
  useReport,
  useReview,
  useSelected,
  useStep,
  useWeighing,
} from "../session/BenchContext";
import type { Bench } from "../session/benchState";
import { HighlightMarks } from "../sight/HighlightMarks";
import { BenchPoints, pointTarget } from "./BenchPoints";
import { DragPoint } from "./DragPoint";
import { PinRoom } from "./PinRoom";
import type { PlaceTarget } from "./PlaceEditor";
import { UnderlayImage } from "./UnderlayImage";

interface SideViewProps {
  readonly scale: Scale;
  readonly width: number;
  readonly bottomPx: number;
  readonly onEdit: (id: string) => void;
}

/** The knife from its right side, with the points of the step at hand. */
export function SideView({ scale, width, bottomPx, onEdit }: SideViewProps) {
  const design = useDesign();
  const step = useStep();
  const selected = useSelected();
  const [, axisY] = toPx(scale, 0, 0);
  return (
    <g>
      <KnifeSide design={design} scale={scale} />
      <UnderlayImage scale={scale} />
      <HighlightMarks design={design} scale={scale} />
      <line x1="0" x2={width} y1={axisY} y2={axisY} stroke={color("line")} strokeDasharray="14 4 2 4" />
      <WeighedMarks scale={scale} bottomPx={bottomPx} />
      {step === "pins" && <PinRoom scale={scale} />}
      <Places scale={scale} />
      {step === "handle" && <OutlinePoints scale={scale} onEdit={onEdit} />}
      <BenchPoints view="side" points={sidePoints(design, step, selected)} scale={scale} onEdit={onEdit} />
    </g>
  );
}

/** Where it balances and where its mass sits: a weighing draws nothing of the knife again but these. */
function WeighedMarks({ scale, bottomPx }: { scale: Scale; bottomPx: number }) {
  const report = useReport();
  if (!report) return null;
  const { balanceMm, centreMm } = report;
  return (
    <>
      <CentreOfMass scale={scale} x={centreMm[0]} y={centreMm[1]} />
      <BalanceMark x={toPx(scale, balanceMm, 0)[0]} y={bottomPx} />
    </>
  );
}

/** A ring quartered in ink: where the whole mass may be thought to sit. */
function CentreOfMass({ scale, x, y }: { scale: Scale; x: number; y: number }) {
  const [cx, cy] = toPx(scale, x, y);
  const r = 7;
  return (
    <g data-testid="centre-of-mass">
      <circle cx={cx} cy={cy} r={r} fill={color("sheet")} stroke={color("bronze")} strokeWidth="2" />
      <path
        d={`M${cx} ${cy}V${cy - r}A${r} ${r} 0 0 1 ${cx + r} ${cy}ZM${cx} ${cy}V${cy + r}A${r} ${r} 0 0 1 ${cx - r} ${cy}Z`}
        fill={color("bronze")}
      />
    </g>
  );
}

/** Marks every finding that has a place. */
function Places({ scale }: { scale: Scale }) {
  const weighing = useWeighing();
  const review = useReview();
  const all = [...(weighing?.findings ?? []), ...(review?.findings ?? [])];
  return all.map((f, i) => {
    if (!f.at || f.severity === "note") return null;
    const [x, y] = toPx(scale, f.at.x, f.at.y);
    const tint = color(f.severity === "error" ? "fault" : "warn");
    return (
      <g key={`${f.rule}-${f.subject ?? i}`} data-testid="finding-place">
        <path d={`M${x} ${y}l-7 -20h14Z`} fill={tint} />
        <DrawnText x={x} y={y - 10} size={11} bold anchor="middle" tint="sheet">
          !
        </DrawnText>
      </g>
    );
  });
}

function OutlinePoints({ scale, onEdit }: { scale: Scale; onEdit: (id: string) => void }) {
  const { edit } = useBench();
  const design = useDesign();
  const units = useUnits();
  return design.handle.outline.map((n) => (
    <DragPoint
      key={n.id}
      id={n.id}
      at={{ x: n.xMm, y: n.yMm }}
      scale={scale}
      corner={n.corner}
      label={`${NODE_WORDS[n.role]}: ${printLength(-n.xMm, units)} behind the front, ${printLength(n.yMm, units)} above the axis`}
      snaps={{ ys: [0] }}
      onMove={(to, gesture) => edit({ code: "outline-move", id: n.id, role: n.role, to }, { gesture })}
      onRemove={() => edit({ code: "outline-remove", id: n.id, role: n.role })}
      onEdit={() => onEdit(n.id)}
    />
  ));
}

/** What the number editor shows for a point of the side view, or null when there is no such point any more. */
export function sideTarget(
  id: string,
  scale: Scale,
  design: Design,
  step: string,
  edit: Bench["edit"],
): PlaceTarget | null {
  const ofNode = (key: "xMm" | "yMm") => `handle.outline.0.${key}`;
  // No point of the outline stands ahead of the front.
  const behind = { label: "Behind the front", ...shownLimits(design, ofNode("xMm"), -1), min: 0 };
  const above = { label: "Above the axis", ...shownLimits(design, ofNode("yMm")) };
  const node = design.handle.outline.find((n) => n.id === id);
  if (node) {
    const move = (to: Point) => edit({ code: "outline-move", id: node.id, role: node.role, to });
    const atFront =
      node === design.handle.outline[0] || node === design.handle.outline[design.handle.outline.length - 1];
    const y = {
      ...above,
      mm: node.yMm,
      onChange: (mm: number) => move({ x: node.xMm, y: mm }),
    };
    const x = {
      ...behind,
      mm: -node.xMm,
      onChange: (mm: number) => move({ x: -mm, y: node.yMm }),
    };
    return {
      title: NODE_WORDS[node.role],
      px: toPx(scale, node.xMm, node.yMm),
      fields: atFront ? [y] : [x, y],
    };
  }
  const point = sidePoints(design, step, id).find((p) => p.id === id);
  return point ? pointTarget(point, { view: "side", step }, scale, design, edit) : null;
}
