import { color } from "../kit/theme";

/** The balance point: an edge the knife rests on, its upper corner at (x, y) px. */
export function BalanceMark({ x, y, size = 14 }: { x: number; y: number; size?: number }) {
  const d = `M${x} ${y}l${size * 0.62} ${size}h${-size * 1.24}Z`;
  return (
    <path d={d} fill={color("bronze")} stroke={color("sheet")} strokeWidth="1" data-testid="balance-mark" />
  );
}
