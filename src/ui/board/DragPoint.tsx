"use client";
import { type KeyboardEvent, type PointerEvent, useEffect, useEffectEvent, useRef } from "react";
import { roundTo } from "@/core/base/number";
import type { Point } from "@/core/geometry/curve/bezier";
import { useSettings } from "@/store/settings";
import { type Scale, toMm, toPx } from "../drawing/path";
import { color } from "../kit/theme";
import { useBench, useSelected } from "../session/BenchContext";

interface DragPointProps {
  readonly id: string;
  readonly at: Point;
  readonly scale: Scale;
  /** What it is and where, for those who hear the drawing. */
  readonly label: string;
  /** px; a pin's own size, or the default for a bare point. */
  readonly radius?: number;
  readonly corner?: boolean;
  readonly onMove: (to: Point, gesture: string) => void;
  readonly onRemove?: () => void;
  /** Opens the number editor beside the point. */
  readonly onEdit: () => void;
  /** Heights or stations that a dragged point snaps to. */
  readonly snaps?: { readonly xs?: readonly number[]; readonly ys?: readonly number[] };
}

/** px within which a point snaps to a station or height. */
const SNAP_PX = 5;

let gestures = 0;

/**
 * A point on the drawing that can be dragged, or moved with arrow keys (Shift for larger steps); Enter opens its
 * numbers, Delete removes it where it can be removed. Snaps to the step of the settings; Alt goes free.
 */
export function DragPoint({
  id,
  at,
  scale,
  label,
  radius = 5,
  corner,
  onMove,
  onRemove,
  onEdit,
  snaps,
}: DragPointProps) {
  const { setSelected, setDragging } = useBench();
  const selected = useSelected();
  const { snapMm } = useSettings();
  const drag = useRef<{ gesture: string; dx: number; dy: number; moved: boolean } | null>(null);
  const keys = useRef("");
  const [cx, cy] = toPx(scale, at.x, at.y);

  const pointer = (e: PointerEvent<SVGGElement>) => {
    const box = e.currentTarget.ownerSVGElement!.getBoundingClientRect();
    return { x: e.clientX - box.left, y: e.clientY - box.top };
  };
  const down = (e: PointerEvent<SVGGElement>) => {
    if (e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    const p = pointer(e);
    drag.current = { gesture: `drag-${++gestures}`, dx: p.x - cx, dy: p.y - cy, moved: false };
    setSelected(id);
  };
  const move = (e: PointerEvent<SVGGElement>) => {
    const d = drag.current;
    if (!d) return;
    const p = pointer(e);
    if (!d.moved && Math.hypot(p.x - d.dx - cx, p.y - d.dy - cy) < 2) return;
    if (!d.moved) setDragging(true);
    d.moved = true;
    const raw = toMm(scale, p.x - d.dx, p.y - d.dy);
    onMove(e.altKey ? raw : snap(raw, snapMm, snaps, SNAP_PX / scale.pxPerMm), d.gesture);
  };
  const end = () => {
    if (drag.current?.moved) setDragging(false);
    drag.current = null;
  };
  const up = () => {
    if (drag.current && !drag.current.moved) onEdit();
    end();
  };
  // A point that goes away while it is dragged, with its step or by an undo, ends its drag.
  const endNow = useEffectEvent(end);
  useEffect(() => () => endNow(), []);
  const press = (e: KeyboardEvent<SVGGElement>) => {
    const step = (snapMm || 0.5) * (e.shiftKey ? 10 : 1);
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    };
    if (by[e.key]) {
      e.preventDefault();
      if (!keys.current) keys.current = `keys-${++gestures}`;
      onMove({ x: round(at.x + by[e.key][0]), y: round(at.y + by[e.key][1]) }, keys.current);
    }
    if (e.key === "Enter" || e.key === " ") {
      e.preventDefault();
      setSelected(id);
      onEdit();
    }
    if ((e.key === "Delete" || e.key === "Backspace") && onRemove) {
      e.preventDefault();
      onRemove();
    }
  };

  const picked = selected === id;
  const r = Math.max(radius, 5);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      data-point={id}
      style={{ cursor: "grab", outline: "none", touchAction: "none" }}
      className="drag-point"
      data-picked={picked || undefined}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={end}
      onFocus={() => setSelected(id)}
      onBlur={() => {
        keys.current = "";
      }}
      onKeyDown={press}
    >
      <circle cx={cx} cy={cy} r={Math.max(r + 4, 12)} fill="transparent" />
      <circle
        className="drag-ring"
        cx={cx}
        cy={cy}
        r={r + 4}
        fill="none"
        stroke={color("ink")}
        strokeWidth="2"
      />
      {radius <= 5 &&
        (corner ? (
          <rect
            x={cx - 4.5}
            y={cy - 4.5}
            width="9"
            height="9"
            fill={picked ? color("ink") : color("sheet")}
            stroke={color("ink")}
            strokeWidth="1.5"
          />
        ) : (
          <circle
            cx={cx}
            cy={cy}
            r="4.5"
            fill={picked ? color("ink") : color("sheet")}
            stroke={color("ink")}
            strokeWidth="1.5"
          />
        ))}
    </g>
  );
}

function round(mm: number): number {
  return roundTo(mm, 4);
}

/** To a station or height that it snaps to where one is near, else to the step of the settings. */
function snap(p: Point, snapMm: number, snaps: DragPointProps["snaps"], withinMm: number): Point {
  const to = (v: number, near: readonly number[] = []): number => {
    const snapped = near.find((n) => Math.abs(n - v) <= withinMm);
    if (snapped !== undefined) return snapped;
    return snapMm > 0 ? round(Math.round(v / snapMm) * snapMm) : v;
  };
  return { x: to(p.x, snaps?.xs), y: to(p.y, snaps?.ys) };
}
