import type { ReactNode } from "react";
import { color } from "../kit/theme";

interface DrawnTextProps {
  readonly x: number;
  readonly y: number;
  readonly children: ReactNode;
  readonly size?: number;
  readonly anchor?: "start" | "middle" | "end";
  readonly tint?: Parameters<typeof color>[0];
  readonly bold?: boolean;
}

/** Words on a drawing. Size and weight stand as style: the page's reset would override attributes. */
export function DrawnText({
  x,
  y,
  children,
  size = 13,
  anchor = "start",
  tint = "graphite",
  bold,
}: DrawnTextProps) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      fill={color(tint)}
      stroke="none"
      style={{ fontSize: size, fontWeight: bold ? 600 : 400 }}
    >
      {children}
    </text>
  );
}
