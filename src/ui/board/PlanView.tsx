"use client";
import { memo, useMemo } from "react";
import { printLength } from "@/core/base/units/print";
import { planPoints } from "@/core/edit/points/pointsOf";
import { assembleDrawn } from "@/core/figures/views/drawn";
import { planShapes } from "@/core/figures/views/plan";
import type { Point } from "@/core/geometry/curve/bezier";
import { spineThickness } from "@/core/geometry/solids/groundBlade";
import { endKindOf } from "@/core/kinds/tangEnds/registry";
import type { Design } from "@/core/knife/design/schema";
import { bolsterHalf } from "@/core/knife/layout/bladeParts";
import { layoutOf } from "@/core/knife/layout/layout";
import type { PartKey } from "@/core/knife/parts/partKey";
import { useUnits } from "@/store/settings";
import { Filled } from "../drawing/Filled";
import { chordPath, type Scale } from "../drawing/path";
import { color } from "../kit/theme";
import { useBench, useDesign, useLaterDesign, useStep } from "../session/BenchContext";
import type { Bench } from "../session/benchState";
import { BenchPoints, pointTarget } from "./BenchPoints";
import { DragPoint } from "./DragPoint";
import type { PlaceTarget } from "./PlaceEditor";

/** The knife from above, spine toward the eye: widest reach of each layer at each station. Left side up. */
export function PlanView({ scale, onEdit }: { scale: Scale; onEdit: (id: string) => void }) {
  const design = useDesign();
  const step = useStep();
  const later = useLaterDesign();
  return (
    <g>
      <PlanLayers design={later} scale={scale} />
      <line
        x1="0"
        x2="4000"
        y1={scale.originY}
        y2={scale.originY}
        stroke={color("line")}
        strokeDasharray="14 4 2 4"
      />
      {step === "handle" && design.handle.kind !== "bare" && (
        <ThicknessPoints scale={scale} onEdit={onEdit} />
      )}
      <BenchPoints view="plan" points={planPoints(design, step)} scale={scale} onEdit={onEdit} />
    </g>
  );
}

const PlanLayers = memo(function PlanLayers({ design, scale }: { design: Design; scale: Scale }) {
  const { blade, tang, handle, guard, meshes } = design;
  // Pins and bolts are not drawn from above: dragging one leaves the layers as they are.
  // biome-ignore lint/correctness/useExhaustiveDependencies: what the layers are made of
  const layers = useMemo(
    () => planLayers({ ...design, fasteners: [] }),
    [blade, tang, handle, guard, meshes],
  );
  return layers.map((l, i) => {
    const d = l.loops.map((loop) => chordPath(loop, scale)).join("");
    const key = `${l.id}-${i}`;
    return l.hidden ? (
      <path key={key} d={d} fill="none" stroke={color("ink")} strokeWidth="0.8" strokeDasharray="5 3" />
    ) : (
      <Filled opaque key={key} d={d} material={l.material} />
    );
  });
});

/** The left side's points, above, move both sides; where the sides differ each has its own. */
function ThicknessPoints({ scale, onEdit }: { scale: Scale; onEdit: (id: string) => void }) {
  const { edit } = useBench();
  const design = useDesign();
  const units = useUnits();
  return design.handle.plan.map((p) => {
    const move = (to: Point, gesture: string, left = false) =>
      edit({ code: "thickness-move", id: p.id, to, left }, { gesture });
    const remove = () => edit({ code: "thickness-remove", id: p.id });
    const behind = `${printLength(-p.xMm, units)} behind the front`;
    if (p.leftHalfMm === null)
      return (
        <DragPoint
          key={p.id}
          id={p.id}
          at={{ x: p.xMm, y: p.halfMm }}
          scale={scale}
          label={`Thickness ${printLength(2 * p.halfMm, units)} at ${behind}`}
          onMove={(to, gesture) => move(to, gesture)}
          onEdit={() => onEdit(p.id)}
          onRemove={remove}
        />
      );
    return (
      <g key={p.id}>
        <DragPoint
          id={`${p.id}-left`}
          at={{ x: p.xMm, y: p.leftHalfMm }}
          scale={scale}
          label={`Left side ${printLength(p.leftHalfMm, units)} from the middle at ${behind}`}
          onMove={(to, gesture) => move(to, gesture, true)}
          onEdit={() => onEdit(`${p.id}-left`)}
          onRemove={remove}
        />
        <DragPoint
          id={p.id}
          at={{ x: p.xMm, y: -p.halfMm }}
          scale={scale}
          label={`Right side ${printLength(p.halfMm, units)} from the middle at ${behind}`}
          onMove={(to, gesture) => move({ x: to.x, y: -to.y }, gesture)}
          onEdit={() => onEdit(p.id)}
          onRemove={remove}
        />
      </g>
    );
  });
}

