import { useRef } from "react";
import { ROUNDING } from "@/core/base/tolerances";

/**
 * A figure of a field that has been handed over and not been answered by a new `value` yet: keys can be quicker than what
 * keeps it. Without it, typing the old figure again in that moment would pass for no change, and the one before would stand.
 */
export function useHandedOver(value: number | null) {
  const under = useRef<{ readonly since: number | null; readonly figure: number } | null>(null);
  const differs = (from: number | null, next: number) => from === null || Math.abs(next - from) > ROUNDING;
  // Whatever it was answered by, the figure, a rounded one or one from elsewhere: that is what it is now.
  const now = () => (under.current?.since === value ? under.current.figure : value);
  return {
    /** What it is, or will be once it is kept. */
    now,
    /** Hands a figure over, where that changes anything. */
    hand: (next: number, onChange: (next: number) => void) => {
      if (!differs(value, next) && !differs(now(), next)) return;
      under.current = { since: value, figure: next };
      onChange(next);
    },
    /** On leaving: what was not taken is not stepped on from. */
    forget: () => {
      under.current = null;
    },
  };
}
