"use client";
import { boresOf, edgeOf } from "@/core/layout/bores";
import { clamp } from "@/core/number";
import { printLength } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { type Scale, toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { color } from "../theme";
import { useDesign, useSelected } from "./BenchContext";

interface Reach {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly mm: number;
}

/** What is left round the pin that is picked out, while it is dragged: to the edge, and to its nearest neighbour. */
export function PinRoom({ scale }: { scale: Scale }) {
  const design = useDesign();
  const selected = useSelected();
  const units = useUnits();
  const bores = boresOf(design);
  const pin = bores.find((b) => b.id === selected);
  if (!pin) return null;
  const radius = pin.diameterMm / 2;
  const reaches: Reach[] = [];
  const edge = nearestOn(edgeOf(design), pin.xMm, pin.yMm);
  if (edge) reaches.push(between([pin.xMm, pin.yMm], edge, radius, 0));
  const others = bores.filter((b) => b.id !== pin.id);
  const near = others.reduce<(typeof others)[number] | null>((best, o) => {
    const gap = (b: typeof o) => Math.hypot(b.xMm - pin.xMm, b.yMm - pin.yMm) - b.diameterMm / 2;
    return best === null || gap(o) < gap(best) ? o : best;
  }, null);
  if (near) reaches.push(between([pin.xMm, pin.yMm], [near.xMm, near.yMm], radius, near.diameterMm / 2));
  return (
    <g data-testid="pin-room" pointerEvents="none">
      {reaches.map((r, i) => {
        const [x1, y1] = toPx(scale, ...r.from);
        const [x2, y2] = toPx(scale, ...r.to);
        const [mx, my] = [(x1 + x2) / 2, (y1 + y2) / 2];
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: first the edge, then the neighbour
          <g key={i}>
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke={color("ink")} strokeWidth="1.2" />
            <rect x={mx - 24} y={my - 9} width="48" height="17" rx="2" fill={color("sheet")} opacity="0.9" />
            <DrawnText x={mx} y={my + 4} size={12} anchor="middle" tint={r.mm < 0 ? "fault" : "ink"}>
              {printLength(r.mm, units)}
            </DrawnText>
          </g>
        );
      })}
    </g>
  );
}

/** From one round's border to another's, along the line between their middles. */
function between(
  a: readonly [number, number],
  b: readonly [number, number],
  radiusA: number,
  radiusB: number,
): Reach {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = long > 0 ? [(b[0] - a[0]) / long, (b[1] - a[1]) / long] : [1, 0];
  return {
    from: [a[0] + ux * radiusA, a[1] + uy * radiusA],
    to: [b[0] - ux * radiusB, b[1] - uy * radiusB],
    mm: long - radiusA - radiusB,
  };
}

/** The place on a run of chords that is nearest to another. */
function nearestOn(edge: ReturnType<typeof edgeOf>, x: number, y: number): readonly [number, number] | null {
  let best: { at: readonly [number, number]; far: number } | null = null;
  for (let i = 0; i + 1 < edge.length; i++) {
    const [a, b] = [edge[i], edge[i + 1]];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const size = dx * dx + dy * dy;
    const t = size > 0 ? clamp(((x - a.x) * dx + (y - a.y) * dy) / size, 0, 1) : 0;
    const at = [a.x + t * dx, a.y + t * dy] as const;
    const far = Math.hypot(at[0] - x, at[1] - y);
    if (!best || far < best.far) best = { at, far };
  }
  return best?.at ?? null;
}
