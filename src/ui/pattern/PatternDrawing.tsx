"use client";
import { Box } from "@chakra-ui/react";
import { type MouseEvent, useMemo } from "react";
import type { Found } from "@/core/exchange/pattern/found";
import type { Placing } from "@/core/exchange/pattern/placing";
import { boxOf, circleLoop, straightLoop } from "@/core/geometry/contours/loop";
import { after, shifted, stretched, through, turned } from "@/core/geometry/curve/affine";
import type { Point } from "@/core/geometry/curve/bezier";
import { polyline } from "@/core/geometry/curve/crossing";
import type { Design } from "@/core/knife/design/schema";
import { layoutOf } from "@/core/knife/layout/layout";
import { color } from "../kit/theme";
import { pathOf } from "./pathOf";

interface PatternDrawingProps {
  readonly shapes: readonly Found[];
  readonly picked: string | null;
  readonly placing: Placing;
  /** The knife that it becomes, drawn over it; null where there is none. */
  readonly made: Design | null;
  /** A photo under it, its lower left corner at the drawing's origin, mm. */
  readonly under: { readonly url: string; readonly width: number; readonly height: number } | null;
  /** Points that are laid by hand. */
  readonly hand: readonly Point[];
  /** A click tells a place rather than picking an outline. */
  readonly marking: boolean;
  readonly onPick: (id: string) => void;
  readonly onMark: (at: Point, shift: boolean) => void;
}

const CHORDS = 24;

/** The drawing as it lies in its file, what is picked of it, its datum and axis, and the knife over it. */
export function PatternDrawing({
  shapes,
  picked,
  placing,
  made,
  under,
  hand,
  marking,
  onPick,
  onMark,
}: PatternDrawingProps) {
  const box = useMemo(() => {
    if (under) return { x0: 0, y0: 0, x1: under.width, y1: under.height };
    const loops = shapes.map((s) =>
      s.kind === "circle" ? circleLoop(s.x, s.y, s.radiusMm) : straightLoop(s.points),
    );
    return boxOf(loops) ?? { x0: -50, y0: -20, x1: 50, y1: 20 };
  }, [shapes, under]);
  const margin = (under ? 0.01 : 0.06) * Math.max(box.x1 - box.x0, box.y1 - box.y0);
  const view = {
    x: box.x0 - margin,
    y: -box.y1 - margin,
    w: box.x1 - box.x0 + 2 * margin,
    h: box.y1 - box.y0 + 2 * margin,
  };
  const line = Math.max(view.w, view.h) / 700;
  const over = useMemo(() => (made ? knifeOver(made, placing) : []), [made, placing]);
  const place = (e: MouseEvent<SVGSVGElement>) => {
    const matrix = e.currentTarget.getScreenCTM()?.inverse();
    if (!matrix || !marking) return;
    const { x, y } = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    onMark({ x, y: -y }, e.shiftKey);
  };
  return (
    <Box flex="1" minH="0" bg="sheet" borderWidth="1px">
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the datum's fields and the list beside it do the same by keyboard. */}
      <svg
        viewBox={`${view.x} ${view.y} ${view.w} ${view.h}`}
        width="100%"
        height="100%"
        role="img"
        aria-label={`Drawing with ${shapes.length} shapes`}
        onClick={place}
        style={{ cursor: marking ? "crosshair" : undefined }}
      >
        {under && (
          <image
            href={under.url}
            x="0"
            y={-under.height}
            width={under.width}
            height={under.height}
            preserveAspectRatio="none"
            opacity="0.65"
          />
        )}
        {shapes.map((s) => (
          <Shape
            key={s.id}
            shape={s}
            line={line}
            picked={s.id === picked}
            onPick={marking ? null : () => onPick(s.id)}
          />
        ))}
        {over.map((points) => (
          <path
            key={`${points.length}-${points[0].x}-${points[0].y}`}
            d={pathOf(points, true)}
            fill="none"
            stroke={color("warn")}
            strokeWidth={1.2 * line}
            strokeDasharray={`${5 * line} ${3 * line}`}
          />
        ))}
        <HandPoints points={hand} line={line} />
        <Axis placing={placing} length={Math.max(view.w, view.h) * 0.12} line={line} />
      </svg>
    </Box>
  );
}

/** One shape that was found; an outline can be picked. */
function Shape(props: { shape: Found; line: number; picked: boolean; onPick: (() => void) | null }) {
  const { shape: s, line, picked, onPick } = props;
  const stroke = picked ? color("ink") : color("graphite");
  const width = picked ? 2 * line : line;
  if (s.kind === "circle")
    return <circle cx={s.x} cy={-s.y} r={s.radiusMm} fill="none" stroke={stroke} strokeWidth={width} />;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the list beside the drawing is the control.
    <path
      d={pathOf(s.points, s.kind === "outline")}
      fill={picked ? color("ink") : "transparent"}
      fillOpacity={picked ? 0.06 : 0}
      stroke={stroke}
      strokeWidth={width}
      strokeDasharray={s.kind === "open" ? `${4 * line} ${3 * line}` : undefined}
      onClick={(e) => {
        if (s.kind !== "outline" || !onPick) return;
        e.stopPropagation();
        onPick();
      }}
    />
  );
}

function HandPoints({ points, line }: { points: readonly Point[]; line: number }) {
  return points.map((p, i) => (
    <g key={`${p.x} ${p.y}`} fill={color("warn")}>
      <circle cx={p.x} cy={-p.y} r={3 * line} />
      <text x={p.x + 5 * line} y={-p.y - 4 * line} style={{ fontSize: 12 * line }}>
        {i + 1}
      </text>
    </g>
  ));
}

/** The datum, and the handle's axis through it with a head toward the tip. */
function Axis({ placing, length, line }: { placing: Placing; length: number; line: number }) {
  const axis = axisOf(placing, length);
  return (
    <g stroke={color("ink")} strokeWidth={1.5 * line} fill={color("ink")}>
      <path d={pathOf(axis.line, false)} fill="none" />
      <path d={pathOf(axis.head, true)} stroke="none" />
      <circle cx={placing.datum.x} cy={-placing.datum.y} r={4 * line} fill={color("sheet")} />
    </g>
  );
}

/** The knife's outlines in the drawing's own frame. */
function knifeOver(design: Design, { datum, tipDeg, mirrored }: Placing): Point[][] {
  const back = after(shifted(datum.x, datum.y), after(turned(tipDeg), stretched(1, mirrored ? -1 : 1)));
  const layout = layoutOf(design);
  const contours = [layout.bladeOutline, layout.outline, layout.barOutline].filter((c) => c !== null);
  return contours.map((c) => polyline(c.cubics, CHORDS).map((p) => through(back, p)));
}

/** The handle's axis from the datum toward the tip, with a head. */
function axisOf({ datum, tipDeg }: Placing, length: number) {
  const to = after(shifted(datum.x, datum.y), turned(tipDeg));
  const at = (x: number, y: number) => through(to, { x, y });
  return {
    line: [at(-length, 0), at(length, 0)],
    head: [at(length * 1.15, 0), at(length, length * 0.06), at(length, -length * 0.06)],
  };
}
