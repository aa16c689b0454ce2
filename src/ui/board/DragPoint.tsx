"use client";
import { type KeyboardEvent, type PointerEvent, useEffect, useEffectEvent, useRef } from "react";
import { roundTo } from "@/core/base/number";
import { own } from "@/core/base/own";
import type { Point } from "@/core/geometry/curve/bezier";
import { useSettings } from "@/store/settings";
import { type Scale, toMm, toPx } from "../drawing/path";
import { color } from "../kit/theme";
import { useTouchDrag } from "../kit/useTouchDrag";
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
/** px of a bare point's radius, and that a hand trembles when it only clicks. */
const BARE_PX = 5;
const TREMBLES_PX = 2;
/** What arrow keys move by, in steps. */
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

let gestures = 0;

type Moving = Pick<DragPointProps, "id" | "at" | "scale" | "onMove" | "onEdit" | "snaps">;

/** How a point is dragged by the pointer: from where it is taken hold of, past a little that a hand trembles. */
function useDragged({ id, at, scale, onMove, onEdit, snaps }: Moving) {
  const { setSelected, setDragging } = useBench();
  const { snapMm } = useSettings();
  const drag = useRef<{ gesture: string; dx: number; dy: number; moved: boolean } | null>(null);
  const [cx, cy] = toPx(scale, at.x, at.y);
  const pointer = (e: PointerEvent<SVGGElement>) => {
    const box = e.currentTarget.ownerSVGElement!.getBoundingClientRect();
    return { x: e.clientX - box.left, y: e.clientY - box.top };
  };
  const end = () => {
    if (drag.current?.moved) setDragging(false);
    drag.current = null;
  };
  // A point that goes away while it is dragged, with its step or by an undo, ends its drag.
  const endNow = useEffectEvent(end);
  useEffect(() => () => endNow(), []);
  return {
    onPointerDown: (e: PointerEvent<SVGGElement>) => {
      if (e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      const p = pointer(e);
      drag.current = { gesture: `drag-${++gestures}`, dx: p.x - cx, dy: p.y - cy, moved: false };
      setSelected(id);
    },
    onPointerMove: (e: PointerEvent<SVGGElement>) => {
      const d = drag.current;
      if (!d) return;
      const p = pointer(e);
      if (!d.moved && Math.hypot(p.x - d.dx - cx, p.y - d.dy - cy) < TREMBLES_PX) return;
      if (!d.moved) setDragging(true);
      d.moved = true;
      const raw = toMm(scale, p.x - d.dx, p.y - d.dy);
      onMove(e.altKey ? raw : snap(raw, snapMm, snaps, SNAP_PX / scale.pxPerMm), d.gesture);
    },
    onPointerUp: () => {
      if (drag.current && !drag.current.moved) onEdit();
      end();
    },
    onPointerCancel: end,
  };
}

/** How a point is moved, opened and removed by keys; strokes until it is left are one gesture. */
function usePressed({ id, at, onMove, onEdit, onRemove }: Moving & Pick<DragPointProps, "onRemove">) {
  const { setSelected } = useBench();
  const { snapMm } = useSettings();
  const gesture = useRef("");
  return {
    onFocus: () => setSelected(id),
    onBlur: () => {
      gesture.current = "";
    },
    onKeyDown: (e: KeyboardEvent<SVGGElement>) => {
      const step = (snapMm || 0.5) * (e.shiftKey ? 10 : 1);
      const by = own(ARROWS, e.key);
      if (by) {
        e.preventDefault();
        if (!gesture.current) gesture.current = `keys-${++gestures}`;
        onMove({ x: round(at.x + step * by[0]), y: round(at.y + step * by[1]) }, gesture.current);
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
    },
  };
}

/**
 * A point on the drawing that can be dragged, or moved with arrow keys (Shift for larger steps); Enter opens its
 * numbers, Delete removes it where it can be removed. Snaps to the step of the settings; Alt goes free.
 */
export function DragPoint(props: DragPointProps) {
  const { id, at, scale, label, radius = BARE_PX, corner } = props;
  const picked = useSelected() === id;
  const dragged = useDragged(props);
  const pressed = usePressed(props);
  const point = useRef<SVGGElement>(null);
  useTouchDrag(point);
  const [cx, cy] = toPx(scale, at.x, at.y);
  const r = Math.max(radius, BARE_PX);
  const ring = { fill: "none", stroke: color("ink"), strokeWidth: "2" };
  return (
    <g
      ref={point}
      role="button"
      tabIndex={0}
      aria-label={label}
      data-point={id}
      style={{ cursor: "grab", outline: "none" }}
      className="drag-point"
      data-picked={picked || undefined}
      {...dragged}
      {...pressed}
    >
      <circle className="drag-hold" cx={cx} cy={cy} r={Math.max(r + 4, 12)} fill="transparent" />
      <circle className="drag-ring" cx={cx} cy={cy} r={r + 4} {...ring} />
      {radius <= BARE_PX && <PointMark cx={cx} cy={cy} corner={corner ?? false} picked={picked} />}
    </g>
  );
}

/** A bare point: square at a corner, round elsewhere, filled where it is picked. */
function PointMark({ cx, cy, corner, picked }: { cx: number; cy: number; corner: boolean; picked: boolean }) {
  const look = { fill: color(picked ? "ink" : "sheet"), stroke: color("ink"), strokeWidth: "1.5" };
  return corner ? (
    <rect x={cx - 4.5} y={cy - 4.5} width="9" height="9" {...look} />
  ) : (
    <circle cx={cx} cy={cy} r="4.5" {...look} />
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
