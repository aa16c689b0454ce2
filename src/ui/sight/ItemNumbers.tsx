"use client";
import { memo } from "react";
import { holesOf, slotsOf } from "@/core/knife/design/openings";
import type { Design } from "@/core/knife/design/schema";
import { layoutOf } from "@/core/knife/layout/layout";
import { itemNames, pieceNaming } from "@/core/knife/shapes/itemNames";
import { type Scale, toPx } from "../drawing/path";
import { DrawnText } from "../drawing/Text";
import { color } from "../kit/theme";

const RADIUS_PX = 9;

/**
 * The numbers that fasteners, holes, slots and pieces have in the tables: of a fastener on a disc beside it, of a hole or slot on a
 * square in it, of a piece on a square under it.
 */
export const ItemNumbers = memo(function ItemNumbers({ design, scale }: { design: Design; scale: Scale }) {
  const names = itemNames(design);
  return (
    <g pointerEvents="none" data-testid="item-numbers">
      {[...holesOf(design), ...slotsOf(design)].map((o) => {
        const [x, y] = toPx(scale, o.xMm, o.yMm);
        return (
          <g key={o.id}>
            <rect
              x={x - 8}
              y={y - 8}
              width="16"
              height="16"
              rx="3"
              fill={color("sheet")}
              stroke={color("ink")}
              strokeDasharray="2 2"
            />
            <DrawnText x={x} y={y + 4.5} size={12} bold anchor="middle">
              {names.get(o.id)?.number}
            </DrawnText>
          </g>
        );
      })}
      {pieceMarks(design).map(({ number, xMm, lowMm }) => {
        const [x, y] = toPx(scale, xMm, lowMm);
        return (
          <g key={number}>
            <line x1={x} x2={x} y1={y} y2={y + 6} stroke={color("ink")} />
            <rect
              x={x - 8}
              y={y + 4}
              width="16"
              height="16"
              rx="3"
              fill={color("sheet")}
              stroke={color("ink")}
            />
            <DrawnText x={x} y={y + 16.5} size={12} bold anchor="middle">
              {number}
            </DrawnText>
          </g>
        );
      })}
      {design.fasteners.map((f) => {
        const [x, y] = toPx(scale, f.xMm, f.yMm);
        const off = Math.max(RADIUS_PX, (f.diameterMm / 2) * scale.pxPerMm) * 0.7 + RADIUS_PX * 0.8;
        return (
          <g key={f.id}>
            <circle cx={x + off} cy={y - off} r={RADIUS_PX} fill={color("sheet")} stroke={color("ink")} />
            <DrawnText x={x + off} y={y - off + 4.5} size={12} bold anchor="middle">
              {names.get(f.id)?.number}
            </DrawnText>
          </g>
        );
      })}
    </g>
  );
});

/** Where the numbers of a stack's pieces stand: under the middle of each. */
function pieceMarks(design: Design): { number: number; xMm: number; lowMm: number }[] {
  if (design.handle.kind !== "stack") return [];
  const { pieces, outline } = layoutOf(design);
  return pieces.flatMap(([rear, front], i) => {
    const { number } = pieceNaming(design, i);
    const xMm = (rear + front) / 2;
    const low = outline.cut(xMm)[0];
    return number === undefined || low === undefined ? [] : [{ number, xMm, lowMm: low }];
  });
}
