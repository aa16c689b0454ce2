"use client";
import { clamp } from "@/core/base/number";
import { printLength } from "@/core/base/units/print";
import { boresOf, edgeOf } from "@/core/knife/layout/bores";
import { useUnits } from "@/store/settings";
import { type Box, firstFree, placesRound, textWidth } from "../drawing/labels";
import { type Scale, toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";
import { useDesign, useSelected } from "../session/BenchContext";

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
  // A figure stands beside what it measures: never over a pin, a measured line or another figure.
  const taken: Box[] = bores.map((b) => {
    const [x, y] = toPx(scale, b.xMm, b.yMm);
    const r = (b.diameterMm / 2) * scale.pxPerMm + 2;
    return { x: x - r, y: y - r, w: 2 * r, h: 2 * r };
  });
  for (const r of reaches) {
    // A leaning line is a row of small boxes.
    const [[x1, y1], [x2, y2]] = [toPx(scale, ...r.from), toPx(scale, ...r.to)];
    for (let t = 0; t <= 1; t += 0.1)
      taken.push({ x: x1 + (x2 - x1) * t - 2, y: y1 + (y2 - y1) * t - 2, w: 4, h: 4 });
  }
  return (
    <g data-testid="pin-room" pointerEvents="none">
      {reaches.map((r, i) => {
        const [x1, y1] = toPx(scale, ...r.from);
        const [x2, y2] = toPx(scale, ...r.to);
        const says = printLength(r.mm, units);
        const w = textWidth(says, 12) + 8;
        const places = placesRound((x1 + x2) / 2, (y1 + y2) / 2, w, 17);
        const box = firstFree(places, taken) ?? places[0];
        taken.push(box);
        const [mx, my] = [box.x + box.w / 2, box.y + 9];
        const far = Math.hypot(mx - (x1 + x2) / 2, my - (y1 + y2) / 2) > 20;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: first the edge, then the neighbour
          <g key={i}>
            <line x1={x1} y1={y1} x2={x2} y2={y2} stroke={color("ink")} strokeWidth="1.2" />
            {far && (
              <path
                d={`M${(x1 + x2) / 2} ${(y1 + y2) / 2}L${mx} ${my}`}
                stroke={color("graphite")}
                strokeWidth="0.7"
              />
            )}
            <rect
              x={box.x}
              y={box.y}
              width={box.w}
              height={box.h}
              rx="2"
              fill={color("sheet")}
              opacity="0.9"
            />
            <DrawnText x={mx} y={my + 4} size={12} anchor="middle" tint={r.mm < 0 ? "fault" : "ink"}>
              {says}
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
