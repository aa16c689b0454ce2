"use client";
import { useDeferredValue, useMemo } from "react";
import { assemble } from "@/core/assembly/assemble";
import { groundBlade } from "@/core/assembly/groundBlade";
import type { Point } from "@/core/curve/bezier";
import { spineThickness } from "@/core/solids/bladeRegion";
import { printLength } from "@/core/units/print";
import { Filled } from "../drawing/Filled";
import { chordPath, type Scale } from "../drawing/path";
import { color } from "../theme";
import { useBench } from "./BenchContext";
import { DragPoint } from "./DragPoint";
import { movePlanNode } from "./outlineEdits";

/** Stations that the view from above is drawn at. */
const STATIONS = 90;

/** The knife from above, spine toward the eye: widest reach of each layer at each station. Left side up. */
export function PlanView({ scale, onEdit }: { scale: Scale; onEdit: (id: string) => void }) {
  const { design, edit, units, step } = useBench();
  // Drawn a moment later than what is dragged, when there is time.
  const later = useDeferredValue(design);
  const layers = useMemo(() => planLayers(later), [later]);
  return (
    <g>
      {layers.map((l) =>
        l.hidden ? (
          <path
            key={l.id}
            d={chordPath(l.points, scale)}
            fill="none"
            stroke={color("ink")}
            strokeWidth="0.8"
            strokeDasharray="5 3"
          />
        ) : (
          <Filled key={l.id} d={chordPath(l.points, scale)} material={l.material} />
        ),
      )}
      <line
        x1="0"
        x2="4000"
        y1={scale.originY}
        y2={scale.originY}
        stroke={color("line")}
        strokeDasharray="14 4 2 4"
      />
      {step === "handle" &&
        design.handle.plan.map((p) => (
          <DragPoint
            key={p.id}
            id={p.id}
            at={{ x: p.xMm, y: p.halfMm }}
            scale={scale}
            label={`Thickness ${printLength(2 * p.halfMm, units)} at ${printLength(-p.xMm, units)} behind the front`}
            onMove={(to, gesture) => movePlanNode(edit, p, to, gesture)}
            onEdit={() => onEdit(p.id)}
          />
        ))}
    </g>
  );
}

interface Layer {
  readonly id: string;
  readonly material: string;
  readonly points: readonly Point[];
  /** Inside another part: drawn as a hidden line. */
  readonly hidden: boolean;
}

/** The middle of what several cuts have in common in y. */
function middleOf(cuts: readonly (readonly number[])[]): number {
  return (Math.max(...cuts.map((ys) => ys[0])) + Math.min(...cuts.map((ys) => ys[ys.length - 1]))) / 2;
}

/** Outlines from above, the ones nearer the middle last. +z (right) is drawn downward. */
function planLayers(design: Parameters<typeof assemble>[0]): Layer[] {
  const { regions, parts } = assemble(design);
  const blade = groundBlade(design.blade);
  const layers: Layer[] = [];
  for (const part of [...parts].reverse()) {
    const buried = part.group === "fasteners" || part.id === "blade" || part.id.startsWith("hole");
    if (buried || part.made.length === 0) continue;
    const a = Math.max(...part.regions.map((r) => regions[r].xRange[0]));
    const b = Math.min(...part.regions.map((r) => regions[r].xRange[1]));
    const upper: Point[] = [];
    const lower: Point[] = [];
    for (let i = 0; i <= STATIONS && b > a; i++) {
      const x = a + 1e-6 + ((b - a - 2e-6) * i) / STATIONS;
      const cuts = part.regions.map((r) => regions[r].sliceAt(x)).filter((s) => s !== null);
      const bounded = cuts.flatMap((s) => (s.ys !== null && s.ys.length > 1 ? [s.ys] : []));
      if (cuts.length < part.regions.length || bounded.length === 0) continue;
      const y = middleOf(bounded);
      const low = Math.max(...cuts.map((s) => s.low(y)));
      const high = Math.min(...cuts.map((s) => s.high(y)));
      if (!(high > low)) continue;
      upper.push({ x, y: -low });
      lower.push({ x, y: -high });
    }
    const hidden = design.tang.kind === "hidden" && part.id.startsWith("tang");
    layers.push({
      id: part.id,
      material: part.made[0].materialId,
      points: [...upper, ...lower.reverse()],
      hidden,
    });
  }
  const edge: Point[] = [];
  for (let i = 0; i <= 40; i++) {
    const x = (blade.lengthMm * i) / 40;
    edge.push({ x, y: spineThickness(blade, x) / 2 });
  }
  layers.push({
    id: "blade",
    material: design.blade.steel,
    hidden: false,
    points: [...edge, ...edge.map((p) => ({ x: p.x, y: -p.y })).reverse()],
  });
  return layers;
}