/** What the number editor shows for a point of the view from above, or null when there is no such point any more. */
export function planTarget(
  id: string,
  scale: Scale,
  design: Design,
  step: string,
  edit: Bench["edit"],
): PlaceTarget | null {
  const nodes = design.handle.plan;
  const left = id.endsWith("-left");
  const node = nodes.find((p) => p.id === (left ? id.slice(0, -5) : id));
  if (!node) {
    const point = planPoints(design, step).find((p) => p.id === id);
    return point ? pointTarget(point, { view: "plan", step }, scale, design, edit) : null;
  }
  const move = (to: Point) => edit({ code: "thickness-move", id: node.id, to, left });
  const inner = node !== nodes[0] && node !== nodes[nodes.length - 1];
  const apart = node.leftHalfMm !== null;
  const half = left ? (node.leftHalfMm ?? node.halfMm) : node.halfMm;
  const factor = apart ? 1 : 2;
  const thickness = {
    label: apart ? (left ? "Left of the middle" : "Right of the middle") : "Thickness, both sides",
    mm: factor * half,
    min: 0.2 * factor,
    max: 80 * factor,
    onChange: (mm: number) => move({ x: node.xMm, y: mm / factor }),
  };
  const behind = {
    label: "Behind the front",
    mm: -node.xMm,
    min: 0,
    max: 600,
    onChange: (mm: number) => move({ x: -mm, y: half }),
  };
  const px: [number, number] = [
    scale.originX + node.xMm * scale.pxPerMm,
    scale.originY - (apart && !left ? -1 : 1) * half * scale.pxPerMm,
  ];
  return { title: "Thickness", px, fields: inner ? [thickness, behind] : [thickness] };
}

/** What lies under other parts from above, such as below a joint along the handle, or is drawn by itself. */
const BURIED: readonly PartKey["kind"][] = [
  "blade",
  "tang-hole",
  "recess",
  "guard-slot",
  "hole",
  "slot",
  "lower",
  "lengthwise-sheet",
];

interface Layer {
  readonly id: string;
  readonly material: string;
  readonly loops: readonly (readonly Point[])[];
  /** Inside another part: drawn as a hidden line. */
  readonly hidden: boolean;
}

/** Outlines from above, the ones nearer the middle last, and the blade over them. */
function planLayers(design: Design): Layer[] {
  const { blade } = layoutOf(design);
  const { tang } = design;
  const letIn = tang.kind === "hidden" && endKindOf(tang.end).letIn(tang.end);
  const inside = (key: PartKey) =>
    (tang.kind !== "full" && key.kind === "tang") || (letIn && key.kind === "tang-end");
  const shapes = planShapes(assembleDrawn(design), ({ key, group }) => {
    const nut = key.kind === "tang-end" && key.component === "nut";
    return (group === "fasteners" && !nut) || BURIED.includes(key.kind);
  });
  const edge: Point[] = [];
  for (let i = 0; i <= 40; i++) {
    const x = (blade.lengthMm * i) / 40;
    edge.push({ x, y: spineThickness(blade, x) / 2 });
  }
  const whole = [...edge, ...edge.map((p) => ({ x: p.x, y: -p.y })).reverse()];
  return [
    ...shapes.map((s) => ({ ...s, hidden: inside(s.key) })),
    { id: "blade", material: design.blade.steel, hidden: false, loops: [whole] },
    ...bolsterFromAbove(design),
  ];
}

/** An integral bolster from above. */
function bolsterFromAbove({ blade }: Design): Layer[] {
  const { bolster } = blade;
  if (!bolster) return [];
  const edge = Array.from({ length: 13 }, (_, i) => {
    const x = (bolster.lengthMm * i) / 12;
    return { x, y: bolsterHalf(bolster, x) };
  });
  const whole = [...edge, ...edge.map((p) => ({ x: p.x, y: -p.y })).reverse()];
  return [{ id: "integral-bolster", material: blade.steel, hidden: false, loops: [whole] }];
}
