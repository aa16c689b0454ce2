"use client";
import { useMemo } from "react";
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
  const layers = useMemo(() => planLayers(design), [design]);
  return (
    <g>
      {layers.map((l) => (
        <Filled key={l.id} d={chordPath(l.points, scale)} material={l.material} />
      ))}
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
}

/** Outlines from above, the ones nearer the middle last. +z (right) is drawn downward. */
function planLayers(design: Parameters<typeof assemble>[0]): Layer[] {
  const { regions, parts } = assemble(design);
  const blade = groundBlade(design.blade);
  const layers: Layer[] = [];
  for (const part of [...parts].reverse()) {
    if (part.group !== "handle" && part.id !== "tang") continue;
    if (
      part.regions.length !== (part.id === "tang" ? 1 : 2) ||
      part.made.length === 0 ||
      part.id.startsWith("hole")
    )
      continue;
    const [a, b] = regions[part.regions[0]].xRange;
    const upper: Point[] = [];
    const lower: Point[] = [];
    for (let i = 0; i <= STATIONS; i++) {
      const x = a + 1e-6 + ((b - a - 2e-6) * i) / STATIONS;
      const slices = part.regions.map((r) => regions[r].sliceAt(x));
      const ys = slices[0]?.ys;
      if (!ys || ys.length < 2 || slices.some((s) => !s)) continue;
      const y = (ys[0] + ys[1]) / 2;
      const low = Math.max(...slices.map((s) => s!.low(y)));
      const high = Math.min(...slices.map((s) => s!.high(y)));
      if (!(high > low)) continue;
      upper.push({ x, y: -low });
      lower.push({ x, y: -high });
    }
    layers.push({ id: part.id, material: part.made[0].materialId, points: [...upper, ...lower.reverse()] });
  }
  const edge: Point[] = [];
  for (let i = 0; i <= 40; i++) {
    const x = (blade.lengthMm * i) / 40;
    edge.push({ x, y: spineThickness(blade, x) / 2 });
  }
  layers.push({
    id: "blade",
    material: design.blade.steel,
    points: [...edge, ...edge.map((p) => ({ x: p.x, y: -p.y })).reverse()],
  });
  return layers;
}
