"use client";
import { useMemo, useState } from "react";
import type { FoundOutline } from "@/core/exchange/pattern/found";
import type { Point } from "@/core/geometry/curve/bezier";
import { enclosedArea, polyline } from "@/core/geometry/curve/crossing";
import { curveThrough, type Knot } from "@/core/geometry/curve/spline";

/** Chords to a piece of the curve through points that were laid by hand. */
const CHORDS = 24;

export interface HandPoints {
  readonly points: readonly Knot[];
  /** The closed curve through them; null of fewer than three. */
  readonly outline: FoundOutline | null;
  readonly add: (at: Point, corner: boolean) => void;
  readonly change: (i: number, to: Partial<Knot>) => void;
  readonly remove: (i: number) => void;
  readonly clear: () => void;
}

/** An outline by points that its maker lays over the pattern. */
export function useHandPoints(): HandPoints {
  const [points, setPoints] = useState<readonly Knot[]>([]);
  const outline = useMemo((): FoundOutline | null => {
    if (points.length < 3) return null;
    const run = polyline(curveThrough([...points, points[0]]), CHORDS).slice(0, -1);
    return { kind: "outline", id: "by-hand", layer: "by hand", points: run, areaMm2: enclosedArea(run) };
  }, [points]);
  return {
    points,
    outline,
    add: (at, corner) => setPoints([...points, { ...at, corner }]),
    change: (i, to) => setPoints(points.map((p, k) => (k === i ? { ...p, ...to } : p))),
    remove: (i) => setPoints(points.filter((_, k) => k !== i)),
    clear: () => setPoints([]),
  };
}
